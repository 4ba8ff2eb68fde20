<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\Color\Luma;
use Aumbrel\Core\Color\Rgb;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Picture\Pixels;
use Aumbrel\Core\Raster\Distance;
use Aumbrel\Core\Raster\EdgeWidth;
use Aumbrel\Core\Scene\Scene;
use Aumbrel\Core\Scene\Standings;
use Aumbrel\Core\Scene\Strip;

/** The outline of a plate where it meets what lies around it, before anything is lit: a rim of its old background, and how sharp it is. */
final class EdgeStudy
{
    /** Distances inside the outline, pixels: of its rim, of what lies next to that, and of what lies deeper. */
    private const RIM = [-0.6, 1.3];

    private const NEXT = [2.5, 5.0];

    private const DEEP = [6.0, 9.0];

    /** Sides of the squares in which they are compared, and pixels of each that say something. */
    private const SQUARE = 24;

    private const ENOUGH = 5;

    /** A pixel that is covered so far is covered. */
    private const COVERED = 0.98;

    /** A rim differs by so much, in any channel, and by so many times what the inside itself changes by. */
    private const DIFFERS = 0.11;

    private const TIMES = 2.5;

    /** Less than so many places say nothing of how wide edges are. */
    private const PLACES = 16;

    /** The steepest places around are looked at. */
    private const STEEPEST = 400;

    /** What is flatter is no edge, by pixel. */
    private const SLOPE = 0.03;

    private float $squares = 0.0;

    private float $rims = 0.0;

    private float $lift = 0.0;

    private float $wide = 0.0;

    /** @var list<float> */
    private array $own = [];

    /** @var list<float> */
    private array $others = [];

    private function __construct(public float $fringe = 0.0, public float $fringeBy = 0.0, public bool $isWide = false, public ?float $width = null, public ?float $around = null)
    {
    }

    /** Null where nothing of the plate is there. */
    public static function of(Renderer $renderer, Scene $scene, Strip $plate): ?self
    {
        $box = Standings::box($plate, $renderer->measures());
        if ($box === null) {
            return null;
        }
        $study = new self;
        $unlit = $scene->with($scene->unlit());
        foreach (Beside::windows($box, $scene, Beside::SMALL) as $window) {
            $seen = $renderer->sites($scene, $window)->seen($plate->id);
            if ($seen === null) {
                continue;
            }
            $pixels = new Pixels($renderer->planes->pixels($seen), $seen->bits());
            $alpha = $pixels->alpha();
            $distance = Distance::signed($alpha, $window->columns, $window->rows, 12.0, isExact: false);
            $study->rims($pixels, $alpha, $distance, $window);
            $study->widths($renderer->read($unlit, $window)->lumas(), $alpha, $distance, $window);
        }

        return new self($study->squares < self::ENOUGH ? 0.0 : $study->rims / $study->squares, $study->rims > 0 ? $study->lift / $study->rims : 0.0, $study->wide > $study->rims / 2, self::median($study->own), self::median($study->others));
    }

    /**
     * Counts the squares of the outline that have a rim.
     *
     * @param  list<float>  $alpha
     * @param  list<float>  $distance
     */
    private function rims(Pixels $pixels, array $alpha, array $distance, Window $window): void
    {
        $squares = [];
        $channels = $pixels->channels();
        foreach ($distance as $at => $inside) {
            $part = $alpha[$at] < 0.3 ? null : match (true) {
                $inside >= self::RIM[0] && $inside <= self::RIM[1] => 0,
                $inside >= self::NEXT[0] && $inside <= self::NEXT[1] => 1,
                $inside >= self::DEEP[0] && $inside <= self::DEEP[1] => 2,
                default => null,
            };
            if ($part === null) {
                continue;
            }
            $square = intdiv(intdiv($at, $window->columns), self::SQUARE) * 1000 + intdiv($at % $window->columns, self::SQUARE);
            $squares[$square] ??= array_fill(0, 4, [0.0, 0.0, 0.0, 0]);
            foreach ($part === 0 && $alpha[$at] >= self::COVERED ? [0, 3] : [$part] as $each) {
                foreach ($channels as $channel => $values) {
                    $squares[$square][$each][$channel] += $values[$at];
                }
                $squares[$square][$each][3]++;
            }
        }
        foreach ($squares as $parts) {
            if (min($parts[0][3], $parts[1][3], $parts[2][3]) < self::ENOUGH) {
                continue;
            }
            $this->squares++;
            [$rim, $next, $deep, $covered] = array_map(static fn (array $sums): Rgb => new Rgb($sums[0] / max(1, $sums[3]), $sums[1] / max(1, $sums[3]), $sums[2] / max(1, $sums[3])), $parts);
            $needed = max(self::DIFFERS, self::TIMES * self::apart($next, $deep));
            if (self::apart($rim, $next) > $needed) {
                $this->rims++;
                $this->lift += Luma::of($rim->red, $rim->green, $rim->blue) - Luma::of($next->red, $next->green, $next->blue);
                $this->wide += $parts[3][3] >= self::ENOUGH && self::apart($covered, $next) > $needed ? 1 : 0;
            }
        }
    }

    private static function apart(Rgb $one, Rgb $other): float
    {
        return max(abs($one->red - $other->red), abs($one->green - $other->green), abs($one->blue - $other->blue));
    }

    /**
     * How wide the outline is, and edges of what lies around.
     *
     * @param  list<float>  $lumas
     * @param  list<float>  $alpha
     * @param  list<float>  $distance
     */
    private function widths(array $lumas, array $alpha, array $distance, Window $window): void
    {
        [$columns, $rows] = [$window->columns, $window->rows];
        $steep = [];
        for ($y = EdgeWidth::REACH; $y < $rows - EdgeWidth::REACH; $y++) {
            for ($x = EdgeWidth::REACH, $at = $y * $columns + $x; $x < $columns - EdgeWidth::REACH; $x++, $at++) {
                if (abs($distance[$at]) <= 0.5) {
                    $width = $this->across($lumas, $distance, $at, $columns, $rows);
                    $this->own = $width === null ? $this->own : [...$this->own, $width];
                } elseif ($distance[$at] < -EdgeWidth::REACH && $alpha[$at] <= 0.0) {
                    $slope = hypot($lumas[$at + 1] - $lumas[$at - 1], $lumas[$at + $columns] - $lumas[$at - $columns]) / 2;
                    if ($slope > self::SLOPE) {
                        $steep[$at] = $slope;
                    }
                }
            }
        }
        arsort($steep);
        foreach (array_slice($steep, 0, self::STEEPEST, true) as $at => $slope) {
            $width = $this->across($lumas, $lumas, $at, $columns, $rows);
            $this->others = $width === null ? $this->others : [...$this->others, $width];
        }
    }

    /**
     * @param  list<float>  $lumas
     * @param  list<float>  $rising  a plane that rises across the edge
     */
    private function across(array $lumas, array $rising, int $at, int $columns, int $rows): ?float
    {
        [$dx, $dy] = [$rising[$at + 1] - $rising[$at - 1], $rising[$at + $columns] - $rising[$at - $columns]];
        $length = hypot($dx, $dy);

        return $length <= 0 ? null : EdgeWidth::at($lumas, $columns, $rows, $at % $columns, intdiv($at, $columns), $dx / $length, $dy / $length);
    }

    /** @param  list<float>  $values */
    private static function median(array $values): ?float
    {
        sort($values);

        return count($values) < self::PLACES ? null : $values[intdiv(count($values), 2)];
    }
}
