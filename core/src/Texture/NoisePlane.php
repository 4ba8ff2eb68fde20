<?php

declare(strict_types=1);

namespace Aumbrel\Core\Texture;

use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KeyOfAll;
use Aumbrel\Core\Kernel\Plane;
use Aumbrel\Core\Kernel\Planes;
use Aumbrel\Core\Raster\Smoke;

/** Smoke or dust in the pixels of a window: the same at the same place of the scene, whatever window sees it. */
final readonly class NoisePlane implements Plane
{
    use KeyOfAll;

    /** Points at a time, so that what is made on the way stays small. */
    private const ROWS = 16;

    public function __construct(private Smoke|Dust $noise, private Window $window)
    {
    }

    /** @return list<float> */
    public function fill(Planes $planes): array
    {
        $window = $this->window;
        if ($this->noise instanceof Dust) {
            return $this->noise->rectangle($window->x, $window->yOf(-0.5), $window->columns, $window->rows, $window->step());
        }
        $values = [];
        $columns = array_map($window->xOf(...), range(0, $window->columns - 1));
        for ($row = 0; $row < $window->rows; $row += self::ROWS) {
            $x = $y = [];
            for ($next = $row; $next < min($window->rows, $row + self::ROWS); $next++) {
                array_push($x, ...$columns);
                array_push($y, ...array_fill(0, $window->columns, $window->yOf($next)));
            }
            array_push($values, ...$this->noise->at($x, $y));
        }

        return $values;
    }
}
