<?php

declare(strict_types=1);

namespace Aumbrel\Core\Ramp;

/** Ramps that are there from the start, by name; ours. */
final class Shelf
{
    /** @return array<string, ColourRamp> */
    public static function ours(): array
    {
        return [
            'Embers' => ColourRamp::of([0.0, '#fff3d8'], [0.3, '#ffc46b'], [0.65, '#f0622d'], [1.0, '#5a1210', 0.0]),
            'Dusk over the marsh' => ColourRamp::of([0.0, '#f7c59f'], [0.35, '#d87a86', 1.0, 0.45], [0.7, '#5b4a86'], [1.0, '#16203f']),
            'Cold dawn' => ColourRamp::of([0.0, '#eef4ff'], [0.5, '#9cc0e8', 0.8], [1.0, '#3d5f8f', 0.0]),
            'Into the dark' => ColourRamp::of([0.0, '#0b0f18', 1.0, 0.5, true], [1.0, '#0b0f18', 0.0]),
            'Into nothing' => ColourRamp::of([0.0, '#ffffff', 1.0, 0.5, true], [1.0, '#ffffff', 0.0]),
            'Past the middle' => ColourRamp::of([0.0, '#ffffff', 0.0, 0.5, true], [0.5, '#ffffff', 1.0, 0.5, true], [1.0, '#ffffff', 0.0]),
        ];
    }
}
