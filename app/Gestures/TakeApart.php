<?php

declare(strict_types=1);

namespace App\Gestures;

use App\Scenes\FlatScene;
use Aumbrel\Core\Fault\SceneError;

/** A group is taken apart: what it held stays where it was, without what the group did to it. */
final class TakeApart extends OfStrip
{
    public function label(Asked $asked): string
    {
        return 'Take apart';
    }

    public function onto(FlatScene $scene, Asked $asked): FlatScene
    {
        $group = $asked->strip();
        if ($scene->strip($group)['kind'] !== 'group') {
            throw new SceneError('strip', 'only a group can be taken apart');
        }
        $parent = array_column($scene->order, 1, 0)[$group] ?? null;
        $order = [];
        foreach ($scene->order as [$id, $holder]) {
            if ((string) $id !== $group) {
                $order[] = [$id, $holder === $group ? $parent : $holder];
            }
        }

        return $scene->with(['order' => $order, 'strips' => [$group => null]]);
    }
}
