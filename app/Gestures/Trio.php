<?php

declare(strict_types=1);

namespace App\Gestures;

use App\Scenes\FlatScene;

/**
 * The plate two stops under, and over it the same as shot and two stops over, both hidden, to be revealed by painting.
 */
final class Trio extends OfStrip
{
    private const STOPS = 2.0;

    public function label(Asked $asked): string
    {
        return 'Trio of exposures';
    }

    public function onto(FlatScene $scene, Asked $asked): FlatScene
    {
        $id = $asked->strip();
        $plate = $scene->plate($id);
        $name = mb_substr((string) $plate['name'], 0, 68);
        $values = FlatScene::fields($plate['values'] ?? []);
        $exposure = is_numeric($values['exposure'] ?? null) ? (float) $values['exposure'] : 0.0;
        $of = static fn (float $stops): array => [...$values, 'exposure' => max(-6.0, min(6.0, $exposure + $stops))];
        $scene = $scene->with(['strips' => [$id => array_replace($plate, ['name' => $scene->freeName("{$name}, under"), 'values' => $of(-self::STOPS)])]]);
        $below = $id;
        foreach ([[', as shot', 0.0], [', over', self::STOPS]] as [$word, $stops]) {
            $next = FlatScene::newId();
            $hidden = ['id' => FlatScene::newId(), 'kind' => 'strokes', 'on' => 'scene', 'values' => ['start' => 'hidden', 'strokes' => []]];
            $scene = $scene->inserted(array_replace($plate, [
                'id' => $next, 'name' => $scene->freeName($name.$word), 'values' => $of($stops), 'locked' => false, 'masks' => [...FlatScene::copiedMasks($plate['masks'] ?? []), $hidden],
            ]), $below);
            $below = $next;
        }

        return $scene;
    }
}
