<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Bearing\Bearing;
use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Color\LightColour;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Kind\Directed;
use Aumbrel\Core\Kind\Drawn;
use Aumbrel\Core\Kind\Drive;
use Aumbrel\Core\Kind\Driven;
use Aumbrel\Core\Kind\DrivenByValues;
use Aumbrel\Core\Kind\Family;
use Aumbrel\Core\Kind\Layer;
use Aumbrel\Core\Kind\Level;
use Aumbrel\Core\Kind\OneColour;
use Aumbrel\Core\Kind\Placed;
use Aumbrel\Core\Kind\Plain;
use Aumbrel\Core\Kind\Proposal;
use Aumbrel\Core\Kind\Proposes;
use Aumbrel\Core\Kind\Site;
use Aumbrel\Core\Raster\Smoke;
use Aumbrel\Core\Stage\Footing;
use Aumbrel\Core\Stage\Stage;
use Aumbrel\Core\Texture\Dust;
use Aumbrel\Core\Texture\Noised;
use Aumbrel\Core\Value\LightColourValue;
use Aumbrel\Core\Value\NumberValue;
use Aumbrel\Core\Value\PointValue;
use Aumbrel\Core\Value\Times;
use Aumbrel\Core\Value\Unit;
use Aumbrel\Core\Value\Values;

/**
 * A beam in the air: a spot across the picture that ends before its reach, with smoke in it, and dust that lights up in it.
 *
 * Shape = spot with the linear reach law x (1 - smoothstep(1 - end, 1, d / reach)); smoke: shape x (1 - share + share x smoke);
 * dust: shape x dust, a layer of its own.
 */
final readonly class Beam implements Directed, Drawn, Driven, Proposes
{
    use DrivenByValues;
    use Plain;

    /** How much further than where it was drawn to a new one reaches: there it has faded. */
    private const PAST = 1.15;

    /** Octaves of its smoke: soft swirls, no grain. */
    private const OCTAVES = 3;

    /** How much brighter specks are than the beam, stops. */
    private const GLINT = 3.0;

    private const SEEDS = 7919;

    /**
     * @param  float  $end  0..1, the last share of its reach over which it fades
     * @param  float  $inSmoke  0..1
     */
    private function __construct(
        private Spot $spot,
        private float $end,
        private float $inSmoke,
        private Smoke $smoke,
        private ?Dust $dust,
        private float $dustLevel,
    ) {
    }

    public static function key(): string
    {
        return 'beam';
    }

    public static function label(): string
    {
        return 'Beam';
    }

    public static function hint(): string
    {
        return 'A shaft of light in the air, with smoke and dust in it';
    }

    public static function family(): Family
    {
        return Family::Light;
    }

    public static function parameters(): array
    {
        return [
            LightColourValue::named('colour', 'Colour', 'light', LightColour::kelvin(3400)),
            NumberValue::named('end', 'Fades over the last', 'light', Unit::Percent, 0, 100, 60),
            NumberValue::named('inSmoke', 'Smoke', 'light', Unit::Percent, 0, 100, 55),
            NumberValue::named('dust', 'Dust', 'light', Unit::Percent, 0, 100, 40),
            PointValue::named('origin', 'Origin', 'reach'),
            PointValue::named('target', 'Target', 'reach'),
            NumberValue::named('beam', 'Beam angle', 'reach', Unit::Degrees, 0.5, 170, 16, 0.5),
            NumberValue::named('field', 'Field angle', 'reach', Unit::Degrees, 0.55, 340, 26, 0.5, new Times('beam', AngularLaw::LEAST_RATIO, AngularLaw::MOST_RATIO)),
            NumberValue::optional('reach', 'Reach', 'reach', Unit::Pixels, 1, 100000, 'to the target'),
            NumberValue::named('softness', 'Softness', 'reach', Unit::Pixels, 0, 2000, 4),
            NumberValue::named('elevation', 'Elevation', 'reach', Unit::Degrees, -90, 90, 0),
            NumberValue::named('smokeSize', 'Size', 'smoke', Unit::Pixels, 4, 8000, 160),
            NumberValue::named('density', 'Density', 'smoke', Unit::Percent, 0, 100, 55),
            NumberValue::direction('drift', 'Drift', 'smoke', 15),
            NumberValue::named('stretch', 'Stretch', 'smoke', Unit::Factor, 0.2, 10, 2, 0.1),
            NumberValue::named('specks', 'Specks a megapixel', 'dust', Unit::None, 1, 20000, 900, 10),
            NumberValue::named('speckSize', 'Largest', 'dust', Unit::Pixels, 0.4, 200, 6, 0.1),
            NumberValue::named('outOfFocus', 'Out of focus', 'dust', Unit::Percent, 0, 100, 45),
            NumberValue::named('seed', 'Seed', 'dust', Unit::None, 0, 99999, 1),
        ];
    }

    public static function from(Values $values): self
    {
        $seed = (int) $values->number('seed');
        $speck = $values->number('speckSize') / 2;
        $dust = $values->number('dust');

        return new self(
            new Spot($values->object('origin', Point::class), $values->object('target', Point::class), $values->number('beam'), $values->number('field'), ReachLaw::Linear,
                $values->optionalNumber('reach'), null, $values->number('softness'), $values->object('colour', LightColour::class), $values->number('elevation')),
            $values->number('end') / 100, $values->number('inSmoke') / 100,
            new Smoke($values->number('smokeSize'), $values->number('density') / 100, 0.7, $values->number('drift'), $values->number('stretch'), $seed, self::OCTAVES),
            $dust > 0 ? new Dust($values->number('specks'), max(0.15, 0.2 * $speck), max(0.2, $speck), $values->number('outOfFocus') / 100, $seed + self::SEEDS) : null,
            $dust > 0 ? self::GLINT + log($dust / 100, 2) : 0.0,
        );
    }

    public static function placed(Point $centre, float $span, ?string $plate = null): array
    {
        return self::along($centre->plus(0.22 * $span, -0.4 * $span), $centre->plus(-0.05 * $span, 0.3 * $span), $span);
    }

    public static function drawn(Point $from, Point $to, float $span, Stage $stage): array
    {
        return self::along($from, $to, $span);
    }

    /** @return array<string, mixed> */
    private static function along(Point $from, Point $to, float $span): array
    {
        return [
            'origin' => [round($from->x), round($from->y)], 'target' => [round($to->x), round($to->y)], 'reach' => round(max(1.0, self::PAST * $from->distanceTo($to))),
            'softness' => round(0.005 * $span, 1), 'smokeSize' => round(max(4.0, 0.16 * $span)), 'speckSize' => round(max(1.0, 0.007 * $span), 1), 'specks' => round(max(1.0, min(20000.0, 900 * (1000 / $span) ** 2))),
        ];
    }

    /** One straight down from the lamp. */
    public static function proposals(Placed $placed): array
    {
        $seen = $placed->source->kind->seenAt($placed->stage->camera);
        $camera = $placed->stage->camera;
        if ($seen === null || $placed->source->kind->place($camera) === null) {
            return [];
        }
        $floor = max($seen->y + 0.2 * $camera->column, $camera->contact);
        $values = self::along($seen, new Point($seen->x, $floor), 2 * $camera->column);

        return [new Proposal('beam', 'Beam in the air', self::class, [...$values, 'beam' => 34, 'field' => 56], -1.0, ticked: false, order: 120)];
    }

    public static function placedLevel(): float
    {
        return 0.3;
    }

    public function defaultMode(): BlendMode
    {
        return BlendMode::Airlight;
    }

    public function layers(Site $site): array
    {
        $colour = $this->spot->colour->linear($site->white());
        if ($colour->largest() <= 0) {
            return [];
        }
        $tint = OneColour::ofLight($colour);
        $lost = $this->spot->colour->stops($site->white());
        $plain = new Ended($this->spot, $this->end);
        $shape = $this->spot->softness > 0 ? new Softened($plain, $this->spot->softness) : $plain;
        $layers = [new Layer($site->mode(), $this->inSmoke > 0 ? new Noised($shape, $this->smoke, $this->inSmoke) : $shape, $tint, new Level($site->level() + $lost))];
        if ($this->dust !== null) {
            $layers[] = new Layer($site->mode(), new Noised($shape, $this->dust, 1.0), $tint, new Level($site->level() + $lost + $this->dustLevel));
        }

        return $layers;
    }

    public static function hangsOn(): array
    {
        return Spot::hangsOn();
    }

    public function inForce(Drive $drive): array
    {
        return $this->spot->inForce($drive);
    }

    public function lights(): ?string
    {
        return $this->spot->lights();
    }

    public function aim(): Point
    {
        return $this->spot->aim();
    }

    public function bearingFrom(Footing $from, Stage $stage): Bearing
    {
        return $this->spot->bearingFrom($from, $stage);
    }

    public function turnedTo(Bearing $bearing, Footing $from, Stage $stage): array
    {
        return $this->spot->turnedTo($bearing, $from, $stage);
    }

    public function colour(): LightColour
    {
        return $this->spot->colour();
    }

    public function outlines(Stage $stage): array
    {
        return $this->spot->outlines($stage);
    }
}
