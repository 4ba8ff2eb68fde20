<?php

declare(strict_types=1);

namespace Aumbrel\Core\Ramp;

use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Kernel\KernelWriter;
use Closure;

/**
 * Where between its stops a ramp is: stops stand at offsets in order, and the ends hold.
 *
 * A midpoint belongs to the stretch after its stop and bends t to t^(ln 0.5 / ln H) (W3C CSS Images Level 4, color
 * transition hint); smooth then eases a stretch, or each one, by 3t² - 2t³. Two stops at one offset make a step, at which the later
 * one holds.
 */
final class Course
{
    public const MOST = 32;

    /**
     * @template T
     *
     * @param  string  $shape  what a stop looks like, for messages
     * @param  Closure(array<mixed>, string): T  $own  what a stop has beside offset, midpoint and whether the stretch after it is smooth; told the stop and its field
     * @return non-empty-list<array{offset: float, own: T, midpoint: float, smooth: bool}>
     *
     * @throws SceneError naming $field
     */
    public static function read(mixed $raw, string $field, string $shape, Closure $own): array
    {
        if (! is_array($raw) || ! array_is_list($raw) || $raw === [] || count($raw) > self::MOST) {
            throw SceneError::expected($field, 'a list of 1 to '.self::MOST.' stops', $raw);
        }
        $stops = [];
        $last = 0.0;
        foreach ($raw as $at => $stop) {
            if (! is_array($stop)) {
                throw SceneError::expected("{$field}[{$at}]", "an object {$shape}", $stop);
            }
            $offset = self::share($stop['offset'] ?? null, "{$field}[{$at}].offset", 0, 1);
            if ($offset < $last) {
                throw SceneError::expected("{$field}[{$at}].offset", "an offset not before the last one ({$last})", $offset);
            }
            $last = $offset;
            $stops[] = ['offset' => $offset, 'own' => $own($stop, "{$field}[{$at}]"), 'midpoint' => self::share($stop['midpoint'] ?? 0.5, "{$field}[{$at}].midpoint", 0.01, 0.99), 'smooth' => self::toggle($stop['smooth'] ?? false, "{$field}[{$at}].smooth")];
        }

        return $stops;
    }

    /**
     * The stops around t and the share of the later one, written plainly; kernels run the same as branches.
     *
     * @template S of array{offset: float, midpoint: float, smooth: bool}
     *
     * @param  non-empty-list<S>  $stops
     * @return array{S, S, float}
     */
    public static function at(array $stops, float $t, bool $smooth = false): array
    {
        $last = $stops[0];
        foreach ($stops as $stop) {
            if ($t < $stop['offset']) {
                if ($stop['offset'] <= $last['offset'] || $t < $last['offset']) {
                    return [$last, $last, 0.0];
                }
                $share = (($t - $last['offset']) / ($stop['offset'] - $last['offset'])) ** self::bend($last['midpoint']);

                return [$last, $stop, $smooth || $last['smooth'] ? $share * $share * (3 - 2 * $share) : $share];
            }
            $last = $stop;
        }

        return [$last, $last, 0.0];
    }

    /**
     * Writes the branches that find the place of the variable $t.
     *
     * @template S of array{offset: float, midpoint: float, smooth: bool}
     *
     * @param  non-empty-list<S>  $stops
     * @param  Closure(S): string  $hold  the text where one stop holds
     * @param  Closure(S, S, string): string  $between  the text between two, told the variable of the later one's share
     */
    public static function write(KernelWriter $kernel, array $stops, string $t, bool $smooth, Closure $hold, Closure $between): void
    {
        $last = null;
        $share = $kernel->variable('share');
        foreach ($stops as $stop) {
            if ($last === null) {
                $kernel->line("if ({$t} < {$kernel->number($stop['offset'])}) { {$hold($stop)} }");
            } elseif ($stop['offset'] > $last['offset']) {
                $kernel->line("elseif ({$t} < {$kernel->number($stop['offset'])}) {");
                $kernel->line("{$share} = ({$t} - {$kernel->number($last['offset'])}) * {$kernel->number(1 / ($stop['offset'] - $last['offset']))};");
                if (abs($last['midpoint'] - 0.5) > 1e-9) {
                    $kernel->line("{$share} = {$share} ** {$kernel->number(self::bend($last['midpoint']))};");
                }
                if ($smooth || $last['smooth']) {
                    $kernel->line("{$share} = {$share} * {$share} * (3.0 - 2.0 * {$share});");
                }
                $kernel->line("{$between($last, $stop, $share)} }");
            }
            $last = $stop;
        }
        $kernel->line("else { {$hold($last)} }");
    }

    /**
     * What every stop has, as it stands in a file.
     *
     * @param  array{offset: float, midpoint: float, smooth: bool}  $stop
     * @param  array<string, mixed>  $own  what it has beside
     * @return array<string, mixed>
     */
    public static function written(array $stop, array $own): array
    {
        return ['offset' => $stop['offset'], ...$own, 'midpoint' => $stop['midpoint'], ...($stop['smooth'] ? ['smooth' => true] : [])];
    }

    /** @throws SceneError naming $field */
    private static function toggle(mixed $raw, string $field): bool
    {
        return is_bool($raw) ? $raw : throw SceneError::expected($field, 'true or false', $raw);
    }

    /** @throws SceneError naming $field */
    public static function share(mixed $raw, string $field, float $least, float $most): float
    {
        return (is_int($raw) || is_float($raw)) && $raw >= $least && $raw <= $most
            ? (float) $raw : throw SceneError::expected($field, "a number from {$least} to {$most}", $raw);
    }

    /** The power that brings the middle to a midpoint. */
    private static function bend(float $midpoint): float
    {
        return log(0.5) / log($midpoint);
    }
}
