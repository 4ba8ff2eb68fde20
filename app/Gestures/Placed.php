<?php

declare(strict_types=1);

namespace App\Gestures;

use App\Scenes\FlatScene;
use Aumbrel\Core\Stage\Stage;

/** The rules of something new that lies well in the part of the scene that is looked at. */
trait Placed
{
    /** @return array<string, string> */
    private static function placing(): array
    {
        return [
            'kind' => 'required|string|max:40',
            'centre' => 'required|array|size:2',
            'centre.*' => 'numeric|between:-1000000,1000000',
            'span' => 'required|numeric|between:1,1000000',
        ];
    }

    /** Floor, walls and camera of a scene. */
    private static function stage(FlatScene $scene): Stage
    {
        return Stage::read($scene->part(FlatScene::STAGE), 'stage', ...$scene->size());
    }

    /** What is made while a plate is chosen, or something on it, is meant for that plate. */
    private static function meantFor(FlatScene $scene, ?string $above): ?string
    {
        $plate = $above === null || $scene->isPlate($above) ? $above : $scene->strips[$above]['confinedTo'] ?? null;

        return is_string($plate) ? $plate : null;
    }

    /**
     * The plate that is uppermost where something new comes to lie.
     *
     * @param  bool  $withGround  whether the lowest one counts too, on which everything lies
     */
    private static function liesOver(FlatScene $scene, ?string $above, bool $withGround): ?string
    {
        $plates = [];
        foreach ($scene->order as [$id]) {
            if ($scene->isPlate($id)) {
                $plates[] = $id;
            }
            if ($id === $above) {
                break;
            }
        }

        return count($plates) > ($withGround ? 0 : 1) ? $plates[count($plates) - 1] : null;
    }
}
