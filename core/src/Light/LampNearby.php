<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Geometry\Vector;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Stage\Camera;
use Aumbrel\Core\Stage\Footing;

/** A lamp as a plate that stands upright at its depth finds it: from every place of it another way, and another distance. */
final readonly class LampNearby
{
    /**
     * @param  Vector  $place  in the scene's space
     * @param  float  $depth  of the plate
     * @param  float  $distance  d0, to the middle of the plate
     * @param  float  $even  s: nearer than that the light hardly grows
     */
    private function __construct(private Vector $place, private Camera $camera, private float $depth, private float $distance, private float $even)
    {
    }

    public static function of(Vector $place, Footing $plate, Camera $camera, ?float $even): self
    {
        $distance = max(1e-6, $place->minus($plate->place($camera))->length());

        return new self($place, $camera, $plate->depth, $distance, $even ?? max(1.0, $distance / 3));
    }

    /** The law at the lamp itself. */
    public function largest(): float
    {
        return ($this->distance ** 2 + $this->even ** 2) / $this->even ** 2;
    }

    /** Writes the way to it, of length 1, and its law (d0² + s²)/(d² + s²) into variables. */
    public function write(KernelWriter $kernel, string $x, string $y, string $z, string $law): void
    {
        $scale = $this->camera->scale($this->depth);
        [$square, $up] = [$kernel->variable('square'), $kernel->variable('up')];
        $away = $this->place->z - $this->depth;
        $kernel->row("{$up} = {$kernel->number($this->place->y)} - ({$kernel->number($this->camera->eyeRow())} - \$y) * {$kernel->number($scale)};");
        $kernel->line("{$x} = {$kernel->number($this->place->x)} - (\$x - {$kernel->number($this->camera->column)}) * {$kernel->number($scale)};");
        $kernel->line("{$square} = {$x} * {$x} + {$up} * {$up} + {$kernel->number($away ** 2)} + 1e-9;");
        $kernel->line("{$law} = {$kernel->number($this->distance ** 2 + $this->even ** 2)} / ({$square} + {$kernel->number($this->even ** 2)}); {$square} = 1.0 / sqrt({$square});");
        $kernel->line("{$x} *= {$square}; {$y} = {$up} * {$square}; {$z} = {$kernel->number($away)} * {$square};");
    }
}
