<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kernel;

/**
 * Powers for kernels. Where tones mostly lie one polynomial stands in for the law itself, which costs a kernel three times as
 * much: of numbers from a quarter to a little above 1 it is off by less than 0.02/255 (tested), and smaller ones are brought
 * there by fours. What is nearly black, or far above white, is worked out by the law.
 */
final class Power
{
    private const DEGREE = 6;

    /** For what is taken apart again, where errors of large numbers come to small ones: off by less than 0.002/255. */
    public const FINER = 8;

    private const FROM = 0.25;

    private const UP_TO = 1.2;

    /** So many fours. */
    private const FOURS = 3;

    /** Steeper powers are worked out by the law. */
    private const STEEPEST = 3.0;

    /** Writes a variable that is not below 0 to a power, above 0, into a variable. */
    public static function write(KernelWriter $kernel, string $base, float $power, string $into, int $degree = self::DEGREE): void
    {
        if ($power > self::STEEPEST) {
            $kernel->line("{$into} = {$base} ** {$kernel->number($power)};");

            return;
        }
        [$near, $square] = [$kernel->variable('near'), $kernel->variable('square')];
        $sum = self::inPairs(array_map($kernel->number(...), self::polynomial($power, $degree)), $near, $square);
        $kernel->line("if ({$base} >= ".self::FROM.") { if ({$base} > ".self::UP_TO.") { {$into} = {$base} ** {$kernel->number($power)}; } else { {$near} = {$base}; {$square} = {$near} * {$near}; {$into} = {$sum}; } }");
        for ($fours = 1; $fours <= self::FOURS; $fours++) {
            $kernel->line(sprintf('elseif (%s >= %.17e) { %s = %s * %d.0; %s = %s * %s; %s = %s * (%s); }', $base, self::FROM / 4 ** $fours, $near, $base, 4 ** $fours, $square, $near, $near, $into, $kernel->number(4 ** (-$fours * $power)), $sum));
        }
        $kernel->line("else { {$into} = {$base} ** {$kernel->number($power)}; }");
    }

    /**
     * A polynomial, its terms in pairs: one after the other, each waits for the one before ({@see Transfer}).
     *
     * @param  non-empty-list<string>  $terms  lowest power first
     */
    private static function inPairs(array $terms, string $near, string $square): string
    {
        $pairs = array_map(static fn (array $pair): string => isset($pair[1]) ? "({$pair[1]} * {$near} + {$pair[0]})" : $pair[0], array_chunk($terms, 2));
        $sum = array_pop($pairs);
        foreach (array_reverse($pairs) as $pair) {
            $sum = "{$pair} + {$square} * ({$sum})";
        }

        return $sum;
    }

    /**
     * Writes 2 to the power of a variable times a number, together not further from 0 than 6, into a variable: the eighth of it
     * by its series, three times squared; off by less than three hundred-thousandths of it, and 1 exactly for nothing.
     */
    public static function writeOfTwo(KernelWriter $kernel, string $exponent, float $times, string $into): void
    {
        $eighth = $kernel->variable('eighth');
        $kernel->line("{$eighth} = {$exponent} * {$kernel->number($times * M_LN2 / 8)};");
        $kernel->line("{$into} = 1.0 + {$eighth} * (1.0 + {$eighth} * (0.5 + {$eighth} * (0.16666666666666666 + {$eighth} * (0.041666666666666664 + {$eighth} * (0.008333333333333333 + {$eighth} * 0.001388888888888889)))));");
        $kernel->line("{$into} *= {$into}; {$into} *= {$into}; {$into} *= {$into};");
    }

    /**
     * Through the law at the roots of a Chebyshev polynomial: nearly the least largest error.
     *
     * @return non-empty-list<float> lowest power first
     */
    private static function polynomial(float $power, int $degree): array
    {
        $count = $degree + 1;
        $places = array_map(static fn (int $k): float => (self::FROM + self::UP_TO) / 2 + (self::UP_TO - self::FROM) / 2 * cos(M_PI * ($k + 0.5) / $count), range(0, $degree));
        $divided = array_map(static fn (float $place): float => $place ** $power, $places);
        for ($order = 1; $order < $count; $order++) {
            for ($k = $degree; $k >= $order; $k--) {
                $divided[$k] = ($divided[$k] - $divided[$k - 1]) / ($places[$k] - $places[$k - $order]);
            }
        }
        $terms = [$divided[$degree]];
        for ($k = $degree - 1; $k >= 0; $k--) {
            // times (x - place), plus the next difference
            $terms = array_map(static fn (float $same, float $lower): float => $lower - $places[$k] * $same, [...$terms, 0.0], [$divided[$k], ...$terms]);
        }

        return $terms;
    }
}
