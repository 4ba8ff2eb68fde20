<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

use Aumbrel\Core\Kernel\KernelWriter;

/** A mask that is made of how bright something of the scene is. */
interface StripMask extends MaskKind
{
    /** The strip whose brightness it takes; null for the picture below the strip that it is a mask of. */
    public function of(): ?string;

    /**
     * Writes the mask's value like {@see MaskKind::write()}.
     *
     * @param  string  $brightness  the expression of how bright that is, encoded luma times alpha, 0..1
     */
    public function writeBright(KernelWriter $kernel, string $brightness): string;
}
