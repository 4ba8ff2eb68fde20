<?php

declare(strict_types=1);

namespace Aumbrel\Core\Grade;

use Aumbrel\Core\Color\LightColour;

/** What a new light asks of the rest of the picture: a light that changes nothing around it does not belong there. */
final class Along
{
    /**
     * Ordinary strips that bring the rest along, back to front: tones a little lower, so that the light leads, and all but the dark
     * ones toward its colour, which go the other way (common practice, no source).
     *
     * @return list<array{kind: string, name: string, values: array<string, mixed>}> as in a scene file, without ids
     */
    public static function strips(LightColour $light): array
    {
        return [
            ['kind' => Curves::key(), 'name' => 'Rest, a little lower', 'values' => ['all' => [[0, 0], [0.35, 0.31], [1, 1]]]],
            ['kind' => Warmth::key(), 'name' => 'Rest, toward the light', 'values' => ['colour' => $light->toArray(), 'pull' => 45, 'mids' => 100, 'coolDarks' => true]],
        ];
    }
}
