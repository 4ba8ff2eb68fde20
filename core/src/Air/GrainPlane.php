<?php

declare(strict_types=1);

namespace Aumbrel\Core\Air;

use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KeyOfAll;
use Aumbrel\Core\Kernel\Plane;
use Aumbrel\Core\Kernel\Planes;
use Aumbrel\Core\Raster\Gaussian;
use Aumbrel\Core\Raster\Noise;
use Aumbrel\Core\Texture\Averaged;

/** Grain of mean 0 and deviation 1 on the full-size pixels of the scene, blurred to a size; smaller windows see its means. */
final readonly class GrainPlane implements Plane
{
    use KeyOfAll;

    /** The sum of four even bytes has this mean and deviation. */
    private const MEAN = 510.0;

    private const DEVIATION = 147.80;

    /** As far as the blur reaches, px. */
    private const MARGIN = 7;

    /** @param  float  $size  sigma of its blur, full-size px, below that of the recursive filter */
    public function __construct(private int $seed, private float $size, private Window $window)
    {
    }

    /** @return list<float> */
    public function fill(Planes $planes): array
    {
        $window = $this->window;
        $margin = $this->size > 0.05 ? self::MARGIN : 0;
        $left = (int) floor($window->xOf(-0.5)) - $margin;
        $top = (int) floor($window->yOf(-0.5)) - $margin;
        $columns = (int) ceil($window->xOf($window->columns - 0.5)) + $margin + 1 - $left;
        $rows = (int) ceil($window->yOf($window->rows - 0.5)) + $margin + 1 - $top;
        $plane = self::lattice($left, $top, $columns, $rows, $this->seed);
        if ($margin > 0) {
            $plane = Gaussian::blur($plane, $columns, $rows, $this->size);
            $gain = 1 / self::kept($this->size);
            $plane = array_map(static fn (float $value): float => $value * $gain, $plane);
        }

        return Averaged::of($plane, $columns, $left, $top, $window);
    }

    /** What a blur leaves of the deviation of single pixels: the root of the sum of the squares of its weights in the plane. */
    public static function kept(float $size): float
    {
        $weights = Gaussian::weights($size);

        return 2 * array_sum(array_map(static fn (float $weight): float => $weight * $weight, $weights)) - $weights[0] ** 2;
    }

    /**
     * The grain of single pixels.
     *
     * @return list<float>
     */
    public static function lattice(int $left, int $top, int $columns, int $rows, int $seed): array
    {
        $start = Noise::hash($seed);
        $across = [];
        for ($i = 0; $i < $columns; $i++) {
            $across[] = Noise::hash($start + $left + $i);
        }
        $plane = [];
        for ($j = $top; $j < $top + $rows; $j++) {
            foreach ($across as $column) {
                // Noise::hash(), written out: this runs for every pixel
                $x = $column + $j & 0xFFFFFFFF;
                $x ^= $x >> 16;
                $x = $x * 0x21F0AAAD & 0xFFFFFFFF;
                $x ^= $x >> 15;
                $x = $x * 0x735A2D97 & 0xFFFFFFFF;
                $x ^= $x >> 15;
                $plane[] = (($x & 255) + ($x >> 8 & 255) + ($x >> 16 & 255) + ($x >> 24) - self::MEAN) * (1.0 / self::DEVIATION);
            }
        }

        return $plane;
    }
}
