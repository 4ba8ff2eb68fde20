<?php

declare(strict_types=1);

namespace App\Rigs;

use App\Scenes\FlatScene;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Rig\Rig;
use Aumbrel\Core\Scene\Measures;
use Aumbrel\Core\Scene\Scene as Document;

/** A scene with a rig used on it: ordinary strips and sources, under and over the plate that it is about, or on top. */
final class RiggedScene
{
    /**
     * @param  string|null  $plate  that it is for
     *
     * @throws \Aumbrel\Core\Fault\SceneError when a plate that it needs is missing
     */
    public static function of(FlatScene $scene, Rig $rig, ?string $plate, Measures $measures): FlatScene
    {
        $document = Document::read($scene->toDocument(), Registry::kinds());
        $made = $rig->onto($document, $plate, $measures, FlatScene::newId(...));
        $about = $rig->about($document, $plate);
        $scene = $scene->with(['scene' => ['sources' => [...$scene->sources(), ...self::named($scene, $made['sources'])]]]);

        return $scene->holding(self::named($scene, $made['under']), $about, isUnder: true)->holding(self::named($scene, $made['strips']), $about === null || self::isLowest($scene, $about) ? null : self::topOver($scene, $about));
    }

    /** What lies over a plate already stays right over it. */
    private static function topOver(FlatScene $scene, string $plate): string
    {
        $top = $plate;
        $groups = array_column($scene->order, 1, 0);
        $isPast = false;
        foreach ($scene->order as [$id, $group]) {
            $isPast = $isPast || (string) $id === $plate;
            if ($isPast && $group === ($groups[$plate] ?? null) && ($scene->strips[$id]['confinedTo'] ?? null) === $plate) {
                $top = (string) $id;
            }
        }

        return $top;
    }

    private static function isLowest(FlatScene $scene, string $plate): bool
    {
        return (string) ($scene->order[0][0] ?? '') === $plate;
    }

    /**
     * With names that nothing has yet.
     *
     * @param  list<array<array-key, mixed>>  $entries
     * @return list<array<array-key, mixed>>
     */
    private static function named(FlatScene $scene, array $entries): array
    {
        $named = [];
        foreach ($entries as $entry) {
            $name = is_string($entry['name'] ?? null) ? $entry['name'] : '';
            $named[] = $name === '' ? $entry : array_replace($entry, ['name' => $scene->freeName($name)]);
        }

        return $named;
    }
}
