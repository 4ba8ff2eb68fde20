<?php

declare(strict_types=1);

namespace App\Gestures;

use App\Scenes\FlatScene;
use App\Scenes\Seen;
use Aumbrel\Core\Fault\SceneError;

/** Some strips held together as a group, where the foremost of them is; what is held by a chosen group comes along with that. */
final class HoldTogether extends Gesture
{
    public function rules(): array
    {
        return ['strips' => 'required|array|list|min:1|max:200', 'strips.*' => 'string|max:40', 'revision' => 'sometimes|integer|min:0'];
    }

    public function label(Asked $asked): string
    {
        return 'Hold together';
    }

    public function seen(Asked $asked): Seen
    {
        return new Seen(order: $asked->revision());
    }

    public function onto(FlatScene $scene, Asked $asked): FlatScene
    {
        $chosen = array_values(array_unique(array_filter($asked->fields('strips'), is_string(...))));
        foreach ($chosen as $id) {
            $scene->strip($id);
        }
        $within = array_merge(...array_map(static fn (string $id): array => array_slice($scene->within($id), 1), $chosen));
        $heads = array_values(array_diff($chosen, $within));
        $group = FlatScene::newId();
        [$held, $order, $parent] = [[], [], null];
        $moved = array_merge(...array_map($scene->within(...), $heads));
        foreach ($scene->order as [$id, $holder]) {
            if (in_array((string) $id, $heads, true)) {
                // the foremost one says where
                $parent = $holder;
                $held[] = [$id, $group];
                $order[] = null;
            } elseif (in_array((string) $id, $moved, true)) {
                $held[] = [$id, $holder];
            } else {
                $order[] = [$id, $holder];
            }
        }
        $at = max(array_keys($order, null, true) ?: throw new SceneError('strips', 'there is nothing to hold together'));
        array_splice($order, $at, 1, [[$group, $parent], ...$held]);

        return $scene->with([
            'order' => array_values(array_filter($order, static fn (?array $place): bool => $place !== null)),
            'strips' => [$group => $scene->newGroup($group, 'Group')],
        ]);
    }
}
