<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Geometry\Extent;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\IdentityOfAll;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\Field;

/** A field times a gain: nothing stays nothing. */
final readonly class Gained implements Field
{
    use IdentityOfAll;

    /** @param  float  $stops  of the field itself, before its contrast */
    public function __construct(private Field $field, private float $stops)
    {
    }

    public function write(KernelWriter $kernel, Window $window): string
    {
        $gained = $kernel->variable('gained');
        $kernel->line("{$gained} = {$this->field->write($kernel, $window)} * {$kernel->number(2 ** $this->stops)};");

        return $gained;
    }

    public function extent(): ?Extent
    {
        return $this->field->extent();
    }

    /** Above 1 it is full all the same. */
    public function largest(): float
    {
        return $this->field->largest();
    }

    public function readsBelow(): bool
    {
        return $this->field->readsBelow();
    }
}
