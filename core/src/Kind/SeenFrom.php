<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

/** A kind whose light is seen from a plate. */
interface SeenFrom
{
    /** The plate that it lights, or darkens, by its own values; null when that follows from where it aims or what it is confined to. */
    public function lights(): ?string;
}
