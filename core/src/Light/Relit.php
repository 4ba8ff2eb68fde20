<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Bearing\Bearing;
use Aumbrel\Core\Body\OwnLight;

/** A plate's own light exchanged for one from elsewhere: it is evened out, and a key light takes the old one's place. From where the old one came nothing changes. */
final class Relit
{
    /** @return array<string, mixed> the plate's values */
    public static function plate(): array
    {
        return ['evened' => 100, 'evenedLevel' => 0];
    }

    /** @return array{kind: string, level: float, mode: string, values: array<string, mixed>} the light, as a strip */
    public static function light(string $plate, OwnLight $own, Bearing $from): array
    {
        return [
            'kind' => KeyLight::key(), 'level' => round($own->keyLevel(), 3), 'mode' => 'illuminate',
            'values' => ['of' => $plate, 'colour' => ['swatch' => $own->keyColour()->encoded()->toHex()], 'wrap' => 0, 'gloss' => 0, ...self::from($from)],
        ];
    }

    /** @return array{azimuth: float, elevation: float} values of the light */
    public static function from(Bearing $from): array
    {
        return ['azimuth' => round($from->azimuth, 1), 'elevation' => round($from->elevation, 1)];
    }
}
