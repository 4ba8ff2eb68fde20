<?php

declare(strict_types=1);

namespace Aumbrel\Core\Geometry;

/**
 * How a plate lies in the scene: its pivot (a point of the picture, in picture pixels) stands at a place of the scene;
 * around it the picture is mirrored first, then scaled, then turned counter-clockwise as seen. Before all that it may be
 * fitted to four corners in perspective, within its own pixels.
 */
final readonly class Placement
{
    private float $cos;

    private float $sin;

    public function __construct(
        public Point $place,
        public Point $pivot,
        public float $scale = 1.0,
        public float $turn = 0.0,
        public bool $mirrored = false,
        public ?Homography $fit = null,
    ) {
        $this->cos = cos(deg2rad($turn));
        $this->sin = sin(deg2rad($turn));
    }

    /** A picture in its own coordinates. */
    public static function asItIs(): self
    {
        return new self(new Point(0, 0), new Point(0, 0));
    }

    /**
     * How a picture of other pixels lies that shows the same.
     *
     * @param  float  $width  its pixels across to one of this picture's
     * @param  float  $height  the same down
     */
    public function ofFiner(float $width, float $height): self
    {
        if ($width === 1.0 && $height === 1.0) {
            return $this;
        }
        if ($this->fit === null && abs($width - $height) < 1e-9) {
            return new self($this->place, new Point($this->pivot->x * $width, $this->pivot->y * $width), $this->scale / $width, $this->turn, $this->mirrored);
        }
        $coarser = Homography::affine(1 / $width, 0.0, 0.0, 0.0, 1 / $height, 0.0);

        return new self($this->place, $this->pivot, $this->scale, $this->turn, $this->mirrored, $this->fit === null ? $coarser : $this->fit->after($coarser));
    }

    /** Whether its rows are the scene's rows. */
    public function isUpright(): bool
    {
        return $this->fit === null && abs($this->sin) < 1e-12 && $this->cos > 0;
    }

    /** From a point of the picture to the scene. */
    public function toScene(Point $picture): Point
    {
        if ($this->fit !== null) {
            $picture = $this->fit->map($picture);
        }
        $x = ($picture->x - $this->pivot->x) * $this->scale * ($this->mirrored ? -1 : 1);
        $y = ($picture->y - $this->pivot->y) * $this->scale;

        return $this->place->plus($this->cos * $x + $this->sin * $y, -$this->sin * $x + $this->cos * $y);
    }

    /** From a point of the scene to the picture. */
    public function toPicture(Point $scene): Point
    {
        $dx = $scene->x - $this->place->x;
        $dy = $scene->y - $this->place->y;
        $x = ($this->cos * $dx - $this->sin * $dy) / $this->scale * ($this->mirrored ? -1 : 1);
        $y = ($this->sin * $dx + $this->cos * $dy) / $this->scale;

        $fitted = $this->pivot->plus($x, $y);

        return $this->fit === null ? $fitted : $this->fit->inverse()->map($fitted);
    }

    /** The whole way from the picture to the scene. */
    public function map(): Homography
    {
        $along = $this->scale * ($this->mirrored ? -1 : 1);
        $similar = Homography::affine(
            $this->cos * $along, $this->sin * $this->scale, $this->place->x - $this->cos * $along * $this->pivot->x - $this->sin * $this->scale * $this->pivot->y,
            -$this->sin * $along, $this->cos * $this->scale, $this->place->y + $this->sin * $along * $this->pivot->x - $this->cos * $this->scale * $this->pivot->y,
        );

        return $this->fit === null ? $similar : $similar->after($this->fit);
    }

    /** @return list<array{float, float}> the picture's corners in the scene, in order round it */
    public function corners(int $width, int $height): array
    {
        return array_map(
            fn (array $corner): array => $this->toScene(new Point(...$corner))->toArray(),
            [[0.0, 0.0], [(float) $width, 0.0], [(float) $width, (float) $height], [0.0, (float) $height]],
        );
    }

    public function key(): string
    {
        return implode(' ', [$this->place->x, $this->place->y, $this->pivot->x, $this->pivot->y, $this->scale, $this->turn, (int) $this->mirrored, $this->fit?->key() ?? '']);
    }
}
