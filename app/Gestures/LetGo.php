<?php

declare(strict_types=1);

namespace App\Gestures;

use App\Scenes\FlatScene;
use App\Scenes\OffSource;
use App\Scenes\SceneStore;

/** A strip hangs on its source no longer, and stays as it is. */
final class LetGo extends OfStrip
{
    public function __construct(private readonly SceneStore $store)
    {
    }

    public function label(Asked $asked): string
    {
        return 'Let go of the source';
    }

    public function onto(FlatScene $scene, Asked $asked): FlatScene
    {
        $scene->strip($asked->strip());

        return OffSource::letGo($scene, [$asked->strip()], $this->store->known($asked->scene));
    }
}
