<?php

declare(strict_types=1);

namespace Aumbrel\Core\Air;

use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Stage\Camera;

/** How far away the rows of a picture lie, in distances of the scene's contact row, and how much comes through the air from there. */
final readonly class Distances
{
    /** A visible range that nothing tells otherwise. */
    public const USUAL = 20.0;

    /** -ln 0.02: at the visible range a contrast of 2 % is left. */
    private const EXTINCTION = 3.912;

    /**
     * @param  float  $visible  the visible range
     * @param  float  $far  nothing is further away
     */
    public function __construct(private Camera $camera, private float $visible, private float $far)
    {
    }

    /** Of what stands on the floor at a row, and of the air above the horizon. */
    public function ofRow(float $row): float
    {
        $under = $row - $this->camera->eyeRow();

        return $under > 0.0 ? min($this->far, $this->camera->height() / $under) : $this->far;
    }

    /** How much comes through from a distance, 0..1. */
    public function passes(float $distance): float
    {
        return exp(-self::EXTINCTION / $this->visible * min($this->far, $distance));
    }

    /** Writes how much comes through from the current row, into a variable of the row. */
    public function write(KernelWriter $kernel, string $through): void
    {
        $under = $kernel->variable('under');
        $distance = $kernel->variable('distance');
        $kernel->row("{$under} = \$y - {$kernel->number($this->camera->eyeRow())}; {$distance} = {$under} > 0.0 ? {$kernel->number($this->camera->height())} / {$under} : {$kernel->number($this->far)};");
        $kernel->row("{$through} = exp({$kernel->number(-self::EXTINCTION / $this->visible)} * ({$distance} < {$kernel->number($this->far)} ? {$distance} : {$kernel->number($this->far)}));");
    }

    /** Writes how much comes through from a distance of every pixel, over that variable. */
    public function writeFrom(KernelWriter $kernel, string $distance): void
    {
        $kernel->line("{$distance} = exp({$kernel->number(-self::EXTINCTION / $this->visible)} * ({$distance} < {$kernel->number($this->far)} ? {$distance} : {$kernel->number($this->far)}));");
    }
}
