<?php

declare(strict_types=1);

namespace App\Gestures;

use App\Scenes\FlatScene;
use App\Scenes\OffSource;
use App\Scenes\SceneStore;
use Aumbrel\Core\Stage\SceneSource;

/** A source is taken away; what hung on it stays as it is. */
final class RemoveSource extends Gesture
{
    public function __construct(private readonly SceneStore $store)
    {
    }

    public function rules(): array
    {
        return ['source' => 'required|string|max:40'];
    }

    public function label(Asked $asked): string
    {
        return 'Delete the source';
    }

    public function onto(FlatScene $scene, Asked $asked): FlatScene
    {
        $source = $asked->text('source');
        $scene->part(SceneSource::NAMED.$source);
        $hung = array_keys(array_filter($scene->strips, static fn (array $strip): bool => ($strip['source'] ?? null) === $source));

        return OffSource::letGo($scene, array_map(strval(...), $hung), $this->store->known($asked->scene))->withPart(SceneSource::NAMED.$source, null);
    }
}
