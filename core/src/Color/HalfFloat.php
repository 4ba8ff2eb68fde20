<?php

declare(strict_types=1);

namespace Aumbrel\Core\Color;

/** Numbers of 16 bits with a floating point: IEEE 754-2008, binary16. */
final class HalfFloat
{
    /** @var list<float>|null all of them */
    private static ?array $values = null;

    /**
     * @param  list<int>  $bits
     * @return list<float> 0 for what is no finite number
     */
    public static function all(array $bits): array
    {
        $values = self::$values ??= array_map(self::of(...), range(0, 65535));
        $floats = [];
        foreach ($bits as $one) {
            $floats[] = $values[$one];
        }

        return $floats;
    }

    private static function of(int $bits): float
    {
        [$sign, $exponent, $fraction] = [$bits >> 15 === 0 ? 1 : -1, $bits >> 10 & 31, $bits & 1023];

        return match ($exponent) {
            0 => $sign * $fraction * 2 ** -24,
            31 => 0.0,
            default => $sign * (1 + $fraction / 1024) * 2.0 ** ($exponent - 15),
        };
    }

    /**
     * The nearest ones; what is beyond the largest becomes that.
     *
     * @param  list<float>  $values
     * @return list<int>
     */
    public static function bits(array $values): array
    {
        $bits = [];
        // as floats of 32 bits they have sign, exponent and fraction already
        /** @var array<int, int> $singles */
        $singles = unpack('V*', pack('g*', ...$values)) ?: [];
        foreach ($singles as $single) {
            $exponent = ($single >> 23 & 255) - 112;
            $fraction = $single & 0x7FFFFF;
            $bits[] = $single >> 16 & 0x8000 | match (true) {
                $exponent >= 31 => 0x7BFF,
                // rounded, and a carry goes into the exponent as it should
                $exponent > 0 => min(0x7BFF, ($exponent << 10) + ($fraction + 0x0FFF + ($fraction >> 13 & 1) >> 13)),
                $exponent > -11 => self::small($fraction | 0x800000, 14 - $exponent),
                default => 0,
            };
        }

        return $bits;
    }

    /** Below the smallest with a full fraction: shifted, and rounded to even. */
    private static function small(int $fraction, int $by): int
    {
        $kept = $fraction >> $by;
        $rest = $fraction & (1 << $by) - 1;
        $half = 1 << $by - 1;

        return $kept + ($rest > $half || ($rest === $half && ($kept & 1) === 1) ? 1 : 0);
    }
}
