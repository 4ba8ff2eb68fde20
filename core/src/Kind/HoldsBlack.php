<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

/** A light that knows what of itself counts as black. */
interface HoldsBlack extends StripKind
{
    /**
     * The values that let what adds so much add nothing.
     *
     * @param  float  $least  0..1, encoded
     * @return array<string, mixed>
     */
    public function holdingBlack(float $least): array;
}
