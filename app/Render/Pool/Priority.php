<?php

declare(strict_types=1);

namespace App\Render\Pool;

/** What goes first. */
enum Priority: int
{
    case Draft = 0;
    case Settled = 1;
    case Contribution = 2;
    /** A picture to be decoded, by a process of its own. */
    case Intake = 3;
}
