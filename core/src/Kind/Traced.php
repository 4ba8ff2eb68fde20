<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

use Aumbrel\Core\Geometry\Path;

/** A mask that is a line through points. */
interface Traced extends MaskKind
{
    public function path(): Path;
}
