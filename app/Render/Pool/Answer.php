<?php

declare(strict_types=1);

namespace App\Render\Pool;

/** The first byte of an answer. */
enum Answer: string
{
    case Painted = 'P';
    case Dropped = 'D';
    case Problem = 'E';
    case Fault = 'F';
    case Lost = 'L';
    case Withdrawn = 'W';
    /** The scene names strokes that the process does not hold. */
    case Missing = 'M';
    /** A picture was decoded, or what went wrong as JSON. */
    case Took = 'T';
    /** It is still being worked on; another answer follows. */
    case Working = 'K';
}
