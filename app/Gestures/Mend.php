<?php

declare(strict_types=1);

namespace App\Gestures;

use App\Faults\NotPossible;
use App\Render\SceneStudies;
use App\Scenes\FlatScene;
use App\Scenes\SceneStore;
use App\Scenes\Seen;
use Aumbrel\Core\Reading\Addition;
use Aumbrel\Core\Reading\Mend as Offered;
use Aumbrel\Core\Reading\Readings;
use Aumbrel\Core\Reading\SceneFacts;
use LogicException;

/** Takes a mend that a reading offers. */
final class Mend extends Gesture
{
    public function __construct(private readonly SceneStore $store, private readonly SceneStudies $studies)
    {
    }

    public function rules(): array
    {
        return ['reading' => 'required|string|max:200', 'mend' => 'required|string|max:40', 'revision' => 'sometimes|integer|min:0'];
    }

    public function find(Asked $asked): mixed
    {
        [$document, $known] = [$this->store->document($asked->scene), $this->store->known($asked->scene)];
        // most rest on the scene alone; the picture is looked at only for the others
        $reading = (new Readings($document, $known))->find($asked->text('reading'))
            ?? (new Readings($document, $known, $this->studies->of($asked->scene) ?? new SceneFacts))->find($asked->text('reading'))
            ?? throw new NotPossible('reading', 'This reading is gone: the scene has changed.');

        return array_values(array_filter($reading->mends, static fn (Offered $mend): bool => $mend->key === $asked->text('mend')))[0]
            ?? throw new NotPossible('mend', 'This reading offers no such mend.');
    }

    public function label(Asked $asked): string
    {
        return mb_substr("Mend: {$this->mend($asked)->label}", 0, 80);
    }

    public function seen(Asked $asked): Seen
    {
        $strip = $this->mend($asked)->strip;

        return $strip === null ? new Seen : Seen::strip($strip, $asked->revision());
    }

    public function onto(FlatScene $scene, Asked $asked): FlatScene
    {
        $mend = $this->mend($asked);
        if ($mend->adds !== null) {
            return $this->added($scene, $mend->adds);
        }
        if ($mend->strip !== null) {
            foreach ([$mend, ...$mend->also] as $part) {
                $strip = $part->strip ?? $mend->strip;
                $scene = $scene->withValues($strip, $part->values);
                $scene = $part->fields === [] ? $scene : $scene->with(['strips' => [$strip => array_replace($scene->strip($strip), $part->fields)]]);
            }

            return $scene;
        }
        $accepted = is_array($scene->scene['accepted'] ?? null) ? $scene->scene['accepted'] : [];

        return $scene->with(['scene' => ['accepted' => [...$accepted, $asked->text('reading')]]]);
    }

    private function added(FlatScene $scene, Addition $adds): FlatScene
    {
        $masks = FlatScene::copiedMasks($adds->strip['masks'] ?? []);
        $strip = ['id' => FlatScene::newId(), 'amount' => 100, 'muted' => false, 'mode' => 'normal', ...$adds->strip, 'name' => $scene->freeName(mb_substr($adds->name, 0, 60)), ...($adds->confinedTo === null ? [] : ['confinedTo' => $adds->confinedTo]), 'masks' => $masks];

        return $adds->under === null ? $scene->inserted($strip, null) : $scene->insertedUnder($strip, $adds->under);
    }

    private function mend(Asked $asked): Offered
    {
        $found = $asked->found();

        return $found instanceof Offered ? $found : throw new LogicException('a mend is found before it is taken');
    }
}
