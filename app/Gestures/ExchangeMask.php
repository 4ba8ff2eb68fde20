<?php

declare(strict_types=1);

namespace App\Gestures;

use App\Scenes\FlatScene;
use App\Scenes\UsedMasks;
use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Kind\Exchanged;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Scene\Scene as Document;

/** A linear mask becomes a radial one where it is, or the other way round; its ramp stays. */
final class ExchangeMask extends OfStrip
{
    public function rules(): array
    {
        return [...parent::rules(), 'mask' => 'required|string|max:40'];
    }

    public function label(Asked $asked): string
    {
        return 'Exchange linear and radial';
    }

    public function onto(FlatScene $scene, Asked $asked): FlatScene
    {
        [$strip, $id] = UsedMasks::holder($scene, $asked->strip(), $asked->text('mask'));
        $masks = [];
        foreach (Document::read($scene->toDocument(), Registry::kinds())->find($strip)->masks ?? [] as $at => $entry) {
            $masks[$at] = FlatScene::fields(FlatScene::fields($scene->strip($strip)['masks'])[$at]);
            if ($entry->id === $id) {
                $mask = $entry->mask instanceof Exchanged ? $entry->mask : throw new SceneError('mask', 'only linear and radial masks are exchanged');
                $masks[$at] = array_replace($masks[$at], ['kind' => $mask::becomes(), 'values' => $mask->exchanged()]);
            }
        }

        return $scene->with(['strips' => [$strip => array_replace($scene->strip($strip), ['masks' => $masks])]]);
    }
}
