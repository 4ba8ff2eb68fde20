<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

/** What a strip is to the work: it decides the fader's unit, the accent and the place on the course. */
enum Family: string
{
    case Plate = 'plate';
    case Light = 'light';
    case Shadow = 'shadow';
    case Flat = 'flat';
    case Air = 'air';
    case Grade = 'grade';
    case Group = 'group';

    /** Lights have a level in stops; everything else an amount in percent. */
    public function fadesInStops(): bool
    {
        return $this === self::Light;
    }

    /** The step of the course at which the shelf offers it first. */
    public function course(): string
    {
        return match ($this) {
            self::Plate => 'Match',
            self::Light => 'Light',
            self::Shadow, self::Flat => 'Shade',
            self::Air => 'Air',
            self::Grade => 'Match',
            self::Group => 'Finish',
        };
    }
}
