<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

/** How a picture is shown: as it is, as the greys of its luma, or where it clips. */
enum Shown: string
{
    case Colours = 'colours';
    case Values = 'values';
    case Clipping = 'clipping';
}
