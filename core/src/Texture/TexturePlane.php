<?php

declare(strict_types=1);

namespace Aumbrel\Core\Texture;

use Aumbrel\Core\Geometry\Homography;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\Plane;
use Aumbrel\Core\Kernel\Planes;

/** A texture of the shelf in the pixels of a window. */
final readonly class TexturePlane implements Plane
{
    public function __construct(private Texture $texture, private int $seed, private Homography $map, private Window $window)
    {
    }

    public function key(): string
    {
        return "texture {$this->texture->value} {$this->seed} {$this->map->key()} {$this->window->key()}";
    }

    /** @return list<float> */
    public function fill(Planes $planes): array
    {
        $window = $this->window;
        $specks = $this->texture->specks($this->seed);
        if ($specks !== null) {
            return $specks->rectangle($window->x, $window->yOf(-0.5), $window->columns, $window->rows, $window->step(), $this->map, $this->texture->strength());
        }
        $back = $this->map->inverse();
        $x = $y = [];
        for ($row = 0; $row < $window->rows; $row++) {
            for ($column = 0; $column < $window->columns; $column++) {
                [$x[], $y[]] = $back->at($window->xOf($column), $window->yOf($row));
            }
        }

        $strength = $this->texture->strength();

        return array_map(static fn (float $value): float => $value * $strength, $this->texture->at($x, $y, $this->seed));
    }
}
