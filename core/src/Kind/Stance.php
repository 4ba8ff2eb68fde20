<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

/** How a plate is in the scene. */
enum Stance: string
{
    case Stands = 'stands';
    case Hangs = 'hangs';
    case Free = 'free';
}
