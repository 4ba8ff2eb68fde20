<?php

declare(strict_types=1);

namespace App\Codecs;

use Aumbrel\Core\Color\Srgb;

/** Linear light as packed rows: encoded, and where it goes above 1 all of it darker by half stops, so that what is brighter than white is kept. */
final class LinearRows
{
    /** Six stops above white; what is brighter is cut off there. */
    private const BRIGHTEST = 64.0;

    /** What becomes the largest that is stored, for a picture whose brightest value is that. */
    public static function white(float $most): float
    {
        $white = max(1.0, min(self::BRIGHTEST, $most));

        return 2 ** (ceil(2 * log($white, 2) - 1e-9) / 2);
    }

    /** One value, 16 bits. */
    public static function stored(float $value, float $white): int
    {
        return (int) (65535 * Srgb::encode(max(0.0, min(1.0, $value / $white))) + 0.5);
    }
}
