<?php

declare(strict_types=1);

namespace Aumbrel\Core\Color;

/** Means and deviations of many colours in Oklab, each counted by a weight. */
final readonly class Spread
{
    /**
     * @param  array{float, float, float}  $means
     * @param  array{float, float, float}  $deviations
     * @param  float  $weight  of all of them together
     */
    private function __construct(public array $means, public array $deviations, public float $weight)
    {
    }

    /**
     * @param  array{list<float>, list<float>, list<float>}  $colours  red, green, blue, encoded
     * @param  list<float>  $weights
     */
    public static function of(array $colours, array $weights): self
    {
        $sum = 0.0;
        $sums = $squares = [0.0, 0.0, 0.0];
        foreach ($weights as $at => $weight) {
            if ($weight <= 0.0) {
                continue;
            }
            $sum += $weight;
            foreach (Oklab::ofLinear(Srgb::decode($colours[0][$at]), Srgb::decode($colours[1][$at]), Srgb::decode($colours[2][$at])) as $axis => $value) {
                $sums[$axis] += $weight * $value;
                $squares[$axis] += $weight * $value * $value;
            }
        }
        if ($sum <= 0.0) {
            return new self([0.0, 0.0, 0.0], [0.0, 0.0, 0.0], 0.0);
        }
        $mean = static fn (int $axis): float => $sums[$axis] / $sum;
        $deviation = static fn (int $axis): float => sqrt(max(0.0, $squares[$axis] / $sum - $mean($axis) ** 2));

        return new self([$mean(0), $mean(1), $mean(2)], [$deviation(0), $deviation(1), $deviation(2)], $sum);
    }
}
