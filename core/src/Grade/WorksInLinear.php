<?php

declare(strict_types=1);

namespace Aumbrel\Core\Grade;

use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kernel\Transfer;

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
        foreach ($colour as $channel) {
            $kernel->inline([Transfer::class, 'decode'], [$channel], $channel);
        }
        $this->writeLinear($kernel, $colour);
        foreach ($colour as $channel) {
            $kernel->inline([Transfer::class, 'encode'], [$channel], $channel);
        }
    }
}
