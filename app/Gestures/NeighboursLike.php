<?php

declare(strict_types=1);

namespace App\Gestures;

use App\Scenes\FlatScene;
use Aumbrel\Core\Grade\Neighbours;

/** What lies under a plate brought to it, in darks, mids and lights: the other way round than {@see AsNeighbours}. */
final class NeighboursLike extends OfStrip
{
    public function label(Asked $asked): string
    {
        return 'Its neighbours as it is';
    }

    public function onto(FlatScene $scene, Asked $asked): FlatScene
    {
        $scene->plate($asked->strip());

        return $scene->insertedUnder([
            'id' => FlatScene::newId(), 'name' => $scene->freeName("Toward {$scene->shortName($asked->strip())}"), ...Neighbours::toward($asked->strip()),
        ], $asked->strip());
    }
}
