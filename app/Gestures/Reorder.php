<?php

declare(strict_types=1);

namespace App\Gestures;

use App\Scenes\FlatScene;
use App\Scenes\Seen;
use Aumbrel\Core\Fault\SceneError;

/** Another order of all strips, back to front. */
final class Reorder extends Gesture
{
    public function rules(): array
    {
        return ['strips' => 'required|array|list', 'strips.*' => 'string', 'revision' => 'sometimes|integer|min:0'];
    }

    public function label(Asked $asked): string
    {
        return 'Reorder';
    }

    public function seen(Asked $asked): Seen
    {
        return new Seen(order: $asked->revision());
    }

    public function onto(FlatScene $scene, Asked $asked): FlatScene
    {
        $ids = array_values(array_filter($asked->fields('strips'), is_string(...)));
        $groups = array_column($scene->order, 1, 0);
        $now = array_keys($groups);
        if (count($ids) !== count($now) || array_diff($now, $ids) !== []) {
            throw new SceneError('order', 'the order names other strips than the scene has; load it again');
        }

        return $scene->with(['order' => array_map(static fn (string $id): array => [$id, $groups[$id]], $ids)]);
    }
}
