<?php

declare(strict_types=1);

namespace Aumbrel\Core\Texture;

use Aumbrel\Core\Geometry\Homography;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KeyOfAll;
use Aumbrel\Core\Kernel\Plane;
use Aumbrel\Core\Kernel\Planes;

/** A texture of the shelf in the pixels of a window. */
final readonly class TexturePlane implements Plane
{
    use KeyOfAll;

    public function __construct(private Texture $texture, private int $seed, private Homography $map, private Window $window)
    {
    }

    /** @return list<float> */
    public function fill(Planes $planes): array
    {
        $window = $this->window;
        $specks = $this->texture->specks($this->seed);
        if ($specks !== null) {
            return $specks->rectangle($window->x, $window->yOf(-0.5), $window->columns, $window->rows, $window->step(), $this->map, $this->texture->strength());
        }
        // without perspective, and written out: this runs for every pixel
        [$a, $b, $c, $d, $e, $f, , , $i] = $this->map->inverse()->h;
        $x = $y = [];
        for ($row = 0; $row < $window->rows; $row++) {
            $sceneY = $window->yOf($row);
            [$fromX, $fromY] = [$b * $sceneY + $c, $e * $sceneY + $f];
            for ($column = 0; $column < $window->columns; $column++) {
                $sceneX = $window->x + ($column + 0.5) / $window->scale;
                $x[] = ($a * $sceneX + $fromX) / $i;
                $y[] = ($d * $sceneX + $fromY) / $i;
            }
        }

        $strength = $this->texture->strength();

        return array_map(static fn (float $value): float => $value * $strength, $this->texture->at($x, $y, $this->seed));
    }
}
