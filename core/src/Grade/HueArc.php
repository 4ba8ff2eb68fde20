<?php

declare(strict_types=1);

namespace Aumbrel\Core\Grade;

use Aumbrel\Core\Color\HueStretch;

/** A part of the circle of hues in which no limit of a stretch lies: what is the same all over it, and what falls along it. */
final readonly class HueArc
{
    /**
     * @param  float  $from  degrees, up to 720
     * @param  array{float, float, float}  $held  turn, chroma beyond one, and lightness at the far end of it
     * @param  list<array{from: float, to: float, parts: array{float, float, float}}>  $shoulders  what is added to that at their
     *   beginning and is gone at their end
     */
    private function __construct(public float $from, public float $to, public array $held, public array $shoulders)
    {
    }

    /**
     * All of the circle, from the first limit on.
     *
     * @param  non-empty-list<HueStretch>  $stretches
     * @return non-empty-list<self>
     */
    public static function of(array $stretches): array
    {
        $limits = [];
        foreach ($stretches as $stretch) {
            array_push($limits, ...array_map(static fn (float $hue): float => fmod($hue, 360.0), $stretch->hues));
        }
        sort($limits);
        $limits = array_values(array_unique($limits));
        $arcs = [];
        foreach ($limits as $at => $from) {
            $arcs[] = self::between($stretches, $from, $limits[$at + 1] ?? $limits[0] + 360.0);
        }

        return $arcs;
    }

    public function isNothing(): bool
    {
        return $this->shoulders === [] && $this->held === [0.0, 0.0, 0.0];
    }

    /** @param  list<HueStretch>  $stretches */
    private static function between(array $stretches, float $from, float $to): self
    {
        $held = [0.0, 0.0, 0.0];
        $shoulders = [];
        foreach ($stretches as $stretch) {
            [$first, $second, $third, $fourth] = $stretch->hues;
            // where the middle of the arc lies, the way round from the first limit
            $middle = ($from + $to) / 2;
            $round = 360.0 * floor(($middle - $first) / 360.0);
            $at = $middle - $round;
            $parts = [$stretch->turn, $stretch->chroma - 1.0, $stretch->light];
            if ($at >= $fourth) {
                continue;
            }
            // a stretch that rises is all there at the end of its shoulder, one that falls is gone
            $held = $at < $third ? self::sum($held, $parts, 1.0) : $held;
            if ($at >= $second && $at <= $third) {
                continue;
            }
            [$begin, $end, $sign] = $at < $second ? [$first, $second, -1.0] : [$third, $fourth, 1.0];
            $key = ($begin + $round).' '.($end + $round);
            $shoulders[$key] = ['from' => $begin + $round, 'to' => $end + $round, 'parts' => self::sum($shoulders[$key]['parts'] ?? [0.0, 0.0, 0.0], $parts, $sign)];
        }

        return new self($from, $to, $held, array_values($shoulders));
    }

    /**
     * @param  array{float, float, float}  $to
     * @param  array{float, float, float}  $parts
     * @return array{float, float, float}
     */
    private static function sum(array $to, array $parts, float $times): array
    {
        return [$to[0] + $times * $parts[0], $to[1] + $times * $parts[1], $to[2] + $times * $parts[2]];
    }
}
