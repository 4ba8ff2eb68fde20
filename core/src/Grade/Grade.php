<?php

declare(strict_types=1);

namespace Aumbrel\Core\Grade;

use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Scene\StripKind;

/** A kind of strip that changes the colours of everything below it. */
interface Grade extends StripKind
{
    /**
     * Writes what becomes of an encoded colour.
     *
     * @param  array{string, string, string}  $colour  variables, changed in place
     */
    public function writeGrade(KernelWriter $kernel, array $colour): void;

    /** Whether it can bring values above 1. */
    public function mayExceed(): bool;
}
