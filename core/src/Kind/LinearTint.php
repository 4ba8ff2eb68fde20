<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

use Aumbrel\Core\Kernel\KernelWriter;

/** A tint made of what lies below that may be made of linear light: among lights nothing has to be encoded for it and decoded again. */
interface LinearTint extends Tint
{
    public function worksInLinear(): bool;

    /**
     * Writes the colour at the current place, of the lines `r`, `g`, `b` of the row, linear, and gives its expressions, linear too.
     *
     * @return array{string, string, string}
     */
    public function writeLinear(KernelWriter $kernel): array;
}
