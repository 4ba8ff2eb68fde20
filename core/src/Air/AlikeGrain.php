<?php

declare(strict_types=1);

namespace Aumbrel\Core\Air;

/** Grain that brings a plate to that of its neighbours. */
final class AlikeGrain
{
    /** How far new grain keeps to the middle tones. */
    private const MIDS = 0.6;

    /** Where grain is weaker than this at most, it is not made up for. */
    private const LEAST = 0.05;

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

        return ['kind' => Grain::key(), 'values' => ['strength' => round(min(100.0, 100 * $added / (Grain::FULL * max(self::LEAST, GrainAdded::weight($own['tone'], self::MIDS)))), 1), 'coarse' => round(min(Grain::COARSEST, $around['size']), 2), 'mids' => 100 * self::MIDS]];
    }
}
