<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

/** A kind of which a new one lies on a wall, where one is marked. */
interface OnWall extends StripKind
{
    /**
     * @param  string  $wall  its id
     * @param  non-empty-list<array{float, float}>  $corners  of the wall as it is seen, scene pixels
     * @return array<string, mixed> values of a new one there, over those of one that was placed freely
     */
    public static function placedOn(string $wall, array $corners): array;
}
