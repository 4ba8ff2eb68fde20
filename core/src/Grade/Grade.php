<?php

declare(strict_types=1);

namespace Aumbrel\Core\Grade;

use Aumbrel\Core\Kernel\KernelWriter;

/** A change of colour, place by place. */
interface Grade
{
    /**
     * Writes what becomes of an encoded colour.
     *
     * @param  array{string, string, string}  $colour  variables, changed in place
     */
    public function write(KernelWriter $kernel, array $colour): void;

    /** Whether it can bring values above 1. */
    public function mayExceed(): bool;
}
