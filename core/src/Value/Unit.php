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

    /** Levels of strips and sources, in stops. */
    public const LEAST_LEVEL = -6.0;

    public const MOST_LEVEL = 6.0;
}
