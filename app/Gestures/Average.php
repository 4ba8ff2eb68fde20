<?php

declare(strict_types=1);

namespace App\Gestures;

use App\Faults\NotPossible;
use App\Render\PlateStudies;
use App\Render\Study;
use App\Scenes\FlatScene;

/** A flat colour right above a plate, with the mean of what the plate shows. */
final class Average extends OfStrip
{
    public function __construct(private readonly PlateStudies $studies)
    {
    }

    public function label(Asked $asked): string
    {
        return 'Average as a flat colour';
    }

    public function find(Asked $asked): mixed
    {
        return $this->studies->of($asked->scene, $asked->strip(), Study::Mean) ?? throw new NotPossible('strip', 'This plate shows nothing: its cut-out leaves no pixel.');
    }

    public function onto(FlatScene $scene, Asked $asked): FlatScene
    {
        $scene->plate($asked->strip());

        return $scene->inserted([
            'id' => FlatScene::newId(), 'kind' => 'fill', 'name' => $scene->freeName("Average of {$scene->shortName($asked->strip())}"), 'values' => ['colour' => $asked->found()],
        ], $asked->strip());
    }
}
