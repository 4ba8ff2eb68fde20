<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

/** A kind of shadow: what it gives when all shadows of a plate are asked for. */
interface Shades extends StripKind
{
    /**
     * @param  array<string, float>  $densities  of the shadow by each source that throws one, percent, by the source's id
     * @return list<Proposal>
     */
    public static function shadowsOf(Stand $stand, array $densities): array;
}
