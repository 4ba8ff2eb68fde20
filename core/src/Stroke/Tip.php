<?php

declare(strict_types=1);

namespace Aumbrel\Core\Stroke;

/** What a brush leaves where it touches. */
enum Tip: string
{
    case Brush = 'brush';

    /** The pool of a small lamp that hangs over the place. */
    case Lamp = 'lamp';

    /** A broken surface, another one with each stamp. */
    case Chalk = 'chalk';

    /** Hairs that draw lines of their own. */
    case Bristles = 'bristles';

    /** Drops, fewer toward the edge, others with each stamp. */
    case Spray = 'spray';

    /** The brightness of a picture. */
    case Picture = 'a picture';

    /** Whether it is a grid of greys, and not a formula of the distance. */
    public function isGrid(): bool
    {
        return $this !== self::Brush && $this !== self::Lamp;
    }

    /** Whether each stamp is turned anew. */
    public function turns(): bool
    {
        return $this === self::Chalk || $this === self::Spray;
    }

    /** @return list<self> those of the shelf */
    public static function shelf(): array
    {
        return [self::Brush, self::Chalk, self::Bristles, self::Spray];
    }
}
