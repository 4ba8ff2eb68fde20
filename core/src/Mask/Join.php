<?php

declare(strict_types=1);

namespace Aumbrel\Core\Mask;

/** How a mask joins the masks before it. */
enum Join: string
{
    case Intersect = 'intersect';
    case Add = 'add';
    case TakeAway = 'take away';
}
