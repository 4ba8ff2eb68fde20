<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KeyOfAll;
use Aumbrel\Core\Kernel\Plane;
use Aumbrel\Core\Kernel\Planes;
use Aumbrel\Core\Kind\Emitter;

/** A shape drawn out to a side, in the pixels of a window. */
final readonly class PulledPlane implements Plane
{
    use KeyOfAll;

    private const MOST_STEPS = 64;

    public function __construct(private Emitter $shape, private float $x, private float $y, private Window $window)
    {
    }

    /** @return list<float> */
    public function fill(Planes $planes): array
    {
        $step = $this->window->step();
        [$dx, $dy] = [$this->x / $step, $this->y / $step];
        $margin = (int) ceil(max(abs($dx), abs($dy))) + 2;
        $padded = $this->window->padded($margin);
        $shape = $planes->numbers(new EmitterPlane($this->shape, $padded));
        [$columns, $rows, $pitch] = [$this->window->columns, $this->window->rows, $padded->columns];
        $pulled = array_fill(0, $columns * $rows, 0.0);
        $steps = (int) max(1, min(self::MOST_STEPS, ceil(2 * max(abs($dx), abs($dy)))));
        for ($k = 0; $k <= $steps; $k++) {
            $t = $k / $steps;
            [$u, $v] = [$margin - $t * $dx, $margin - $t * $dy];
            [$left, $top] = [(int) floor($u), (int) floor($v)];
            [$fu, $fv] = [$u - $left, $v - $top];
            // what lies between two steps is on the average half a step brighter
            $rest = min(1.0, 1.0 - $t + 0.5 / $steps);
            [$w00, $w10, $w01, $w11] = [$rest * (1 - $fu) * (1 - $fv), $rest * $fu * (1 - $fv), $rest * (1 - $fu) * $fv, $rest * $fu * $fv];
            for ($row = 0, $at = 0; $row < $rows; $row++) {
                $from = ($row + $top) * $pitch + $left;
                for ($column = 0; $column < $columns; $column++, $at++, $from++) {
                    $value = $w00 * $shape[$from] + $w10 * $shape[$from + 1] + $w01 * $shape[$from + $pitch] + $w11 * $shape[$from + $pitch + 1];
                    if ($value > $pulled[$at]) {
                        $pulled[$at] = $value;
                    }
                }
            }
        }

        /** @var list<float> $pulled changed only where it had values already */
        return $pulled;
    }
}
