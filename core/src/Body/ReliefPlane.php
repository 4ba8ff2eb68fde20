<?php

declare(strict_types=1);

namespace Aumbrel\Core\Body;

use Aumbrel\Core\Color\Luma;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KeyOfAll;
use Aumbrel\Core\Kernel\Plane;
use Aumbrel\Core\Kernel\Planes;
use Aumbrel\Core\Raster\Gaussian;
use Aumbrel\Core\Raster\Margin;
use Closure;

/**
 * Which way a surface faces whose tones are taken for heights: smoothed by what is there of it, central differences in scene
 * pixels. Packed as {@see Normals}: kept while the light is turned.
 */
final readonly class ReliefPlane implements Plane
{
    use KeyOfAll;

    public const CHANNELS = ['luma', 'red', 'green', 'blue'];

    /**
     * @param  string  $name  of what the tones are of, with all that they depend on besides the window
     * @param  Closure(Planes, Window): array{list<float>, list<float>, list<float>, list<float>}  $colours  encoded red, green, blue, and alpha
     * @param  string  $channel  one of CHANNELS
     * @param  float  $strength  how high white lies over black, scene pixels
     * @param  float  $smooth  sigma, scene pixels
     * @param  array{int, int}  $size  of the scene
     */
    public function __construct(public string $name, private Closure $colours, private string $channel, private float $strength, private float $smooth, private array $size, private Window $window)
    {
    }

    /** @return list<int> */
    public function fill(Planes $planes): array
    {
        $sigma = $this->smooth * $this->window->scale;
        $margin = Margin::atLeast(Gaussian::REACH * $sigma + 2);
        $wide = $this->window->padded($margin);
        [$columns, $rows] = [$wide->columns, $wide->rows];
        [$heights, $there] = $this->heights($planes, $wide);
        $weights = Gaussian::blur($there, $columns, $rows, $sigma);
        $smoothed = array_map(static fn (float $sum, float $weight): float => $weight > 1e-3 ? $sum / $weight : 0.0, Gaussian::blur($heights, $columns, $rows, $sigma), $weights);
        $half = 0.5 * $this->strength * $this->window->scale;
        $packed = [];
        for ($row = $margin; $row < $rows - $margin; $row++) {
            // at the scene's border nothing lies beyond
            [$up, $down] = [$wide->yOf($row - 1) < 0 ? 0 : -$columns, $wide->yOf($row + 1) > $this->size[1] ? 0 : $columns];
            for ($column = $margin, $at = $row * $columns + $margin; $column < $columns - $margin; $column++, $at++) {
                $left = $wide->xOf($column - 1) < 0 ? 0 : -1;
                $right = $wide->xOf($column + 1) > $this->size[0] ? 0 : 1;
                $packed[] = $there[$at] < 0.5 ? Normals::FRONT : Normals::packed($half * ($smoothed[$at + $left] - $smoothed[$at + $right]), $half * ($smoothed[$at + $down] - $smoothed[$at + $up]), 1.0);
            }
        }

        return $packed;
    }

    /** @return array{list<float>, list<float>} of each pixel its height times alpha, and alpha; past the scene's border those of the last pixels inside go on */
    private function heights(Planes $planes, Window $window): array
    {
        [$red, $green, $blue, $alpha] = ($this->colours)($planes, $window);
        $tones = match ($this->channel) {
            'red' => $red,
            'green' => $green,
            'blue' => $blue,
            default => array_map(Luma::of(...), $red, $green, $blue),
        };
        $columns = self::inside($window->xOf(0), $window->columns, $window->step(), $this->size[0]);
        $heights = $there = [];
        foreach (self::inside($window->yOf(0), $window->rows, $window->step(), $this->size[1]) as $row) {
            foreach ($columns as $column) {
                $at = $row * $window->columns + $column;
                $there[] = $alpha[$at];
                $heights[] = $alpha[$at] * $tones[$at];
            }
        }

        return [$heights, $there];
    }

    /** @return list<int> which of a row of places stands for each: itself, or the last one inside the scene */
    private static function inside(float $first, int $count, float $step, int $length): array
    {
        $least = (int) max(0.0, ceil(-$first / $step));
        $most = (int) min($count - 1.0, floor(($length - $first) / $step));

        return array_map(static fn (int $at): int => max($least, min(max($least, $most), $at)), range(0, $count - 1));
    }
}
