<?php

declare(strict_types=1);

namespace App\Scenes;

use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Kind\Pullable;
use Aumbrel\Core\Reading\Pictures;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Scene\Hanging;
use Aumbrel\Core\Scene\Scene as Document;
use Aumbrel\Core\Stage\SceneSource;

/** A handle that the core works back is dragged: the strip's values follow, or the source that it hangs on moves. */
final class Pulling
{
    /**
     * @param  mixed  $pull  handle, and to where, [x, y]
     *
     * @throws SceneError when the strip has no such handle, or nothing of it is there
     */
    public static function onto(FlatScene $scene, string $id, mixed $pull, Pictures $pictures): FlatScene
    {
        $asked = FlatScene::fields($pull, 'pull');
        $document = Document::read($scene->toDocument(), Registry::kinds());
        $strip = $document->find($id);
        $kind = $strip === null ? null : (new Hanging($document, $pictures))->asLit($strip);
        $found = $kind instanceof Pullable && is_string($asked['handle'] ?? null) ? $kind->pulled($asked['handle'], ScenePart::point($asked['to'] ?? null, 'pull.to')) : null;
        if ($strip === null || $found === null) {
            throw new SceneError('pull', 'there is nothing here that could be dragged: a shadow needs a plate that is cut out and stands on the ground');
        }
        $source = $strip->source === null ? null : $document->source($strip->source);
        if ($source === null || $found->through === null || $found->toward === null) {
            return $scene->withValues($id, $found->values);
        }

        return $scene->withValues(SceneSource::NAMED.$source->id, $source->kind->shiningThrough($found->through, $found->toward, $document->stage->camera));
    }
}
