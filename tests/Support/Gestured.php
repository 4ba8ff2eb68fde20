<?php

declare(strict_types=1);

namespace Tests\Support;

use App\Gestures\Asked;
use App\Gestures\Gesture;
use App\Models\Scene;
use App\Scenes\FlatScene;

/** What a gesture makes of a flat scene, without anything being written. */
final class Gestured
{
    /** @param  array<string, mixed>  $fields */
    public static function onto(FlatScene $scene, string $gesture, array $fields): FlatScene
    {
        return app()->make(Gesture::named($gesture))->onto($scene, new Asked(new Scene, $fields));
    }
}
