<?php

declare(strict_types=1);

namespace Aumbrel\Core\Bearing;

/**
 * A body's surface guessed from its outline alone: a dome that stands upright on the outline.
 *
 * The square root of the solution of Poisson's equation with a constant right side and zero on the outline. For a circle
 * that is the sphere, for an ellipse an ellipsoid, whatever the size; two bodies that touch run over into each other.
 */
final class Dome
{
    private const SWEEPS = 220;

    /**
     * Heights over the picture, in pixels; 0 outside.
     *
     * @param  list<bool>  $inside  row after row
     * @return list<float>
     */
    public static function heights(array $inside, int $columns, int $rows): array
    {
        $values = array_fill(0, $columns * $rows, 0.0);
        // an inner pixel has four neighbours in the plane: whoever calls leaves a border of one pixel free
        $even = $odd = [];
        foreach ($inside as $at => $isInside) {
            if ($isInside) {
                if ((intdiv($at, $columns) + $at % $columns) % 2 === 0) {
                    $even[] = $at;
                } else {
                    $odd[] = $at;
                }
            }
        }
        $haste = 2 / (1 + sin(M_PI / max(8, min($columns, $rows))));
        for ($sweep = 0; $sweep < self::SWEEPS; $sweep++) {
            foreach ($even as $at) {
                $values[$at] += $haste * (0.25 * ($values[$at - 1] + $values[$at + 1] + $values[$at - $columns] + $values[$at + $columns] + 4.0) - $values[$at]);
            }
            foreach ($odd as $at) {
                $values[$at] += $haste * (0.25 * ($values[$at - 1] + $values[$at + 1] + $values[$at - $columns] + $values[$at + $columns] + 4.0) - $values[$at]);
            }
        }
        $heights = [];
        foreach ($values as $value) {
            $heights[] = $value > 0.0 ? sqrt($value) : 0.0;
        }

        return $heights;
    }
}
