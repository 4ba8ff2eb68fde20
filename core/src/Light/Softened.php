<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Geometry\Extent;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\Field;

/** A field blurred by a Gaussian. */
final readonly class Softened implements Field
{
    /** @param  float  $softness  sigma, scene pixels */
    public function __construct(private Field $field, private float $softness)
    {
    }

    public function write(KernelWriter $kernel, Window $window): string
    {
        return (new SoftShape($this->field, $this->softness, $window))->write($kernel, $window);
    }

    public function extent(): ?Extent
    {
        return null;
    }

    public function largest(): float
    {
        return $this->field->largest();
    }

    public function identity(): string
    {
        return "{$this->field->identity()} softened by {$this->softness}";
    }

    public function readsBelow(): bool
    {
        return $this->field->readsBelow();
    }
}
