<?php

declare(strict_types=1);

namespace App\Gestures;

use App\Faults\NotPossible;
use App\Scenes\FlatScene;

/**
 * What is confined to a plate becomes a part of it: both are held by a closed group where the plate was, so that whatever lies
 * above takes the plate as it is then.
 */
final class PartOfPlate extends OfStrip
{
    public function label(Asked $asked): string
    {
        return 'Make it part of the plate';
    }

    public function onto(FlatScene $scene, Asked $asked): FlatScene
    {
        $id = $asked->strip();
        $strip = $scene->strip($id);
        $plate = $strip['confinedTo'] ?? null;
        if (! is_string($plate) || $scene->isPlate($id) || ($strip['kind'] ?? null) === 'group') {
            throw new NotPossible('strip', 'Confine it to a plate first, under Mix: then it can become a part of that.');
        }
        $name = (string) mb_substr(is_string($scene->plate($plate)['name'] ?? null) ? $scene->plate($plate)['name'] : 'Plate', 0, 60);
        $holder = $this->holder($scene, $plate);
        $group = $holder ?? FlatScene::newId();
        $order = [];
        foreach ($scene->order as [$each, $parent]) {
            if ((string) $each === $id) {
                continue;
            }
            if ((string) $each !== $plate) {
                $order[] = [$each, $parent];
            } else {
                array_push($order, ...$holder === null ? [[$group, $parent], [$plate, $group]] : [[$plate, $parent]]);
            }
        }
        // on top of what became a part of it before
        $held = array_keys(array_filter($order, static fn (array $each): bool => (string) $each[1] === $group));
        array_splice($order, ($held === [] ? count($order) - 1 : max($held)) + 1, 0, [[$id, $group]]);

        return $scene->with([
            'order' => $order,
            'strips' => $holder === null ? [$group => ['closed' => true, ...$scene->newGroup($group, $name)]] : [],
        ]);
    }

    /** The closed group that a plate is the lowest of already. */
    private function holder(FlatScene $scene, string $plate): ?string
    {
        foreach ($scene->order as $at => [$each, $parent]) {
            if ((string) $each === $plate) {
                $isLowest = $parent !== null && (string) ($scene->order[$at - 1][0] ?? '') === (string) $parent;

                return $isLowest && ($scene->strip((string) $parent)['closed'] ?? false) === true ? (string) $parent : null;
            }
        }

        return null;
    }
}
