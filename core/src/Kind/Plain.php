<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Geometry\Carry;
use Aumbrel\Core\Geometry\Mirror;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Stage\Stage;
use Aumbrel\Core\Value\Values;

/** What most kinds of strip have in common: every mode goes, nothing is missing, no lines, no values of their own place. */
trait Plain
{
    public function check(BlendMode $mode): void
    {
    }

    public static function placed(Point $centre, float $span, ?string $plate = null): array
    {
        return [];
    }

    public static function placedLevel(): float
    {
        return 0.0;
    }

    public static function placedAmount(): float
    {
        return 100.0;
    }

    public function mirrored(Values $own, Mirror $mirror): array
    {
        return $own->mirrored($mirror);
    }

    public static function carried(array $values, Carry $carry): array
    {
        return Values::carried(self::parameters(), $values, $carry);
    }

    public function problem(Surroundings $around): ?string
    {
        return null;
    }

    public function outlines(Stage $stage): array
    {
        return [];
    }
}
