<?php

declare(strict_types=1);

namespace Aumbrel\Core\Seen;

use Aumbrel\Core\Geometry\Frame;
use Aumbrel\Core\Geometry\Placement;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Picture\PictureSource;
use Aumbrel\Core\Raster\Polygon;

/**
 * Draws a placed picture into a window, at 16 bits a channel.
 *
 * Upright plates are filtered apart along x and y with a cubic (Keys, *Cubic convolution interpolation for digital image
 * processing*, 1981, a = -1/2) that widens with the reduction, on the halving that leaves a reduction below two. Turned
 * ones are sampled on a 2 x 2 grid bilinearly when reduced, by the same cubic when enlarged. Colours are premultiplied
 * while they are mixed; the picture's border is cut by the exact share of the pixel that it covers. Plates in perspective
 * are sampled on as fine a grid as the place asks for.
 */
final class Resampler
{
    /** Samples along each side of a pixel in perspective, at most. */
    private const FINEST = 4;

    private readonly int $level;

    private readonly int $width;

    private readonly int $height;

    /** Pixels of the level to one of the window. */
    private readonly float $pitch;

    public function __construct(
        private readonly PictureSource $picture,
        private readonly Placement $placement,
        private readonly Window $window,
    ) {
        $pitch = $placement->fit === null ? $window->step() / $placement->scale : $this->finestPitch();
        $this->level = max(0, min(PictureSource::LEVELS, (int) floor(log($pitch, 2) + 1e-9)));
        $this->pitch = $pitch / 2 ** $this->level;
        $this->width = (int) ceil($picture->width() / 2 ** $this->level);
        $this->height = (int) ceil($picture->height() / 2 ** $this->level);
    }

    /** @return list<int> packed `A<<48 | R<<32 | G<<16 | B` */
    public function fill(): array
    {
        return match (true) {
            $this->placement->fit !== null => $this->bent(),
            $this->placement->isUpright() => $this->upright(),
            default => $this->turned(),
        };
    }

    /** @return list<int> */
    private function upright(): array
    {
        [$columns, $rows] = [$this->window->columns, $this->window->rows];
        $across = $this->taps($columns, fn (float $column): float => $this->at($column, 0)->x,
            fn (int $column): float => $this->inPicture($this->window->borderX($column), 0)->x, $this->width, $this->picture->width());
        $down = $this->taps($rows, fn (float $row): float => $this->at(0, $row)->y,
            fn (int $row): float => $this->inPicture(0, $this->window->borderY($row))->y, $this->height, $this->picture->height());
        if ($across['last'] < $across['first'] || $down['last'] < $down['first']) {
            return array_fill(0, $columns * $rows, 0);
        }
        $plane = [];
        /** @var array<int, array{list<float>, list<float>, list<float>, list<float>}> $lines filtered rows of the picture, by their number */
        $lines = [];
        $opaque = $this->picture->opaque();
        $taps = $down['taps'];
        for ($row = 0; $row < $rows; $row++) {
            $share = $down['share'][$row];
            if ($share <= 0.0) {
                for ($column = 0; $column < $columns; $column++) {
                    $plane[] = 0;
                }

                continue;
            }
            $weights = [];
            $sources = [];
            for ($k = 0, $at = $row * $taps; $k < $taps; $k++, $at++) {
                $number = $down['index'][$at];
                $sources[] = $lines[$number] ??= $this->filterLine($number, $across);
                $weights[] = $down['weight'][$at];
            }
            foreach (array_keys($lines) as $number) {
                if ($number < $down['index'][$row * $taps] - $taps) {
                    unset($lines[$number]);
                }
            }
            $this->joinLines($plane, $sources, $weights, $across['share'], $share, $columns, $opaque);
        }

        return $plane;
    }

    /**
     * The picture's pixels and weights for each output pixel along one axis.
     *
     * @param  callable(float): float  $at  the place in the picture (full-size pixels) of an output pixel
     * @param  callable(int): float  $border  the place of the border before it
     * @param  int  $size  pixels of the level along this axis
     * @param  int  $fullSize  pixels of the picture along this axis
     * @return array{taps: int, index: list<int>, weight: list<float>, share: list<float>, first: int, last: int}
     */
    private function taps(int $count, callable $at, callable $border, int $size, int $fullSize): array
    {
        $unit = 2 ** $this->level;
        $widen = max(1.0, $this->pitch);
        $taps = (int) ceil(4 * $widen) + 1;
        $index = $weight = $share = [];
        [$first, $last] = [PHP_INT_MAX, -1];
        // the border of a level lies where the picture's does, even when its last pixel is not whole
        $end = $fullSize / $unit;
        for ($n = 0; $n < $count; $n++) {
            $place = $at((float) $n) / $unit;
            $borders = [$border($n) / $unit, $border($n + 1) / $unit];
            $covered = min($end, max($borders)) - max(0.0, min($borders));
            $share[] = $part = max(0.0, min(1.0, $covered / (max($borders) - min($borders))));
            $start = (int) floor($place - 0.5 - 2 * $widen) + 1;
            $sum = 0.0;
            $line = [];
            for ($k = 0; $k < $taps; $k++) {
                $line[] = $value = self::cubic(($start + $k + 0.5 - $place) / $widen);
                $sum += $value;
            }
            foreach ($line as $k => $value) {
                $index[] = $source = max(0, min($size - 1, $start + $k));
                $weight[] = $value / $sum;
                if ($part > 0.0) {
                    $first = min($first, $source);
                    $last = max($last, $source);
                }
            }
        }

        return ['taps' => $taps, 'index' => $index, 'weight' => $weight, 'share' => $share, 'first' => $first, 'last' => $last];
    }

    /** Keys' cubic with a = -1/2. */
    private static function cubic(float $x): float
    {
        $x = abs($x);

        return match (true) {
            $x < 1 => (1.5 * $x - 2.5) * $x * $x + 1,
            $x < 2 => ((-0.5 * $x + 2.5) * $x - 4) * $x + 2,
            default => 0.0,
        };
    }

    /**
     * One row of the picture, filtered along x; values 0..65535, premultiplied.
     *
     * @param  array{taps: int, index: list<int>, weight: list<float>, first: int, last: int, share: list<float>}  $across
     * @return array{list<float>, list<float>, list<float>, list<float>}
     */
    private function filterLine(int $number, array $across): array
    {
        $first = $across['first'];
        [$red, $green, $blue, $alpha] = $this->unpacked($first, $number, $across['last'] - $first + 1);
        $taps = $across['taps'];
        $index = $across['index'];
        $weight = $across['weight'];
        $columns = $this->window->columns;
        $lineRed = $lineGreen = $lineBlue = $lineAlpha = [];
        $opaque = $this->picture->opaque();
        for ($column = 0, $at = 0; $column < $columns; $column++) {
            $r = $g = $b = $a = 0.0;
            if ($across['share'][$column] <= 0.0) {
                $at += $taps;
            } elseif ($opaque) {
                for ($k = 0; $k < $taps; $k++, $at++) {
                    $n = $index[$at] - $first;
                    $w = $weight[$at];
                    $r += $w * $red[$n];
                    $g += $w * $green[$n];
                    $b += $w * $blue[$n];
                }
            } else {
                for ($k = 0; $k < $taps; $k++, $at++) {
                    $n = $index[$at] - $first;
                    $w = $weight[$at];
                    $r += $w * $red[$n];
                    $g += $w * $green[$n];
                    $b += $w * $blue[$n];
                    $a += $w * $alpha[$n];
                }
                $lineAlpha[] = $a;
            }
            $lineRed[] = $r;
            $lineGreen[] = $g;
            $lineBlue[] = $b;
            if (! $opaque && count($lineAlpha) <= $column) {
                $lineAlpha[] = 0.0;
            }
        }

        return [$lineRed, $lineGreen, $lineBlue, $lineAlpha];
    }

    /**
     * Channels 0..65535 of a piece of one row, premultiplied; alpha 0..1.
     *
     * @return array{list<float>, list<float>, list<float>, list<float>}
     */
    private function unpacked(int $x, int $y, int $count, int $rows = 1): array
    {
        $red = $green = $blue = $alpha = [];
        $pixels = $this->picture->pixels($this->level, $x, $y, $count, $rows);
        if ($this->picture->bits() === 16) {
            foreach ($pixels as $pixel) {
                $alpha[] = $a = ($pixel >> 48 & 65535) / 65535;
                $red[] = ($pixel >> 32 & 65535) * $a;
                $green[] = ($pixel >> 16 & 65535) * $a;
                $blue[] = ($pixel & 65535) * $a;
            }
        } elseif ($this->picture->opaque()) {
            foreach ($pixels as $pixel) {
                $red[] = ($pixel >> 16 & 255) * 257.0;
                $green[] = ($pixel >> 8 & 255) * 257.0;
                $blue[] = ($pixel & 255) * 257.0;
            }
        } else {
            foreach ($pixels as $pixel) {
                $alpha[] = $a = ($pixel >> 24 & 255) / 255;
                $a *= 257.0;
                $red[] = ($pixel >> 16 & 255) * $a;
                $green[] = ($pixel >> 8 & 255) * $a;
                $blue[] = ($pixel & 255) * $a;
            }
        }

        return [$red, $green, $blue, $alpha];
    }

    /**
     * @param  list<int>  $plane
     * @param  list<array{list<float>, list<float>, list<float>, list<float>}>  $lines
     * @param  list<float>  $weights
     * @param  list<float>  $shares  of the pixel's width that the picture covers
     * @param  float  $share  the same of its height
     */
    private function joinLines(array &$plane, array $lines, array $weights, array $shares, float $share, int $columns, bool $opaque): void
    {
        $red = $green = $blue = array_fill(0, $columns, 0.0);
        $alpha = array_fill(0, $columns, $opaque ? 1.0 : 0.0);
        foreach ($lines as $k => [$lineRed, $lineGreen, $lineBlue, $lineAlpha]) {
            $w = $weights[$k];
            if ($w == 0.0) {
                continue;
            }
            for ($column = 0; $column < $columns; $column++) {
                $red[$column] += $w * $lineRed[$column];
                $green[$column] += $w * $lineGreen[$column];
                $blue[$column] += $w * $lineBlue[$column];
            }
            if (! $opaque) {
                for ($column = 0; $column < $columns; $column++) {
                    $alpha[$column] += $w * $lineAlpha[$column];
                }
            }
        }
        for ($column = 0; $column < $columns; $column++) {
            $plane[] = self::pack($red[$column], $green[$column], $blue[$column], $alpha[$column], $share * $shares[$column]);
        }
    }

    /** Packs a premultiplied colour (0..65535, alpha 0..1), cut by the share of the pixel that the picture covers. */
    private static function pack(float $red, float $green, float $blue, float $alpha, float $share): int
    {
        if ($alpha <= 1e-5 || $share <= 0.0) {
            return 0;
        }
        $r = $red / $alpha;
        $g = $green / $alpha;
        $b = $blue / $alpha;
        $r = $r > 0.0 ? ($r < 65535.0 ? (int) ($r + 0.5) : 65535) : 0;
        $g = $g > 0.0 ? ($g < 65535.0 ? (int) ($g + 0.5) : 65535) : 0;
        $b = $b > 0.0 ? ($b < 65535.0 ? (int) ($b + 0.5) : 65535) : 0;
        $a = (int) (65535.0 * ($alpha < 1.0 ? $alpha : 1.0) * $share + 0.5);

        return $a << 48 | $r << 32 | $g << 16 | $b;
    }

    /** @return list<int> */
    private function turned(): array
    {
        [$columns, $rows] = [$this->window->columns, $this->window->rows];
        $unit = 2 ** $this->level;
        $origin = $this->at(0, 0);
        $right = $this->at(1, 0);
        $below = $this->at(0, 1);
        [$ax, $ay] = [($right->x - $origin->x) / $unit, ($right->y - $origin->y) / $unit];
        [$bx, $by] = [($below->x - $origin->x) / $unit, ($below->y - $origin->y) / $unit];
        [$endX, $endY] = [$this->picture->width() / $unit, $this->picture->height() / $unit];
        $samples = $this->pitch > 1.0 ? [[-0.25, -0.25], [0.25, -0.25], [-0.25, 0.25], [0.25, 0.25]] : [[0.0, 0.0]];
        [$x0, $y0, $width, $height] = $this->touched($origin, $ax, $ay, $bx, $by, $unit);
        if ($width <= 0 || $height <= 0) {
            return array_fill(0, $columns * $rows, 0);
        }
        [$red, $green, $blue, $alpha] = $this->unpacked($x0, $y0, $width, $height);
        $cubic = $this->pitch <= 1.0;
        $opaque = $this->picture->opaque();
        $plane = [];
        for ($row = 0; $row < $rows; $row++) {
            for ($column = 0; $column < $columns; $column++) {
                $px = $origin->x / $unit + $column * $ax + $row * $bx;
                $py = $origin->y / $unit + $column * $ay + $row * $by;
                $share = self::overlap($px, $endX, $this->pitch) * self::overlap($py, $endY, $this->pitch);
                if ($share <= 0.0) {
                    $plane[] = 0;

                    continue;
                }
                $r = $g = $b = $a = 0.0;
                foreach ($samples as [$sx, $sy]) {
                    $u = $px + $sx * $ax + $sy * $bx - 0.5;
                    $v = $py + $sx * $ay + $sy * $by - 0.5;
                    $left = (int) floor($u);
                    $top = (int) floor($v);
                    $fx = $u - $left;
                    $fy = $v - $top;
                    if ($cubic) {
                        $wx = [((-0.5 * $fx + 1.0) * $fx - 0.5) * $fx, (1.5 * $fx - 2.5) * $fx * $fx + 1.0, ((-1.5 * $fx + 2.0) * $fx + 0.5) * $fx, (0.5 * $fx - 0.5) * $fx * $fx];
                        $wy = [((-0.5 * $fy + 1.0) * $fy - 0.5) * $fy, (1.5 * $fy - 2.5) * $fy * $fy + 1.0, ((-1.5 * $fy + 2.0) * $fy + 0.5) * $fy, (0.5 * $fy - 0.5) * $fy * $fy];
                        $left--;
                        $top--;
                        $size = 4;
                    } else {
                        $wx = [1.0 - $fx, $fx];
                        $wy = [1.0 - $fy, $fy];
                        $size = 2;
                    }
                    for ($j = 0; $j < $size; $j++) {
                        $y = $top + $j - $y0;
                        $y = ($y < 0 ? 0 : ($y >= $height ? $height - 1 : $y)) * $width;
                        for ($i = 0; $i < $size; $i++) {
                            $x = $left + $i - $x0;
                            $n = $y + ($x < 0 ? 0 : ($x >= $width ? $width - 1 : $x));
                            $w = $wx[$i] * $wy[$j];
                            $r += $w * $red[$n];
                            $g += $w * $green[$n];
                            $b += $w * $blue[$n];
                            $a += $opaque ? $w : $w * $alpha[$n];
                        }
                    }
                }
                $count = count($samples);
                $plane[] = self::pack($r / $count, $g / $count, $b / $count, $a / $count, $share);
            }
        }

        return $plane;
    }

    /** The finest grain, in picture pixels to one of the window, that a plate in perspective has inside the window. */
    private function finestPitch(): float
    {
        $back = Frame::plate($this->window, $this->placement)->fromPixels;
        $finest = INF;
        $corners = $this->placement->corners($this->picture->width(), $this->picture->height());
        foreach ($corners as [$x, $y]) {
            $finest = min($finest, $back->scaleAt(($x - $this->window->x) * $this->window->scale, ($y - $this->window->yOf(0)) * $this->window->scale + 0.5));
        }

        return max(0.02, $finest);
    }

    /**
     * In perspective: each pixel is the mean of up to 4 x 4 bilinear samples, as many as picture pixels fall into it
     * along a side; its share is the exact coverage of the quadrilateral.
     *
     * @return list<int>
     */
    private function bent(): array
    {
        [$columns, $rows] = [$this->window->columns, $this->window->rows];
        $frame = Frame::plate($this->window, $this->placement);
        $shares = Polygon::coverage(array_map(
            static fn (array $corner): array => $frame->toPixels->at(...$corner),
            [[0, 0], [$this->picture->width(), 0], [$this->picture->width(), $this->picture->height()], [0, $this->picture->height()]],
        ), $columns, $rows);
        [$red, $green, $blue, $alpha] = $this->unpacked(0, 0, $this->width, $this->height);
        [$a, $b, $c, $d, $e, $f, $g, $h, $i] = $frame->fromPixels->h;
        $unit = 2 ** $this->level;
        $opaque = $this->picture->opaque();
        [$lastX, $lastY] = [$this->width - 1, $this->height - 1];
        $plane = [];
        for ($row = 0, $at = 0; $row < $rows; $row++) {
            for ($column = 0; $column < $columns; $column++, $at++) {
                $share = $shares[$at];
                if ($share <= 0.0) {
                    $plane[] = 0;

                    continue;
                }
                $fineness = (int) ceil($frame->fromPixels->scaleAt($column + 0.5, $row + 0.5) / $unit - 0.25);
                $fineness = $fineness < 1 ? 1 : ($fineness > self::FINEST ? self::FINEST : $fineness);
                $r = $gr = $bl = $al = 0.0;
                for ($n = 0, $count = $fineness * $fineness; $n < $count; $n++) {
                    $x = $column + ($n % $fineness + 0.5) / $fineness;
                    $y = $row + (intdiv($n, $fineness) + 0.5) / $fineness;
                    $w = $unit * ($g * $x + $h * $y + $i);
                    $u = ($a * $x + $b * $y + $c) / $w - 0.5;
                    $v = ($d * $x + $e * $y + $f) / $w - 0.5;
                    $u = $u > 0.0 ? ($u < $lastX ? $u : $lastX) : 0.0;
                    $v = $v > 0.0 ? ($v < $lastY ? $v : $lastY) : 0.0;
                    [$left, $top] = [(int) $u, (int) $v];
                    [$fx, $fy] = [$u - $left, $v - $top];
                    $p = $top * $this->width + $left;
                    $right = $left < $lastX ? 1 : 0;
                    $below = $top < $lastY ? $this->width : 0;
                    $w00 = (1.0 - $fx) * (1.0 - $fy);
                    $w10 = $fx * (1.0 - $fy);
                    $w01 = (1.0 - $fx) * $fy;
                    $w11 = $fx * $fy;
                    $r += $w00 * $red[$p] + $w10 * $red[$p + $right] + $w01 * $red[$p + $below] + $w11 * $red[$p + $below + $right];
                    $gr += $w00 * $green[$p] + $w10 * $green[$p + $right] + $w01 * $green[$p + $below] + $w11 * $green[$p + $below + $right];
                    $bl += $w00 * $blue[$p] + $w10 * $blue[$p + $right] + $w01 * $blue[$p + $below] + $w11 * $blue[$p + $below + $right];
                    $al += $opaque ? 1.0 : $w00 * $alpha[$p] + $w10 * $alpha[$p + $right] + $w01 * $alpha[$p + $below] + $w11 * $alpha[$p + $below + $right];
                }
                $plane[] = self::pack($r / $count, $gr / $count, $bl / $count, $al / $count, $share);
            }
        }

        return $plane;
    }

    /** The share of a pixel of width $pitch at $place that lies in 0..$end. */
    private static function overlap(float $place, float $end, float $pitch): float
    {
        $low = $place - $pitch / 2;
        $high = $place + $pitch / 2;
        $covered = ($high < $end ? $high : $end) - ($low > 0.0 ? $low : 0.0);

        return $covered <= 0.0 ? 0.0 : $covered / $pitch;
    }

    /** @return array{int, int, int, int} the rectangle of the level that the window can touch: x, y, columns, rows */
    private function touched(Point $origin, float $ax, float $ay, float $bx, float $by, int $unit): array
    {
        $xs = $ys = [];
        foreach ([-1, $this->window->columns] as $column) {
            foreach ([-1, $this->window->rows] as $row) {
                $xs[] = $origin->x / $unit + $column * $ax + $row * $bx;
                $ys[] = $origin->y / $unit + $column * $ay + $row * $by;
            }
        }
        $x0 = max(0, (int) floor(min($xs)) - 3);
        $y0 = max(0, (int) floor(min($ys)) - 3);
        $x1 = min($this->width, (int) ceil(max($xs)) + 3);
        $y1 = min($this->height, (int) ceil(max($ys)) + 3);

        return [$x0, $y0, $x1 - $x0, $y1 - $y0];
    }

    private function at(float $column, float $row): Point
    {
        return $this->inPicture($this->window->xOf($column), $this->window->yOf($row));
    }

    private function inPicture(float $x, float $y): Point
    {
        return $this->placement->toPicture(new Point($x, $y));
    }
}
