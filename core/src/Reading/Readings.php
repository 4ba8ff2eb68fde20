<?php

declare(strict_types=1);

namespace Aumbrel\Core\Reading;

use Aumbrel\Core\Kind\Directed;
use Aumbrel\Core\Kind\Pictured;
use Aumbrel\Core\Scene\Hanging;
use Aumbrel\Core\Scene\Measures;
use Aumbrel\Core\Scene\Scene;
use Aumbrel\Core\Stage\SceneSource;

/** What the tool notices in a scene. */
final readonly class Readings
{
    /** Proportions may differ by so much: a pixel that is left over. */
    public const OTHER_PROPORTION = 0.02;

    public Compass $compass;

    private Hanging $hanging;

    /** @param  SceneFacts  $facts  what was measured in the picture */
    public function __construct(private Scene $scene, private Measures $measures, private SceneFacts $facts = new SceneFacts)
    {
        $this->compass = new Compass($scene, $measures);
        $this->hanging = new Hanging($scene, $measures);
    }

    /** @return list<Reading> the gravest first; accepted ones are left out */
    public function all(): array
    {
        $agreement = new Agreement($this->scene, $this->hanging, $this->compass);
        $strips = $this->strips();

        return $this->notAccepted([...$this->directions(), ...$strips, ...$this->stances(), ...$this->cutOuts(), ...$this->passes(), ...(new Shadows($this->scene, $this->measures, $this->compass))->readings(), ...$agreement->readings(), ...$this->seen($strips)]);
    }

    /** @return list<Reading> those that rest on what was measured in the picture */
    public function ofPicture(): array
    {
        return $this->notAccepted($this->seen($this->strips()));
    }

    /**
     * @param  list<Reading>  $strips  those of strips that miss something
     * @return list<Reading>
     */
    private function seen(array $strips): array
    {
        // what is said to miss something is not said to do nothing as well
        $missing = array_merge(...array_map(static fn (Reading $reading): array => $reading->strips, $strips));

        $lights = array_values(array_filter($this->facts->strips, static fn (LightFacts $facts): bool => ! in_array($facts->strip, $missing, true)));

        return [
            ...(new SeenLights($this->scene, $this->measures, $lights))->readings(),
            ...(new SeenPlates($this->scene, $this->measures, $this->facts->plates))->readings(),
            ...($this->facts->picture === null ? [] : (new SeenPicture($this->scene, $this->facts->picture, $this->facts->plates))->readings()),
        ];
    }

    /**
     * @param  list<Reading>  $readings
     * @return list<Reading>
     */
    private function notAccepted(array $readings): array
    {
        return array_values(array_filter($readings, fn (Reading $reading): bool => ! in_array($reading->id, $this->scene->accepted, true)));
    }

    public function find(string $id): ?Reading
    {
        foreach ($this->all() as $reading) {
            if ($reading->id === $id) {
                return $reading;
            }
        }

        return null;
    }

    /** @return list<Reading> */
    private function directions(): array
    {
        $said = array_values(array_filter($this->compass->pairs, static fn (Disagreement $pair): bool => $pair->isSaid()));
        usort($said, static fn (Disagreement $one, Disagreement $other): int => $other->angle <=> $one->angle);

        return array_map($this->direction(...), $said);
    }

    private function direction(Disagreement $pair): Reading
    {
        [$plate, $other] = [$pair->plate, $pair->other];
        $how = $pair->spread() > 0 ? sprintf(', give or take %.0f°', $pair->spread()) : '';

        return new Reading(
            $pair->id(), 'direction', [$plate->strip, $other->strip],
            sprintf('%s and %s disagree by %.0f°%s: %s is lit %s, %s %s.', $plate->name, $other->name, $pair->angle, $how,
                $plate->name, $plate->bearing->inWords(), $other->name, $other->isLight ? 'comes '.$other->bearing->inWords() : 'is lit '.$other->bearing->inWords()),
            sprintf('One light must fall on both, or the join shows. Sureness %.0f %%.', 100 * $pair->confidence()),
            round($pair->angle, 1), '°', round($pair->confidence(), 2), $this->mends($pair),
        );
    }

    /**
     * What would bring the two together: the plate mirrored (its estimate is mirrored with it), the light turned, or
     * nothing, because it is meant.
     *
     * @return list<Mend>
     */
    private function mends(Disagreement $pair): array
    {
        $mends = [];
        // of two plates the upper one gives way; the lower one is the place
        $subject = $pair->other->isLight ? $pair->plate : $pair->other;
        $rest = $subject === $pair->plate ? $pair->other : $pair->plate;
        $strip = $this->scene->find($subject->strip);
        if ($strip !== null && $strip->kind instanceof Pictured && $subject->relitBy === null) {
            $values = $strip->kind->mirroring();
            $after = $strip->kind->bearingWith($values);
            $angle = $after?->angleTo($rest->bearing) ?? INF;
            if ($angle < $pair->angle - 5) {
                $mends[] = new Mend('mirror', sprintf('Mirror %s: %.0f° left', $subject->name, $angle), $subject->strip, $values);
            }
        }
        $light = $pair->other->isLight ? $this->scene->find($pair->other->strip) : null;
        $source = $light?->source === null ? null : $this->scene->source($light->source);
        if ($source !== null) {
            $mends[] = new Mend('turn the source', sprintf('Turn %s', $source->name), SceneSource::NAMED.$source->id, $this->compass->turningSource($source, $pair->plate->bearing, $pair->other->from));
        } elseif ($light !== null && $light->kind instanceof Directed) {
            $mends[] = new Mend('turn the light', sprintf('Turn %s', $light->name), $light->id, $light->kind->turnedTo($pair->plate->bearing, $pair->other->from, $this->scene->stage));
        }
        $mends[] = new Mend(Mend::ACCEPT, 'It is meant');

        return $mends;
    }

    /** @return list<Reading> strips that miss something and therefore do nothing */
    private function strips(): array
    {
        $readings = [];
        foreach ($this->scene->everyStrip() as $strip) {
            $problem = $strip->muted ? null : $this->hanging->asLit($strip)->problem(new Standing($strip, $this->scene, $this->measures));
            if ($problem !== null) {
                $readings[] = new Reading("strip {$strip->id}", 'strip', [$strip->id], "{$strip->name}: {$problem}", 'Until then this strip does nothing.');
            }
        }

        return $readings;
    }

    /** @return list<Reading> plates that are said to stand where there is no floor */
    private function stances(): array
    {
        $readings = [];
        foreach ($this->scene->everyStrip() as $strip) {
            if ($strip->kind instanceof Pictured && ! $strip->muted && $this->hanging->footings->standsNowhere($strip)) {
                $readings[] = new Reading("stance {$strip->id}", 'stance', [$strip->id], "{$strip->name}: its feet are at the horizon or above it, where there is no floor.", 'Lamps take it for as deep as the contact row. Move it down, mark its feet, or let it hang or be free.');
            }
        }

        return $readings;
    }

    /** @return list<Reading> pictures of normals, occlusion or depth that show something else than their plates, or are gone */
    private function passes(): array
    {
        $readings = [];
        foreach ($this->scene->everyStrip() as $strip) {
            $plate = $strip->kind instanceof Pictured && ! $strip->muted ? $strip->kind : null;
            $own = $plate === null ? null : $this->measures->size($plate->picture());
            if ($plate === null || $own === null) {
                continue;
            }
            foreach ($plate->passes() as $value => $name) {
                $size = $this->measures->size($name);
                $says = $size === null ? "{$strip->name}: its picture of {$value} is gone." : null;
                if ($size !== null && abs($size[0] / $size[1] / ($own[0] / $own[1]) - 1) > self::OTHER_PROPORTION) {
                    $says = "{$strip->name}: its picture of {$value} has other proportions than it ({$size[0]} x {$size[1]}, not {$own[0]} x {$own[1]}).";
                }
                if ($says !== null) {
                    $readings[] = new Reading("pass {$strip->id} {$value}", 'pass', [$strip->id], $says, 'What a render brings along shows the same at the same place.', mends: [new Mend('without', "Without {$value}", $strip->id, [$value => null]), new Mend(Mend::ACCEPT, 'It is meant')]);
                }
            }
        }

        return $readings;
    }

    /** @return list<Reading> masks that miss something and therefore do nothing */
    private function cutOuts(): array
    {
        $readings = [];
        foreach ($this->scene->everyStrip() as $strip) {
            foreach ($strip->masks as $mask) {
                $problem = $mask->off ? null : $mask->problem();
                if ($problem !== null) {
                    $readings[] = new Reading("mask {$strip->id} {$mask->id}", 'mask', [$strip->id], "{$strip->name}: {$problem}", 'Until then this mask does nothing.');
                }
            }
        }

        return $readings;
    }
}
