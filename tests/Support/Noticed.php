<?php

declare(strict_types=1);

namespace Tests\Support;

use Aumbrel\Core\Picture\PictureSource;
use Aumbrel\Core\Reading\Mend;
use Aumbrel\Core\Reading\Reading;
use Aumbrel\Core\Reading\Readings;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Render\SceneStudy;
use Aumbrel\Core\Scene\Scene;

/** What is noticed in a scene of a test, and the scene with a mend taken. */
final class Noticed
{
    /**
     * @param  array<string, PictureSource>  $pictures
     * @return array<string, Reading> by id
     */
    public static function in(Scene $scene, array $pictures): array
    {
        $renderer = Rendering::renderer($pictures);

        return array_column(array_map(static fn (Reading $reading): array => [$reading->id, $reading], (new Readings($scene, $renderer->measures(), (new SceneStudy($renderer, new Shelf($pictures)))->of($scene)))->all()), 1, 0);
    }

    public static function mended(Scene $scene, Reading $reading, int $which = 0): Scene
    {
        $raw = json_decode($scene->toJson(), true);
        $mend = $reading->mends[$which];
        foreach ([$mend, ...$mend->also] as $part) {
            foreach ($raw['strips'] as $at => $strip) {
                if ($strip['id'] === $part->strip) {
                    $raw['strips'][$at] = array_replace($strip, $part->fields, ['values' => array_replace((array) $strip['values'], $part->values)]);
                }
            }
        }

        return Scene::read($mend->adds === null ? $raw : self::added($raw, $mend), Registry::kinds());
    }

    /**
     * @param  array<string, mixed>  $raw
     * @return array<string, mixed>
     */
    private static function added(array $raw, Mend $mend): array
    {
        $masks = array_map(static fn (array $mask, int $at): array => [...$mask, 'id' => "new{$at}"], $mend->adds->strip['masks'] ?? [], array_keys($mend->adds->strip['masks'] ?? []));
        $strip = [...$mend->adds->strip, 'id' => 'added', 'name' => $mend->adds->name, 'masks' => $masks, ...($mend->adds->confinedTo === null ? [] : ['confinedTo' => $mend->adds->confinedTo])];
        $under = array_search($mend->adds->under, array_column($raw['strips'], 'id'), true);
        array_splice($raw['strips'], $under === false ? count($raw['strips']) : $under, 0, [$strip]);

        return $raw;
    }
}
