<?php

declare(strict_types=1);

namespace Aumbrel\Core\Scene;

use Aumbrel\Core\Geometry\Bounds;

/** What is measured of a scene's pictures: their sizes, and where on them something is. */
interface Measures
{
    /**
     * @param  string  $picture  its plain name
     * @return array{int, int}|null width and height; null when there is no such picture
     */
    public function size(string $picture): ?array;

    /** The box of a plate's outline in its picture's pixels: of all that is covered by half or more; null when nothing is. */
    public function box(Strip $plate): ?Bounds;

    /** Whether something cuts a plate out: masks, or its picture's own transparency. */
    public function isCutOut(Strip $plate): bool;
}
