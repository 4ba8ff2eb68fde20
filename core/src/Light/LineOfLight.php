<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Color\LightColour;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Kind\Begun;
use Aumbrel\Core\Kind\Drive;
use Aumbrel\Core\Kind\Driven;
use Aumbrel\Core\Kind\DrivenByValues;
use Aumbrel\Core\Kind\Emitter;
use Aumbrel\Core\Kind\Family;
use Aumbrel\Core\Kind\Layer;
use Aumbrel\Core\Kind\Level;
use Aumbrel\Core\Kind\OneColour;
use Aumbrel\Core\Kind\Plain;
use Aumbrel\Core\Kind\Shines;
use Aumbrel\Core\Kind\Site;
use Aumbrel\Core\Kind\Surroundings;
use Aumbrel\Core\Ramp\Stops;
use Aumbrel\Core\Stage\Lamp;
use Aumbrel\Core\Stage\Sun as SunSource;
use Aumbrel\Core\Value\ChoiceValue;
use Aumbrel\Core\Value\LightColourValue;
use Aumbrel\Core\Value\MaskStopsValue;
use Aumbrel\Core\Value\NumberValue;
use Aumbrel\Core\Value\PlateValue;
use Aumbrel\Core\Value\ToggleValue;
use Aumbrel\Core\Value\Unit;
use Aumbrel\Core\Value\Values;

/** A line that shines, sharp, over its blurred twin: along lines that are drawn, or along a plate's outline. */
final readonly class LineOfLight implements Begun, Driven, Shines
{
    use DrivenByValues;
    use Plain;

    private const DRAWN = 'what is drawn';

    private const OUTLINE = "a plate's outline";

    /**
     * @param  float  $width  px
     * @param  float  $blur  sigma of the twin, px
     * @param  float  $twin  stops of the twin on top of the strip's
     * @param  float  $pale  0..1, how far the sharp line goes toward white
     */
    private function __construct(
        private string $along,
        private ?string $of,
        private bool $isClosed,
        private float $width,
        private float $blur,
        private float $twin,
        private float $pale,
        private Stops $fade,
        private LightColour $colour,
        private bool $takesColour,
    ) {
    }

    public static function key(): string
    {
        return 'line';
    }

    public static function label(): string
    {
        return 'Line of light';
    }

    public static function hint(): string
    {
        return 'A line that shines: a filament, a tube, a ring';
    }

    public static function family(): Family
    {
        return Family::Light;
    }

    public static function parameters(): array
    {
        return [
            LightColourValue::named('colour', 'Colour', 'light', LightColour::swatch('#ff8a5c')),
            NumberValue::named('width', 'Width', 'light', Unit::Pixels, 0.25, 400, 4, 0.25),
            NumberValue::named('blur', 'Twin blurred by', 'light', Unit::Pixels, 0.5, 2000, 14, 0.5),
            NumberValue::named('twin', 'Twin level', 'light', Unit::Stops, Unit::LEAST_LEVEL, Unit::MOST_LEVEL, 1.6, 0.1),
            MaskStopsValue::named('fade', 'Along it', 'along', Stops::of([0.0, 1.0], [1.0, 1.0])),
            ChoiceValue::named('along', 'Follows', 'along', [self::DRAWN, self::OUTLINE], self::DRAWN),
            ToggleValue::named('closed', 'Closed', 'along')->shownWhen('along', [self::DRAWN]),
            PlateValue::optional('of', 'Of', 'along', 'no plate')->shownWhen('along', [self::OUTLINE]),
            NumberValue::named('pale', 'Pale heart', 'along', Unit::Percent, 0, 100, 85),
            ToggleValue::named('takesColour', "In its source's colour", 'source'),
        ];
    }

    public static function from(Values $values): self
    {
        return new self(
            $values->text('along'), $values->optionalText('of'), $values->toggle('closed'), $values->number('width'), $values->number('blur'), $values->number('twin'),
            $values->number('pale') / 100, $values->object('fade', Stops::class), $values->object('colour', LightColour::class), $values->toggle('takesColour'),
        );
    }

    public static function placed(Point $centre, float $span, ?string $plate = null): array
    {
        return ['of' => $plate, 'width' => round(max(1.0, $span * 0.005), 1), 'blur' => round(max(2.0, $span * 0.016), 1)];
    }

    /** A shallow wave, to be dragged into its place. */
    public static function begun(Point $centre, float $span): array
    {
        $node = static fn (float $x, float $y): array => ['at' => [round($centre->x + $x * $span, 1), round($centre->y + $y * $span, 1)], 'in' => [round(-0.08 * $span, 1), 0.0], 'out' => [round(0.08 * $span, 1), 0.0]];

        return [['kind' => 'outline', 'on' => 'emitter', 'values' => ['path' => [$node(-0.25, 0.03), $node(0.0, -0.04), $node(0.25, 0.03)]]]];
    }

    public function defaultMode(): BlendMode
    {
        return BlendMode::Airlight;
    }

    public function layers(Site $site): array
    {
        $colour = $this->colour->linear($site->white());
        $line = $this->line($site);
        if ($line === null || $colour->largest() <= 0) {
            return [];
        }
        $level = $site->level() + $this->colour->stops($site->white());
        $pale = $colour->map(fn (float $value): float => $value + $this->pale * (1.0 - $value));

        return [
            new Layer($site->mode(), new Softened($line, $this->blur), OneColour::ofLight($colour), new Level($level + $this->twin)),
            new Layer($site->mode(), new Contracted($line), OneColour::ofLight($pale), new Level($level)),
        ];
    }

    private function line(Site $site): ?Emitter
    {
        if ($this->along === self::OUTLINE) {
            $shape = $this->of === null || $site->outline($this->of) === null ? null : PlateShape::of($site, $this->of);

            return $shape === null ? null : new OutlineBand($shape, $this->width);
        }
        $traces = $site->traces();

        return $traces === [] ? null : new TracedLines($traces, $this->isClosed, $this->width, $this->fade);
    }

    public function problem(Surroundings $around): ?string
    {
        return match (true) {
            $this->along === self::DRAWN => $around->hasEmitter() ? null : 'No line is drawn yet that could shine: draw one with Outline under Shines.',
            $this->of === null => 'It follows the outline of a plate: choose which one.',
            $around->plate($this->of) === null => 'Its plate is gone: choose another one.',
            ! $around->hasOutline($this->of) => 'Its plate is not cut out, so there is no outline to follow.',
            default => null,
        };
    }

    public static function traces(): bool
    {
        return true;
    }

    public function isDrawn(): bool
    {
        return $this->along === self::DRAWN;
    }

    public function of(): ?string
    {
        return $this->of;
    }

    public static function hangsOn(): array
    {
        return [Lamp::class, SunSource::class];
    }

    public function inForce(Drive $drive): array
    {
        return $this->takesColour ? ['colour' => $drive->source->kind->colour()->toArray()] : [];
    }
}
