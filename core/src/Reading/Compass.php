<?php

declare(strict_types=1);

namespace Aumbrel\Core\Reading;

use Aumbrel\Core\Bearing\Bearing;
use Aumbrel\Core\Color\LightColour;
use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Kind\Directed;
use Aumbrel\Core\Kind\Pictured;
use Aumbrel\Core\Kind\Shapely;
use Aumbrel\Core\Scene\Footings;
use Aumbrel\Core\Scene\Hanging;
use Aumbrel\Core\Scene\Measures;
use Aumbrel\Core\Scene\Scene;
use Aumbrel\Core\Scene\Strip;
use Aumbrel\Core\Stage\Footing;
use Aumbrel\Core\Stage\SceneSource;

/** Where the light of every plate, of every light and of every source comes from, and who disagrees with whom. */
final readonly class Compass
{
    /** A mirrored plate whose light is off by less is better than one that is relit, degrees. */
    private const MIRRORED = 25.0;

    /** @var list<Sight> plates, back to front, then lights, then sources */
    public array $sights;

    /** @var list<Disagreement> every pair that is compared, whether it is said or not */
    public array $pairs;

    private Footings $footings;

    public function __construct(private Scene $scene, private Measures $measures)
    {
        $hanging = new Hanging($scene, $measures);
        $this->footings = $hanging->footings;
        $plates = $lights = [];
        $all = array_values(array_filter($hanging->resolved()->everyStrip(), static fn (Strip $strip): bool => ! $strip->muted));
        foreach ($all as $strip) {
            $bearing = $strip->kind instanceof Pictured ? $strip->kind->bearing() : null;
            $found = $strip->kind instanceof Pictured ? $strip->kind->found() : null;
            if ($strip->kind instanceof Pictured && $bearing !== null && $found !== null) {
                $plates[$strip->id] = new Sight($strip->id, $strip->name, false, $bearing, $found->spread, $found->confidence, $this->footings->of($strip->id), by: $found->method->value);
            }
        }
        foreach ($all as $strip) {
            $sight = $strip->kind instanceof Directed ? $this->light($strip, $strip->kind, $all, $plates) : null;
            if ($sight !== null) {
                $lights[] = $sight;
            }
        }
        $plates = array_map(fn (Sight $plate): Sight => $this->evened($plate, $lights), $plates);
        $from = $plates === [] ? $this->subject($all) : array_key_last($plates);
        $sources = array_map(fn (SceneSource $source): Sight => $this->source($source, $from === null ? null : (string) $from), $scene->sources);
        $this->sights = [...array_values($plates), ...$lights, ...$sources];
        $this->pairs = self::pairs($plates, $lights);
    }

    /**
     * A plate whose own light was taken down: that counts for less, and the strongest light that its form answers takes its place.
     *
     * @param  list<Sight>  $lights
     */
    private function evened(Sight $plate, array $lights): Sight
    {
        $kind = $this->scene->find($plate->strip)?->kind;
        $amount = $kind instanceof Pictured ? $kind->evened() : 0.0;
        if ($amount <= 0.0) {
            return $plate;
        }
        $key = null;
        foreach ($lights as $light) {
            $strip = $light->of === $plate->strip ? $this->scene->find($light->strip) : null;
            if ($strip?->kind instanceof Shapely && ($key === null || $strip->level > $key[1])) {
                $key = [$light, $strip->level];
            }
        }
        if ($key === null) {
            return $plate->as($plate->bearing, $plate->spread + $amount * (180 - $plate->spread), (1 - $amount) * $plate->confidence);
        }
        [$own, $new] = [$plate->bearing->vector(), $key[0]->bearing->vector()];
        $between = array_map(static fn (float $one, float $other): float => $one + $amount * ($other - $one), $own, $new);

        return $plate->as(array_sum(array_map(abs(...), $between)) < 1e-6 ? $key[0]->bearing : Bearing::toward(...$between), (1 - $amount) * $plate->spread, $plate->confidence, $amount > 0.5 ? $key[0] : null);
    }

    /** What is turned when a plate or a light is: of a relit plate the light that took the place of its own. */
    public function turns(string $id): string
    {
        return $this->sight($id)?->relitBy->strip ?? $id;
    }

    /**
     * The values that make a light come from elsewhere, or say that a plate is lit from there.
     *
     * @return array<string, mixed>
     *
     * @throws SceneError when it is neither, or a light without a place to be seen from
     */
    public function turning(string $id, Bearing $bearing): array
    {
        $strip = $this->scene->find($id) ?? throw new SceneError('strip', "there is no strip \"{$id}\" in this scene");
        if ($strip->kind instanceof Pictured) {
            return $strip->kind->litFrom($bearing);
        }
        if ($strip->source !== null) {
            throw new SceneError('turn', "{$strip->name} hangs on a source: turn that, or let it go");
        }
        $aim = $strip->kind instanceof Directed ? $strip->kind->aim() : null;
        $from = $this->sight($id)->from ?? ($aim === null ? null : new Footing($aim));
        if (! $strip->kind instanceof Directed || $from === null) {
            throw new SceneError('turn', "{$strip->name} comes from nowhere that could be turned");
        }

        return $strip->kind->turnedTo($bearing, $from, $this->scene->stage);
    }

    /** Where the light of a plate should come from: from the scene's source, as seen from it; or as on the lowest other plate whose light is known. Null where nothing tells. */
    public function wantedFor(string $plate): ?Bearing
    {
        foreach ($this->scene->sources as $source) {
            if (! $source->muted) {
                return $source->kind->bearingFrom($this->footings->of($plate), $this->scene->stage->camera);
            }
        }
        foreach ($this->sights as $sight) {
            if (! $sight->isLight && $sight->strip !== $plate) {
                return $sight->bearing;
            }
        }

        return null;
    }

    /** How far off the scene's light a plate's own would be if it were mirrored, degrees; null where that would not do. */
    public function mirroredIsOff(string $plate): ?float
    {
        $kind = $this->scene->find($plate)?->kind;
        [$own, $wanted] = [$kind instanceof Pictured ? $kind->bearing() : null, $this->wantedFor($plate)];
        $off = $own === null || $wanted === null ? INF : $own->mirrored()->angleTo($wanted);

        return $own !== null && $wanted !== null && $off < self::MIRRORED && $off < $own->angleTo($wanted) ? round($off, 1) : null;
    }

    /**
     * The values that let a source's light come from elsewhere, as the compass sees it.
     *
     * @return array<string, mixed>
     */
    public function turningSource(SceneSource $source, Bearing $bearing, ?Footing $from = null): array
    {
        $from ??= $this->sight(SceneSource::NAMED.$source->id)?->from;

        return $source->kind->turnedTo($bearing, $from ?? $this->footings->of(null), $this->scene->stage->camera);
    }

    public function sight(string $strip): ?Sight
    {
        foreach ($this->sights as $sight) {
            if ($sight->strip === $strip) {
                return $sight;
            }
        }

        return null;
    }

    /**
     * A light is seen from the plate that it lights: the one that it names, that it is confined to, or the foremost one that
     * it aims at; when there is none, from where it aims. One in a closed group falls on nothing outside.
     *
     * @param  list<Strip>  $all
     * @param  array<string, Sight>  $known
     */
    private function light(Strip $strip, Directed $light, array $all, array $known): ?Sight
    {
        $aim = $light->aim();
        $named = $light->lights() ?? $strip->confinedTo;
        $reached = array_flip(array_map(static fn (Strip $beside): string => $beside->id, $this->scene->besides($strip->id)));
        $plate = match (true) {
            $named !== null => isset($reached[$named]) ? $this->scene->find($named) : null,
            $aim !== null => $this->aimedAt($aim, $all, array_intersect_key($known, $reached)),
            default => null,
        };
        $isSeenFromPlate = $plate !== null && $plate->kind instanceof Pictured && ($aim === null || $this->isSubject($plate, $all));
        $from = $isSeenFromPlate ? $this->footings->of($plate->id) : ($aim === null ? null : new Footing($aim));

        return $from === null ? null
            : new Sight($strip->id, $strip->name, true, $light->bearingFrom($from, $this->scene->stage), 0, 1, $from, $plate?->id, $this->swatch($light->colour()), source: $strip->source);
    }

    /**
     * @param  list<Strip>  $all
     * @param  array<string, Sight>  $known  plates that may be meant, by their bearing
     */
    private function aimedAt(Point $aim, array $all, array $known): ?Strip
    {
        $found = null;
        foreach ($all as $strip) {
            if (! $strip->kind instanceof Pictured || ! isset($known[$strip->id])) {
                continue;
            }
            $size = $this->measures->size($strip->kind->picture());
            if ($size === null) {
                continue;
            }
            $at = $strip->kind->placement(...$size)->toPicture($aim);
            if ($at->x >= 0 && $at->y >= 0 && $at->x <= $size[0] && $at->y <= $size[1]) {
                $found = $strip;
            }
        }

        return $found;
    }

    /**
     * The lowest plate is the place, not a subject in it: its light is judged where it falls.
     *
     * @param  list<Strip>  $all
     */
    private function isSubject(Strip $plate, array $all): bool
    {
        foreach ($all as $strip) {
            if ($strip->kind instanceof Pictured) {
                return $strip->id !== $plate->id;
            }
        }

        return false;
    }

    /** A source, as seen from the foremost plate whose light is known, or else from the foremost subject. */
    private function source(SceneSource $source, ?string $plate): Sight
    {
        $from = $this->footings->of($plate);

        return new Sight(SceneSource::NAMED.$source->id, $source->name, true, $source->kind->bearingFrom($from, $this->scene->stage->camera), 0, 1, $from, $plate, $this->swatch($source->kind->colour()));
    }

    /** @param  list<Strip>  $all */
    private function subject(array $all): ?string
    {
        $plates = array_filter($all, fn (Strip $strip): bool => $strip->kind instanceof Pictured && $this->isSubject($strip, $all));

        return $plates === [] ? null : $plates[array_key_last($plates)]->id;
    }

    private function swatch(LightColour $colour): string
    {
        return $colour->linear($this->scene->white)->encoded()->toHex();
    }

    /**
     * Every plate is compared with the lowest one whose light is known, every light with the plate that it is seen from.
     *
     * @param  array<string, Sight>  $plates
     * @param  list<Sight>  $lights
     * @return list<Disagreement>
     */
    private static function pairs(array $plates, array $lights): array
    {
        $pairs = [];
        $ground = $plates === [] ? null : $plates[array_key_first($plates)];
        foreach ($plates as $plate) {
            if ($ground !== null && $plate !== $ground) {
                $pairs[] = new Disagreement($ground, $plate);
            }
        }
        foreach ($lights as $light) {
            $plate = $light->of === null ? null : $plates[$light->of] ?? null;
            if ($plate !== null) {
                $pairs[] = new Disagreement($plate, $light);
            }
        }

        return $pairs;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'sights' => array_map(static fn (Sight $sight): array => $sight->toArray(), $this->sights),
            'arcs' => array_map(static fn (Disagreement $pair): array => $pair->toArray(), array_values(array_filter($this->pairs, static fn (Disagreement $pair): bool => $pair->isSaid()))),
        ];
    }
}
