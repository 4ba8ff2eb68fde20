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
}
