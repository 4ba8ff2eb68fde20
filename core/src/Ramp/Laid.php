<?php

declare(strict_types=1);

namespace Aumbrel\Core\Ramp;

use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Kernel\KernelWriter;

/** Where a ramp lies in the scene: along a line and the same all the way across, or in circles round the line's start. */
final readonly class Laid
{
    /** Shorter lines than this (scene pixels) are steps; it keeps the slope finite. */
    private const SHORTEST = 1e-3;

    public function __construct(public Point $from, public Point $to, public bool $isRound = false)
    {
    }

    /** How far along the way a place is: 0 at the start, 1 at the end, beyond them less and more. */
    public function at(float $x, float $y): float
    {
        if ($this->isRound) {
            return hypot($x - $this->from->x, $y - $this->from->y) / $this->length();
        }
        [$across, $down] = $this->slope();

        return ($x - $this->from->x) * $across + ($y - $this->from->y) * $down;
    }

    /** Writes the same at the current place; gives the variable that holds it. */
    public function write(KernelWriter $kernel): string
    {
        $t = $kernel->variable('t');
        $rowStart = $kernel->variable('rowStart');
        if ($this->isRound) {
            $across = $kernel->variable('across');
            $kernel->row("{$rowStart} = (\$y - {$kernel->number($this->from->y)}) ** 2;");
            $kernel->line("{$across} = \$x - {$kernel->number($this->from->x)}; {$t} = sqrt({$across} * {$across} + {$rowStart}) * {$kernel->number(1 / $this->length())};");

            return $t;
        }
        [$across, $down] = $this->slope();
        $kernel->row("{$rowStart} = {$kernel->number(-$this->from->x * $across - $this->from->y * $down)} + \$y * {$kernel->number($down)};");
        $kernel->line("{$t} = {$rowStart} + \$x * {$kernel->number($across)};");

        return $t;
    }

    private function length(): float
    {
        return max(self::SHORTEST, $this->from->distanceTo($this->to));
    }

    /** @return array{float, float} per scene pixel along x and y */
    private function slope(): array
    {
        $dx = $this->to->x - $this->from->x;
        $dy = $this->to->y - $this->from->y;
        if ($dx == 0.0 && $dy == 0.0) {
            $dx = self::SHORTEST;
        }

        return [$dx / $this->length() ** 2, $dy / $this->length() ** 2];
    }
}
