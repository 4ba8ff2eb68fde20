<?php

declare(strict_types=1);

namespace App\Gestures;

use App\Render\Patches;
use App\Scenes\FlatScene;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Scene\Scene as Document;
use Aumbrel\Core\Stage\SceneSource;

/** A lamp or a sun where the hand presses on the picture: it takes the colour of the light that is seen there. */
final class PlaceSource extends Gesture
{
    /** Width of the patch whose mean is the colour, scene pixels. */
    private const PATCH = 5;

    public function __construct(private readonly Patches $patches)
    {
    }

    public function rules(): array
    {
        return ['kind' => 'required|string|max:40', 'at' => 'required|array|list|size:2', 'at.*' => 'numeric|between:-1000000,1000000', 'id' => 'sometimes|string|max:40'];
    }

    public function label(Asked $asked): string
    {
        return "Place a {$asked->text('kind')}";
    }

    public function find(Asked $asked): mixed
    {
        return $this->patches->light($asked->scene, $asked->point('at'), self::PATCH, SceneSource::kindOf($asked->text('kind'), 'kind')::seenFrom());
    }

    public function onto(FlatScene $scene, Asked $asked): FlatScene
    {
        $kind = SceneSource::kindOf($asked->text('kind'), 'kind');
        $colour = $asked->found();
        $id = $asked->optionalText('id') ?? FlatScene::newId();

        return $scene->withPart(SceneSource::NAMED.$id, [
            'id' => $id, 'kind' => $kind::key(), 'name' => $scene->freeName($kind::label()),
            'values' => [...$kind::placed($asked->point('at'), Document::read($scene->toDocument(), Registry::kinds())->stage), ...($colour === null ? [] : ['colour' => ['swatch' => $colour]])],
        ]);
    }
}
