<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\Color\Luma;

/** Counts the tones of a picture. */
final class Tones
{
    public const COUNT = 256;

    /**
     * @param  string  $bytes  red, green, blue, alpha
     * @return list<int> how many pixels have each luma; those that are not there at all are left out
     */
    public static function counted(string $bytes): array
    {
        $counts = array_fill(0, self::COUNT, 0);
        foreach (unpack('V*', $bytes) ?: [] as $pixel) {
            if (! is_int($pixel)) {
                $pixel = 0;
            }
            if ($pixel >> 24 > 0) {
                $counts[(int) (Luma::of($pixel & 255, $pixel >> 8 & 255, $pixel >> 16 & 255) + 0.5)]++;
            }
        }

        /** @var list<int> $counts changed only where it had values already */
        return $counts;
    }
}
