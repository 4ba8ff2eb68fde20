<?php

declare(strict_types=1);

namespace Aumbrel\Core\Seen;

use Aumbrel\Core\Geometry\Frame;
use Aumbrel\Core\Raster\Polygon;

/** Draws a picture in perspective into a window: sampled on as fine a grid as the place asks for. */
final readonly class BentDrawing
{
    /** Samples along each side of a pixel, at most. */
    private const FINEST = 4;

    public function __construct(private PictureAtSize $source)
    {
    }

    /**
     * In perspective: each pixel is the mean of up to 4 x 4 bilinear samples, as many as picture pixels fall into it
     * along a side; its share is the exact coverage of the quadrilateral.
     *
     * @return list<int>
     */
    public function fill(): array
    {
        [$columns, $rows] = [$this->source->window->columns, $this->source->window->rows];
        $frame = Frame::plate($this->source->window, $this->source->placement);
        $shares = Polygon::coverage(array_map(
            static fn (array $corner): array => $frame->toPixels->at(...$corner),
            [[0, 0], [$this->source->picture->width(), 0], [$this->source->picture->width(), $this->source->picture->height()], [0, $this->source->picture->height()]],
        ), $columns, $rows);
        [$red, $green, $blue, $alpha] = $this->source->unpacked(0, 0, $this->source->width, $this->source->height);
        [$a, $b, $c, $d, $e, $f, $g, $h, $i] = $frame->fromPixels->h;
        $unit = 2 ** $this->source->level;
        [$opaque, $isCut] = [$this->source->picture->opaque(), $this->source->isCut];
        [$lastX, $lastY] = [$this->source->width - 1, $this->source->height - 1];
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
                    $p = $top * $this->source->width + $left;
                    $right = $left < $lastX ? 1 : 0;
                    $below = $top < $lastY ? $this->source->width : 0;
                    $w00 = (1.0 - $fx) * (1.0 - $fy);
                    $w10 = $fx * (1.0 - $fy);
                    $w01 = (1.0 - $fx) * $fy;
                    $w11 = $fx * $fy;
                    $r += $w00 * $red[$p] + $w10 * $red[$p + $right] + $w01 * $red[$p + $below] + $w11 * $red[$p + $below + $right];
                    $gr += $w00 * $green[$p] + $w10 * $green[$p + $right] + $w01 * $green[$p + $below] + $w11 * $green[$p + $below + $right];
                    $bl += $w00 * $blue[$p] + $w10 * $blue[$p + $right] + $w01 * $blue[$p + $below] + $w11 * $blue[$p + $below + $right];
                    $al += $opaque ? 1.0 : $w00 * $alpha[$p] + $w10 * $alpha[$p + $right] + $w01 * $alpha[$p + $below] + $w11 * $alpha[$p + $below + $right];
                }
                $plane[] = PictureAtSize::pack($r / $count, $gr / $count, $bl / $count, $al / $count, $isCut ? $share : 1.0);
            }
        }

        return $plane;
    }
}
