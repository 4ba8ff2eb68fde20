<?php

declare(strict_types=1);

namespace Aumbrel\Core\Body;

use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KeyOfAll;
use Aumbrel\Core\Kernel\Plane;
use Aumbrel\Core\Kernel\Planes;
use Aumbrel\Core\Picture\Pixels;
use Aumbrel\Core\Raster\Distance;
use Aumbrel\Core\Raster\Gaussian;
use Aumbrel\Core\Raster\Margin;
use Aumbrel\Core\Seen\SeenPlate;
use Closure;

/**
 * Which way the rounded edge of a plate's outline faces: it rises from the outline to a width inside it, flat or as a quarter of a
 * circle, and is level beyond. Packed as {@see Normals}.
 */
final readonly class ChamferPlane implements Plane
{
    use KeyOfAll;

    /**
     * @param  string  $name  of the plate, with all that it depends on besides the window
     * @param  Closure(Window): ?SeenPlate  $seen  the plate in a window
     * @param  float  $width  W, scene pixels
     * @param  float  $roundness  0 for a flat slope, 1 for a quarter of a circle
     * @param  float  $smooth  sigma, scene pixels
     */
    public function __construct(public string $name, private Closure $seen, private float $width, private float $roundness, private float $smooth, private Window $window)
    {
    }

    /** W rho(d/W): t, or sqrt(1 - (1 - t)²), mixed by the roundness. */
    public static function height(float $distance, float $width, float $roundness): float
    {
        $t = max(0.0, min(1.0, $distance / $width));

        return $width * ($t + $roundness * (sqrt($t * (2 - $t)) - $t));
    }

    /** @return list<int> */
    public function fill(Planes $planes): array
    {
        $scale = $this->window->scale;
        [$width, $sigma] = [$this->width * $scale, $this->smooth * $scale];
        $margin = Margin::atLeast($width + Gaussian::REACH * $sigma + 3);
        $wide = $this->window->padded($margin);
        [$columns, $rows] = [$wide->columns, $wide->rows];
        $shape = self::shape($planes, ($this->seen)($wide));
        if ($shape === null) {
            return array_fill(0, $this->window->columns * $this->window->rows, Normals::FRONT);
        }
        $heights = self::heights($shape, $columns, $rows, $width, $this->roundness);
        $smoothed = Gaussian::blur($heights, $columns, $rows, $sigma);
        $packed = [];
        for ($row = $margin; $row < $rows - $margin; $row++) {
            for ($column = $margin, $at = $row * $columns + $margin; $column < $columns - $margin; $column++, $at++) {
                $packed[] = Normals::packed(0.5 * ($smoothed[$at - 1] - $smoothed[$at + 1]), 0.5 * ($smoothed[$at + $columns] - $smoothed[$at - $columns]), 1.0);
            }
        }

        return $packed;
    }

    /**
     * A plate's outline as heights from 0 to 1, reached as a quarter of a circle, and how much of the plate is there.
     *
     * @param  Closure(Window): ?SeenPlate  $seen
     * @param  float  $width  scene pixels
     * @return array{list<float>, list<float>, list<float>, list<float>} the height three times, and alpha
     */
    public static function rounded(Planes $planes, Window $window, Closure $seen, float $width): array
    {
        $margin = Margin::atLeast($width * $window->scale + 3);
        $wide = $window->padded($margin);
        $shape = self::shape($planes, $seen($wide)) ?? array_fill(0, $wide->columns * $wide->rows, 0.0);
        $heights = self::heights($shape, $wide->columns, $wide->rows, $width * $window->scale, 1.0);
        $rounded = $alpha = [];
        for ($row = $margin; $row < $wide->rows - $margin; $row++) {
            array_push($rounded, ...array_slice($heights, $row * $wide->columns + $margin, $window->columns));
            array_push($alpha, ...array_slice($shape, $row * $wide->columns + $margin, $window->columns));
        }
        $rounded = array_map(static fn (float $height): float => $height / ($width * $window->scale), $rounded);

        return [$rounded, $rounded, $rounded, $alpha];
    }

    /** @return list<float>|null how much of a plate is there */
    private static function shape(Planes $planes, ?SeenPlate $plate): ?array
    {
        return $plate === null ? null : (new Pixels($planes->pixels($plate), $plate->bits()))->alpha();
    }

    /**
     * @param  list<float>  $shape
     * @return list<float>
     */
    private static function heights(array $shape, int $columns, int $rows, float $width, float $roundness): array
    {
        return array_map(static fn (float $distance): float => self::height($distance, $width, $roundness), Distance::signed($shape, $columns, $rows, $width + 2, false));
    }
}
