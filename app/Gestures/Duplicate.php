<?php

declare(strict_types=1);

namespace App\Gestures;

use App\Scenes\FlatScene;
use Aumbrel\Core\Fault\SceneError;

/** A copy of a strip right above it. */
final class Duplicate extends OfStrip
{
    public function label(Asked $asked): string
    {
        return 'Duplicate';
    }

    public function onto(FlatScene $scene, Asked $asked): FlatScene
    {
        $strip = $scene->strip($asked->strip());
        if ($strip['kind'] === 'group') {
            throw new SceneError('strip', 'a group cannot be duplicated; duplicate the strips in it');
        }

        return $scene->inserted(array_replace($strip, [
            'id' => FlatScene::newId(), 'name' => $scene->freeName((string) $strip['name']), 'masks' => FlatScene::copiedMasks($strip['masks'] ?? []), 'locked' => false,
        ]), $asked->strip());
    }
}
