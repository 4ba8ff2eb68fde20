<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Kind\Plain;
use Aumbrel\Core\Kind\Surroundings;

/** For lights that fall on the body of one plate, `$of`. */
trait OnBody
{
    use Plain;

    public static function placed(Point $centre, float $span, ?string $plate = null): array
    {
        return ['of' => $plate];
    }

    public function problem(Surroundings $around): ?string
    {
        $plate = $this->of === null ? null : $around->plate($this->of);

        return match (true) {
            $this->of === null => 'A '.lcfirst(self::label()).' falls on the body of a plate: choose which one.',
            $plate === null => 'Its plate is gone: choose another one.',
            ! $around->hasOutline($this->of) && ! $plate->form()->isGiven() => 'Its plate is not cut out and has no normals, so nothing tells its form.',
            default => null,
        };
    }

    public function lights(): ?string
    {
        return $this->of;
    }
}
