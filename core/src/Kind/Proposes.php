<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

/** A kind of strip that can belong to a source: it joins the sheet of what a source brings with it. */
interface Proposes extends StripKind
{
    /** @return list<Proposal> */
    public static function proposals(Placed $placed): array;
}
