<?php

declare(strict_types=1);

namespace Aumbrel\Core\Stroke;

/** What the pen's pressure acts on. */
enum Pressure: string
{
    case Nothing = 'nothing';
    case Size = 'size';
    case Opacity = 'opacity';
    case Flow = 'flow';
}
