<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Bearing\Bearing;
use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Color\LightColour;
use Aumbrel\Core\Geometry\Cuts;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Geometry\Vector;
use Aumbrel\Core\Kind\Directed;
use Aumbrel\Core\Kind\Drawn;
use Aumbrel\Core\Kind\Drive;
use Aumbrel\Core\Kind\Driven;
use Aumbrel\Core\Kind\Family;
use Aumbrel\Core\Kind\Layer;
use Aumbrel\Core\Kind\Level;
use Aumbrel\Core\Kind\OneColour;
use Aumbrel\Core\Kind\Placed;
use Aumbrel\Core\Kind\PlacedPlate;
use Aumbrel\Core\Kind\Plain;
use Aumbrel\Core\Kind\Proposal;
use Aumbrel\Core\Kind\Proposes;
use Aumbrel\Core\Kind\Site;
use Aumbrel\Core\Kind\Stance;
use Aumbrel\Core\Kind\StripKind;
use Aumbrel\Core\Kind\Surroundings;
use Aumbrel\Core\Stage\Camera;
use Aumbrel\Core\Stage\Face;
use Aumbrel\Core\Stage\Footing;
use Aumbrel\Core\Stage\Lamp;
use Aumbrel\Core\Stage\Stage;
use Aumbrel\Core\Value\CutsValue;
use Aumbrel\Core\Value\LightColourValue;
use Aumbrel\Core\Value\NumberValue;
use Aumbrel\Core\Value\PointValue;
use Aumbrel\Core\Value\SurfaceValue;
use Aumbrel\Core\Value\Times;
use Aumbrel\Core\Value\Unit;
use Aumbrel\Core\Value\Values;

/**
 * A spot onto a surface: a pool of light on a wall or on the floor.
 *
 * The lamp stands over a place of the surface, its foot, at a height that is measured in pixels of the picture at that foot.
 * E = A(t) (d0/d)² max(0, n . l): the angular law of a spot, the inverse square of the distance, and Lambert's cosine.
 */
final readonly class SpotOnto implements Directed, Drawn, Driven, Proposes
{
    use Plain;

    /** The furthest that its light may lie from straight down on the surface: its tilt and half of its field angle, degrees. */
    public const FLATTEST = 85.0;

    private const LOWEST = 1.0;

    /** The least height of a new one, of the way from its foot to its target. */
    private const STEEP = 0.8;

    /** The field angle of a new one, degrees, and how much wider that is than its beam. */
    private const OPEN = 88.0;

    private const OPENNESS = 1.75;

    /**
     * @param  string|null  $surface  the floor, a wall's id, or null for a wall that faces the camera
     * @param  Point  $lamp  its foot, as it is seen on the surface
     * @param  float  $height  over the foot, px
     * @param  Point|null  $target  what it aims at; null for the place straight under the lamp
     * @param  float|null  $reach  px of the contact row
     * @param  Cuts  $cuts  straight edges that cut it off
     * @param  Vector|null  $hung  where it stands in space, when it hangs on a lamp
     */
    private function __construct(
        private ?string $surface,
        private Point $lamp,
        private float $height,
        private ?Point $target,
        private float $beam,
        private float $field,
        private ?float $reach,
        private float $softness,
        private Cuts $cuts,
        private LightColour $colour,
        private ?Vector $hung = null,
    ) {
    }

    public static function key(): string
    {
        return 'spot-onto';
    }

    public static function label(): string
    {
        return 'Pool';
    }

    public static function hint(): string
    {
        return 'A pool of light on the floor or on a wall';
    }

    public static function family(): Family
    {
        return Family::Light;
    }

    public static function parameters(): array
    {
        return [
            LightColourValue::named('colour', 'Colour', 'light', LightColour::kelvin(3200)),
            SurfaceValue::optional('surface', 'Onto', 'light', 'a wall facing you'),
            NumberValue::named('beam', 'Beam angle', 'light', Unit::Degrees, 0.5, 160, self::OPEN / self::OPENNESS, 0.5),
            NumberValue::named('field', 'Field angle', 'light', Unit::Degrees, 0.55, 168, self::OPEN, 0.5, new Times('beam', AngularLaw::LEAST_RATIO, AngularLaw::MOST_RATIO)),
            PointValue::named('lamp', 'Lamp over', 'reach'),
            NumberValue::named('height', 'Height', 'reach', Unit::Pixels, self::LOWEST, 100000, 200, 1),
            PointValue::optional('target', 'Target', 'reach', 'straight under the lamp'),
            NumberValue::optional('reach', 'Reach', 'reach', Unit::Pixels, 1, 100000, 'without end'),
            NumberValue::named('softness', 'Softness', 'reach', Unit::Pixels, 0, 2000, 0),
            CutsValue::named('cuts', 'Cut edges', 'cut'),
        ];
    }

    public static function from(Values $values): self
    {
        return new self(
            $values->optionalText('surface'), $values->object('lamp', Point::class), $values->number('height'), $values->optional('target', Point::class),
            $values->number('beam'), $values->number('field'), $values->optionalNumber('reach'), $values->number('softness'),
            $values->object('cuts', Cuts::class), $values->object('colour', LightColour::class),
        );
    }

    public static function placed(Point $centre, float $span, ?string $plate = null): array
    {
        return self::before($centre->plus(round($span * 0.12), -round($span * 0.12)), $centre, $span);
    }

    /** On the floor the lamp stands as deep as what it aims at, and as high as it is seen over that; else it stands before the wall. */
    public static function drawn(Point $from, Point $to, float $span, Stage $stage): array
    {
        $surface = $stage->surfaceAt($to);
        if ($surface !== Stage::FLOOR) {
            return [...self::before($from, $to, $span), 'surface' => $surface];
        }

        return ['surface' => $surface, ...self::over(new Point($from->x, $to->y), $to, max($to->y - $from->y, 0.1 * $span))];
    }

    /** @return array<string, mixed> values of one whose lamp stands before its wall */
    private static function before(Point $from, Point $to, float $span): array
    {
        return self::over($from, $to, 0.3 * $span);
    }

    /**
     * A lamp over its foot, at least so high that its light does not fall too flat; its beam is closed as far as that asks for.
     *
     * @return array<string, mixed>
     */
    private static function over(Point $foot, Point $target, float $height): array
    {
        $height = max(self::LOWEST, $height, self::STEEP * $foot->distanceTo($target));
        $field = min(self::OPEN, self::widest(rad2deg(atan2($foot->distanceTo($target), $height))));

        return ['lamp' => [round($foot->x), round($foot->y)], 'target' => [round($target->x), round($target->y)], 'height' => round($height), 'beam' => round($field / self::OPENNESS), 'field' => round($field)];
    }

    /** The field angle of a new one that is tilted by so much, degrees: it does not shine too flat. */
    private static function widest(float $tilt): float
    {
        return 2 * (self::FLATTEST - 5 - $tilt);
    }

    /** Where a lamp's foot is seen on a surface; null where it stands behind that, or too near to it. */
    private static function under(Vector $lamp, ?Face $face, Camera $camera): ?Point
    {
        return $face === null || $face->over($lamp) < self::LOWEST ? null : $camera->seen($face->foot($lamp));
    }

    /**
     * A pool straight under the lamp on the floor, and on each wall before which it hangs; a small close one in the middle of
     * each; and one on each plate that hangs there.
     */
    public static function proposals(Placed $placed): array
    {
        $camera = $placed->stage->camera;
        $lamp = $placed->source->kind->place($camera);
        if ($lamp === null) {
            return [];
        }
        $surfaces = [...($placed->stage->floor === null ? [] : [Stage::FLOOR => ['the floor', $placed->someone(Stance::Stands) || ! $placed->someone(Stance::Hangs)]])];
        foreach ($placed->stage->walls as $wall) {
            $surfaces[$wall->id] = [$wall->name, $placed->someone(Stance::Hangs)];
        }
        $all = [];
        foreach ($surfaces as $surface => [$name, $ticked]) {
            $under = self::under($lamp, $placed->stage->face((string) $surface), $camera);
            if ($under === null) {
                continue;
            }
            foreach ([['pool', 'Pool on', 64.0, 104.0, 2.0, $ticked, 10], ['close pool', 'Close pool on', 26.0, 44.0, 1.0, false, 20]] as [$key, $words, $beam, $field, $stops, $isTicked, $order]) {
                $all[] = new Proposal("{$key} {$surface}", "{$words} {$name}", self::class, [
                    'surface' => (string) $surface, 'beam' => $beam, 'field' => $field, 'lamp' => $under->toArray(),
                ], 0.0, $placed->ground(), $isTicked, $order, $under, $stops);
            }
        }

        foreach ($placed->those(Stance::Hangs) as $plate) {
            $all[] = self::onHanging($plate, $placed->stage, $lamp);
        }

        return array_values(array_filter($all));
    }

    /** What the same lamp throws on a plate that hangs, so wide that it holds the plate; null where the lamp stands behind its wall. */
    private static function onHanging(PlacedPlate $plate, Stage $stage, Vector $lamp): ?Proposal
    {
        $camera = $stage->camera;
        $surface = $stage->surfaceAt($plate->footing->middle);
        $face = $stage->face($surface);
        $there = $face?->seenAt($plate->footing->middle, $camera);
        $foot = self::under($lamp, $face, $camera);
        if ($face === null || $there === null || $foot === null) {
            return null;
        }
        [$height, $far] = [$face->over($lamp), $there->minus($lamp)->length()];
        $field = min(self::OPEN, 2 * rad2deg(atan2($plate->size, $far)), self::widest(rad2deg(acos(min(1.0, $height / $far)))));
        $values = ['surface' => $surface, 'beam' => round($field / self::OPENNESS, 1), 'field' => round($field, 1), 'lamp' => $foot->toArray(), 'target' => $plate->footing->middle->toArray()];

        // of what falls straight under the lamp the cube of the cosine arrives there
        return $field < 1 ? null : new Proposal("pool {$plate->id}", "Spot on {$plate->name}", self::class, $values, 0.0, $plate->id, true, 30, $plate->footing->middle, 2.0, ($height / $far) ** 3);
    }

    /** About a stop and a half over what is there at its middle. */
    public static function placedLevel(): float
    {
        return 1.0;
    }

    public function defaultMode(): BlendMode
    {
        return BlendMode::Illuminate;
    }

    public function layers(Site $site): array
    {
        $colour = $this->colour->linear($site->white());
        $pool = $this->pool($site->stage());
        if ($pool === null || $this->tooFlat($pool) || $colour->largest() <= 0) {
            return [];
        }

        return [new Layer($site->mode(), $this->softness > 0 ? new Softened($pool, $this->softness) : $pool, OneColour::ofLight($colour), Level::of($site, $this->colour))];
    }

    public function problem(Surroundings $around): ?string
    {
        $stage = $around->stage();
        $pool = $this->pool($stage);

        return match (true) {
            $stage->face($this->surface) === null => $this->surface === Stage::FLOOR ? 'The floor is not marked: mark it on the stage.' : 'Its wall is gone: choose another surface.',
            $pool === null => 'Its lamp stands behind the surface, or what it lights is not on it.',
            $this->tooFlat($pool) => sprintf('It shines too flat: its tilt and half of its field angle are %.0f° together, and may be %.0f°. Raise the lamp, bring the target nearer, or close the field angle.', $pool->tilt() + $this->field / 2, self::FLATTEST),
            default => null,
        };
    }

    public static function hangsOn(): array
    {
        return [Lamp::class];
    }

    public function inForce(Drive $drive): array
    {
        $stand = $this->stand($drive);

        return [...($stand === null ? [] : ['lamp' => $stand[0]->toArray(), 'height' => $stand[1]]), 'colour' => $drive->source->kind->colour()->toArray()];
    }

    public function driven(Drive $drive, Values $own): StripKind
    {
        [$lamp, $height] = $this->stand($drive) ?? [$this->lamp, $this->height];

        return new self($this->surface, $lamp, $height, $this->target, $this->beam, $this->field, $this->reach, $this->softness, $this->cuts,
            $drive->source->kind->colour(), $drive->source->kind->place($drive->stage->camera));
    }

    /**
     * Where a source's foot is seen on the surface, and how high it stands over that, px; null when there is no such surface.
     *
     * @return array{Point, float}|null
     */
    private function stand(Drive $drive): ?array
    {
        $camera = $drive->stage->camera;
        $face = $drive->stage->face($this->surface);
        $lamp = $drive->source->kind->place($camera);
        if ($face === null || $lamp === null) {
            return null;
        }
        $under = $face->foot($lamp);
        // a lamp behind the camera stands over a place that is not seen: its values say the nearest one that is
        if ($camera->scale($under->z) <= Camera::NEAREST) {
            $under = new Vector($under->x, $under->y, $camera->focal * (1 - 2 * Camera::NEAREST));
        }

        return [$camera->seen($under) ?? $this->lamp, max(self::LOWEST, $face->over($lamp) / $camera->scale($under->z))];
    }

    public function lights(): ?string
    {
        return null;
    }

    public function aim(): Point
    {
        return $this->target ?? $this->lamp;
    }

    public function bearingFrom(Footing $from, Stage $stage): Bearing
    {
        $lamp = $this->lampIn($stage);
        $way = $lamp === null ? new Vector(0.0, 0.0, 1.0) : $lamp->minus($this->lit($from, $stage));

        return Bearing::toward($way->x, $way->y, $way->z);
    }

    public function turnedTo(Bearing $bearing, Footing $from, Stage $stage): array
    {
        $face = $stage->face($this->surface);
        $lamp = $this->lampIn($stage);
        if ($face === null || $lamp === null) {
            return [];
        }
        $lit = $this->lit($from, $stage);
        $turned = $lit->plus((new Vector(...$bearing->vector()))->times($lamp->minus($lit)->length()));
        $foot = $face->foot($turned);
        $seen = $stage->camera->seen($foot) ?? $this->lamp;

        return ['lamp' => [round($seen->x, 1), round($seen->y, 1)], 'height' => round(max(self::LOWEST, $face->over($turned) / max(Camera::NEAREST, $stage->camera->scale($foot->z))), 1)];
    }

    public function colour(): LightColour
    {
        return $this->colour;
    }

    public function outlines(Stage $stage): array
    {
        $pool = $this->pool($stage);
        if ($pool === null || $this->tooFlat($pool)) {
            return [];
        }
        $lamp = $stage->camera->seen($pool->lamp);
        $foot = $stage->camera->seen($pool->face->foot($pool->lamp));

        return [
            'beam' => $pool->ring($this->beam / 2), 'field' => $pool->ring($this->field / 2),
            ...($lamp === null || $foot === null ? [] : ['stand' => [$foot->toArray(), $lamp->toArray()]]),
        ];
    }

    /** The pool as it lies on its surface; null when there is none. */
    private function pool(Stage $stage): ?Pool
    {
        $face = $stage->face($this->surface);
        $lamp = $this->lampIn($stage);
        $target = $this->target === null ? ($lamp === null ? null : $face?->foot($lamp)) : $face?->seenAt($this->target, $stage->camera);

        return $face === null || $lamp === null || $target === null || $face->over($lamp) <= 0 ? null
            : new Pool($stage->camera, $face, $lamp, $target, new AngularLaw($this->beam, $this->field), $this->reach, $this->cuts, $stage->edges($this->surface));
    }

    private function tooFlat(Pool $pool): bool
    {
        return $pool->tilt() + $this->field / 2 > self::FLATTEST + 1e-9;
    }

    /** Where the lamp stands in space. */
    private function lampIn(Stage $stage): ?Vector
    {
        if ($this->hung !== null) {
            return $this->hung;
        }
        $face = $stage->face($this->surface);
        $foot = $face?->seenAt($this->lamp, $stage->camera);

        return $face === null || $foot === null ? null : $foot->plus($face->normal->times($this->height * $stage->camera->scale($foot->z)));
    }

    /** What it is seen from, in space: a plate, or its target on the surface. */
    private function lit(Footing $from, Stage $stage): Vector
    {
        return ($from->middle == $this->aim() ? $stage->face($this->surface)?->seenAt($this->aim(), $stage->camera) : null) ?? $from->place($stage->camera);
    }
}
