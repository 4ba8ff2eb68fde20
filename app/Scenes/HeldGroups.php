<?php

declare(strict_types=1);

namespace App\Scenes;

/** What a group yields is held until something in it is touched: then it is let go. */
final class HeldGroups
{
    public static function letGo(FlatScene $before, FlatScene $after): FlatScene
    {
        $touched = [];
        foreach ($after->strips as $id => $strip) {
            $was = $before->strips[$id] ?? null;
            if (($strip['held'] ?? false) === true && $was !== null && ($was['held'] ?? false) === true && self::isTouched($before, $after, (string) $id)) {
                $touched[$id] = array_diff_key($strip, ['held' => true]);
            }
        }

        return $touched === [] ? $after : $after->with(['strips' => $touched]);
    }

    private static function isTouched(FlatScene $before, FlatScene $after, string $group): bool
    {
        $inside = array_slice($after->within($group), 1);
        if (array_slice($before->within($group), 1) !== $inside) {
            return true;
        }
        foreach ($inside as $id) {
            if (($before->strips[$id] ?? null) != $after->strips[$id]) {
                return true;
            }
        }

        return false;
    }
}
