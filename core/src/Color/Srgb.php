<?php

declare(strict_types=1);

namespace Aumbrel\Core\Color;

/**
 * The transfer function of IEC 61966-2-1 (sRGB), both ways.
 *
 * The power law goes on above 1, because light added in linear may exceed it; values below 0 do not occur.
 * Kernels use fitted pieces of it (`Transfer`).
 */
final class Srgb
{
    /** @return list<float> the linear value of each of 256 encoded ones */
    public static function bytesDecoded(): array
    {
        return array_map(static fn (int $byte): float => self::decode($byte / 255), range(0, 255));
    }

    /** Encoded value to linear light. */
    public static function decode(float $encoded): float
    {
        return $encoded <= 0.04045 ? $encoded / 12.92 : (($encoded + 0.055) / 1.055) ** 2.4;
    }

    /** Linear light to encoded value. */
    public static function encode(float $linear): float
    {
        return $linear <= 0.0031308 ? $linear * 12.92 : 1.055 * $linear ** (1 / 2.4) - 0.055;
    }
}
