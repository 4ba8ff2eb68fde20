<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

/** A light that shines by itself: masks on its emitter say what of the picture it is that shines. */
interface Shines extends StripKind
{
    /** Whether lines shine along their way; otherwise what is enclosed, painted or picked shines. */
    public static function traces(): bool;

    /** Whether what is drawn shines, and not something else. */
    public function isDrawn(): bool;

    /** The plate on which its colour areas lie; null when there is none. */
    public function of(): ?string;
}
