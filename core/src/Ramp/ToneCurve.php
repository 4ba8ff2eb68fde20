<?php

declare(strict_types=1);

namespace Aumbrel\Core\Ramp;

use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Kernel\KernelWriter;

/**
 * A curve through points that never swings past them: Fritsch, Carlson, *Monotone piecewise cubic interpolation* (1980). Below
 * the first point it has its value, above the last one its value and what lies above 1.
 */
final readonly class ToneCurve
{
    public const MOST = 16;

    /** Points are at least this far apart. */
    private const NEAREST = 0.001;

    /**
     * @param  non-empty-list<array{float, float}>  $points  encoded tones before and after, by what they are before
     * @param  list<float>  $slopes  one a point
     */
    private function __construct(private array $points, private array $slopes)
    {
    }

    /** Every tone as it is. */
    public static function straight(): self
    {
        return self::through([[0.0, 0.0], [1.0, 1.0]]);
    }

    /** @throws SceneError naming $field */
    public static function read(mixed $raw, string $field): self
    {
        if (! is_array($raw) || ! array_is_list($raw) || count($raw) < 2 || count($raw) > self::MOST) {
            throw SceneError::expected($field, 'a list of 2 to '.self::MOST.' points [before, after]', $raw);
        }
        $points = [];
        foreach ($raw as $at => $point) {
            [$before, $after] = self::point($point, "{$field}[{$at}]");
            if ($points !== [] && $before < $points[count($points) - 1][0] + self::NEAREST) {
                throw new SceneError("{$field}[{$at}]", "the points cross: the tone {$before} does not come after the last one, {$points[count($points) - 1][0]}");
            }
            $points[] = [$before, $after];
        }

        /** @var non-empty-list<array{float, float}> $points at least two */
        return self::through($points);
    }

    /**
     * @return array{float, float}
     *
     * @throws SceneError naming $field
     */
    private static function point(mixed $raw, string $field): array
    {
        $shares = is_array($raw) && array_is_list($raw) ? array_filter($raw, static fn (mixed $value): bool => (is_int($value) || is_float($value)) && $value >= 0 && $value <= 1) : [];
        if (! is_array($raw) || count($raw) !== 2 || count($shares) !== 2) {
            throw SceneError::expected($field, 'two numbers from 0 to 1: a tone before and after', $raw);
        }
        [$before, $after] = array_map(floatval(...), $shares);

        return [$before, $after];
    }

    public function isStraight(): bool
    {
        return $this->points === [[0.0, 0.0], [1.0, 1.0]];
    }

    /** What becomes of one encoded tone, written plainly; kernels run the same. */
    public function of(float $tone): float
    {
        $last = count($this->points) - 1;
        if ($tone < $this->points[0][0]) {
            return $this->points[0][1];
        }
        if ($tone >= $this->points[$last][0]) {
            return $this->points[$last][1] + max(0.0, $tone - 1.0);
        }
        for ($at = 0; $tone >= $this->points[$at + 1][0]; $at++);
        [$c0, $c1, $c2, $c3] = $this->piece($at);
        $t = $tone - $this->points[$at][0];

        return (($c3 * $t + $c2) * $t + $c1) * $t + $c0;
    }

    /** Writes what becomes of the variable $tone into the variable $into, as {@see of()} says. */
    public function write(KernelWriter $kernel, string $tone, string $into): void
    {
        [$points, $last] = [$this->points, count($this->points) - 1];
        $t = $kernel->variable('t');
        // white first: it is where most of what lies above goes on
        $kernel->line("if ({$tone} >= {$kernel->number($points[$last][0])}) { {$into} = {$tone} > 1.0 ? {$kernel->number($points[$last][1] - 1.0)} + {$tone} : {$kernel->number($points[$last][1])}; }");
        if ($points[0][0] > 0.0) {
            $kernel->line("elseif ({$tone} < {$kernel->number($points[0][0])}) { {$into} = {$kernel->number($points[0][1])}; }");
        }
        for ($at = 0; $at < $last; $at++) {
            [$c0, $c1, $c2, $c3] = array_map($kernel->number(...), $this->piece($at));
            $kernel->line(($at < $last - 1 ? "elseif ({$tone} < {$kernel->number($points[$at + 1][0])})" : 'else')." { {$t} = {$tone} - {$kernel->number($points[$at][0])}; {$into} = (({$c3} * {$t} + {$c2}) * {$t} + {$c1}) * {$t} + {$c0}; }");
        }
    }

    /** @return list<array{float, float}> */
    public function toArray(): array
    {
        return $this->points;
    }

    /**
     * The polynomial from one point to the next, of how far the tone is past the point.
     *
     * @return array{float, float, float, float}
     */
    private function piece(int $at): array
    {
        [[$x, $y], [$nextX, $nextY]] = [$this->points[$at], $this->points[$at + 1]];
        [$m, $nextM, $h] = [$this->slopes[$at], $this->slopes[$at + 1], $nextX - $x];
        $secant = ($nextY - $y) / $h;

        return [$y, $m, (3 * $secant - 2 * $m - $nextM) / $h, ($m + $nextM - 2 * $secant) / ($h * $h)];
    }

    /** @param  non-empty-list<array{float, float}>  $points */
    private static function through(array $points): self
    {
        $secants = [];
        for ($at = 0; $at + 1 < count($points); $at++) {
            $secants[] = ($points[$at + 1][1] - $points[$at][1]) / ($points[$at + 1][0] - $points[$at][0]);
        }
        $last = count($secants) - 1;
        $slopes = [$secants[0]];
        for ($at = 1; $at <= $last; $at++) {
            $slopes[] = $secants[$at - 1] * $secants[$at] <= 0.0 ? 0.0 : ($secants[$at - 1] + $secants[$at]) / 2;
        }
        $slopes[] = $secants[$last];
        foreach ($secants as $at => $secant) {
            if ($secant === 0.0) {
                $slopes[$at] = $slopes[$at + 1] = 0.0;

                continue;
            }
            [$a, $b] = [$slopes[$at] / $secant, $slopes[$at + 1] / $secant];
            if ($a * $a + $b * $b > 9.0) {
                $times = 3.0 / sqrt($a * $a + $b * $b);
                $slopes[$at] *= $times;
                $slopes[$at + 1] *= $times;
            }
        }

        return new self($points, array_values($slopes));
    }
}
