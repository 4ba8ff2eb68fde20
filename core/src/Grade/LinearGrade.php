<?php

declare(strict_types=1);

namespace Aumbrel\Core\Grade;

use Aumbrel\Core\Kernel\KernelWriter;

/** A change of colour that is worked out in linear light. */
interface LinearGrade extends Grade
{
    /** Whether it leaves every colour as it is. */
    public function isNone(): bool;

    /**
     * Writes what becomes of a linear colour; nothing below 0 comes of it.
     *
     * @param  array{string, string, string}  $colour  variables, changed in place
     */
    public function writeLinear(KernelWriter $kernel, array $colour): void;
}
