<?php

declare(strict_types=1);

namespace Aumbrel\Core\Reading;

use Aumbrel\Core\Air\AlikeGrain;
use Aumbrel\Core\Color\Difference;
use Aumbrel\Core\Color\Oklab;
use Aumbrel\Core\Grade\Remedies;
use Aumbrel\Core\Kind\Pictured;
use Aumbrel\Core\Raster\EdgeWidth;
use Aumbrel\Core\Scene\Measures;
use Aumbrel\Core\Scene\Scene;
use Aumbrel\Core\Scene\Strip;

/** What is noticed of plates beside what lies around them. */
final readonly class SeenPlates
{
    /** Colours that are further apart are not of one place: CIEDE2000. */
    private const COLOURS = 12.0;

    /** A match leaves them as near as this. */
    private const MATCHED = 10.0;

    /** Grain that differs by a larger share shows, where the coarser of the two can be seen at all. */
    private const GRAIN = 1 / 3;

    private const SEEN = 2.5 / 255;

    /** The share of an outline that may have a rim. */
    private const FRINGE = 0.25;

    /** A wide one is cut off by so much, px of its picture. */
    private const RIM = 2.0;

    /** An outline is too sharp when edges around it are so many times as wide, and by so many pixels wider. */
    private const SHARPER = 1.8;

    private const BY = 1.2;

    /** @param  list<PlateFacts>  $facts */
    public function __construct(private Scene $scene, private Measures $measures, private array $facts)
    {
    }

    /** @return list<Reading> */
    public function readings(): array
    {
        $readings = [];
        foreach ($this->facts as $facts) {
            $strip = $this->scene->find($facts->strip);
            if ($strip !== null && ! $strip->muted && $strip->kind instanceof Pictured) {
                array_push($readings, ...array_filter([$this->fringe($strip, $facts), $this->sharp($strip, $strip->kind, $facts), $this->grain($strip, $facts), $this->colours($strip, $facts)]));
            }
        }

        return $readings;
    }

    private function grain(Strip $strip, PlateFacts $facts): ?Reading
    {
        [$own, $around] = [$facts->grain[0] ?? null, $facts->grainAround[0] ?? null];
        if ($facts->grain === null || $facts->grainAround === null || $own === null || $around === null || max($own, $around) < self::SEEN || abs($own - $around) <= self::GRAIN * $around) {
            return null;
        }
        [$finer, $coarser] = $own < $around ? [$facts->grain, $facts->grainAround] : [$facts->grainAround, $facts->grain];
        $grain = AlikeGrain::of(self::named($finer), self::named($coarser));
        $isClean = $own < $around;
        $mend = $grain === null ? [] : [Mend::adding('grain', $isClean ? sprintf('Grain as its neighbours: %.1f of 255', 255 * $around) : sprintf('As much beneath it: %.1f of 255', 255 * $own),
            new Addition($isClean ? "Grain of {$strip->name}" : "Grain beneath {$strip->name}", $grain, $isClean ? $strip->id : null, $isClean ? null : $strip->id))];

        return new Reading(
            "grain {$strip->id}", 'grain', [$strip->id], sprintf('%s has grain of %.1f of 255, what lies around it %.1f.', $strip->name, 255 * $own, 255 * $around),
            $isClean ? 'Smoothness betrays what was put in.' : 'What is grainier than its surroundings was taken with another light.', round(255 * $own, 1), '/255', null, [...$mend, new Mend(Mend::ACCEPT, 'It is meant')],
        );
    }

    private function colours(Strip $strip, PlateFacts $facts): ?Reading
    {
        if ($facts->own === null || $facts->around === null) {
            return null;
        }
        $apart = Difference::of(Oklab::toLinear(...$facts->own), Oklab::toLinear(...$facts->around));
        if ($apart <= self::COLOURS) {
            return null;
        }

        return new Reading(
            "colours {$strip->id}", 'colours', [$strip->id], sprintf('%s and what lies around it are %.0f apart in colour (CIEDE2000 of their means).', $strip->name, $apart),
            'One light and one air make colours alike.', round($apart, 1), '', null,
            [Mend::adding('match', 'Pull it toward what lies around', new Addition("{$strip->name} matched", Remedies::alike($facts->own, $facts->around, self::MATCHED), $strip->id)), new Mend(Mend::ACCEPT, 'It is meant')], true,
        );
    }

    private function fringe(Strip $strip, PlateFacts $facts): ?Reading
    {
        if ($facts->fringe <= self::FRINGE) {
            return null;
        }
        $values = $strip->values;
        // what is half covered can be freed of what was behind it; what is covered can only be cut off
        $mend = ! $facts->isWide && $values->number('unstain') < 100 ? new Mend('unstain', 'Take the old background out of it', $strip->id, ['unstain' => 100])
            : new Mend('shrink', sprintf('Shrink it by %.1f px', self::RIM), $strip->id, ['grow' => max(-200.0, $values->number('grow') - self::RIM)]);

        return new Reading(
            "fringe {$strip->id}", 'fringe', [$strip->id], sprintf('%s has a %s rim along %.0f %% of its outline: its old background.', $strip->name, $facts->fringeBy > 0 ? 'bright' : 'dark', 100 * $facts->fringe),
            'What was behind it once stays in pixels that are half covered.', round(100 * $facts->fringe), '%', null, [$mend, new Mend(Mend::ACCEPT, 'It is meant')],
        );
    }

    private function sharp(Strip $strip, Pictured $plate, PlateFacts $facts): ?Reading
    {
        [$own, $around] = [$facts->edge, $facts->edgesAround];
        if ($own === null || $around === null || $around < self::SHARPER * $own || $around - $own < self::BY) {
            return null;
        }
        $size = $this->measures->size($plate->picture()) ?? [1, 1];
        $scale = $plate->placement(...$size)->scale;
        // blurs add up by their squares
        $soften = round(hypot($strip->values->number('soften'), EdgeWidth::blur($own, $around) / $scale), 1);

        return new Reading(
            "sharp {$strip->id}", 'sharp', [$strip->id], sprintf('%s is cut out more sharply than anything around it: its outline is %.1f px wide, edges there %.1f px.', $strip->name, $own, $around),
            'The eye catches hard joins.', round($own, 1), 'px', null, [new Mend('soften', sprintf('Soften its edge by %.1f px', $soften), $strip->id, ['soften' => $soften]), new Mend(Mend::ACCEPT, 'It is meant')],
        );
    }

    /**
     * @param  list<float>  $grain
     * @return array{sigma: float, size: float, tone: float}
     */
    private static function named(array $grain): array
    {
        return ['sigma' => $grain[0], 'size' => $grain[1] ?? 0.0, 'tone' => $grain[2] ?? 0.5];
    }
}
