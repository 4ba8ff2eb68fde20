<?php

declare(strict_types=1);

namespace App\Gestures;

use App\Scenes\FlatScene;

/** A mask of a strip goes; what uses its shape inherits it. */
final class RemoveMask extends OfStrip
{
    public function rules(): array
    {
        return [...parent::rules(), 'mask' => 'required|string|max:40'];
    }

    public function label(Asked $asked): string
    {
        return 'Delete mask';
    }

    public function onto(FlatScene $scene, Asked $asked): FlatScene
    {
        $strip = $scene->strip($asked->strip());
        $strip['masks'] = array_values(array_filter(FlatScene::fields($strip['masks'] ?? []), static fn (mixed $entry): bool => FlatScene::fields($entry)['id'] !== $asked->text('mask')));

        return $scene->with(['strips' => [$asked->strip() => $strip]]);
    }
}
