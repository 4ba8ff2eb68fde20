<?php

declare(strict_types=1);

namespace Aumbrel\Core\Air;

/** Grain that brings a plate to that of its neighbours. */
final class AlikeGrain
{
    /** How far new grain keeps to the middle tones. */
    private const MIDS = 0.6;

    /** So much more than its own is no difference: it is measured to a tenth. */
    private const ALIKE = 1.12;

    /**
     * A strip of grain without an id, as strong as the difference of squares and as coarse as the neighbours'; null when a plate
     * has as much already: it is not smoothed.
     *
     * @param  array<array-key, float>  $own  sigma, size, tone
     * @param  array<array-key, float>  $around
     * @return array{kind: string, values: array<string, float>}|null
     */
    public static function of(array $own, array $around): ?array
    {
        if ($around['sigma'] <= self::ALIKE * $own['sigma']) {
            return null;
        }
        $added = sqrt($around['sigma'] ** 2 - $own['sigma'] ** 2);

        return ['kind' => Grain::key(), 'values' => ['strength' => round(min(100.0, 100 * $added / (Grain::FULL * self::weight($own['tone']))), 1), 'coarse' => round(min(Grain::COARSEST, $around['size']), 2), 'mids' => 100 * self::MIDS]];
    }

    /** How strong grain is at a tone, of what it is at most. */
    private static function weight(float $tone): float
    {
        return max(0.05, 1 - self::MIDS + self::MIDS * 4 * $tone * (1 - $tone));
    }
}
