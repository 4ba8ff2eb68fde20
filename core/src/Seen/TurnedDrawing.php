<?php

declare(strict_types=1);

namespace Aumbrel\Core\Seen;

use Aumbrel\Core\Geometry\Point;

/** Draws a turned picture into a window: sampled on a 2 x 2 grid bilinearly when reduced, by a cubic when enlarged. */
final readonly class TurnedDrawing
{
    public function __construct(private PictureAtSize $source)
    {
    }

    /** @return list<int> */
    public function fill(): array
    {
        [$columns, $rows] = [$this->source->window->columns, $this->source->window->rows];
        $unit = 2 ** $this->source->level;
        $origin = $this->source->at(0, 0);
        $right = $this->source->at(1, 0);
        $below = $this->source->at(0, 1);
        [$ax, $ay] = [($right->x - $origin->x) / $unit, ($right->y - $origin->y) / $unit];
        [$bx, $by] = [($below->x - $origin->x) / $unit, ($below->y - $origin->y) / $unit];
        [$endX, $endY] = [$this->source->picture->width() / $unit, $this->source->picture->height() / $unit];
        $samples = $this->source->pitch > 1.0 ? [[-0.25, -0.25], [0.25, -0.25], [-0.25, 0.25], [0.25, 0.25]] : [[0.0, 0.0]];
        [$x0, $y0, $width, $height] = $this->touched($origin, $ax, $ay, $bx, $by, $unit);
        if ($width <= 0 || $height <= 0) {
            return array_fill(0, $columns * $rows, 0);
        }
        [$red, $green, $blue, $alpha] = $this->source->unpacked($x0, $y0, $width, $height);
        $cubic = $this->source->pitch <= 1.0;
        // taps of the filter, and how many of them lie before the place
        [$taps, $before] = $cubic ? [4, 1] : [2, 0];
        [$opaque, $isCut] = [$this->source->picture->opaque(), $this->source->isCut];
        $plane = [];
        for ($row = 0; $row < $rows; $row++) {
            for ($column = 0; $column < $columns; $column++) {
                $px = $origin->x / $unit + $column * $ax + $row * $bx;
                $py = $origin->y / $unit + $column * $ay + $row * $by;
                $share = self::overlap($px, $endX, $this->source->pitch) * self::overlap($py, $endY, $this->source->pitch);
                if ($share <= 0.0) {
                    $plane[] = 0;

                    continue;
                }
                $r = $g = $b = $a = 0.0;
                foreach ($samples as [$sx, $sy]) {
                    $u = $px + $sx * $ax + $sy * $bx - 0.5;
                    $v = $py + $sx * $ay + $sy * $by - 0.5;
                    $left = floor($u);
                    $top = floor($v);
                    $fx = $u - $left;
                    $fy = $v - $top;
                    if ($cubic) {
                        $wx = [((-0.5 * $fx + 1.0) * $fx - 0.5) * $fx, (1.5 * $fx - 2.5) * $fx * $fx + 1.0, ((-1.5 * $fx + 2.0) * $fx + 0.5) * $fx, (0.5 * $fx - 0.5) * $fx * $fx];
                        $wy = [((-0.5 * $fy + 1.0) * $fy - 0.5) * $fy, (1.5 * $fy - 2.5) * $fy * $fy + 1.0, ((-1.5 * $fy + 2.0) * $fy + 0.5) * $fy, (0.5 * $fy - 0.5) * $fy * $fy];
                    } else {
                        $wx = [1.0 - $fx, $fx];
                        $wy = [1.0 - $fy, $fy];
                    }
                    $firstX = (int) $left - $before - $x0;
                    $firstY = (int) $top - $before - $y0;
                    for ($j = 0; $j < $taps; $j++) {
                        $y = $firstY + $j;
                        $y = ($y < 0 ? 0 : ($y >= $height ? $height - 1 : $y)) * $width;
                        for ($i = 0; $i < $taps; $i++) {
                            $x = $firstX + $i;
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
                $plane[] = PictureAtSize::pack($r / $count, $g / $count, $b / $count, $a / $count, $isCut ? $share : 1.0);
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
        foreach ([-1, $this->source->window->columns] as $column) {
            foreach ([-1, $this->source->window->rows] as $row) {
                $xs[] = $origin->x / $unit + $column * $ax + $row * $bx;
                $ys[] = $origin->y / $unit + $column * $ay + $row * $by;
            }
        }
        $x0 = max(0, (int) floor(min($xs)) - 3);
        $y0 = max(0, (int) floor(min($ys)) - 3);
        $x1 = min($this->source->width, (int) ceil(max($xs)) + 3);
        $y1 = min($this->source->height, (int) ceil(max($ys)) + 3);

        return [$x0, $y0, $x1 - $x0, $y1 - $y0];
    }
}
