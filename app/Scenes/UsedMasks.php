<?php

declare(strict_types=1);

namespace App\Scenes;

use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Scene\SharedMasks;

/** Masks that are used on several strips, in a scene that is changed: whose shape is whose, and who has it when its holder goes. */
final class UsedMasks
{
    /**
     * Where a mask stands.
     *
     * @return array{string, array<mixed>}|null its strip, and the mask
     */
    public static function find(FlatScene $scene, string $id): ?array
    {
        foreach ($scene->strips as $strip => $fields) {
            foreach (FlatScene::fields($fields['masks'] ?? []) as $mask) {
                $mask = FlatScene::fields($mask);
                if ($mask['id'] === $id) {
                    return [(string) $strip, $mask];
                }
            }
        }

        return null;
    }

    /**
     * Where the mask stands whose shape one has.
     *
     * @param  array<mixed>  $mask
     * @return array{string, array<mixed>}|null null when it has its own
     */
    private static function held(FlatScene $scene, array $mask): ?array
    {
        return is_string($mask['uses'] ?? null) ? self::find($scene, $mask['uses']) : null;
    }

    /**
     * A mask with a shape of its own: a copy of the one that it uses.
     *
     * @param  array<mixed>  $mask
     * @return array<mixed>
     */
    public static function onItsOwn(FlatScene $scene, array $mask): array
    {
        $held = self::held($scene, $mask);

        return $held === null ? $mask : array_diff_key(SharedMasks::shaped($mask, $held[1]), ['uses' => 0]);
    }

    /**
     * A mask that has the shape of another one from now on.
     *
     * @param  array<mixed>  $mask
     * @return array<mixed>
     */
    public static function using(array $mask): array
    {
        return [...array_diff_key($mask, array_flip([...SharedMasks::HELD, 'uses'])), 'id' => FlatScene::newId(), 'uses' => $mask['uses'] ?? $mask['id']];
    }

    /**
     * The strips that have a mask with the shape of one of this strip's, this one among them. Masks that only bear the same
     * name, each with a shape of its own, have nothing in common.
     *
     * @return list<string>
     */
    public static function users(FlatScene $scene, string $id): array
    {
        $of = static fn (array $strip, string $what): array => array_column(FlatScene::fields($strip['masks'] ?? []), $what);
        $strip = $scene->strips[$id] ?? [];
        [$held, $used] = [$of($strip, 'id'), $of($strip, 'uses')];

        return array_map(strval(...), array_keys(array_filter(
            $scene->strips,
            static fn (array $other, int|string $name): bool => (string) $name === $id || array_intersect($of($other, 'uses'), [...$held, ...$used]) !== [] || array_intersect($of($other, 'id'), $used) !== [],
            ARRAY_FILTER_USE_BOTH,
        )));
    }

    /** Whoever uses a mask that is gone has its shape: the first of them holds it for the others. */
    public static function inherited(FlatScene $before, FlatScene $after): FlatScene
    {
        $heirs = $strips = [];
        foreach ($after->order as [$id]) {
            $masks = FlatScene::fields($after->strips[$id]['masks'] ?? []);
            foreach ($masks as $at => $mask) {
                $mask = FlatScene::fields($mask);
                $uses = is_string($mask['uses'] ?? null) ? $mask['uses'] : null;
                if ($uses === null || (! isset($heirs[$uses]) && self::find($after, $uses) !== null)) {
                    continue;
                }
                $masks[$at] = isset($heirs[$uses]) ? ['uses' => $heirs[$uses]] + $mask : self::onItsOwn($before, $mask);
                $heirs[$uses] ??= $mask['id'];
                $strips[$id] = array_replace($after->strips[$id], ['masks' => $masks]);
            }
        }

        return $strips === [] ? $after : $after->with(['strips' => $strips]);
    }

    /**
     * The strip that holds the shape of a mask, and the id of the mask there.
     *
     * @return array{string, string}
     *
     * @throws SceneError when there is no such mask on the strip
     */
    public static function holder(FlatScene $scene, string $strip, string $mask): array
    {
        foreach (FlatScene::fields($scene->strip($strip)['masks'] ?? []) as $own) {
            $own = FlatScene::fields($own);
            if ($own['id'] === $mask) {
                $held = self::held($scene, $own);

                return $held === null ? [$strip, $mask] : [$held[0], (string) $held[1]['id']];
            }
        }
        throw new SceneError('mask', "there is no mask \"{$mask}\" on this strip");
    }
}
