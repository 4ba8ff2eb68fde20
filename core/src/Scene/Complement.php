<?php

declare(strict_types=1);

namespace Aumbrel\Core\Scene;

use Aumbrel\Core\Kind\Join;

/**
 * What masks leave: 1 less what they make together, as masks. Where one strip stops the other begins, and both together are
 * one everywhere, however the masks are moved or painted (by De Morgan's laws, which hold for these joins exactly).
 */
final class Complement
{
    /**
     * @param  list<MaskEntry>  $masks  those that do anything
     * @return list<MaskEntry>
     */
    public static function of(array $masks): array
    {
        $left = [];
        foreach ($masks as $at => $mask) {
            $join = $at === 0 ? $mask->join->first() : $mask->join;
            $left[] = match ($join) {
                Join::Intersect => $mask->joinedBy($at === 0 ? Join::Intersect : Join::Add, ! $mask->inverted),
                Join::Add => $mask->joinedBy(Join::Intersect, ! $mask->inverted),
                Join::TakeAway => $mask->joinedBy($at === 0 ? Join::Intersect : Join::Add, $mask->inverted),
            };
        }

        return $left;
    }
}
