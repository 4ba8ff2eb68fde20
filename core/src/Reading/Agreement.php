<?php

declare(strict_types=1);

namespace Aumbrel\Core\Reading;

use Aumbrel\Core\Bearing\Bearing;
use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Color\LightColour;
use Aumbrel\Core\Color\Oklab;
use Aumbrel\Core\Kind\Directed;
use Aumbrel\Core\Kind\Driven;
use Aumbrel\Core\Kind\OneTone;
use Aumbrel\Core\Kind\Shapely;
use Aumbrel\Core\Scene\Hanging;
use Aumbrel\Core\Scene\Scene;
use Aumbrel\Core\Scene\Strip;
use Aumbrel\Core\Stage\Footing;
use Aumbrel\Core\Stage\SceneSource;
use Aumbrel\Core\Value\LightColourValue;

/** What is noticed of lights without looking at the picture: whether those of one source agree, whether rims face a light, and tones that do nothing. */
final readonly class Agreement
{
    /** Two colours of one light may lie this far apart: 100 times their distance in Oklab. */
    private const COLOURS = 8.0;

    /** A light whose direction differs by less from that of a source is taken for that source's, degrees. */
    private const SAME_WAY = 7.0;

    /** A rim that faces a light lies on its side. */
    private const SIDE = 90.0;

    private const NEUTRAL = 2.5 / 255;

    private const GREY_MODES = [BlendMode::Overlay, BlendMode::SoftLight, BlendMode::HardLight];

    private const BLACK_MODES = [BlendMode::Screen, BlendMode::Add, BlendMode::Lighten, BlendMode::ColorDodge, BlendMode::Difference, BlendMode::Exclusion, BlendMode::Kindle, BlendMode::Airlight, BlendMode::Illuminate];

    private const WHITE_MODES = [BlendMode::Multiply, BlendMode::Darken, BlendMode::ColorBurn];

    public function __construct(private Scene $scene, private Hanging $hanging, private Compass $compass)
    {
    }

    /** @return list<Reading> */
    public function readings(): array
    {
        $readings = [];
        foreach ($this->scene->everyStrip() as $strip) {
            if (! $strip->muted) {
                array_push($readings, ...array_filter([$this->away($strip), $this->elsewhere($strip), $this->ownColour($strip), $this->besideSource($strip), $this->neutral($strip)]));
            }
        }

        return $readings;
    }

    /** A light along a plate's edge on the side that no light comes from. */
    private function away(Strip $strip): ?Reading
    {
        $kind = $strip->kind;
        $plate = $kind instanceof Directed && $strip->source === null ? $kind->lights() : null;
        if (! $kind instanceof Directed || $plate === null) {
            return null;
        }
        $from = $this->hanging->footings->of($plate);
        $own = $kind->bearingFrom($from, $this->scene->stage);
        $nearest = null;
        foreach ($this->others($strip, $from) as [$name, $bearing]) {
            $angle = $own->angleTo($bearing);
            if ($nearest === null || $angle < $nearest[2]) {
                $nearest = [$name, $bearing, $angle];
            }
        }
        if ($nearest === null || $nearest[2] <= self::SIDE) {
            return null;
        }

        return new Reading(
            "away {$strip->id}", 'away', [$strip->id], sprintf('%s lies on the side away from every light: the nearest, %s, is %.0f° off.', $strip->name, $nearest[0], $nearest[2]),
            'What faces away from every light is not lit.', round($nearest[2], 1), '°', null,
            [new Mend('turn to the light', "Turn it to {$nearest[0]}", $strip->id, $kind->turnedTo($nearest[1], $from, $this->scene->stage)), new Mend(Mend::ACCEPT, 'It is meant')],
        );
    }

    /** A light on a plate's form that comes from nowhere near any source. */
    private function elsewhere(Strip $strip): ?Reading
    {
        $kind = $strip->kind;
        $sources = array_filter($this->scene->sources, static fn (SceneSource $source): bool => ! $source->muted);
        if (! $kind instanceof Shapely || $strip->source !== null || $kind->lights() === null || $sources === [] || $this->away($strip) !== null) {
            return null;
        }
        $from = $this->hanging->footings->of($kind->lights());
        $own = $kind->bearingFrom($from, $this->scene->stage);
        $angles = array_map(fn (SceneSource $source): float => $own->angleTo($source->kind->bearingFrom($from, $this->scene->stage->camera)), $sources);
        $at = array_search(min($angles), $angles, true);
        if ($angles[$at] <= Disagreement::TOLERATED) {
            return null;
        }
        $source = $sources[$at];

        return new Reading(
            "elsewhere {$strip->id}", 'elsewhere', [$strip->id], sprintf('%s comes from elsewhere than %s: %.0f° off.', $strip->name, $source->name, $angles[$at]),
            'What stands in one light is lit by it.', round($angles[$at], 1), '°', null,
            [new Mend('turn to the source', "Turn it to {$source->name}", $strip->id, $kind->turnedTo($source->kind->bearingFrom($from, $this->scene->stage->camera), $from, $this->scene->stage)), new Mend(Mend::ACCEPT, 'It is meant')],
        );
    }

    /**
     * Sources, and lights that aim at something, as seen from a plate.
     *
     * @return list<array{string, Bearing}>
     */
    private function others(Strip $but, Footing $from): array
    {
        $others = [];
        foreach ($this->scene->sources as $source) {
            if (! $source->muted) {
                $others[] = [$source->name, $source->kind->bearingFrom($from, $this->scene->stage->camera)];
            }
        }
        foreach ($this->scene->everyStrip() as $strip) {
            if ($strip->id !== $but->id && ! $strip->muted && $strip->source === null && $strip->kind instanceof Directed && $strip->kind->lights() === null) {
                $others[] = [$strip->name, $strip->kind->bearingFrom($from, $this->scene->stage)];
            }
        }

        return $others;
    }

    /** A light that hangs on a source and has kept a colour of its own. */
    private function ownColour(Strip $strip): ?Reading
    {
        $drive = $this->hanging->drive($strip);
        $own = $drive === null || ! $strip->kind instanceof Driven || array_key_exists('colour', $strip->kind->inForce($drive)) ? null : $this->colour($strip);
        if ($drive === null || $own === null || ! $strip->values->has('takesColour')) {
            return null;
        }

        return $this->colours($strip, $own, $drive->source, "{$strip->name} hangs on {$drive->source->name} and has another colour", new Mend('take the colour', "In {$drive->source->name}'s colour", $strip->id, ['takesColour' => true]));
    }

    /** A light of its own that comes from where a source stands, in another colour. */
    private function besideSource(Strip $strip): ?Reading
    {
        $sight = $strip->source === null ? $this->compass->sight($strip->id) : null;
        if ($sight === null || ! $strip->kind instanceof Driven || ! $strip->kind instanceof Directed) {
            return null;
        }
        foreach ($this->scene->sources as $source) {
            $isTakenOn = in_array($source->kind::class, $strip->kind::hangsOn(), true) && ! $source->muted;
            if ($isTakenOn && $sight->bearing->angleTo($source->kind->bearingFrom($sight->from, $this->scene->stage->camera)) < self::SAME_WAY) {
                $reading = $this->colours($strip, $strip->kind->colour(), $source, "{$strip->name} comes from where {$source->name} stands and has another colour", new Mend('hang it', "Hang it on {$source->name}", $strip->id, [], ['source' => $source->id]));
                if ($reading !== null) {
                    return $reading;
                }
            }
        }

        return null;
    }

    private function colours(Strip $strip, LightColour $own, SceneSource $source, string $seen, Mend $mend): ?Reading
    {
        $difference = $this->difference($own, $source->kind->colour());

        return $difference <= self::COLOURS ? null : new Reading(
            "colour {$strip->id}", 'colour', [$strip->id], sprintf('%s: they are %.0f apart.', $seen, $difference),
            'Lights of one source have one colour. The number is 100 times the distance in Oklab.', round($difference, 1), '', null, [$mend, new Mend(Mend::ACCEPT, 'It is meant')],
        );
    }

    private function difference(LightColour $one, LightColour $other): float
    {
        [$a, $b] = array_map(function (LightColour $colour): array {
            $linear = $colour->linear($this->scene->white);

            return Oklab::ofLinear($linear->red, $linear->green, $linear->blue);
        }, [$one, $other]);

        return 100 * sqrt(($a[0] - $b[0]) ** 2 + ($a[1] - $b[1]) ** 2 + ($a[2] - $b[2]) ** 2);
    }

    private function colour(Strip $strip): ?LightColour
    {
        foreach ($strip->kind::parameters() as $parameter) {
            if ($parameter->name === 'colour' && $parameter->type instanceof LightColourValue) {
                return $strip->values->object('colour', LightColour::class);
            }
        }

        return null;
    }

    /** A flat tone in a mode for which it is neutral. */
    private function neutral(Strip $strip): ?Reading
    {
        $tone = $strip->kind instanceof OneTone ? $strip->kind->tone() : null;
        if ($tone === null) {
            return null;
        }
        [$level, $word] = match (true) {
            in_array($strip->mode, self::GREY_MODES, true) => [0.5, 'A middle grey'],
            in_array($strip->mode, self::BLACK_MODES, true) => [0.0, 'Black'],
            in_array($strip->mode, self::WHITE_MODES, true) => [1.0, 'White'],
            default => [INF, ''],
        };
        $off = max(abs($tone->red - $level), abs($tone->green - $level), abs($tone->blue - $level));
        if ($off > self::NEUTRAL) {
            return null;
        }
        $other = $level === 1.0 ? BlendMode::Screen : BlendMode::Multiply;

        return new Reading(
            "neutral {$strip->id}", 'neutral', [$strip->id], sprintf('%s does nothing: %s (%s) is neutral in %s.', $strip->name, lcfirst($word), $tone->toHex(), $strip->mode->value),
            'It moves no tone by more than a level or two.', round(255 * ($level + $off), 1), '/255', null,
            [new Mend('other mode', "Mix it by {$other->value}", $strip->id, [], ['mode' => $other->value]), new Mend('mute', 'Mute it', $strip->id, [], ['muted' => true]), new Mend(Mend::ACCEPT, 'It is meant')],
        );
    }
}
