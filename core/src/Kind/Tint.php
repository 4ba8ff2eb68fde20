<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Kernel\KernelWriter;

/** The colour of a layer at each place. */
interface Tint
{
    /**
     * Writes the colour at the current place and gives the expressions of red, green and blue.
     *
     * @return array{string, string, string}
     */
    public function write(KernelWriter $kernel, BlendMode $mode): array;

    /** Whether write() needs no text of its own, so that each channel can be read where it is mixed. */
    public function isDirect(): bool;

    /** Whether it is a light's colour in this mode: linear, the largest channel 1. Otherwise it is encoded. */
    public function isLight(BlendMode $mode): bool;

    /** Whether it depends on what lies below: it may then read the lines `r`, `g`, `b` of the row, encoded. */
    public function readsBelow(): bool;

    /** Whether it may be above 1. */
    public function mayExceed(): bool;
}
