<?php

declare(strict_types=1);

namespace Aumbrel\Core\Plate;

use Aumbrel\Core\Geometry\Point;

/**
 * How a plate lies in the scene: its pivot (a point of the picture, in picture pixels) stands at a place of the scene;
 * around it the picture is mirrored first, then scaled, then turned counter-clockwise as seen.
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
    ) {
        $this->cos = cos(deg2rad($turn));
        $this->sin = sin(deg2rad($turn));
    }

    public function isUpright(): bool
    {
        return abs($this->sin) < 1e-12 && $this->cos > 0;
    }

    /** From a point of the picture to the scene. */
    public function toScene(Point $picture): Point
    {
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

        return $this->pivot->plus($x, $y);
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
        return implode(' ', [$this->place->x, $this->place->y, $this->pivot->x, $this->pivot->y, $this->scale, $this->turn, (int) $this->mirrored]);
    }
}
