<?php

declare(strict_types=1);

namespace App\Gestures;

use App\Scenes\FlatScene;
use App\Scenes\OwnFalloff;

/** Takes a strip out, with what a group holds; what was confined to it is confined no longer. */
final class RemoveStrip extends OfStrip
{
    public function label(Asked $asked): string
    {
        return 'Delete';
    }

    public function onto(FlatScene $scene, Asked $asked): FlatScene
    {
        $gone = array_fill_keys($scene->within($asked->strip()), null);
        $freed = [];
        foreach ($scene->strips as $other => $strip) {
            if (isset($strip['confinedTo']) && array_key_exists((string) $strip['confinedTo'], $gone) && ! array_key_exists($other, $gone)) {
                unset($strip['confinedTo']);
                $freed[$other] = $strip;
            }
        }
        foreach ($scene->strips as $other => $strip) {
            $line = $strip['complements'] ?? null;
            if (is_string($line) && array_key_exists($line, $gone) && ! array_key_exists($other, $gone)) {
                $freed[$other] = OwnFalloff::of($scene, $freed[$other] ?? $strip);
            }
        }
        $order = array_values(array_filter($scene->order, static fn (array $place): bool => ! array_key_exists($place[0], $gone)));

        return $scene->with(['order' => $order, 'strips' => $gone + $freed]);
    }
}
