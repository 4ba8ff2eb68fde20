<?php

declare(strict_types=1);

namespace Aumbrel\Core\Grade;

use Aumbrel\Core\Kernel\KernelWriter;

/** For grades that are worked out in linear light: of an encoded colour, and back. */
trait WorksInLinear
{
    abstract public function isNone(): bool;

    /** @param  array{string, string, string}  $colour */
    abstract public function writeLinear(KernelWriter $kernel, array $colour): void;

    public function write(KernelWriter $kernel, array $colour): void
    {
        if ($this->isNone()) {
            return;
        }
        InOklab::decode($kernel, $colour);
        $this->writeLinear($kernel, $colour);
        InOklab::encode($kernel, $colour);
    }
}
