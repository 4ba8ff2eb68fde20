<?php

declare(strict_types=1);

namespace App\Gestures;

use App\Faults\NotPossible;
use App\Render\PlateStudies;
use App\Scenes\FlatScene;
use App\Scenes\SceneStore;
use Aumbrel\Core\Body\OwnLight;
use Aumbrel\Core\Light\Relit;
use Aumbrel\Core\Reading\Compass;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Scene\Scene as Document;

/** A plate's own light is taken down, and a key light put where the scene's light comes from. */
final class Relight extends OfStrip
{
    public function __construct(private readonly PlateStudies $studies, private readonly SceneStore $store)
    {
    }

    public function label(Asked $asked): string
    {
        return 'Relight';
    }

    public function find(Asked $asked): mixed
    {
        return $this->studies->ownLight($asked->scene, $asked->strip());
    }

    public function onto(FlatScene $scene, Asked $asked): FlatScene
    {
        $own = $asked->found();
        $id = $asked->strip();
        $compass = new Compass(Document::read($scene->toDocument(), Registry::kinds()), $this->store->known($asked->scene));
        $from = $compass->wantedFor($id);
        if (! $own instanceof OwnLight || $from === null) {
            throw new NotPossible('strip', 'Nothing in the scene says where its new light is to come from: place a source, or find the bearing of another plate.');
        }
        $scene = $scene->withValues($id, Relit::plate());
        $before = $compass->sight($id)?->relitBy;
        $light = Relit::light($id, $own, $from);
        // one that was relit before has its light turned, not a second one
        if ($before !== null && $before->source === null) {
            $strip = $scene->strip($before->strip);

            return $scene->with(['strips' => [$before->strip => ['level' => $light['level'], 'values' => [...FlatScene::fields($strip['values'] ?? []), ...Relit::from($from)]] + $strip]]);
        }

        return $scene->inserted(['id' => FlatScene::newId(), 'name' => $scene->freeName("Key light on {$scene->shortName($id)}"), 'amount' => 100, 'muted' => false, 'masks' => [], ...$light], $id);
    }
}
