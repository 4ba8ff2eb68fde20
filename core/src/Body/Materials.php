<?php

declare(strict_types=1);

namespace Aumbrel\Core\Body;

use Aumbrel\Core\Color\Clusters;

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
            $more = Clusters::settled($points, [...$means, self::furthest($points, $means)], self::ROUNDS);
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
            : array_map(fn (float $red, float $blue): int => Clusters::nearest($red, $blue, $this->means), $surface->reds, $surface->blues);
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
        $far = array_map(static fn (array $point): float => self::apart($point, $means), $points);
        asort($far);

        return $points[array_keys($far)[(int) (0.95 * (count($far) - 1))]];
    }

    /**
     * @param  list<array{float, float}>  $points
     * @param  non-empty-list<array{float, float}>  $means
     */
    private static function spread(array $points, array $means): float
    {
        return array_sum(array_map(static fn (array $point): float => self::apart($point, $means), $points));
    }

    /**
     * The square of how far a point is from the nearest of them.
     *
     * @param  array{float, float}  $point
     * @param  non-empty-list<array{float, float}>  $means
     */
    private static function apart(array $point, array $means): float
    {
        [$red, $blue] = $means[Clusters::nearest($point[0], $point[1], $means)];

        return ($point[0] - $red) ** 2 + ($point[1] - $blue) ** 2;
    }
}
