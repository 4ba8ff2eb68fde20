<?php

declare(strict_types=1);

namespace App\Render;

use Aumbrel\Core\Geometry\Bounds;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Plate\PlateStudy;

/** What can be read off a plate as a whole; asked of a render process like a picture, answered as JSON. */
enum Study: string
{
    case Bearing = 'bearing';
    case Mean = 'mean';
    case Vanished = 'vanished';
    case Box = 'box';
    case Outline = 'outline';
    case Feet = 'feet';

    /** The line along edges between two places: x and y of each. */
    case Edge = 'edge';

    /** Strokes for a first cut: at a place (x, y), or in a box (left, top, right, bottom). */
    case Guess = 'guess';

    /**
     * @param  list<float>  $numbers  that it is asked with, in pixels of the plate's picture
     * @return array<array-key, mixed>|string|int|null
     */
    public function of(PlateStudy $plate, array $numbers = []): array|string|int|null
    {
        return match ($this) {
            self::Bearing => $plate->bearing()->toArray(),
            self::Mean => $plate->mean()?->toHex(),
            self::Vanished => $plate->vanished(),
            self::Box => $plate->box()?->toArray() ?? [],
            self::Feet => $plate->feet(),
            self::Edge => $plate->edge(new Point($numbers[0], $numbers[1]), new Point($numbers[2], $numbers[3])),
            self::Guess => $plate->guess(count($numbers) === 2 ? new Point($numbers[0], $numbers[1]) : new Bounds($numbers[0], $numbers[1], $numbers[2], $numbers[3])),
            self::Outline => array_map(static fn (array $ring): array => array_map(static fn (array $point): array => [round($point[0], 1), round($point[1], 1)], $ring), $plate->outline()),
        };
    }
}
