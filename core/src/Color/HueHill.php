<?php

declare(strict_types=1);

namespace Aumbrel\Core\Color;

/** How many pixels of a picture have each hue, all the way round, by how coloured they are; and the stretch that one hue belongs to. */
final readonly class HueHill
{
    /** Classes of hue, and how many degrees each has. */
    public const COUNT = 120;

    private const STEP = 360 / self::COUNT;

    /** What a fully coloured pixel counts. */
    private const WHOLE = 16;

    /** Below this chroma hues count less and less: greys have none. */
    private const GREY = 0.02;

    /** A hill is acted on down to the first share of its top, and not at all from the second on. */
    private const ALL = 0.5;

    private const NONE = 0.06;

    /** The least that is acted on to each side of a hue, the least of a shoulder, and how far a stretch goes to one side, degrees. */
    private const LEAST = 5.0;

    private const SHOULDER = 15.0;

    private const WIDEST = 60.0;

    /** @param  list<int>  $counts  of each class, the first from 0 degrees of Oklab's hue on */
    private function __construct(public array $counts)
    {
    }

    /** @param  string  $bytes  red, green, blue, alpha; pixels that are not there at all are left out */
    public static function of(string $bytes): self
    {
        $counts = array_fill(0, self::COUNT, 0);
        $linear = Srgb::bytesDecoded();
        foreach (unpack('V*', $bytes) ?: [] as $pixel) {
            if (! is_int($pixel)) {
                $pixel = 0;
            }
            if ($pixel >> 24 > 0) {
                [, $a, $b] = Oklab::ofLinear($linear[$pixel & 255], $linear[$pixel >> 8 & 255], $linear[$pixel >> 16 & 255]);
                $hue = rad2deg(atan2($b, $a));
                $counts[(int) (($hue + 360.0) / self::STEP) % self::COUNT] += (int) round(self::WHOLE * self::coloured(sqrt($a * $a + $b * $b)));
            }
        }

        /** @var list<int> $counts changed only where it had values already */
        return new self($counts);
    }

    /** How much a colour has of a hue at all, by its chroma, 0..1; for kernels to inline. */
    public static function coloured(float $chroma): float
    {
        $t = $chroma / self::GREY;
        if ($t > 1.0) {
            $t = 1.0;
        }

        return $t * $t * (3.0 - 2.0 * $t);
    }

    /** The mean hue, degrees 0..360; null where nothing has any. */
    public function mean(): ?float
    {
        [$x, $y] = [0.0, 0.0];
        foreach ($this->counts as $at => $count) {
            $hue = deg2rad(($at + 0.5) * self::STEP);
            [$x, $y] = [$x + $count * cos($hue), $y + $count * sin($hue)];
        }

        return hypot($x, $y) < 1.0 ? null : fmod(rad2deg(atan2($y, $x)) + 360.0, 360.0);
    }

    /**
     * The stretch that a hue belongs to: the hill about it, down to both of its feet.
     *
     * @return array{float, float, float, float} as {@see HueStretch} has its limits
     */
    public function around(float $hue): array
    {
        $smooth = $this->smoothed();
        $top = $this->topNear($smooth, $hue);
        [$left, $right] = [$this->foot($smooth, $top, -1), $this->foot($smooth, $top, 1)];
        $middle = ($top + 0.5) * self::STEP;
        // the hue that was picked is acted on wholly, wherever the top lies
        $off = fmod($hue - $middle + 540.0, 360.0) - 180.0;
        $all = [min($middle - $left[0], $middle + $off - self::LEAST), max($middle + $right[0], $middle + $off + self::LEAST)];
        $none = [min($middle - $left[1], $all[0] - self::SHOULDER), max($middle + $right[1], $all[1] + self::SHOULDER)];
        $round = 360.0 * floor($none[0] / 360.0);

        return array_map(static fn (float $limit): float => round($limit - $round, 1), [$none[0], $all[0], $all[1], $none[1]]);
    }

    /** @return list<float> */
    private function smoothed(): array
    {
        $smooth = [];
        foreach (array_keys($this->counts) as $at) {
            $sum = 0.0;
            foreach ([1, 3, 4, 3, 1] as $k => $weight) {
                $sum += $weight / 12 * $this->counts[($at + $k - 2 + self::COUNT) % self::COUNT];
            }
            $smooth[] = $sum;
        }

        return $smooth;
    }

    /**
     * The top of the hill on whose side a hue lies: upward for as long as it rises.
     *
     * @param  list<float>  $smooth
     */
    private function topNear(array $smooth, float $hue): int
    {
        $at = (int) floor($hue / self::STEP) % self::COUNT;
        for ($steps = 0; $steps * self::STEP < self::WIDEST / 2; $steps++) {
            [$before, $after] = [($at + self::COUNT - 1) % self::COUNT, ($at + 1) % self::COUNT];
            $higher = $smooth[$after] > $smooth[$before] ? $after : $before;
            if ($smooth[$higher] <= $smooth[$at]) {
                break;
            }
            $at = $higher;
        }

        return $at;
    }

    /**
     * How far from the top a hill has fallen to half, and to its foot: where next to nothing is left, or the next one begins.
     *
     * @param  list<float>  $smooth
     * @return array{float, float} degrees, both not below 0
     */
    private function foot(array $smooth, int $top, int $way): array
    {
        [$all, $steps, $at] = [null, 0, $top];
        while (++$steps * self::STEP < self::WIDEST) {
            $next = ($at + $way + self::COUNT) % self::COUNT;
            $all ??= $smooth[$next] < self::ALL * $smooth[$top] ? ($steps - 0.5) * self::STEP : null;
            if ($smooth[$next] <= self::NONE * $smooth[$top] || ($all !== null && $smooth[$next] > $smooth[$at])) {
                break;
            }
            $at = $next;
        }
        $none = $steps * self::STEP;

        return [$all ?? $none / 2, $none];
    }
}
