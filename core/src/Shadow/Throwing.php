<?php

declare(strict_types=1);

namespace Aumbrel\Core\Shadow;

use Aumbrel\Core\Geometry\Bounds;
use Aumbrel\Core\Geometry\Homography;

/** How a cut-out is thrown on something: where each place of the shadow comes from, and how soft it is there. */
interface Throwing
{
    /** From a place of the picture to the place of the cut-out that is thrown there; its last row is above 0 where one is. */
    public function toSheet(): Homography;

    /** How soft the shadow is at a place of the picture; null where nothing is thrown. */
    public function softness(float $x, float $y): ?Softness;

    /** @return list<array{float, float, float}> it is seen where a x + b y + c is at least 0 for each */
    public function sides(): array;

    /** Where anything can be; null when that is everywhere. */
    public function extent(): ?Bounds;

    /** Places of the cut-out, and about it, from which anything can come; null when that cannot be told. */
    public function reach(): ?Bounds;

    public function key(): string;
}
