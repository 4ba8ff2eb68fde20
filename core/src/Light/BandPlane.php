<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KeyOfAll;
use Aumbrel\Core\Kernel\Plane;
use Aumbrel\Core\Kernel\Planes;
use Aumbrel\Core\Raster\Distance;
use Aumbrel\Core\Raster\Margin;

/** A band along the outline of a shape, in the pixels of a window: by the exact distance from where it covers a half. */
final readonly class BandPlane implements Plane
{
    use KeyOfAll;

    public function __construct(private PlateShape $shape, private float $width, private Window $window)
    {
    }

    /** @return list<float> */
    public function fill(Planes $planes): array
    {
        $half = $this->width / 2 * $this->window->scale;
        $margin = (int) ceil($half) + 2;
        $padded = $this->window->padded($margin);
        $shape = $planes->numbers(new EmitterPlane($this->shape, $padded));
        $band = [];
        foreach (Distance::signed($shape, $padded->columns, $padded->rows, $half + 1.0) as $distance) {
            $band[] = LinesPlane::share(abs($distance), $half);
        }

        return Margin::cut($band, $padded->columns, $padded->rows, $margin);
    }
}
