<?php

declare(strict_types=1);

namespace Aumbrel\Core\Scene;

use Aumbrel\Core\Kind\Drive;
use Aumbrel\Core\Kind\Driven;
use Aumbrel\Core\Kind\Grounded;
use Aumbrel\Core\Kind\SeenFrom;
use Aumbrel\Core\Kind\StripKind;
use Aumbrel\Core\Value\Unit;

/** What hangs on the sources of a scene, and what these make of it: the step between a scene as it is written and as it is lit. */
final readonly class Hanging
{
    public Footings $footings;

    public function __construct(public Scene $scene, private Measures $measures)
    {
        $this->footings = new Footings($scene, $measures);
    }

    /** The scene with every strip as its source drives it, as its plates stand, and with what another strip's falloff leaves to it. */
    public function resolved(): Scene
    {
        foreach ($this->scene->everyStrip() as $strip) {
            if ($strip->source !== null || $strip->complements !== null || $strip->kind instanceof Grounded) {
                return $this->scene->with($this->strips($this->scene->strips));
            }
        }

        return $this->scene;
    }

    /** What drives a strip; null when nothing does. */
    public function drive(Strip $strip): ?Drive
    {
        $source = $strip->source === null ? null : $this->scene->source($strip->source);
        if ($source === null) {
            return null;
        }
        $plate = $strip->kind instanceof SeenFrom ? $strip->kind->lights() : null;

        return new Drive($source, $this->scene->stage, $this->footings->of($plate ?? $strip->confinedTo), $this->scene->white);
    }

    /**
     * The values that a strip's source gives it.
     *
     * @return array<string, mixed>
     */
    public function inForce(Strip $strip): array
    {
        $drive = $this->drive($strip);

        return $drive === null || ! $strip->kind instanceof Driven ? [] : $strip->kind->inForce($drive);
    }

    /** A strip's kind as its source drives it, and as the plates stand that it needs. */
    public function asLit(Strip $strip): StripKind
    {
        $drive = $this->drive($strip);
        $kind = $drive !== null && $strip->kind instanceof Driven ? $strip->kind->driven($drive, $strip->values) : $strip->kind;

        return $kind instanceof Grounded ? $kind->on(new Standings($this->scene, $this->measures, $this->footings, $strip->id, $this->asLit(...))) : $kind;
    }

    /** A strip's level and its source's together, within what a level can be. */
    public static function level(Strip $strip, Drive $drive): float
    {
        return max(Unit::LEAST_LEVEL, min(Unit::MOST_LEVEL, self::sum($strip, $drive)));
    }

    /** Whether the two together are more, or less, than a level can be. */
    public static function isClamped(Strip $strip, Drive $drive): bool
    {
        return abs(self::sum($strip, $drive) - self::level($strip, $drive)) > 1e-9;
    }

    private static function sum(Strip $strip, Drive $drive): float
    {
        return $strip->kind::family()->fadesInStops() ? $strip->level + $drive->source->level : 0.0;
    }

    /** A strip of a split pair has what the other one leaves: nothing where that one has no falloff. */
    private function complemented(Strip $strip): Strip
    {
        $other = $strip->complements === null ? null : $this->scene->find($strip->complements);
        if ($other === null) {
            return $strip;
        }
        $left = Complement::of($other->activeMasks());

        return $left === [] ? $strip->driven($strip->kind, $strip->level, true) : $strip->masked([...$strip->cutOut(), ...$strip->emitter(), ...$left]);
    }

    /**
     * @param  list<Strip>  $strips
     * @return list<Strip>
     */
    private function strips(array $strips): array
    {
        return array_map(function (Strip $strip): Strip {
            $strip = $this->complemented($strip);
            if ($strip->isGroup()) {
                return $strip->holding($this->strips($strip->strips));
            }
            $drive = $this->drive($strip);
            $kind = $this->asLit($strip);

            return $kind === $strip->kind ? $strip
                : $strip->driven($kind, $drive === null ? $strip->level : self::level($strip, $drive), $strip->muted || ($drive?->source->muted ?? false));
        }, $strips);
    }
}
