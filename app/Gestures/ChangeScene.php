<?php

declare(strict_types=1);

namespace App\Gestures;

use App\Scenes\FlatScene;

/** The scene's title, or the light that it shows as white. */
final class ChangeScene extends Gesture
{
    public function rules(): array
    {
        return ['title' => 'sometimes|string', 'white' => 'sometimes|numeric'];
    }

    public function label(Asked $asked): string
    {
        return 'Change the scene';
    }

    public function onto(FlatScene $scene, Asked $asked): FlatScene
    {
        return $scene->with(['scene' => $asked->only(['title', 'white'])]);
    }
}
