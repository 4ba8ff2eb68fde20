<?php

declare(strict_types=1);

namespace App\Gestures;

use App\Faults\NotPossible;
use App\Render\LightStudies;
use App\Scenes\FlatScene;
use App\Scenes\SceneStore;
use App\Scenes\Seen;
use Aumbrel\Core\Reading\Mend as Offered;
use Aumbrel\Core\Reading\Readings;
use LogicException;

/** Takes a mend that a reading offers. */
final class Mend extends Gesture
{
    public function __construct(private readonly SceneStore $store, private readonly LightStudies $studies)
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
            ?? (new Readings($document, $known, $this->studies->of($asked->scene) ?? []))->find($asked->text('reading'))
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

    private function mend(Asked $asked): Offered
    {
        $found = $asked->found();

        return $found instanceof Offered ? $found : throw new LogicException('a mend is found before it is taken');
    }
}
