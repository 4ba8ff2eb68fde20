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
        $plate = $scene->plate($asked->strip());
        $name = is_string($plate['name'] ?? null) ? mb_substr($plate['name'], 0, 60) : 'plate';

        return $scene->insertedUnder([
            'id' => FlatScene::newId(), 'name' => $scene->freeName("Toward {$name}"), ...Neighbours::toward($asked->strip()),
        ], $asked->strip());
    }
}
