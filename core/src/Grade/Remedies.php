<?php

declare(strict_types=1);

namespace Aumbrel\Core\Grade;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Color\Difference;
use Aumbrel\Core\Color\Oklab;
use Aumbrel\Core\Geometry\Point;

/**
 * Grades that mend what was noticed, as strips of a scene file without ids and names.
 *
 * @phpstan-type Remedy array{kind: string, values: array<string, mixed>, mode: string, masks: list<array<string, mixed>>}
 */
final class Remedies
{
    /** How far a match is pulled until its colours are near enough: shares of colour, and of lightness. */
    private const PULLS = [[0.7, 0.35], [0.8, 0.5], [0.9, 0.65], [1.0, 0.8], [1.0, 1.0]];

    /** The share of an oval in which it acts in full. */
    private const EVEN = 0.55;

    /**
     * A match that brings a plate to what lies around it until the means are nearer than that.
     *
     * @param  list<float>  $own  the mean of its colours, Oklab
     * @param  list<float>  $around
     * @param  float  $near  CIEDE2000
     * @return Remedy
     */
    public static function alike(array $own, array $around, float $near): array
    {
        foreach (self::PULLS as [$colour, $lightness]) {
            $moved = [];
            foreach ([$lightness, $colour, $colour] as $axis => $share) {
                $moved[] = $own[$axis] + $share * ($around[$axis] - $own[$axis]);
            }
            if (Difference::of(Oklab::toLinear(...$moved), Oklab::toLinear(...$around)) < $near) {
                break;
            }
        }

        return self::strip(Matching::key(), ['colourBy' => 100 * $colour, 'contrastBy' => 100 * $lightness]);
    }

    /**
     * Linear light taken down, or lifted, in an oval that fades out.
     *
     * @return Remedy
     */
    public static function spot(Point $at, float $radius, float $stops): array
    {
        return self::strip(Vignette::key(), ['stops' => $stops], BlendMode::Illuminate, [['kind' => 'radial', 'values' => ['centre' => [round($at->x, 1), round($at->y, 1)], 'radius' => round($radius, 1), 'inner' => round(self::EVEN * $radius, 1), 'smooth' => true]]]);
    }

    /** @return Remedy tones drawn apart, or together; percent */
    public static function contrast(float $by): array
    {
        return self::strip(Contrast::key(), ['contrast' => $by]);
    }

    /** @return Remedy colours that are as rich as they were before a share of that was lost */
    public static function richer(float $lost): array
    {
        return self::strip(Saturation::key(), ['saturation' => round(min(300.0, 100 / max(0.05, 1 - $lost)))]);
    }

    /**
     * @param  array<string, mixed>  $values
     * @param  list<array<string, mixed>>  $masks
     * @return Remedy
     */
    private static function strip(string $kind, array $values, BlendMode $mode = BlendMode::Normal, array $masks = []): array
    {
        return ['kind' => $kind, 'values' => $values, 'mode' => $mode->value, 'masks' => $masks];
    }
}
