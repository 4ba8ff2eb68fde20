<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

/** A step of a plan that copies lines of the row, to come back to them later. */
final readonly class Keep implements PlanStep
{
    /** @param  array<string, string>  $copies from line to line */
    public function __construct(public array $copies)
    {
    }

    public function key(): string
    {
        return serialize($this->copies);
    }

    public function extents(): null
    {
        return null;
    }
}
