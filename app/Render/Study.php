<?php

declare(strict_types=1);

namespace App\Render;

use Aumbrel\Core\Plate\PlateStudy;

/** What can be read off a plate as a whole; asked of a render process like a picture, answered as JSON. */
enum Study: string
{
    case Bearing = 'bearing';
    case Mean = 'mean';
    case Vanished = 'vanished';
    case Box = 'box';
    case Outline = 'outline';

    /** @return array<array-key, mixed>|string|int|null */
    public function of(PlateStudy $plate): array|string|int|null
    {
        return match ($this) {
            self::Bearing => $plate->bearing()->toArray(),
            self::Mean => $plate->mean()?->toHex(),
            self::Vanished => $plate->vanished(),
            self::Box => $plate->box()?->toArray() ?? [],
            self::Outline => array_map(static fn (array $ring): array => array_map(static fn (array $point): array => [round($point[0], 1), round($point[1], 1)], $ring), $plate->outline()),
        };
    }
}
