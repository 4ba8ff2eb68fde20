<?php

declare(strict_types=1);

namespace Aumbrel\Core\Reading;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Color\Srgb;
use Aumbrel\Core\Grade\Remedies;
use Aumbrel\Core\Kind\Family;
use Aumbrel\Core\Kind\Framed;
use Aumbrel\Core\Kind\Glows;
use Aumbrel\Core\Kind\HoldsBlack;
use Aumbrel\Core\Kind\OneTone;
use Aumbrel\Core\Scene\MaskEntry;
use Aumbrel\Core\Scene\Measures;
use Aumbrel\Core\Scene\Scene;
use Aumbrel\Core\Scene\Strip;
use Aumbrel\Core\Value\Unit;

/** What is noticed of lights that were looked at in the picture. */
final readonly class SeenLights
{
    /** A change that nobody sees. */
    private const UNSEEN = 1 / 255;

    /** A lift of the whole picture that shows as a veil. */
    private const VEIL = 2 / 255;

    /** A step that shows as an edge. */
    private const EDGE = 4 / 255;

    /** By so much what is around may be brighter than the heart. */
    private const TOLERATED = 0.02;

    /** The share of their saturation that darkened places may lose. */
    private const DRAINED = 0.25;

    /** The share of a plate's border that may be half transparent. */
    private const CUT_OFF = 0.02;

    /** How much a plate is softened whose own softness is cut off, of its shorter side. */
    private const SOFTENED = 0.015;

    private const LIFTING = [BlendMode::Screen, BlendMode::Add, BlendMode::Lighten, BlendMode::Airlight];

    /** @param  list<LightFacts>  $facts */
    public function __construct(private Scene $scene, private Measures $measures, private array $facts)
    {
    }

    /** @return list<Reading> */
    public function readings(): array
    {
        $readings = [];
        foreach ($this->facts as $facts) {
            $strip = $this->scene->find($facts->strip);
            if ($strip !== null && ! $strip->muted) {
                array_push($readings, ...array_filter([$this->heart($strip, $facts), $this->pieces($strip, $facts), $this->edge($strip, $facts), $this->veil($strip, $facts), $this->unseen($strip, $facts), $this->cutOff($strip, $facts), $this->drains($strip, $facts)]));
            }
        }

        return $readings;
    }

    private function heart(Strip $strip, LightFacts $facts): ?Reading
    {
        if ($facts->heart === null || $facts->around <= $facts->heart + self::TOLERATED || ! $strip->kind instanceof Glows) {
            return null;
        }
        $stops = round(log(max(1e-6, Srgb::decode($facts->around)) / max(1e-3, Srgb::decode($facts->heart)), 2) + 0.3, 1);
        $shells = implode(', ', array_map(static fn (string $word, float $peak): string => sprintf('%s %.2f', $word, $peak), array_keys($facts->shells), $facts->shells));

        return new Reading(
            "heart {$strip->id}", 'heart', [$strip->id],
            sprintf('%s: what lies around it (%.0f %%) is brighter than its heart (%.0f %%). At their brightest its shells have %s.', $strip->name, 100 * $facts->around, 100 * $facts->heart, $shells),
            'What shines must be the brightest of it, or it looks like a hole.', round(100 * ($facts->around - $facts->heart), 1), '%', null,
            [new Mend('hotter', sprintf('Heart %+.1f stops', min(6.0, $stops)), $strip->id, $strip->kind->hotter(min(6.0, $stops))), new Mend(Mend::ACCEPT, 'It is meant')],
        );
    }

    private function pieces(Strip $strip, LightFacts $facts): ?Reading
    {
        if ($facts->vanished === 0 || ! $strip->kind instanceof Glows) {
            return null;
        }
        $mend = $facts->keeps >= 0.1 ? [new Mend('keep the pieces', sprintf('Smaller by %.1f px only', $facts->keeps), $strip->id, $strip->kind->contractedBy($facts->keeps))] : [];

        return new Reading(
            "pieces {$strip->id}", 'pieces', [$strip->id],
            sprintf('%s: %d of its %d pieces have no heart: they are not wider than %.1f px.', $strip->name, $facts->vanished, $facts->pieces, 2 * $strip->kind->contraction()),
            'Contracting by a distance takes away what is not wider than twice that.', (float) $facts->vanished, '', null, [...$mend, new Mend(Mend::ACCEPT, 'It is meant')],
        );
    }

    private function edge(Strip $strip, LightFacts $facts): ?Reading
    {
        if ($facts->edge <= self::EDGE || ! $strip->kind instanceof Framed) {
            return null;
        }

        return new Reading(
            "edge {$strip->id}", 'edge', [$strip->id], sprintf('%s shows its straight edge in the picture: a step of %.0f of 255.', $strip->name, 255 * $facts->edge),
            'Light has no border; one sees where the picture that it comes from ends.', round(255 * $facts->edge, 1), '/255', null,
            [new Mend('cover', 'Let it run past the picture', $strip->id, $strip->kind->covering($this->scene->width, $this->scene->height)), new Mend(Mend::ACCEPT, 'It is meant')],
        );
    }

    private function veil(Strip $strip, LightFacts $facts): ?Reading
    {
        // light that was worked out may reach everywhere; what was a picture, or is flat, should have a black
        if ($facts->least < self::VEIL || ! in_array($strip->mode, self::LIFTING, true) || ! ($strip->kind instanceof HoldsBlack || $strip->kind instanceof OneTone)) {
            return null;
        }
        $mend = $strip->kind instanceof HoldsBlack ? new Mend('hold black', 'Hold its black', $strip->id, $strip->kind->holdingBlack($facts->black))
            : new Mend('keep blacks', 'Mix it by soft light', $strip->id, [], ['mode' => BlendMode::SoftLight->value]);

        return new Reading(
            "veil {$strip->id}", 'veil', [$strip->id], sprintf('%s lifts the whole picture: by %.0f of 255 even where it is weakest.', $strip->name, 255 * $facts->least),
            'A raised black under '.$strip->mode->value.' veils what should stay dark.', round(255 * $facts->least, 1), '/255', null, [$mend, new Mend(Mend::ACCEPT, 'It is meant')],
        );
    }

    private function unseen(Strip $strip, LightFacts $facts): ?Reading
    {
        if ($facts->most >= self::UNSEEN || $strip->isGroup() || $strip->kind::family() === Family::Plate) {
            return null;
        }
        $isLight = $strip->kind::family()->fadesInStops();
        $mends = $isLight && $strip->level < Unit::MOST_LEVEL ? [new Mend('brighter', 'Level +3 stops', $strip->id, [], ['level' => min(Unit::MOST_LEVEL, $strip->level + 3.0)])] : [];

        return new Reading(
            "unseen {$strip->id}", 'unseen', [$strip->id], sprintf('%s changes nothing that can be seen: at most %.1f of 255.', $strip->name, 255 * $facts->most),
            'It falls outside the picture, on what is black, on nothing that its masks leave, or under what covers it.', round(255 * $facts->most, 2), '/255', null,
            [...$mends, new Mend('mute', 'Mute it', $strip->id, [], ['muted' => true]), new Mend(Mend::ACCEPT, 'It is meant')],
        );
    }

    private function cutOff(Strip $strip, LightFacts $facts): ?Reading
    {
        if ($facts->cutOff <= self::CUT_OFF) {
            return null;
        }
        $pictures = $strip->pictures();
        $size = $pictures === [] ? null : $this->measures->size($pictures[0]);
        $soften = $size === null ? 4.0 : round(max(2.0, self::SOFTENED * min($size)), 1);

        return new Reading(
            "cut off {$strip->id}", 'cut off', [$strip->id], sprintf('%s: its soft edge is cut off by the border of its picture, over %.0f %% of that.', $strip->name, 100 * $facts->cutOff),
            'A blur needs room around what is blurred.', round(100 * $facts->cutOff, 1), '%', null,
            [new Mend('soften', sprintf('Soften its edge by %.0f px', $soften), $strip->id, ['soften' => $soften]), new Mend(Mend::ACCEPT, 'It is meant')],
        );
    }

    /** What darkens by laying grey over it takes colour away as well. */
    private function drains(Strip $strip, LightFacts $facts): ?Reading
    {
        if ($facts->drains <= self::DRAINED) {
            return null;
        }
        $mend = $strip->mode === BlendMode::Normal ? new Mend('multiply', 'Mix it by multiply', $strip->id, [], ['mode' => BlendMode::Multiply->value])
            : Mend::adding('richer', 'Give the colour back', new Addition("Colour of {$strip->name}", [...Remedies::richer($facts->drains), 'masks' => array_map(static fn (MaskEntry $mask): array => $mask->toArray(), $strip->masks)], $strip->confinedTo));

        return new Reading(
            "drains {$strip->id}", 'drains', [$strip->id], sprintf('%s takes %.0f %% of their colour from bright places that it darkens.', $strip->name, 100 * $facts->drains),
            'Less light leaves a colour as rich as it was; grey over it does not.', round(100 * $facts->drains), '%', null, [$mend, new Mend(Mend::ACCEPT, 'It is meant')],
        );
    }
}
