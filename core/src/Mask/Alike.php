<?php

declare(strict_types=1);

namespace Aumbrel\Core\Mask;

use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\Planes;
use Aumbrel\Core\Kind\Guide;
use Aumbrel\Core\Raster\GuidedFilter;
use Aumbrel\Core\Raster\Margin;
use Aumbrel\Core\Stroke\Stroke;

/**
 * How alike the picture is to where a stroke began: exp(-(d/t)²), d the distance in Oklab from the mean colour round the first
 * point, t from 0.34 down to 0.04 as it is stricter; smoothed along its own edges by the guided filter, so that grain does not
 * show and two colours of the same lightness are still told apart.
 */
final readonly class Alike
{
    private const WIDEST = 0.34;

    private const CLOSEST = 0.04;

    /** The width of the patch whose mean is taken, of the brush, and how many places of it to a side. */
    private const PATCH = 0.2;

    private const PLACES = 8;

    /** The filter's radius, of the brush's radius. */
    private const RADIUS = 0.3;

    /** What varies less than this counts as grain. */
    private const EPSILON = 4e-3;

    public function __construct(private Guide $guide, private Planes $planes, private Window $window)
    {
    }

    /**
     * What of a painted stroke stays.
     *
     * @param  array{array<int, float>, int, int, int, int}  $painted  in a box: values, left, top, width and height
     * @return array{array<int, float>, int, int, int, int}
     */
    public function of(Stroke $stroke, array $painted): array
    {
        [$values, $left, $top, $width, $height] = $painted;
        if ($width <= 0 || $height <= 0) {
            return $painted;
        }
        $radius = (int) max(1, round(self::RADIUS * $stroke->size / 2 * $this->window->scale));
        $margin = Margin::atLeast(2 * $radius);
        $around = $this->window->padded($margin);
        $planes = array_map(fn (int $channel): array => $this->planes->numbers(new GuidePlane($this->guide, $around, $channel)), [0, 1, 2]);
        // the box with as much round it as the filter reaches
        [$columns, $rows] = [$width + 4 * $radius, $height + 4 * $radius];
        $alike = [];
        [$own, $first, $second] = $this->colour($stroke);
        $per = 1 / (self::WIDEST * (1 - $stroke->alike) + self::CLOSEST * $stroke->alike) ** 2;
        for ($row = 0; $row < $rows; $row++) {
            $at = ($margin + $top - 2 * $radius + $row) * $around->columns + $margin + $left - 2 * $radius;
            for ($column = 0; $column < $columns; $column++, $at++) {
                $alike[] = exp(-$per * (($planes[0][$at] - $own) ** 2 + ($planes[1][$at] - $first) ** 2 + ($planes[2][$at] - $second) ** 2));
            }
        }
        $alike = GuidedFilter::of($alike, $alike, $columns, $rows, $radius, self::EPSILON);
        for ($row = 0, $k = 0; $row < $height; $row++) {
            for ($column = 0, $at = ($row + 2 * $radius) * $columns + 2 * $radius; $column < $width; $column++, $at++, $k++) {
                $values[$k] *= max(0.0, min(1.0, $alike[$at]));
            }
        }

        return [$values, $left, $top, $width, $height];
    }

    /** @return array{float, float, float} the mean colour round its first point, the same in every window and at every size */
    private function colour(Stroke $stroke): array
    {
        [$x, $y] = $stroke->points[0];
        $side = max(4.0, self::PATCH * $stroke->size);
        $patch = new Window($x - $side / 2, $y - $side / 2, $side, $side, self::PLACES / $side);
        $means = [];
        foreach ([0, 1, 2] as $channel) {
            $values = $this->planes->numbers(new GuidePlane($this->guide, $patch, $channel));
            $means[] = array_sum($values) / max(1, count($values));
        }

        return [$means[0], $means[1], $means[2]];
    }
}
