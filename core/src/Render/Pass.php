<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\Geometry\Extent;
use Aumbrel\Core\Kernel\KernelSource;

/** A step of a plan: a kernel, and where it has anything to do. */
final readonly class Pass implements PlanStep
{
    /** @param  bool  $keepsCover  whether it works out a cover that depends on nothing below and is worth keeping */
    public function __construct(public KernelSource $kernel, public ?Extent $extent = null, public bool $keepsCover = false)
    {
    }

    public function key(): string
    {
        return $this->kernel->key();
    }

    public function extents(): ?array
    {
        return $this->extent === null ? null : [$this->extent];
    }
}
