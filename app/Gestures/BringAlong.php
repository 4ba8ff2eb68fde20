<?php

declare(strict_types=1);

namespace App\Gestures;

use App\Faults\NotPossible;
use App\Scenes\FlatScene;
use App\Scenes\SceneStore;
use Aumbrel\Core\Color\LightColour;
use Aumbrel\Core\Grade\Along;
use Aumbrel\Core\Kind\Driven;
use Aumbrel\Core\Kind\Family;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Scene\Hanging;
use Aumbrel\Core\Scene\Scene as Document;

/** The rest of the picture warmed or cooled toward a light: ordinary strips, in a group right under it, with one amount. */
final class BringAlong extends OfStrip
{
    public function __construct(private readonly SceneStore $store)
    {
    }

    public function label(Asked $asked): string
    {
        return 'Bring the rest along';
    }

    public function onto(FlatScene $scene, Asked $asked): FlatScene
    {
        $id = $asked->strip();
        $document = Document::read($scene->toDocument(), Registry::kinds());
        $light = $document->find($id);
        if ($light === null || $light->kind::family() !== Family::Light) {
            throw new NotPossible('strip', 'The rest is brought along toward a light: choose one.');
        }
        $values = [...$light->values->toArray(), ...(new Hanging($document, $this->store->known($asked->scene)))->inForce($light)];
        $colour = LightColour::read($values['colour'] ?? ['kelvin' => 3200], 'colour');
        $group = FlatScene::newId();
        $name = mb_substr($light->name, 0, 60);
        $scene = $scene->insertedUnder($scene->newGroup($group, "Rest along {$name}"), $id);
        foreach (Along::strips($colour) as $strip) {
            // one that hangs on the light's source goes on with it
            $hangs = is_subclass_of(Registry::kinds()->strip($strip['kind'], 'kind'), Driven::class) && $light->source !== null ? ['source' => $light->source] : [];
            $scene = $scene->insertedInto(['id' => FlatScene::newId(), 'mode' => 'normal', 'amount' => 100, 'muted' => false, 'masks' => [], ...$hangs, ...$strip, 'name' => $scene->freeName($strip['name'])], $group);
        }

        return $scene;
    }
}
