<?php

declare(strict_types=1);

namespace Aumbrel\Core\Body;

/** What a surface is made of, told apart by its colour, which shading leaves as it is: k-means on the logarithms of red and blue over green. */
final readonly class Materials
{
    private const MOST = 4;

    /** One more is taken as long as it takes so much of the spread that is left. */
    private const WORTH = 0.5;

    private const ROUNDS = 12;

    /** @param  non-empty-list<array{float, float}>  $means */
    private function __construct(private array $means)
    {
    }

    /** @param  LitSurface  $surface  a few thousand of its pixels are enough */
    public static function of(LitSurface $surface): self
    {
        $points = array_map(static fn (float $red, float $blue): array => [$red, $blue], $surface->reds, $surface->blues);
        $count = max(1, count($points));
        $means = [[array_sum($surface->reds) / $count, array_sum($surface->blues) / $count]];
        $spread = self::spread($points, $means);
        while (count($means) < self::MOST && $spread > 1e-6 * $count) {
            $more = self::settled($points, [...$means, self::furthest($points, $means)]);
            $left = self::spread($points, $more);
            if ($left > (1 - self::WORTH) * $spread) {
                break;
            }
            [$means, $spread] = [$more, $left];
        }

        return new self($means);
    }

    /** @return list<int> of each pixel its material */
    public function in(LitSurface $surface): array
    {
        return count($this->means) === 1 ? array_fill(0, count($surface->places), 0)
            : array_map(fn (float $red, float $blue): int => self::nearest($red, $blue, $this->means)[0], $surface->reds, $surface->blues);
    }

    /**
     * What lies far from every mean: not the furthest, which is an outlier, but one that a few in a hundred lie beyond.
     *
     * @param  list<array{float, float}>  $points
     * @param  non-empty-list<array{float, float}>  $means
     * @return array{float, float}
     */
    private static function furthest(array $points, array $means): array
    {
        $far = array_map(static fn (array $point): float => self::nearest($point[0], $point[1], $means)[1], $points);
        asort($far);

        return $points[array_keys($far)[(int) (0.95 * (count($far) - 1))]];
    }

    /**
     * @param  list<array{float, float}>  $points
     * @param  non-empty-list<array{float, float}>  $means
     * @return non-empty-list<array{float, float}>
     */
    private static function settled(array $points, array $means): array
    {
        for ($round = 0; $round < self::ROUNDS; $round++) {
            $sums = array_fill(0, count($means), [0.0, 0.0, 0]);
            foreach ($points as [$red, $blue]) {
                [$k] = self::nearest($red, $blue, $means);
                $sums[$k] = [$sums[$k][0] + $red, $sums[$k][1] + $blue, $sums[$k][2] + 1];
            }
            foreach ($sums as $k => [$red, $blue, $count]) {
                $means[$k] = $count > 0 ? [$red / $count, $blue / $count] : $means[$k];
            }
        }

        return $means;
    }

    /**
     * @param  list<array{float, float}>  $points
     * @param  non-empty-list<array{float, float}>  $means
     */
    private static function spread(array $points, array $means): float
    {
        return array_sum(array_map(static fn (array $point): float => self::nearest($point[0], $point[1], $means)[1], $points));
    }

    /**
     * @param  non-empty-list<array{float, float}>  $means
     * @return array{int, float} which one, and the square of how far it is
     */
    private static function nearest(float $red, float $blue, array $means): array
    {
        [$best, $least] = [0, INF];
        foreach ($means as $k => [$r, $b]) {
            $square = ($red - $r) ** 2 + ($blue - $b) ** 2;
            if ($square < $least) {
                [$best, $least] = [$k, $square];
            }
        }

        return [$best, $least];
    }
}
