<?php

declare(strict_types=1);

namespace App\Gestures;

use App\Faults\NotPossible;
use App\Scenes\FlatScene;
use Aumbrel\Core\Grade\Neighbours;

/** A plate brought to what lies around it: its colours, and its grain where that is weaker, each a strip over it. */
final class AsNeighbours extends OfStrip
{
    public function __construct(private readonly GrainAlike $grain)
    {
    }

    public function label(Asked $asked): string
    {
        return $asked->found() === null ? 'As its neighbours: colours' : 'As its neighbours: colours and grain';
    }

    /** What its grain lacks; null where it lacks nothing, or where that cannot be measured. */
    public function find(Asked $asked): mixed
    {
        try {
            return $this->grain->find($asked);
        } catch (NotPossible) {
            return null;
        }
    }

    public function onto(FlatScene $scene, Asked $asked): FlatScene
    {
        $scene->plate($asked->strip());
        $scene = $asked->found() === null ? $scene : $this->grain->onto($scene, $asked);

        return $scene->inserted([
            'id' => FlatScene::newId(), 'name' => $scene->freeName("Colours of {$scene->shortName($asked->strip())}"), 'confinedTo' => $asked->strip(), ...Neighbours::around(),
        ], $asked->strip());
    }
}
