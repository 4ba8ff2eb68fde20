<?php

declare(strict_types=1);

namespace Aumbrel\Core\Reading;

use Aumbrel\Core\Bearing\Bearing;
use Aumbrel\Core\Color\Srgb;
use Aumbrel\Core\Kind\Pictured;
use Aumbrel\Core\Kind\Stance;
use Aumbrel\Core\Kind\Stand;
use Aumbrel\Core\Kind\ThrowsShadow;
use Aumbrel\Core\Scene\Footings;
use Aumbrel\Core\Scene\Measures;
use Aumbrel\Core\Scene\Scene;
use Aumbrel\Core\Scene\Shares;
use Aumbrel\Core\Scene\Standings;
use Aumbrel\Core\Scene\Strip;
use Aumbrel\Core\Shadow\ContactRow;
use Aumbrel\Core\Stage\SceneSource;

/** What is noticed of shadows: where they fall, where they begin, who has none, and whether they are darker than they can be. */
final readonly class Shadows
{
    /** From so many degrees over the ground on a shadow leans toward its light. */
    private const TOWARD = 90.0;

    /** A shadow that begins so far from the feet does not start there: px, and of the height of its plate. */
    private const OFF = [2.0, 0.015];

    /** Light that is missed is seen from this share on. */
    private const TOO_DARK = 0.02;

    private Footings $footings;

    /** @var list<Strip> those that throw */
    private array $shadows;

    public function __construct(private Scene $scene, private Measures $measures, private Compass $compass)
    {
        $this->footings = new Footings($scene, $measures);
        $this->shadows = array_values(array_filter($scene->everyStrip(), static fn (Strip $strip): bool => $strip->kind instanceof ThrowsShadow && ! $strip->muted));
    }

    /** @return list<Reading> */
    public function readings(): array
    {
        $readings = [];
        foreach ($this->shadows as $strip) {
            array_push($readings, ...array_filter([$this->leaning($strip), ...array_map(fn (Stand $stand): ?Reading => $this->start($strip, $stand), $this->onGround($strip))]));
        }
        foreach ($this->shadows === [] ? [] : $this->scene->everyStrip() as $strip) {
            if ($strip->kind instanceof Pictured && ! $strip->muted) {
                array_push($readings, ...array_filter([$this->bare($strip), $this->tooDark($strip, false), $this->tooDark($strip, true)]));
            }
        }

        return $readings;
    }

    /** One that hangs on nothing may fall to where the light comes from. */
    private function leaning(Strip $strip): ?Reading
    {
        $shadow = $strip->kind instanceof ThrowsShadow ? $strip->kind : null;
        $own = $shadow === null || $strip->source !== null || $shadow->isOnWall() ? null : $shadow->lightFrom();
        if ($shadow === null || $own === null) {
            return null;
        }
        $nearest = null;
        foreach ($this->compass->sights as $sight) {
            $isOfScene = $sight->isLight && ($sight->of === null || in_array($sight->of, $shadow->plates(), true) || str_starts_with($sight->strip, SceneSource::NAMED));
            $apart = $isOfScene && $sight->strip !== $strip->id ? self::apart($own, $sight->bearing) : INF;
            if ($apart < ($nearest[0] ?? INF)) {
                $nearest = [$apart, $sight];
            }
        }
        if ($nearest === null || $nearest[0] <= self::TOWARD) {
            return null;
        }
        [$apart, $sight] = $nearest;
        $source = str_starts_with($sight->strip, SceneSource::NAMED) ? substr($sight->strip, strlen(SceneSource::NAMED)) : $sight->source;
        $mend = $source === null ? new Mend('turn', "Let {$sight->name} throw it", $strip->id, ['azimuth' => round($sight->bearing->azimuth, 1), 'elevation' => round($sight->bearing->elevation, 1)])
            : new Mend('hang', "Hang it on {$sight->name}", $strip->id, [], ['source' => $source]);

        return new Reading("leaning {$strip->id}", 'leaning', [$strip->id], sprintf('%s leans toward its light: over the ground it comes from %.0f° off %s.', $strip->name, $apart, $sight->name),
            'A shadow falls away from what throws it.', round($apart, 1), '°', null, [$mend, new Mend(Mend::ACCEPT, 'It is meant')]);
    }

    /** Feet that were marked may lie off the lower edge of what is there. */
    private function start(Strip $strip, Stand $stand): ?Reading
    {
        if (ContactRow::isNone($stand)) {
            $lower = $this->lowerFoot($stand);

            return new Reading("row {$stand->id}", 'row', [$stand->id, $strip->id], "{$stand->name}: its two feet make no row: they stand too near to each other, or one far behind the other.",
                'Its shadow starts on a level row through the lower one.', null, '', null, [...($lower === null ? [] : [new Mend('lower foot', 'Keep the lower foot', $stand->id, ['feet' => [$lower]])]), new Mend(Mend::ACCEPT, 'It is meant')]);
        }
        $off = $stand->box->bottom - max(array_column($stand->feet, 'y'));
        if (abs($off) <= max(self::OFF[0], self::OFF[1] * ($stand->box->bottom - $stand->box->top))) {
            return null;
        }

        return new Reading("start {$strip->id} {$stand->id}", 'start', [$strip->id, $stand->id], sprintf('%s starts %.0f px %s the feet of %s.', $strip->name, abs($off), $off > 0 ? 'above' : 'below', $stand->name),
            'What stands on the ground and its shadow touch.', round(abs($off), 1), 'px', null, [new Mend('feet', 'Start it at the lower edge', $stand->id, ['feet' => null]), new Mend(Mend::ACCEPT, 'It is meant')]);
    }

    /** A plate that stands there without any shadow while its neighbours have one. */
    private function bare(Strip $plate): ?Reading
    {
        $casts = array_values(array_filter($this->shadows, static fn (Strip $strip): bool => $strip->kind instanceof ThrowsShadow && ! $strip->kind->isOnWall()));
        $first = $casts[0] ?? null;
        if ($first === null || $this->footings->stance($plate) !== Stance::Stands || ! $this->measures->isCutOut($plate) || $this->thrownBy($plate->id, false) !== [] || ! $first->kind instanceof ThrowsShadow) {
            return null;
        }

        return new Reading("bare {$plate->id}", 'bare', [$plate->id], "{$plate->name} stands there without a shadow, while others have one.",
            'Without a shadow it seems to float.', null, '', null, [new Mend('cast', "{$first->name}: of {$plate->name} too", $first->id, ['of' => [...$first->kind->plates(), $plate->id]]), new Mend(Mend::ACCEPT, 'It is meant')]);
    }

    /** All shadows of a plate together leave at least what the ambient gives. */
    private function tooDark(Strip $plate, bool $onWall): ?Reading
    {
        $shadows = $this->thrownBy($plate->id, $onWall);
        if ($shadows === [] || $this->scene->sources === []) {
            return null;
        }
        $ambient = (new Shares($this->scene, $this->footings))->ambient($plate, $onWall);
        $left = array_product(array_map(static fn (Strip $strip): float => Srgb::decode(1 - $strip->amount), $shadows));
        if ($left >= $ambient - self::TOO_DARK) {
            return null;
        }
        // each as much less dense as it takes for all together to leave what the ambient gives; one over the other stays as it is
        $power = log($ambient) / log(max(1e-6, $left));
        $mends = array_map(static function (Strip $strip) use ($power): Mend {
            $amount = floor(1000 * (1 - Srgb::encode(max(1e-6, Srgb::decode(1 - $strip->amount)) ** $power))) / 10;

            return new Mend('less dense', sprintf('%s: %.0f %%', $strip->name, $amount), $strip->id, [], ['amount' => $amount]);
        }, $shadows);
        $label = count($mends) === 1 ? $mends[0]->label : 'All of them less dense';

        return new Reading("dark {$plate->id}".($onWall ? ' wall' : ''), 'dark', [...array_column($shadows, 'id'), $plate->id], sprintf('The shadows of %s leave %.0f %% of the light; the ambient alone leaves %.0f %%.', $plate->name, 100 * $left, 100 * $ambient),
            'What no source reaches is still lit by the room or the sky.', round(100 * $left, 1), '%', null, [new Mend('less dense', $label, $mends[0]->strip, [], $mends[0]->fields, array_slice($mends, 1)), new Mend(Mend::ACCEPT, 'It is meant')]);
    }

    /** @return list<Strip> the shadows of a plate */
    private function thrownBy(string $plate, bool $onWall): array
    {
        return array_values(array_filter($this->shadows, static fn (Strip $strip): bool => $strip->kind instanceof ThrowsShadow && $strip->kind->isOnWall() === $onWall && in_array($plate, $strip->kind->plates(), true)));
    }

    /** @return list<Stand> the plates that throw a shadow on the ground */
    private function onGround(Strip $strip): array
    {
        $stands = [];
        foreach ($strip->kind instanceof ThrowsShadow && ! $strip->kind->isOnWall() ? $strip->kind->plates() : [] as $plate) {
            $found = $this->scene->find($plate);
            $stand = $found === null || ! $this->measures->isCutOut($found) ? null : Standings::of($found, $this->measures, $this->footings);
            if ($stand !== null) {
                $stands[] = $stand;
            }
        }

        return $stands;
    }

    /** @return array{float, float}|null in the plate's own picture */
    private function lowerFoot(Stand $stand): ?array
    {
        $kind = $this->scene->find($stand->id)?->kind;
        $feet = $kind instanceof Pictured ? $kind->feet() : [];
        $lower = count($feet) === 2 && $stand->feet[1]->y > $stand->feet[0]->y ? 1 : 0;

        return isset($feet[$lower]) ? $feet[$lower]->toArray() : null;
    }

    /** Degrees over the ground between two lights. */
    private static function apart(Bearing $one, Bearing $other): float
    {
        return abs(fmod($one->heading() - $other->heading() + 540, 360) - 180);
    }
}
