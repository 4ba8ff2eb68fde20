<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

/** What shines: the share of each pixel that does. */
interface Emitter extends Field
{
    /** Whether it is right in pixels of any size; otherwise it is worked out in those that are shown, and averaged. */
    public function isExact(): bool;
}
