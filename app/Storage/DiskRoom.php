<?php

declare(strict_types=1);

namespace App\Storage;

/** Whether there is little room left where everything lies. */
final class DiskRoom
{
    private const LEAST_BYTES = 1024 ** 3;

    private const LEAST_SHARE = 0.05;

    public static function isLow(float $free, float $whole): bool
    {
        return $free < self::LEAST_BYTES || ($whole > 0 && $free / $whole < self::LEAST_SHARE);
    }
}
