<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

use Aumbrel\Core\Geometry\Extent;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KernelWriter;

/** What a layer covers: how much of it there is at each place, before masks and strength. */
interface Field
{
    /** Writes how much there is at the current place, never below 0, and gives the expression that holds it. */
    public function write(KernelWriter $kernel, Window $window): string;

    /** Where on a level line there can be anything; null when that is everywhere, or cannot be told. */
    public function extent(): ?Extent;

    /** Its largest value: the standard's modes take the field divided by it. */
    public function largest(): float;

    /** Names it with all that it depends on, so that what is worked out of it can be kept. */
    public function identity(): string;

    /** Whether it depends on what lies below: it may then read the lines `r`, `g`, `b` of the row, encoded. */
    public function readsBelow(): bool;
}
