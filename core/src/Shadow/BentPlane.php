<?php

declare(strict_types=1);

namespace Aumbrel\Core\Shadow;

use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KeyOfAll;
use Aumbrel\Core\Kernel\Plane;
use Aumbrel\Core\Kernel\Planes;

/** A shadow that was bent: read from the straight one where each place comes from. */
final readonly class BentPlane implements Plane
{
    use KeyOfAll;

    /** Ways that nobody sees, in pixels. */
    private const STILL = 0.02;

    public function __construct(private CastShape $shape, private Throwing $throwing, private Bend $bend, private Window $window)
    {
    }

    /** @return list<float> */
    public function fill(Planes $planes): array
    {
        $margin = (int) ceil($this->bend->furthest() * $this->window->scale) + 2;
        $padded = $this->window->padded($margin);
        $straight = $planes->numbers(new ShadowPlane($this->shape, $this->throwing, $padded));
        $values = [];
        [$pitch, $scale] = [$padded->columns, $this->window->scale];
        for ($row = 0; $row < $this->window->rows; $row++) {
            $y = $this->window->yOf($row);
            for ($column = 0; $column < $this->window->columns; $column++) {
                [$dx, $dy] = $this->bend->at($this->window->xOf($column), $y);
                $own = ($row + $margin) * $pitch + $column + $margin;
                if (abs($dx) * $scale < self::STILL && abs($dy) * $scale < self::STILL) {
                    $values[] = $straight[$own];

                    continue;
                }
                [$u, $v] = [$dx * $scale, $dy * $scale];
                [$right, $down] = [(int) floor($u), (int) floor($v)];
                [$fx, $fy] = [$u - $right, $v - $down];
                $at = $own + $down * $pitch + $right;
                $upper = $straight[$at] + $fx * ($straight[$at + 1] - $straight[$at]);
                $lower = $straight[$at + $pitch] + $fx * ($straight[$at + $pitch + 1] - $straight[$at + $pitch]);
                $values[] = $upper + $fy * ($lower - $upper);
            }
        }

        return $values;
    }
}
