<?php

declare(strict_types=1);

namespace App\Gestures;

use App\Scenes\FlatScene;
use App\Scenes\Seen;
use Aumbrel\Core\Fault\SceneError;

/** Another order of all strips, back to front; one that is carried may come into a group, or out of one. */
final class Reorder extends Gesture
{
    public function rules(): array
    {
        return ['strips' => 'required|array|list', 'strips.*' => 'string', 'revision' => 'sometimes|integer|min:0', 'carried' => 'sometimes|string|max:40', 'into' => 'sometimes|nullable|string|max:40'];
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

        if ($asked->has('carried')) {
            $groups = self::carried($scene, $groups, $asked->text('carried'), $asked->optionalText('into'));
        }

        return $scene->with(['order' => array_map(static fn (string $id): array => [$id, $groups[$id]], $ids)]);
    }

    /**
     * @param  array<array-key, string|null>  $groups  by strip
     * @return array<array-key, string|null>
     *
     * @throws SceneError when it cannot go there
     */
    private static function carried(FlatScene $scene, array $groups, string $strip, ?string $into): array
    {
        $scene->strip($strip);
        if ($into !== null && $scene->strip($into)['kind'] !== 'group') {
            throw new SceneError('into', 'only a group holds other strips');
        }
        if ($into !== null && in_array($into, $scene->within($strip), true)) {
            throw new SceneError('into', 'a group cannot be held by itself');
        }

        return array_replace($groups, [$strip => $into]);
    }
}
