<?php

declare(strict_types=1);

namespace App\Export;

/** What an export writes of a scene. */
enum Writes: string
{
    case Picture = 'picture';

    /** The strips as layers of an OpenRaster file. */
    case Layers = 'layers';

    /** What each strip adds, in a file of its own. */
    case Passes = 'passes';

    /** As it came in, each step, and finished, side by side with its words. */
    case Steps = 'steps';

    /** As it came in, and finished. */
    case Beside = 'before and after';

    /** The command that writes it. */
    public function command(): string
    {
        return match ($this) {
            self::Picture => 'render',
            self::Layers => 'layers',
            self::Passes => 'passes',
            self::Steps, self::Beside => 'steps',
        };
    }
}
