<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Stage\Stage;

/** A kind of which two are added together. */
interface Pairs extends StripKind
{
    /** What the pair is called on the shelf. */
    public static function pairLabel(): string;

    /** One sentence on what it is for. */
    public static function pairHint(): string;

    /**
     * Fields of the lower and of the upper one, as in the scene file, masks without ids. An upper one that is marked as
     * `complements` lies where the mask of the lower one lets nothing through.
     *
     * @param  Point  $middle  of what they lie on
     * @param  float  $width  of that, scene pixels
     * @return array{array<string, mixed>, array<string, mixed>}
     */
    public static function pair(Point $middle, float $width, Stage $stage): array;
}
