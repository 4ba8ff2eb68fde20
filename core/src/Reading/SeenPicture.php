<?php

declare(strict_types=1);

namespace Aumbrel\Core\Reading;

use Aumbrel\Core\Color\Srgb;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Grade\Remedies;
use Aumbrel\Core\Kind\Family;
use Aumbrel\Core\Kind\Pictured;
use Aumbrel\Core\Kind\Shines;
use Aumbrel\Core\Scene\Scene;
use Aumbrel\Core\Scene\Strip;
use Aumbrel\Core\Value\Unit;

/** What is noticed of the picture as a whole, and, before work begins, of how it takes light. */
final readonly class SeenPicture
{
    /** The share of the picture that may be cut off at white. */
    private const CLIPPED = 0.01;

    /** The brightest place may be so much brighter than the subject. */
    private const BRIGHTER = 0.08;

    /** How wide a place is that is brought down, of the shorter side. */
    private const PLACE = 0.16;

    /** Beams are not seen on what is brighter than this, luma; what is taken down comes to a place that shows them. */
    private const TOO_BRIGHT = 0.45;

    private const SHOWS_BEAMS = 0.25;

    /** A subject with less than this between its dark and its bright parts is flat, with more than that it is modelled already: stops. */
    private const FLAT = 1.0;

    private const MODELLED = 3.0;

    /** By so much a flat one's tones are drawn apart, and a modelled one's together, percent. */
    private const CONTRAST = [40.0, -25.0];

    /** @param  list<PlateFacts>  $plates */
    public function __construct(private Scene $scene, private PictureFacts $facts, private array $plates)
    {
    }

    /** @return list<Reading> */
    public function readings(): array
    {
        $works = array_filter($this->scene->everyStrip(), static fn (Strip $strip): bool => ! $strip->muted && ! $strip->isGroup() && ! $strip->kind instanceof Pictured);
        $readings = $works === [] ? [$this->tooBright(), ...array_map($this->form(...), $this->plates)] : [$this->clipped(), $this->elsewhere()];

        return array_values(array_filter($readings));
    }

    private function clipped(): ?Reading
    {
        $by = $this->facts->clippedBy === null ? null : $this->scene->find($this->facts->clippedBy);
        if ($by === null || $this->facts->clipped <= self::CLIPPED) {
            return null;
        }
        $mend = $by->kind::family()->fadesInStops() ? new Mend('dimmer', "{$by->name}: level -1 stop", $by->id, [], ['level' => max(-Unit::MOST_LEVEL, $by->level - 1.0)])
            : new Mend('less', "{$by->name}: half as much", $by->id, [], ['amount' => round(50 * $by->amount, 1)]);

        return new Reading(
            'clipped', 'clipped', [$by->id], sprintf('%.1f %% of the picture is cut off at white, most of it by %s.', 100 * $this->facts->clipped, $by->name),
            'Where a channel is cut off, form and colour are gone.', round(100 * $this->facts->clipped, 1), '%', null, [$mend, new Mend(Mend::ACCEPT, 'It is meant')],
        );
    }

    /** The eye goes to the brightest place first. */
    private function elsewhere(): ?Reading
    {
        $subject = $this->subject();
        $plate = $subject === null ? null : $this->scene->find($subject->strip);
        if ($this->facts->brightest === null || $subject === null || $plate === null || in_array($subject->strip, $this->facts->brightestOn, true)) {
            return null;
        }
        [$x, $y, $luma] = [...$this->facts->brightest, 0.0, 0.0, 0.0];
        $by = $this->facts->brightestBy === null ? null : $this->scene->find($this->facts->brightestBy);
        // a lamp that is seen is bright, and so is a halo of the subject itself
        if ($luma - $subject->brightest <= self::BRIGHTER || $by?->kind instanceof Shines || in_array($subject->strip, $by?->values->toArray() ?? [], true) || $this->isLamp($x, $y)) {
            return null;
        }
        $on = $this->facts->brightestOn === [] ? null : $this->scene->find($this->facts->brightestOn[count($this->facts->brightestOn) - 1]);
        $stops = round(max(-3.0, min(-0.3, log(max(1e-3, Srgb::decode($subject->brightest)) / Srgb::decode($luma), 2))), 1);

        return new Reading(
            'elsewhere', 'elsewhere', [$plate->id], sprintf('The brightest place is not on %s (%.0f %%) but %s (%.0f %%).', $plate->name, 100 * $subject->brightest, $on === null ? 'beside it' : "on {$on->name}", 100 * $luma),
            'The eye goes there first.', round(100 * ($luma - $subject->brightest), 1), '%', null,
            [Mend::adding('bring down', sprintf('Bring that place down by %.1f stops', -$stops), new Addition('Brought down', Remedies::spot(new Point($x, $y), self::PLACE * min($this->scene->width, $this->scene->height), $stops))), new Mend(Mend::ACCEPT, 'It is meant')],
        );
    }

    private function isLamp(float $x, float $y): bool
    {
        foreach ($this->scene->sources as $source) {
            $seen = $source->kind->seenAt($this->scene->stage->camera);
            if ($seen !== null && hypot($seen->x - $x, $seen->y - $y) < self::PLACE * min($this->scene->width, $this->scene->height)) {
                return true;
            }
        }

        return false;
    }

    /** The plate that most is done to, by what is confined to it and by what names it; null where there is no such one. */
    private function subject(): ?PlateFacts
    {
        $done = [];
        foreach ($this->plates as $facts) {
            $done[$facts->strip] = count(array_filter($this->scene->everyStrip(), static fn (Strip $strip): bool => ! $strip->muted && ($strip->confinedTo === $facts->strip || in_array($facts->strip, $strip->values->toArray(), true))));
        }
        $most = max([0, ...$done]);
        $subjects = array_values(array_filter($this->plates, static fn (PlateFacts $facts): bool => $most > 0 && $done[$facts->strip] === $most));

        return count($subjects) === 1 ? $subjects[0] : null;
    }

    private function tooBright(): ?Reading
    {
        if ($this->facts->median <= self::TOO_BRIGHT) {
            return null;
        }
        $stops = round(log(Srgb::decode(self::SHOWS_BEAMS) / Srgb::decode($this->facts->median), 2), 1);
        $mends = [];
        foreach ($this->scene->everyStrip() as $strip) {
            if ($strip->kind::family() === Family::Plate && ! $strip->muted) {
                $mends[] = new Mend('night', sprintf('Take all plates down by %.1f stops', -$stops), $strip->id, ['exposure' => max(-6.0, $strip->values->number('exposure') + $stops)]);
            }
        }
        $first = array_shift($mends);

        return $first === null ? null : new Reading(
            'too bright', 'too bright', [$first->strip ?? ''], sprintf('Too bright for beams: half of the picture is brighter than %.0f %%.', 100 * $this->facts->median),
            'Beams, glows and lamps show on what is dark.', round(100 * $this->facts->median), '%', null, [new Mend($first->key, $first->label, $first->strip, $first->values, [], $mends), new Mend(Mend::ACCEPT, 'It is meant')], true,
        );
    }

    /** How much form the light gives a subject already. */
    private function form(PlateFacts $facts): ?Reading
    {
        $plate = $this->scene->find($facts->strip);
        if ($plate === null || ($facts->modelling >= self::FLAT && $facts->modelling <= self::MODELLED)) {
            return null;
        }
        $isFlat = $facts->modelling < self::FLAT;
        $by = self::CONTRAST[$isFlat ? 0 : 1];
        $mend = Mend::adding('form', $isFlat ? 'Draw its tones apart' : 'Draw its tones together', new Addition("Contrast of {$plate->name}", Remedies::contrast($by), $plate->id));

        return new Reading(
            "form {$plate->id}", 'form', [$plate->id], sprintf($isFlat ? '%s is too flat for two gels: %.1f stops from dark to bright.' : '%s is modelled already: %.1f stops from dark to bright.', $plate->name, $facts->modelling),
            $isFlat ? 'Two colours part along the form; without one they only mix.' : 'Paint little: what it has will show through new light.', round($facts->modelling, 1), 'stops', null, [$mend, new Mend(Mend::ACCEPT, 'It is meant')], true,
        );
    }
}
