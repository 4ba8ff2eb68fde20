<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KeyOfAll;
use Aumbrel\Core\Kernel\Plane;
use Aumbrel\Core\Kernel\Planes;
use Aumbrel\Core\Kind\Emitter;

/**
 * What shines, on a lattice that is anchored to the scene. Where its pixels are larger than the finest ones they are means of
 * those, so that nothing thin or small gets lost in them.
 */
final readonly class EmitterLattice implements Plane
{
    use KeyOfAll;

    /**
     * @param  Window  $window  its pixels are 2^k times as large as the finest ones
     * @param  float  $finest  scene pixels from one of the finest pixels to the next
     */
    public function __construct(private Emitter $emitter, private Window $window, private float $finest)
    {
    }

    /** @return list<float> */
    public function fill(Planes $planes): array
    {
        if ($this->emitter->isExact()) {
            return (new EmitterPlane($this->emitter, $this->window))->fill($planes);
        }
        $part = Part::of($this->window, $this->emitter->extent());

        return $part === null ? array_fill(0, $this->window->columns * $this->window->rows, 0.0) : $part->spread($this->ofBlocks($planes, $part->window));
    }

    /** @return list<float> */
    private function ofBlocks(Planes $planes, Window $part): array
    {
        $step = $part->step();
        $level = (int) round(log($step / $this->finest, 2));
        $side = EmitterBlock::side($level);
        [$left, $top] = [(int) round($part->x / $step), (int) round($part->yOf(-0.5) / $step)];
        [$right, $bottom] = [$left + $part->columns, $top + $part->rows];
        $all = array_fill(0, $part->columns * $part->rows, 0.0);
        for ($down = (int) floor($top / $side); $down * $side < $bottom; $down++) {
            for ($across = (int) floor($left / $side); $across * $side < $right; $across++) {
                $values = $planes->numbers(new EmitterBlock($this->emitter, $this->finest, $level, $across, $down));
                if ($values === []) {
                    continue;
                }
                [$from, $columns] = [max($left, $across * $side), min($right, ($across + 1) * $side) - max($left, $across * $side)];
                for ($row = max($top, $down * $side), $last = min($bottom, ($down + 1) * $side); $row < $last; $row++) {
                    $to = ($row - $top) * $part->columns + $from - $left;
                    for ($at = ($row - $down * $side) * $side + $from - $across * $side, $end = $at + $columns; $at < $end; $at++, $to++) {
                        $all[$to] = $values[$at];
                    }
                }
            }
        }

        /** @var list<float> $all written only where it had values already */
        return $all;
    }
}
