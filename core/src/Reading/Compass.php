<?php

declare(strict_types=1);

namespace Aumbrel\Core\Reading;

use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Light\Directed;
use Aumbrel\Core\Light\Light;
use Aumbrel\Core\Plate\Plate;
use Aumbrel\Core\Scene\Scene;
use Aumbrel\Core\Scene\Strip;
use Closure;

/** Where the light of every plate and of every light comes from, and who disagrees with whom. */
final readonly class Compass
{
    /** @var list<Sight> plates, back to front, then lights */
    public array $sights;

    /** @var list<Disagreement> every pair that is compared, whether it is said or not */
    public array $pairs;

    /** @param  Closure(string): (array{int, int}|null)  $sizes  a picture's width and height by its name */
    public function __construct(Scene $scene, private Closure $sizes)
    {
        $plates = $lights = [];
        $all = array_values(array_filter($scene->everyStrip(), static fn (Strip $strip): bool => ! $strip->muted));
        foreach ($all as $strip) {
            $bearing = $strip->kind instanceof Plate ? $strip->kind->bearing() : null;
            if ($strip->kind instanceof Plate && $bearing !== null && $strip->kind->bearing !== null) {
                $found = $strip->kind->bearing;
                $plates[$strip->id] = new Sight($strip->id, $strip->name, false, $bearing, $found->spread, $found->confidence, $this->middle($strip->kind), by: $found->method->value);
            }
        }
        foreach ($all as $strip) {
            if ($strip->kind instanceof Light && $strip->kind instanceof Directed) {
                $lights[] = $this->light($scene, $strip, $strip->kind, $strip->kind, $all, $plates);
            }
        }
        $this->sights = [...array_values($plates), ...$lights];
        $this->pairs = self::pairs($plates, $lights);
    }

    /**
     * A light is seen from the plate that it is confined to, or from the foremost one that it aims at; when there is none,
     * from where it aims.
     *
     * @param  list<Strip>  $all
     * @param  array<string, Sight>  $known
     */
    private function light(Scene $scene, Strip $strip, Light $light, Directed $directed, array $all, array $known): Sight
    {
        $plate = $strip->confinedTo !== null ? $scene->find($strip->confinedTo) : $this->aimedAt($directed->aim(), $all, $known);
        $place = $plate !== null && $plate->kind instanceof Plate && $this->isSubject($plate, $all) ? $this->middle($plate->kind) : $directed->aim();

        return new Sight($strip->id, $strip->name, true, $directed->bearingFrom($place), 0, 1, $place, $plate?->id, $light->colour()->linear($scene->white)->encoded()->toHex());
    }

    /**
     * @param  list<Strip>  $all
     * @param  array<string, Sight>  $known  plates whose bearing is known
     */
    private function aimedAt(Point $aim, array $all, array $known): ?Strip
    {
        $found = null;
        foreach ($all as $strip) {
            if (! $strip->kind instanceof Plate || ! isset($known[$strip->id])) {
                continue;
            }
            $size = ($this->sizes)($strip->kind->picture);
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
            if ($strip->kind instanceof Plate) {
                return $strip->id !== $plate->id;
            }
        }

        return false;
    }

    private function middle(Plate $plate): Point
    {
        $size = ($this->sizes)($plate->picture) ?? [0, 0];

        return $plate->placement(...$size)->toScene(new Point($size[0] / 2, $size[1] / 2));
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
