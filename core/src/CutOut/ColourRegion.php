<?php

declare(strict_types=1);

namespace Aumbrel\Core\CutOut;

use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Picture\Shape;

/** The pixels whose colour lies near that of a patch, by the distance in Oklab (1 is from black to white). */
final class ColourRegion
{
    /** The tolerance's soft end, as a share of it: an edge whose colours run over from one to the other is cut softly. */
    private const SOFT = 0.3;

    /**
     * @param  Point  $at  in the picture's pixels
     * @param  float  $tolerance  0..1
     * @param  float  $patch  width of the square whose mean is the wanted colour, px
     */
    public static function of(Colours $colours, int $width, int $height, Point $at, float $tolerance, bool $everywhere, float $patch): Shape
    {
        $unit = 2 ** $colours->level;
        $wanted = self::patch($colours, $at->x / $unit, $at->y / $unit, $patch / $unit);
        [$columns, $rows] = [$colours->columns, $colours->rows];
        $values = [];
        [$l, $a, $b] = $wanted;
        $perSoft = 1 / (self::SOFT * $tolerance);
        foreach ($colours->lightness as $n => $lightness) {
            $away = sqrt(($lightness - $l) ** 2 + ($colours->first[$n] - $a) ** 2 + ($colours->second[$n] - $b) ** 2);
            $value = 1.0 - ($away - $tolerance) * $perSoft;
            $values[] = $value < 0.0 ? 0.0 : ($value > 1.0 ? 1.0 : $value);
        }
        if (! $everywhere) {
            $column = max(0, min($columns - 1, (int) floor($at->x / $unit)));
            $row = max(0, min($rows - 1, (int) floor($at->y / $unit)));
            $values = self::touching($values, $columns, $rows, $row * $columns + $column);
        }

        return new Shape($width, $height, $colours->level, $values);
    }

    /** @return array{float, float, float} */
    private static function patch(Colours $colours, float $x, float $y, float $size): array
    {
        $half = max(0.5, $size / 2);
        $sums = [0.0, 0.0, 0.0];
        $count = 0;
        $firstX = max(0, min($colours->columns - 1, (int) round($x - $half)));
        $firstY = max(0, min($colours->rows - 1, (int) round($y - $half)));
        for ($row = $firstY, $endY = min($colours->rows, max($firstY + 1, (int) round($y + $half))); $row < $endY; $row++) {
            for ($column = $firstX, $endX = min($colours->columns, max($firstX + 1, (int) round($x + $half))); $column < $endX; $column++) {
                $at = $row * $colours->columns + $column;
                $sums[0] += $colours->lightness[$at];
                $sums[1] += $colours->first[$at];
                $sums[2] += $colours->second[$at];
                $count++;
            }
        }

        return [$sums[0] / $count, $sums[1] / $count, $sums[2] / $count];
    }

    /**
     * @param  list<float>  $values
     * @return array<int, float> only what hangs together with the start by values above 0
     */
    private static function touching(array $values, int $columns, int $rows, int $start): array
    {
        $kept = array_fill(0, $columns * $rows, 0.0);
        $kept[$start] = max(1e-6, $values[$start]);
        $open = [$start];
        while ($open !== []) {
            $at = array_pop($open);
            // the soft rim belongs to it, but nothing goes on from there
            if ($at !== $start && $values[$at] < 0.5) {
                continue;
            }
            $column = $at % $columns;
            foreach ([$column > 0 ? $at - 1 : -1, $column + 1 < $columns ? $at + 1 : -1, $at - $columns, $at + $columns] as $next) {
                if (isset($kept[$next]) && $kept[$next] === 0.0 && $values[$next] > 0.0) {
                    $kept[$next] = $values[$next];
                    $open[] = $next;
                }
            }
        }

        return $kept;
    }
}
