<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

/**
 * The shadows, the mids and the highlights of a picture, by its luma; at each luma the three make one:
 * s = 1 - smoothstep(0.1, 0.55), h = smoothstep(0.45, 0.9), m = 1 - s - h.
 */
enum Tones: string
{
    case All = 'all tones';
    case Shadows = 'shadows';
    case Mids = 'mids';
    case Highlights = 'highlights';

    /** @return array{class-string, string}|null of the luma; null for all of them */
    public function formula(): ?array
    {
        return match ($this) {
            self::All => null,
            self::Shadows => [self::class, 'shadows'],
            self::Mids => [self::class, 'mids'],
            self::Highlights => [self::class, 'highlights'],
        };
    }

    public static function shadows(float $luma): float
    {
        $share = ($luma - 0.1) * (1.0 / 0.45);
        $share = $share > 0.0 ? ($share < 1.0 ? $share : 1.0) : 0.0;

        return 1.0 - $share * $share * (3.0 - 2.0 * $share);
    }

    public static function highlights(float $luma): float
    {
        $share = ($luma - 0.45) * (1.0 / 0.45);
        $share = $share > 0.0 ? ($share < 1.0 ? $share : 1.0) : 0.0;

        return $share * $share * (3.0 - 2.0 * $share);
    }

    public static function mids(float $luma): float
    {
        $low = ($luma - 0.1) * (1.0 / 0.45);
        $low = $low > 0.0 ? ($low < 1.0 ? $low : 1.0) : 0.0;
        $high = ($luma - 0.45) * (1.0 / 0.45);
        $high = $high > 0.0 ? ($high < 1.0 ? $high : 1.0) : 0.0;

        return $low * $low * (3.0 - 2.0 * $low) - $high * $high * (3.0 - 2.0 * $high);
    }
}
