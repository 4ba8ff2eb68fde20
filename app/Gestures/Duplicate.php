<?php

declare(strict_types=1);

namespace App\Gestures;

use App\Scenes\FlatScene;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Scene\Renaming;
use Closure;

/** A copy of a strip right above it, of a group with all that it holds. */
final class Duplicate extends OfStrip
{
    public function label(Asked $asked): string
    {
        return 'Duplicate';
    }

    public function onto(FlatScene $scene, Asked $asked): FlatScene
    {
        $scene->strip($asked->strip());
        $within = $scene->within($asked->strip());
        /** @var array<array-key, string> $ids of the copies, by strip */
        $ids = array_combine($within, array_map(static fn (): string => FlatScene::newId(), $within));
        $groups = array_column($scene->order, 1, 0);
        $order = $places = [];
        foreach ($within as $id) {
            $places[] = [$ids[$id], $id === $asked->strip() ? $groups[$id] ?? null : $ids[$groups[$id] ?? ''] ?? null];
        }
        $last = $within[count($within) - 1];
        foreach ($scene->order as $place) {
            array_push($order, $place, ...(string) $place[0] === $last ? $places : []);
        }
        $masks = [];
        foreach ($within as $id) {
            foreach (FlatScene::fields($scene->strip($id)['masks'] ?? []) as $mask) {
                $masks[(string) FlatScene::fields($mask)['id']] = FlatScene::newId();
            }
        }
        $of = static fn (array $copies): Closure => static fn (string $id): string => is_string($copies[$id] ?? null) ? $copies[$id] : $id;
        $renaming = new Renaming(Registry::kinds(), $of($ids), static fn (string $source): string => $source, $of($masks));
        $copies = [];
        foreach ($within as $id) {
            $strip = $renaming->of($scene->strip($id));
            $name = is_string($strip['name'] ?? null) ? $strip['name'] : '';
            $copies[$ids[$id]] = ['id' => $ids[$id], 'name' => $scene->with(['strips' => $copies])->freeName($name), 'locked' => false] + $strip;
            $copies[$ids[$id]]['masks'] = array_map(static fn (mixed $mask): array => ['id' => $masks[(string) FlatScene::fields($mask)['id']]] + FlatScene::fields($mask), FlatScene::fields($strip['masks']));
        }

        return $scene->with(['order' => $order, 'strips' => $copies]);
    }
}
