<?php

declare(strict_types=1);

namespace App\Gestures;

use App\Scenes\FlatScene;

/**
 * One stroke over the falloff of a strip, as it is so far: what lets in brings it toward 1, what holds back toward 0. It needs
 * two masks of strokes, one that adds and one that only leaves what is held; every stroke lies in both.
 */
final class PaintLine extends OfStrip
{
    private const MASKS = [['add', 'hidden'], ['intersect', 'shown']];

    public function rules(): array
    {
        return [...parent::rules(), 'stroke' => 'required|array'];
    }

    public function label(Asked $asked): string
    {
        return 'Paint the line';
    }

    public function onto(FlatScene $scene, Asked $asked): FlatScene
    {
        $strip = $scene->strip($asked->strip());
        $masks = array_values(array_map(static fn (mixed $mask): array => FlatScene::fields($mask), FlatScene::fields($strip['masks'] ?? [])));
        foreach (self::MASKS as [$join, $start]) {
            $at = null;
            foreach ($masks as $k => $mask) {
                $isIt = $mask['kind'] === 'strokes' && ($mask['on'] ?? '') === 'scene' && ($mask['join'] ?? '') === $join && (FlatScene::fields($mask['values'])['start'] ?? '') === $start;
                $at = $isIt ? $k : $at;
            }
            $at ??= count($masks);
            $masks[$at] ??= ['id' => FlatScene::newId(), 'kind' => 'strokes', 'on' => 'scene', 'join' => $join, 'values' => ['start' => $start, 'strokes' => []]];
            $values = FlatScene::fields($masks[$at]['values']);
            $masks[$at]['values'] = [...$values, 'strokes' => [...FlatScene::fields($values['strokes'] ?? []), $asked->fields('stroke')]];
        }

        return $scene->with(['strips' => [$asked->strip() => array_replace($strip, ['masks' => $masks])]]);
    }
}
