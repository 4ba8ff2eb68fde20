<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

/** How a light fades with distance. */
enum ReachLaw: string
{
    case Constant = 'constant';
    case Linear = 'linear';
    case InverseSquare = 'inverse square';
}
