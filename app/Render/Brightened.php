<?php

declare(strict_types=1);

namespace App\Render;

/** What one strip adds, brightened by steps of half a stop until its brightest places can be judged. */
final class Brightened
{
    private const MOST = 32.0;

    /** So bright the brightest places should be, of 255. */
    private const BRIGHT = 200;

    /** The share of what there is that may be brighter than the brightest places. */
    private const SPARED = 0.002;

    /**
     * @param  string  $bytes  red, green, blue, alpha; opaque
     * @return array{string, float} the same brightened, and by how much
     */
    public static function of(string $bytes): array
    {
        /** @var array<int, int> $counts */
        $counts = count_chars($bytes, 1);
        // every fourth byte is the alpha of an opaque pixel
        $counts[255] = ($counts[255] ?? 0) - intdiv(strlen($bytes), 4);
        unset($counts[0]);
        $spared = self::SPARED * array_sum($counts);
        for ($level = 255; $level > 1 && $spared >= 0; $level--) {
            $spared -= $counts[$level] ?? 0;
        }
        $factor = min(self::MOST, 2 ** (floor(2 * log(self::BRIGHT / max(1, $level), 2)) / 2));
        if ($factor <= 1.0) {
            return [$bytes, 1.0];
        }
        $from = $to = '';
        for ($value = 0; $value < 256; $value++) {
            $from .= chr($value);
            $to .= chr((int) min(255, round($value * $factor)));
        }

        return [strtr($bytes, $from, $to), $factor];
    }
}
