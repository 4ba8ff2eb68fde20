<?php

declare(strict_types=1);

namespace Aumbrel\Core\Texture;

use Aumbrel\Core\Geometry\Extent;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\IdentityOfAll;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\Field;
use Aumbrel\Core\Raster\Smoke;

/** A field that shows smoke or dust: field x (1 - share + share x noise). */
final readonly class Noised implements Field
{
    use IdentityOfAll;

    /** Points of the lattice to a swirl of the smoke's finest octave. */
    private const POINTS = 8.0;

    /** @param  float  $share  0..1, how far it is broken up */
    public function __construct(private Field $field, private Smoke|Dust $noise, private float $share)
    {
    }

    public function write(KernelWriter $kernel, Window $window): string
    {
        $shape = $this->field->write($kernel, $window);
        $noised = $kernel->variable('noised');
        $share = $kernel->number($this->share);
        $kernel->line("{$noised} = {$shape}; if ({$noised} > 0.0) { {$noised} *= 1.0 - {$share} + {$share} * {$this->noise($kernel, $window)}; }");

        return $noised;
    }

    /** Writes the noise before the line that uses it; smoke changes slowly and is read off a lattice. */
    private function noise(KernelWriter $kernel, Window $window): string
    {
        if ($this->noise instanceof Dust) {
            return "{$kernel->plane(new NoisePlane($this->noise, $window))}[\$i]";
        }
        $lattice = new Lattice(max($window->step(), $this->noise->size / (self::POINTS * 2 ** ($this->noise->octaves - 1))), $window);

        return $lattice->write($kernel, $window, new NoisePlane($this->noise, $lattice->points), false);
    }

    public function extent(): ?Extent
    {
        return $this->field->extent();
    }

    public function largest(): float
    {
        return $this->field->largest();
    }

    public function readsBelow(): bool
    {
        return $this->field->readsBelow();
    }
}
