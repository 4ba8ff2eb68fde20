<?php

declare(strict_types=1);

namespace App\Render\Pool;

/** What goes first. */
enum Priority: int
{
    case Draft = 0;
    case Settled = 1;
    /** What is seen or read beside the picture: miniatures, what is measured of a strip. */
    case Contribution = 2;
    /** What is measured of the whole scene, which takes longest. */
    case Facts = 3;
    /** A picture to be decoded, by a process of its own. */
    case Intake = 4;

    /** Whether it is for the view, where somebody is looking. */
    public function isUrgent(): bool
    {
        return $this === self::Draft || $this === self::Settled;
    }

    /** Whether it gives way to what is urgent, and is begun again after it. */
    public function canWait(): bool
    {
        return $this === self::Contribution || $this === self::Facts;
    }
}
