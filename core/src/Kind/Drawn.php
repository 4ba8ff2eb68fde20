<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Stage\Stage;

/** Something that is placed by one line: a light from where it stands to where it aims. */
interface Drawn
{
    /** From where to where the line is drawn. */
    public const LINE = 'from where it stands to where it aims';

    /**
     * @param  float  $span  the shorter side of what is looked at, in scene pixels
     * @return array<string, mixed> the values of a new one
     */
    public static function drawn(Point $from, Point $to, float $span, Stage $stage): array;
}
