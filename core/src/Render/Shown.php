<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

/** How a picture is shown: as it is, as the greys of its luma, where it clips, or by which of its tones a strip acts. */
enum Shown: string
{
    case Colours = 'colours';
    case Values = 'values';
    case Clipping = 'clipping';
    case Passing = 'passing';
}
