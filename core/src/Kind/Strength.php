<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Kernel\KernelWriter;

/** How much of a layer there is where its field is full: a light's level, or an amount. */
interface Strength
{
    /**
     * Writes the field and the strength into the cover.
     *
     * @param  string  $cover  a variable, changed in place
     * @param  string  $shape  the expression of the field
     */
    public function write(KernelWriter $kernel, string $cover, string $shape, BlendMode $mode, Field $field): void;

    /** The cover where the field is full, masks aside. */
    public function full(BlendMode $mode): float;
}
