<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

/** A light whose heart should be the brightest of it. */
interface Glows extends StripKind
{
    /** What shines; null when nothing does. */
    public function shining(Site $site): ?Emitter;

    /**
     * Its shells from the inside out.
     *
     * @return list<array{string, Field, float}> word, field, and level in stops with the strip's
     */
    public function shells(Site $site, Emitter $shining): array;

    /** By how much its heart is smaller than what shines, px; 0 without one. */
    public function contraction(): float;

    /**
     * The values that make its heart so much brighter.
     *
     * @return array<string, mixed>
     */
    public function hotter(float $stops): array;

    /**
     * The values that make its heart smaller by another distance.
     *
     * @return array<string, mixed>
     */
    public function contractedBy(float $px): array;
}
