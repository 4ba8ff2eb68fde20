<?php

declare(strict_types=1);

namespace App\Gestures;

use App\Faults\NotPossible;
use App\Render\Belonging;
use App\Scenes\FlatScene;
use App\Scenes\SceneStore;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Scene\Scene as Document;
use Aumbrel\Core\Scene\ShadowsOf;

/**
 * All shadows of a plate in one action, each adjustable by itself: by every source, and where it touches; of what hangs also by the
 * light of the room. They are held in a group under the plate.
 */
final class CastShadows extends OfStrip
{
    public function __construct(private readonly SceneStore $store)
    {
    }

    public function label(Asked $asked): string
    {
        return 'Cast its shadows';
    }

    public function onto(FlatScene $scene, Asked $asked): FlatScene
    {
        $plate = $asked->strip();
        $scene->plate($plate);
        $document = Document::read($scene->toDocument(), Registry::kinds());
        $shadows = (new ShadowsOf($document, $this->store->known($asked->scene), Registry::kinds()))->plate($plate);
        if ($shadows === []) {
            throw new NotPossible('strip', 'Only a plate that is cut out throws a shadow: cut it out first.');
        }
        $group = FlatScene::newId();
        $scene = $scene->insertedUnder($scene->newGroup($group, "Shadows of {$scene->shortName($plate)}"), $plate);
        foreach ($shadows as $shadow) {
            $scene = $scene->insertedInto(Belonging::strip(FlatScene::newId(), $shadow, $scene, $shadow->source), $group);
        }

        return $scene;
    }
}
