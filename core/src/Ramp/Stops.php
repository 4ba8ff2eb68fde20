<?php

declare(strict_types=1);

namespace Aumbrel\Core\Ramp;

use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Kernel\KernelWriter;

/**
 * The stops of a mask's gradient: offset and value 0..1, in order of offset; the ends hold.
 *
 * A midpoint belongs to the stretch after its stop and bends t to t^(ln 0.5 / ln H) (W3C CSS Images Level 4, color
 * transition hint); smooth then eases each stretch by 3t² - 2t³. Two stops at one offset make a step, at which the later
 * one holds.
 */
final readonly class Stops
{
    public const MOST = 32;

    /** @param  non-empty-list<array{offset: float, value: float, midpoint: float}>  $stops */
    private function __construct(public array $stops)
    {
    }

    /** @param  array{float, float, 2?: float}  ...$stops offset, value and midpoint of each */
    public static function of(array ...$stops): self
    {
        return self::read(array_map(
            static fn (array $stop): array => ['offset' => $stop[0], 'value' => $stop[1], 'midpoint' => $stop[2] ?? 0.5],
            array_values($stops),
        ), 'stops');
    }

    /** @throws SceneError naming $field */
    public static function read(mixed $raw, string $field): self
    {
        if (! is_array($raw) || ! array_is_list($raw) || $raw === [] || count($raw) > self::MOST) {
            throw SceneError::expected($field, 'a list of 1 to '.self::MOST.' stops', $raw);
        }
        $stops = [];
        $last = 0.0;
        foreach ($raw as $at => $stop) {
            if (! is_array($stop)) {
                throw SceneError::expected("{$field}[{$at}]", 'an object {offset, value}', $stop);
            }
            $offset = self::share($stop['offset'] ?? null, "{$field}[{$at}].offset", 0, 1);
            if ($offset < $last) {
                throw SceneError::expected("{$field}[{$at}].offset", "an offset not before the last one ({$last})", $offset);
            }
            $last = $offset;
            $stops[] = [
                'offset' => $offset,
                'value' => self::share($stop['value'] ?? null, "{$field}[{$at}].value", 0, 1),
                'midpoint' => self::share($stop['midpoint'] ?? 0.5, "{$field}[{$at}].midpoint", 0.01, 0.99),
            ];
        }

        return new self($stops);
    }

    /** The value at t, written plainly; kernels write the same as branches. */
    public function valueAt(float $t, bool $smooth): float
    {
        $last = $this->stops[0];
        foreach ($this->stops as $stop) {
            if ($t < $stop['offset']) {
                if ($stop['offset'] <= $last['offset'] || $t < $last['offset']) {
                    return $last['value'];
                }
                $share = (($t - $last['offset']) / ($stop['offset'] - $last['offset'])) ** self::bend($last['midpoint']);
                $share = $smooth ? $share * $share * (3 - 2 * $share) : $share;

                return $last['value'] + $share * ($stop['value'] - $last['value']);
            }
            $last = $stop;
        }

        return $last['value'];
    }

    /** Writes the value at the variable $t into the variable $into. */
    public function write(KernelWriter $kernel, string $t, string $into, bool $smooth): void
    {
        $last = null;
        $share = $kernel->variable('share');
        foreach ($this->stops as $stop) {
            $offset = $kernel->number($stop['offset']);
            $value = $kernel->number($stop['value']);
            if ($last === null) {
                $kernel->line("if ({$t} < {$offset}) { {$into} = {$value}; }");
            } elseif ($stop['offset'] > $last['offset']) {
                $length = $kernel->number(1 / ($stop['offset'] - $last['offset']));
                $kernel->line("elseif ({$t} < {$offset}) {");
                $kernel->line("{$share} = ({$t} - {$last['from']}) * {$length};");
                if (abs($last['midpoint'] - 0.5) > 1e-9) {
                    $kernel->line("{$share} = {$share} ** {$kernel->number(self::bend($last['midpoint']))};");
                }
                if ($smooth) {
                    $kernel->line("{$share} = {$share} * {$share} * (3.0 - 2.0 * {$share});");
                }
                $kernel->line("{$into} = {$last['start']} + {$share} * {$kernel->number($stop['value'] - $last['value'])};");
                $kernel->line('}');
            }
            $last = [...$stop, 'from' => $offset, 'start' => $value];
        }
        $kernel->line("else { {$into} = {$last['start']}; }");
    }

    /** @return list<array{offset: float, value: float, midpoint: float}> */
    public function toArray(): array
    {
        return $this->stops;
    }

    /** The power that brings the middle to a midpoint. */
    public static function bend(float $midpoint): float
    {
        return log(0.5) / log($midpoint);
    }

    /** @throws SceneError naming $field */
    public static function share(mixed $raw, string $field, float $least, float $most): float
    {
        return (is_int($raw) || is_float($raw)) && $raw >= $least && $raw <= $most
            ? (float) $raw : throw SceneError::expected($field, "a number from {$least} to {$most}", $raw);
    }
}
