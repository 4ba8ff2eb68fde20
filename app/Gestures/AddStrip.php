<?php

declare(strict_types=1);

namespace App\Gestures;

use App\Scenes\FlatScene;
use Aumbrel\Core\Registry;

/** A new strip of a kind, lying well in what is looked at: above another one, or on top. */
final class AddStrip extends Gesture
{
    use Placed;

    public function rules(): array
    {
        return [...self::placing(), 'above' => 'sometimes|nullable|string|max:40'];
    }

    public function label(Asked $asked): string
    {
        return "Add {$asked->text('kind')}";
    }

    public function onto(FlatScene $scene, Asked $asked): FlatScene
    {
        $class = Registry::kinds()->strip($asked->text('kind'), 'kind');
        $above = $asked->optionalText('above');
        // what is made while a plate is chosen, or something on it, is meant for that plate
        $plate = $above === null ? null : ($scene->isPlate($above) ? $above : $scene->strips[$above]['confinedTo'] ?? null);

        return $scene->inserted([
            'id' => FlatScene::newId(), 'kind' => $class::key(), 'name' => $scene->freeName($class::label()),
            ...($class::family()->fadesInStops() ? ['level' => $class::placedLevel()] : []),
            'values' => $class::placed($asked->point('centre'), $asked->number('span'), is_string($plate) ? $plate : null),
        ], $above);
    }
}
