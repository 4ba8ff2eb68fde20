<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

/** A kind of strip that must know where plates stand before it can do anything. */
interface Grounded extends StripKind
{
    public function on(Grounds $grounds): StripKind;
}
