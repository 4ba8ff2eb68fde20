<?php

declare(strict_types=1);

namespace Aumbrel\Core\Value;

enum Unit: string
{
    case None = '';
    case Pixels = 'px';
    case Degrees = '°';
    case Stops = 'stops';
    case Percent = '%';
    case Kelvin = 'K';
    case Factor = '×';
}
