<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Geometry\Extent;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\IdentityOfAll;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\Field;
use Aumbrel\Core\Ramp\ColourRamp;

/** A field times the opacity that a ramp has at 1 - field: from the full shape outward. */
final readonly class Ramped implements Field
{
    use IdentityOfAll;

    public function __construct(private Field $field, private ColourRamp $ramp)
    {
    }

    public function write(KernelWriter $kernel, Window $window): string
    {
        [$shape, $out, $opacity] = array_map($kernel->variable(...), ['shape', 'out', 'opacity']);
        $kernel->line("{$shape} = {$this->field->write($kernel, $window)}; {$out} = 1.0 - {$shape}; if ({$shape} > 0.0) {");
        $this->ramp->writeOpacity($kernel, $out, $opacity);
        $kernel->line("{$shape} *= {$opacity}; }");

        return $shape;
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
