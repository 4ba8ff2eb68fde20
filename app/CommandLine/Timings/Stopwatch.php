<?php

declare(strict_types=1);

namespace App\CommandLine\Timings;

use Closure;

/** Times things that are done several times; the median is what counts, machines are noisy. */
final class Stopwatch
{
    /** Milliseconds that one call takes. */
    public static function once(Closure $work): float
    {
        $started = hrtime(true);
        $work();

        return (hrtime(true) - $started) / 1e6;
    }

    /**
     * Medians of several calls of each, in turn, so that all meet the same mood of the machine.
     *
     * @param  array<string, Closure>  $works
     * @return array<string, float> milliseconds
     */
    public static function inTurn(array $works, int $rounds, int $warmUp = 2): array
    {
        $times = array_fill_keys(array_keys($works), []);
        for ($round = -$warmUp; $round < $rounds; $round++) {
            foreach ($works as $name => $work) {
                $time = self::once($work);
                if ($round >= 0) {
                    $times[$name][] = $time;
                }
            }
        }

        return array_map(self::median(...), $times);
    }

    /** @param  list<float>  $times */
    public static function median(array $times): float
    {
        sort($times);
        $middle = intdiv(count($times), 2);

        return round(count($times) % 2 === 1 ? $times[$middle] : ($times[$middle - 1] + $times[$middle]) / 2, 3);
    }
}
