<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

use Aumbrel\Core\Geometry\Bounds;

/** What shines: the share of each pixel that does. */
interface Emitter extends Field
{
    public function extent(): ?Bounds;

    /** Whether it is right in pixels of any size; otherwise it is worked out in those that are shown, and averaged. */
    public function isExact(): bool;
}
