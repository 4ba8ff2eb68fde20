<?php

declare(strict_types=1);

namespace Aumbrel\Core\Reading;

use Aumbrel\Core\Bearing\Bearing;
use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Kind\Directed;
use Aumbrel\Core\Kind\Pictured;
use Aumbrel\Core\Scene\Scene;
use Aumbrel\Core\Scene\Strip;

/** Where the light of every plate and of every light comes from, and who disagrees with whom. */
final readonly class Compass
{
    /** @var list<Sight> plates, back to front, then lights */
    public array $sights;

    /** @var list<Disagreement> every pair that is compared, whether it is said or not */
    public array $pairs;

    public function __construct(Scene $scene, private Pictures $pictures)
    {
        $plates = $lights = [];
        $all = array_values(array_filter($scene->everyStrip(), static fn (Strip $strip): bool => ! $strip->muted));
        foreach ($all as $strip) {
            $bearing = $strip->kind instanceof Pictured ? $strip->kind->bearing() : null;
            $found = $strip->kind instanceof Pictured ? $strip->kind->found() : null;
            if ($strip->kind instanceof Pictured && $bearing !== null && $found !== null) {
                $plates[$strip->id] = new Sight($strip->id, $strip->name, false, $bearing, $found->spread, $found->confidence, $this->middle($strip->kind), by: $found->method->value);
            }
        }
        foreach ($all as $strip) {
            $sight = $strip->kind instanceof Directed ? $this->light($scene, $strip, $strip->kind, $all, $plates) : null;
            if ($sight !== null) {
                $lights[] = $sight;
            }
        }
        $this->sights = [...array_values($plates), ...$lights];
        $this->pairs = self::pairs($plates, $lights);
    }

    /**
     * The values that make a light come from elsewhere, or say that a plate is lit from there.
     *
     * @return array<string, mixed>
     *
     * @throws SceneError when it is neither, or a light without a place to be seen from
     */
    public function turning(Scene $scene, string $id, Bearing $bearing): array
    {
        $strip = $scene->find($id) ?? throw new SceneError('strip', "there is no strip \"{$id}\" in this scene");
        if ($strip->kind instanceof Pictured) {
            return $strip->kind->litFrom($bearing);
        }
        $from = $this->sight($id)->seenFrom ?? ($strip->kind instanceof Directed ? $strip->kind->aim() : null);
        if (! $strip->kind instanceof Directed || $from === null) {
            throw new SceneError('turn', "{$strip->name} comes from nowhere that could be turned");
        }

        return $strip->kind->turnedTo($bearing, $from);
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
     * it aims at; when there is none, from where it aims.
     *
     * @param  list<Strip>  $all
     * @param  array<string, Sight>  $known
     */
    private function light(Scene $scene, Strip $strip, Directed $light, array $all, array $known): ?Sight
    {
        $aim = $light->aim();
        $named = $light->lights() ?? $strip->confinedTo;
        $plate = $named !== null ? $scene->find($named) : ($aim === null ? null : $this->aimedAt($aim, $all, $known));
        $isSeenFromPlate = $plate !== null && $plate->kind instanceof Pictured && ($aim === null || $this->isSubject($plate, $all));
        $place = $isSeenFromPlate ? $this->middle($plate->kind) : $aim;

        return $place === null ? null
            : new Sight($strip->id, $strip->name, true, $light->bearingFrom($place), 0, 1, $place, $plate?->id, $light->colour()->linear($scene->white)->encoded()->toHex());
    }

    /**
     * @param  list<Strip>  $all
     * @param  array<string, Sight>  $known  plates whose bearing is known
     */
    private function aimedAt(Point $aim, array $all, array $known): ?Strip
    {
        $found = null;
        foreach ($all as $strip) {
            if (! $strip->kind instanceof Pictured || ! isset($known[$strip->id])) {
                continue;
            }
            $size = $this->pictures->size($strip->kind->picture());
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

    private function middle(Pictured $plate): Point
    {
        $size = $this->pictures->size($plate->picture()) ?? [0, 0];

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
