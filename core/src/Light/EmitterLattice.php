<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\Plane;
use Aumbrel\Core\Kernel\Planes;
use Aumbrel\Core\Kind\Emitter;

/**
 * What shines, on a lattice that is anchored to the scene. Where its pixels are larger than the finest ones they are means of
 * those, so that nothing thin or small gets lost in them.
 */
final readonly class EmitterLattice implements Plane
{
    /**
     * @param  Window  $window  its pixels are 2^k times as large as the finest ones
     * @param  float  $finest  scene pixels from one of the finest pixels to the next
     */
    public function __construct(private Emitter $emitter, private Window $window, private float $finest)
    {
    }

    public function key(): string
    {
        return "{$this->emitter->identity()} on {$this->window->key()} of {$this->finest}";
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
        $all = [];
        for ($row = $top; $row < $top + $part->rows; $row = ($down + 1) * $side) {
            $down = (int) floor($row / $side);
            $across = [];
            for ($column = $left; $column < $left + $part->columns; $column = ($right + 1) * $side) {
                $right = (int) floor($column / $side);
                $values = $planes->numbers(new EmitterBlock($this->emitter, $this->finest, $level, $right, $down));
                $across[] = [$values, $column - $right * $side, min($left + $part->columns, ($right + 1) * $side) - $column];
            }
            for ($in = $row - $down * $side; $in < min($side, $top + $part->rows - $down * $side); $in++) {
                foreach ($across as [$values, $from, $columns]) {
                    array_push($all, ...array_slice($values, $in * $side + $from, $columns));
                }
            }
        }

        return $all;
    }
}
