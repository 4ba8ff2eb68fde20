<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Color\Rgb;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Kind\Drive;
use Aumbrel\Core\Kind\Driven;
use Aumbrel\Core\Kind\Family;
use Aumbrel\Core\Kind\Field;
use Aumbrel\Core\Kind\Layer;
use Aumbrel\Core\Kind\Level;
use Aumbrel\Core\Kind\Placed;
use Aumbrel\Core\Kind\Plain;
use Aumbrel\Core\Kind\Proposal;
use Aumbrel\Core\Kind\Proposes;
use Aumbrel\Core\Kind\Site;
use Aumbrel\Core\Kind\StripKind;
use Aumbrel\Core\Kind\Surroundings;
use Aumbrel\Core\Ramp\ColourRamp;
use Aumbrel\Core\Stage\Sun as SunSource;
use Aumbrel\Core\Value\ColourRampValue;
use Aumbrel\Core\Value\NumberValue;
use Aumbrel\Core\Value\PlateValue;
use Aumbrel\Core\Value\PointValue;
use Aumbrel\Core\Value\Unit;
use Aumbrel\Core\Value\Values;

/**
 * A sun that is seen: a disc whose colours are stops at d / R, blurred as a whole, and the same once more as a wide bloom. What
 * a plate covers of it is taken away before it is blurred, so that it spills over that plate's edge.
 */
final readonly class Sun implements Driven, Proposes
{
    use Plain;

    /**
     * @param  Point|null  $centre  null when its source cannot be seen
     * @param  float  $radius  px
     * @param  float  $softness  sigma, px
     * @param  float  $bloom  sigma, px
     * @param  float|null  $bloomLevel  stops on top of the strip's; null without one
     * @param  string|null  $behind  the plate behind which it stands
     */
    private function __construct(
        private ?Point $centre,
        private float $radius,
        private ColourRamp $ramp,
        private float $softness,
        private float $bloom,
        private ?float $bloomLevel,
        private ?string $behind,
    ) {
    }

    public static function key(): string
    {
        return 'sun';
    }

    public static function label(): string
    {
        return 'Sun';
    }

    public static function hint(): string
    {
        return 'A sun in the picture: white, orange, red, and spilling over';
    }

    public static function family(): Family
    {
        return Family::Light;
    }

    public static function parameters(): array
    {
        return [
            ColourRampValue::named('stops', 'Colours', 'light', ColourRamp::of([0.0, '#ffffff', 1.0], [0.42, '#fff3d0', 1.0], [0.72, '#ffb347', 0.95], [1.0, '#ff5a2e', 0.75])),
            PointValue::named('centre', 'Centre', 'light', new Point(0, 0)),
            NumberValue::named('radius', 'Radius', 'light', Unit::Pixels, 0.5, 8000, 70, 0.5),
            PlateValue::optional('behind', 'Behind', 'light', 'nothing'),
            NumberValue::named('softness', 'Softness', 'reach', Unit::Pixels, 0, 4000, 20),
            NumberValue::named('bloom', 'Bloom', 'reach', Unit::Pixels, 1, 4000, 140),
            NumberValue::named('bloomLevel', 'Bloom level', 'reach', Unit::Stops, Unit::LEAST_LEVEL, Unit::MOST_LEVEL, -0.4, 0.1),
        ];
    }

    public static function from(Values $values): self
    {
        return new self(
            $values->object('centre', Point::class), $values->number('radius'), $values->object('stops', ColourRamp::class), $values->number('softness'),
            $values->number('bloom'), $values->number('bloomLevel'), $values->optionalText('behind'),
        );
    }

    public static function placed(Point $centre, float $span, ?string $plate = null): array
    {
        return [
            'centre' => [round($centre->x + 0.12 * $span), round($centre->y - 0.18 * $span)], 'radius' => round(max(1.0, 0.075 * $span), 1), 'softness' => round(max(0.5, 0.018 * $span), 1),
            'bloom' => round(max(2.0, 0.15 * $span), 1), 'behind' => $plate,
        ];
    }

    /** One where a sun is seen, behind what stands before the place. */
    public static function proposals(Placed $placed): array
    {
        if (! $placed->source->kind instanceof SunSource || $placed->source->kind->seenAt($placed->stage->camera) === null) {
            return [];
        }
        $camera = $placed->stage->camera;
        // a disc as wide as it would be seen is a few pixels: what glares round it is what one paints
        $radius = max(0.035 * 2 * $camera->column, tan(deg2rad($placed->source->kind->width / 2)) * $camera->focal);

        return [new Proposal('sun', 'The sun itself', self::class, [
            'radius' => round($radius, 1), 'softness' => round(0.25 * $radius, 1), 'bloom' => round(2 * $radius, 1), 'behind' => $placed->subjects()[0]->id ?? null,
        ], 0.3, order: 30)];
    }

    public function defaultMode(): BlendMode
    {
        return BlendMode::Airlight;
    }

    public function layers(Site $site): array
    {
        if ($this->centre === null) {
            return [];
        }
        $plate = $this->behind === null ? null : PlateShape::of($site, $this->behind);
        $part = fn (int $channel): SunDisc => new SunDisc($this->centre, $this->radius, $this->ramp, $channel, $plate);
        $layer = static function (float $softness, float $level) use ($part, $site): Layer {
            $soft = static fn (int $channel): Field => $softness > 0.05 ? new Softened($part($channel), $softness, $channel === SunDisc::OPACITY) : new Contracted($part($channel));
            $cover = $soft(SunDisc::OPACITY);

            return new Layer($site->mode(), $cover, new SunTint([$soft(0), $soft(1), $soft(2)], $cover, $site->window()), new Level($site->level() + $level));
        };

        return [...($this->bloomLevel === null ? [] : [$layer($this->bloom, $this->bloomLevel)]), $layer($this->softness, 0.0)];
    }

    public function problem(Surroundings $around): ?string
    {
        return match (true) {
            $this->centre === null => 'Its source stands on your side of the picture, so that no sun is seen: turn it behind the picture.',
            $this->behind !== null && $around->plate($this->behind) === null => 'The plate behind which it stood is gone: choose another one, or nothing.',
            default => null,
        };
    }

    public static function hangsOn(): array
    {
        return [SunSource::class];
    }

    /** The colours of its stops go by the source's; their opacities stay. */
    public function inForce(Drive $drive): array
    {
        $seen = $drive->source->kind->seenAt($drive->stage->camera);

        return [...($seen === null ? [] : ['centre' => $seen->toArray()]), 'stops' => $this->coloured($drive)->toArray()];
    }

    public function driven(Drive $drive, Values $own): StripKind
    {
        return new self($drive->source->kind->seenAt($drive->stage->camera), $this->radius, $this->coloured($drive), $this->softness, $this->bloom, $this->bloomLevel, $this->behind);
    }

    private function coloured(Drive $drive): ColourRamp
    {
        $colour = $drive->source->kind->colour()->linear($drive->white)->normalised();

        return $this->ramp->colouredBy(static fn (float $offset): Rgb => self::burning($colour, $offset)->encoded());
    }

    /**
     * White-hot in the middle, the colour half way out, and deeper still at the border, where that colour has been multiplied by
     * itself (as by twice the way through the air); linear.
     */
    private static function burning(Rgb $colour, float $offset): Rgb
    {
        $inner = min(1.0, 2 * $offset);
        $outer = max(0.0, 2 * $offset - 1);

        return $colour->map(static fn (float $channel): float => (1 + $inner * ($channel - 1)) * (1 + $outer * ($channel - 1)));
    }
}
