<?php

declare(strict_types=1);

namespace App\Gestures;

use App\Scenes\FlatScene;
use Aumbrel\Core\Registry;

/** A new mask behind the ones that a strip has, lying well in what is looked at. */
final class AddMask extends Gesture
{
    use Placed;

    public function rules(): array
    {
        return [
            ...self::placing(), 'strip' => 'required|string|max:40', 'revision' => 'sometimes|integer|min:0',
            'on' => 'sometimes|string|max:10', 'join' => 'sometimes|string|max:20', 'inverted' => 'sometimes|boolean', 'values' => 'sometimes|array',
        ];
    }

    public function label(Asked $asked): string
    {
        return "Add {$asked->text('kind')} mask";
    }

    public function onto(FlatScene $scene, Asked $asked): FlatScene
    {
        $strip = $scene->strip($asked->strip());
        $class = Registry::kinds()->mask($asked->text('kind'), 'kind');
        $strip['masks'] = [...FlatScene::fields($strip['masks'] ?? []), [
            ...$asked->only(['on', 'join', 'inverted']),
            'id' => FlatScene::newId(), 'kind' => $class::key(), 'values' => [...$class::placed($asked->point('centre'), $asked->number('span')), ...$asked->fields('values')],
        ]];

        return $scene->with(['strips' => [$asked->strip() => $strip]]);
    }
}
