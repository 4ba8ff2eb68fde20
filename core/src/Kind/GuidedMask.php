<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KernelWriter;

/** A mask of which something may stay on what is alike in the picture. */
interface GuidedMask extends MaskKind
{
    public function isGuided(): bool;

    /** Writes the mask's value like {@see MaskKind::write()}. */
    public function writeGuided(KernelWriter $kernel, Window $window, Guide $guide): string;
}
