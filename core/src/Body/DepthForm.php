<?php

declare(strict_types=1);

namespace Aumbrel\Core\Body;

use Aumbrel\Core\Picture\Halving;
use Aumbrel\Core\Picture\PictureSource;
use Aumbrel\Core\Picture\Pixels;
use Aumbrel\Core\Seen\DepthPass;

/** A picture of depth that forms a plate: its slopes say which way the surface faces. */
final readonly class DepthForm
{
    private const ENOUGH = 40_000;

    /** @param  float  $deep  pixels of the plate's picture from the nearest to the furthest */
    public function __construct(public PictureSource $picture, private DepthPass $pass, private float $deep)
    {
    }

    /** The plain name of its picture. */
    public function name(): string
    {
        return $this->pass->picture;
    }

    /** Whether all of it is equally far away, looked at small. */
    public function isFlat(): bool
    {
        $size = Halving::within($this->picture, self::ENOUGH);
        [$tones] = (new Pixels($size->pixels($this->picture), $this->picture->bits()))->channels();

        return $tones === [] || max($tones) - min($tones) < 1 / 255;
    }

    public function key(): string
    {
        return "{$this->picture->key()} {$this->deep} ".json_encode(array_map($this->pass->distance(...), [0.0, 0.5, 1.0]));
    }

    /**
     * Heights toward the viewer.
     *
     * @param  list<float>  $tones  0..1
     * @return list<float> pixels of the plate's picture
     */
    public function heights(array $tones): array
    {
        [$one, $other] = [$this->pass->distance(0.0), $this->pass->distance(1.0)];
        $span = max(1e-9, abs($one - $other));

        return array_map(fn (float $tone): float => -$this->deep * $this->pass->distance($tone) / $span, $tones);
    }
}
