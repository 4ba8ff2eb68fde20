<?php

declare(strict_types=1);

namespace Aumbrel\Core\Value;

/** What a layer of a glow is: a core that is smaller than the shape, the shape itself, and what lies round it. */
enum ShellPart: string
{
    case Core = 'core';
    case Body = 'body';
    case Fog = 'fog';
    case Halo = 'halo';
}
