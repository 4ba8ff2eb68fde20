<?php

declare(strict_types=1);

namespace Aumbrel\Core\Texture;

use Aumbrel\Core\Raster\Noise;
use Aumbrel\Core\Raster\Smoke;

/** The shelf of textures that come along, made anew wherever they are shown; and a picture, which is brought. */
enum Texture: string
{
    case Leak = 'leak';
    case Smoke = 'smoke';
    case Clouds = 'clouds';
    case Dust = 'dust';
    case Bokeh = 'bokeh';
    case Picture = 'a picture';

    /** The size of a texture's own sheet, which is stretched to where it lies. Light goes on beyond it. */
    public const WIDTH = 1500.0;

    public const HEIGHT = 1000.0;

    private const BLOBS = 5;

    /** Specks, for textures that are made of them. */
    public function specks(int $seed): ?Dust
    {
        return match ($this) {
            self::Dust => new Dust(420, 0.7, 5.5, 0.5, $seed),
            self::Bokeh => new Dust(46, 10, 52, 0, $seed),
            default => null,
        };
    }

    /** How bright it is where it is full: a speck, or a cloud. */
    public function strength(): float
    {
        return match ($this) {
            self::Bokeh => 0.5,
            self::Smoke, self::Clouds => 0.6,
            default => 1.0,
        };
    }

    /** The size of the smallest thing on its sheet that matters, px of the sheet; of textures that change slowly. */
    public function finest(): float
    {
        return match ($this) {
            self::Leak => 24.0,
            self::Clouds => 9.0,
            default => 6.5,
        };
    }

    /**
     * How bright it is at places of its sheet, 0..1; of textures that change slowly.
     *
     * @param  list<float>  $x
     * @param  list<float>  $y
     * @return list<float>
     */
    public function at(array $x, array $y, int $seed): array
    {
        return match ($this) {
            self::Smoke => (new Smoke(380, 0.34, 1.0, 65, 2.0, $seed, 4))->at($x, $y),
            self::Clouds => (new Smoke(480, 0.4, 1.0, 0, 1.7, $seed, 4))->at($x, $y),
            default => self::leak($x, $y, $seed),
        };
    }

    /**
     * Stray light: long soft patches along one side, uneven as on film that was not shut well.
     *
     * @param  list<float>  $x
     * @param  list<float>  $y
     * @return list<float>
     */
    private static function leak(array $x, array $y, int $seed): array
    {
        $draw = static fn (int $blob, int $k): float => Noise::at($blob, $k, $seed) / 4294967296;
        $fromLeft = $draw(99, 1) < 0.5;
        $blobs = [];
        for ($blob = 0; $blob < self::BLOBS; $blob++) {
            $depth = 70 + 230 * $draw($blob, 1) ** 2;
            $blobs[] = [
                ($fromLeft ? -60.0 : self::WIDTH + 60) + ($fromLeft ? 1 : -1) * 0.35 * $depth, self::HEIGHT * (0.05 + 0.9 * $draw($blob, 2)),
                1 / $depth, 1 / (90 + 240 * $draw($blob, 3)), 0.3 + 0.6 * $draw($blob, 4), 0.5 * ($draw($blob, 5) - 0.5),
            ];
        }
        $uneven = (new Smoke(520, 0.6, 1.0, 20, 1.0, $seed, 3))->at($x, $y);
        $values = [];
        foreach ($x as $at => $px) {
            $sum = 0.0;
            foreach ($blobs as [$bx, $by, $perDepth, $perLength, $strength, $slant]) {
                $v = $y[$at] - $by;
                $u = ($px - $bx + $slant * $v) * $perDepth;
                $v *= $perLength;
                $sum += $strength * exp(-$u * $u - $v * $v);
            }
            $sum *= 0.55 + 0.45 * $uneven[$at];
            // where patches meet they do not add up to more than full light
            $values[] = 1.0 - exp(-1.4 * $sum);
        }

        return $values;
    }
}
