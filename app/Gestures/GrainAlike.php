<?php

declare(strict_types=1);

namespace App\Gestures;

use App\Faults\NotPossible;
use App\Render\PlateStudies;
use App\Scenes\FlatScene;
use Aumbrel\Core\Air\AlikeGrain;

/** Grain over a plate, so that it has as much as what lies around it, as both were measured. */
final class GrainAlike extends OfStrip
{
    public function __construct(private readonly PlateStudies $studies)
    {
    }

    public function label(Asked $asked): string
    {
        $found = FlatScene::fields($asked->found());

        return is_numeric($found['around'] ?? null) ? sprintf('Grain as its neighbours: %.1f of 255', 255 * (float) $found['around']) : 'Grain as its neighbours';
    }

    public function find(Asked $asked): mixed
    {
        $found = FlatScene::fields($this->studies->grain($asked->scene, $asked->strip()));
        $of = static fn (string $name): ?array => is_array($found[$name] ?? null) ? array_map(floatval(...), $found[$name]) : null;
        [$own, $around] = [$of('own'), $of('around')];
        if ($own === null || $around === null) {
            throw new NotPossible('strip', ($own === null ? 'The plate has' : 'What lies around it has').' no part that is flat enough for its grain to be measured.');
        }

        $strip = AlikeGrain::of($own, $around) ?? throw new NotPossible('strip', sprintf('It is as grainy as what lies around it already: %.1f against %.1f of 255.', 255 * $own['sigma'], 255 * $around['sigma']));

        return ['strip' => $strip, 'around' => $around['sigma']];
    }

    public function onto(FlatScene $scene, Asked $asked): FlatScene
    {
        $scene->plate($asked->strip());

        return $scene->inserted(['id' => FlatScene::newId(), ...FlatScene::fields(FlatScene::fields($asked->found())['strip'] ?? []), 'name' => $scene->freeName("Grain of {$scene->shortName($asked->strip())}"), 'mode' => 'normal', 'amount' => 100, 'muted' => false, 'confinedTo' => $asked->strip(), 'masks' => []], null);
    }
}
