<?php

declare(strict_types=1);

namespace App\Scenes;

use Aumbrel\Core\Reading\Pictures;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Scene\Hanging;
use Aumbrel\Core\Scene\Scene as Document;

/** Takes strips off their sources: the values that were in force are written down, the level included. */
final class OffSource
{
    /** @param  list<string>  $strips */
    public static function letGo(FlatScene $scene, array $strips, Pictures $pictures): FlatScene
    {
        $document = Document::read($scene->toDocument(), Registry::kinds());
        $hanging = new Hanging($document, $pictures);
        foreach ($strips as $id) {
            $strip = $document->find($id);
            $drive = $strip === null ? null : $hanging->drive($strip);
            if ($strip === null || $drive === null) {
                continue;
            }
            $fields = array_diff_key($scene->strip($id), ['source' => true]);
            $level = $strip->kind::family()->fadesInStops() ? ['level' => Hanging::level($strip, $drive)] : [];
            $values = array_replace(FlatScene::fields($fields['values'] ?? []), $hanging->inForce($strip));
            $scene = $scene->with(['strips' => [$id => array_replace($fields, $level, ['values' => $values])]]);
        }

        return $scene;
    }
}
