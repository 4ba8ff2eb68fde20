<?php

declare(strict_types=1);

namespace Aumbrel\Core\Bearing;

/** How a bearing was found. */
enum Method: string
{
    case Outline = 'outline';
    case ShadowLine = 'shadow line';
    case Sphere = 'sphere';

    /** Degrees by which a sphere turned by hand may be off (common practice, no source). */
    public const SPREAD_BY_HAND = 10.0;
}
