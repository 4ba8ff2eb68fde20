<?php

declare(strict_types=1);

namespace App\Render\Pool;

/** The first byte of an answer. */
enum Answer: string
{
    case Painted = 'P';
    case Dropped = 'D';
    case Problem = 'E';
    case Lost = 'L';
}
