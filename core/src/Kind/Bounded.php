<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

use Aumbrel\Core\Geometry\Bounds;

/** A mask that is nothing outside some rectangle. */
interface Bounded extends MaskKind
{
    /** In the coordinates that it is given in; null when it is not bounded after all, or is nothing at all. */
    public function bounds(): ?Bounds;
}
