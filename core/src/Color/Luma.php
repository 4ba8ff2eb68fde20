<?php

declare(strict_types=1);

namespace Aumbrel\Core\Color;

/** How bright a colour is, by the weights of Rec. ITU-R BT.709: of encoded values its luma, of linear ones its luminance. */
final class Luma
{
    public const RED = 0.2126;

    public const GREEN = 0.7152;

    public const BLUE = 0.0722;

    public static function of(float $red, float $green, float $blue): float
    {
        return self::RED * $red + self::GREEN * $green + self::BLUE * $blue;
    }
}
