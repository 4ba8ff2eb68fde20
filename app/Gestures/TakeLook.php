<?php

declare(strict_types=1);

namespace App\Gestures;

use App\Scenes\FlatScene;
use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Scene\Scene as Document;

/** The whole look of another strip: its colour, its fader, its mode and all values that say nothing of where it is. */
final class TakeLook extends Gesture
{
    public function rules(): array
    {
        return ['strip' => 'required|string|max:40', 'revision' => 'sometimes|integer|min:0', 'from' => 'required|string|max:40'];
    }

    public function label(Asked $asked): string
    {
        return 'Take over the look';
    }

    public function onto(FlatScene $scene, Asked $asked): FlatScene
    {
        $own = $scene->strip($asked->strip());
        $document = Document::read($scene->toDocument(), Registry::kinds());
        $from = $document->find($asked->text('from')) ?? throw new SceneError('from', "there is no strip \"{$asked->text('from')}\" in this scene");
        $strip = $document->find($asked->strip());
        // a fader in stops says nothing to one in percent
        $faders = array_intersect_key($scene->strip($from->id), $own, array_flip(['level', 'amount', 'mode']));
        $look = array_intersect_key($from->values->look(), $strip?->values->look() ?? []);

        return $scene->with(['strips' => [$asked->strip() => array_replace($own, $faders, ['values' => array_replace(FlatScene::fields($own['values'] ?? []), $look)])]]);
    }
}
