<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

use Aumbrel\Core\Stage\Footing;

/** A plate as a source's light finds it. */
final readonly class PlacedPlate
{
    /** @param  float  $size  the shorter side of its box, scene pixels */
    public function __construct(public string $id, public string $name, public Stance $stance, public bool $isCutOut, public Footing $footing, public float $size)
    {
    }
}
