<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Color\LightColour;
use Aumbrel\Core\Color\Rgb;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Kind\Drive;
use Aumbrel\Core\Kind\Driven;
use Aumbrel\Core\Kind\DrivenByValues;
use Aumbrel\Core\Kind\Emitter;
use Aumbrel\Core\Kind\Family;
use Aumbrel\Core\Kind\Field;
use Aumbrel\Core\Kind\Glows;
use Aumbrel\Core\Kind\Layer;
use Aumbrel\Core\Kind\Level;
use Aumbrel\Core\Kind\OneColour;
use Aumbrel\Core\Kind\Placed;
use Aumbrel\Core\Kind\Plain;
use Aumbrel\Core\Kind\Proposal;
use Aumbrel\Core\Kind\Proposes;
use Aumbrel\Core\Kind\Shines;
use Aumbrel\Core\Kind\Site;
use Aumbrel\Core\Kind\Surroundings;
use Aumbrel\Core\Stage\Lamp;
use Aumbrel\Core\Stage\Stage;
use Aumbrel\Core\Stage\Sun;
use Aumbrel\Core\Value\ChoiceValue;
use Aumbrel\Core\Value\LightColourValue;
use Aumbrel\Core\Value\NumberValue;
use Aumbrel\Core\Value\PlateValue;
use Aumbrel\Core\Value\PointValue;
use Aumbrel\Core\Value\Shell;
use Aumbrel\Core\Value\ShellPart;
use Aumbrel\Core\Value\Shells;
use Aumbrel\Core\Value\ShellsValue;
use Aumbrel\Core\Value\ToggleValue;
use Aumbrel\Core\Value\Unit;
use Aumbrel\Core\Value\Values;

/**
 * Something that shines: shells from a shape's mask. The core is the shape contracted, the others are the shape blurred; each
 * has its radius, level, colour and mode. They are laid from the outermost in, each on what the one before left.
 */
final readonly class Glow implements Driven, Glows, Proposes, Shines
{
    use DrivenByValues;
    use Plain;

    private const DISC = 'a round lamp';

    private const DRAWN = 'what is drawn';

    private const OUTLINE = "a plate's outline";

    private const TONES = "a plate's bright tones";

    /** @param  float  $reach  all radii times this */
    private function __construct(
        private string $from,
        private Point $centre,
        private float $size,
        private ?string $of,
        private float $threshold,
        private float $knee,
        private Shells $shells,
        private float $reach,
        private LightColour $colour,
        private bool $keptInside,
        private ?BetweenTones $between,
        private ?float $spill,
        private float $spillRadius,
        private bool $takesPlace,
        private bool $takesColour,
    ) {
    }

    public static function key(): string
    {
        return 'glow';
    }

    public static function label(): string
    {
        return 'Glow';
    }

    public static function hint(): string
    {
        return 'Something that shines: core, body, fog and halos';
    }

    public static function family(): Family
    {
        return Family::Light;
    }

    public static function parameters(): array
    {
        return [
            LightColourValue::named('colour', 'Colour', 'light', LightColour::kelvin(2300)),
            ChoiceValue::named('from', 'Shines', 'light', [self::DISC, self::DRAWN, self::OUTLINE, self::TONES], self::DISC),
            PointValue::named('centre', 'Centre', 'light', new Point(0, 0))->shownWhen('from', [self::DISC]),
            NumberValue::named('size', 'Size', 'light', Unit::Pixels, 0.5, 8000, 40, 0.5)->shownWhen('from', [self::DISC]),
            PlateValue::optional('of', 'Of', 'light', 'no plate')->shownWhen('from', [self::DRAWN, self::OUTLINE, self::TONES]),
            NumberValue::named('threshold', 'Brighter than', 'light', Unit::Percent, 0, 100, 80)->shownWhen('from', [self::TONES]),
            NumberValue::named('knee', 'Soft by', 'light', Unit::Percent, 0, 50, 10)->shownWhen('from', [self::TONES]),
            NumberValue::named('reach', 'Reach', 'light', Unit::Percent, 5, 1000, 100),
            ShellsValue::named('shells', 'Shells', 'shells', self::usual(1000.0)),
            ToggleValue::named('keptInside', 'Kept inside its shape', 'surroundings'),
            ToggleValue::named('spill', 'Spill', 'surroundings'),
            NumberValue::named('spillLevel', 'Spill level', 'surroundings', Unit::Stops, Unit::LEAST_LEVEL, Unit::MOST_LEVEL, 0.5, 0.1)->shownWhenOn('spill'),
            NumberValue::named('spillRadius', 'Spill radius', 'surroundings', Unit::Pixels, 0.5, 4000, 100)->shownWhenOn('spill'),
            ToggleValue::named('between', 'Let tones through', 'surroundings'),
            NumberValue::named('darks', 'Darker than', 'surroundings', Unit::Percent, 0, 100, 12)->shownWhenOn('between'),
            NumberValue::named('brights', 'Brighter than', 'surroundings', Unit::Percent, 0, 100, 92)->shownWhenOn('between'),
            ToggleValue::named('takesPlace', "At its source's place", 'source'),
            ToggleValue::named('takesColour', "In its source's colour", 'source'),
        ];
    }

    public static function from(Values $values): self
    {
        return new self(
            $values->text('from'), $values->object('centre', Point::class), $values->number('size'), $values->optionalText('of'), $values->number('threshold') / 100, $values->number('knee') / 100,
            $values->object('shells', Shells::class), $values->number('reach') / 100, $values->object('colour', LightColour::class), $values->toggle('keptInside'),
            $values->toggle('between') ? new BetweenTones($values->number('darks') / 100, $values->number('brights') / 100) : null,
            $values->toggle('spill') ? $values->number('spillLevel') : null, $values->number('spillRadius'), $values->toggle('takesPlace'), $values->toggle('takesColour'),
        );
    }

    /**
     * The set that a new one has: hot inside, and dimmer with every shell.
     *
     * @param  float  $span  the shorter side of what it lies in, px
     */
    private static function usual(float $span): Shells
    {
        $px = static fn (float $share): float => round($share * $span, 1);

        return new Shells([
            new Shell(ShellPart::Core, $px(0.005), 1.0, 0.9),
            new Shell(ShellPart::Body, $px(0.003), 0.4, 0.35),
            new Shell(ShellPart::Fog, $px(0.013), 0.2, 0.1),
            new Shell(ShellPart::Halo, $px(0.035), 0.2),
            new Shell(ShellPart::Halo, $px(0.095), 1.0),
            new Shell(ShellPart::Halo, $px(0.24), 1.6),
        ]);
    }

    public static function placed(Point $centre, float $span, ?string $plate = null): array
    {
        return [
            'centre' => [round($centre->x), round($centre->y)], 'size' => round(max(1.0, $span * 0.05)), 'of' => $plate,
            'shells' => self::usual($span)->toArray(), 'spillRadius' => round($span * 0.1),
        ];
    }

    /** One where a lamp is seen, in its colour. */
    public static function proposals(Placed $placed): array
    {
        $seen = $placed->source->kind->seenAt($placed->stage->camera);
        if (! $placed->source->kind instanceof Lamp || $seen === null) {
            return [];
        }
        $size = max(4.0, $placed->source->kind->width);

        return [new Proposal('glow', 'Glow of the lamp', self::class, [
            'centre' => $seen->toArray(), 'size' => round($size, 1), 'takesPlace' => true, 'takesColour' => true, 'shells' => self::usual(max(300.0, 20 * $size))->toArray(), 'spillRadius' => round(2.5 * $size),
        ], 0.0, ticked: false, order: 130)];
    }

    public function defaultMode(): BlendMode
    {
        return BlendMode::Airlight;
    }

    public function layers(Site $site): array
    {
        $own = $this->colour->linear($site->white());
        $emitter = $this->shining($site);
        if ($emitter === null || $own->largest() <= 0) {
            return [];
        }
        $layers = [];
        $lost = $this->colour->stops($site->white());
        if ($this->spill !== null) {
            $layers[] = new Layer(BlendMode::Illuminate, new Softened($emitter, max(0.5, $this->spillRadius * $this->reach)), OneColour::ofLight($own), new Level($site->level() + $this->spill + $lost));
        }
        foreach (array_reverse($this->shells->all) as $shell) {
            $layers[] = $this->shell($shell, $emitter, $own, $site, $lost);
        }
        if ($this->between !== null) {
            foreach ($layers as $at => $layer) {
                $layers[$at] = $layer->where(new LetThrough($layer->field, $this->between, $at === 0));
            }
        }

        return $layers;
    }

    private function field(Shell $shell, Emitter $emitter): Field
    {
        $radius = $shell->radius * $this->reach;

        return match (true) {
            $shell->part === ShellPart::Core => new Contracted($emitter, $radius),
            $radius < 0.05 => new Contracted($emitter),
            default => new Softened($emitter, $radius),
        };
    }

    public function shells(Site $site, Emitter $shining): array
    {
        return array_map(fn (Shell $shell): array => [$shell->part->value, $this->field($shell, $shining), $site->level() + $shell->level], $this->shells->all);
    }

    public function contraction(): float
    {
        foreach ($this->shells->all as $shell) {
            if ($shell->part === ShellPart::Core) {
                return $shell->radius * $this->reach;
            }
        }

        return 0.0;
    }

    /** Without a core one is put into it. */
    public function hotter(float $stops): array
    {
        $shells = $this->shells->all;
        $hasCore = ($shells[0]->part ?? null) === ShellPart::Core;
        $core = $hasCore ? $shells[0] : new Shell(ShellPart::Core, 0.0, 0.0, 0.9);

        return ['shells' => (new Shells([$core->with(level: min(Unit::MOST_LEVEL, $core->level + $stops)), ...array_slice($shells, $hasCore ? 1 : 0)]))->toArray()];
    }

    public function contractedBy(float $px): array
    {
        return ['shells' => (new Shells(array_map(fn (Shell $shell): Shell => $shell->part === ShellPart::Core ? $shell->with(radius: round($px / $this->reach, 1)) : $shell, $this->shells->all)))->toArray()];
    }

    private function shell(Shell $shell, Emitter $emitter, Rgb $own, Site $site, float $lost): Layer
    {
        $field = $this->field($shell, $emitter);
        if ($this->keptInside) {
            $field = new Inside($field, $emitter);
        }
        $level = new Level($site->level() + $shell->level + ($shell->colour === null ? $lost : $shell->colour->stops($site->white())));
        $mode = $shell->mode ?? $site->mode();

        return $shell->ramp === null ? new Layer($mode, $field, OneColour::ofLight($shell->colour($own, $site->white())), $level)
            : new Layer($mode, new Ramped($field, $shell->ramp), new RampTint($field, $shell->ramp, $site->window()), $level);
    }

    public function shining(Site $site): ?Emitter
    {
        return match ($this->from) {
            self::DRAWN => $site->emitter($this->of),
            self::OUTLINE => $this->of === null || $site->outline($this->of) === null ? null : PlateShape::of($site, $this->of),
            self::TONES => $this->of === null ? null : BrightTones::of($site, $this->of, $this->threshold, $this->knee),
            default => new Disc($this->centre, $this->size / 2),
        };
    }

    public function problem(Surroundings $around): ?string
    {
        $needsPlate = in_array($this->from, [self::OUTLINE, self::TONES], true);

        return match (true) {
            $this->from === self::DRAWN && ! $around->hasEmitter() => 'Nothing is drawn yet that could shine: paint it, outline it or click an area under Shines.',
            $needsPlate && $this->of === null => 'It shines from a plate: choose which one.',
            $needsPlate && $around->plate((string) $this->of) === null => 'Its plate is gone: choose another one.',
            $this->from === self::OUTLINE && ! $around->hasOutline((string) $this->of) => 'Its plate is not cut out, so there is no outline that could shine.',
            default => null,
        };
    }

    /** The middle of a round lamp. */
    public function outlines(Stage $stage): array
    {
        return $this->from === self::DISC ? ['lamp' => [$this->centre->toArray()]] : [];
    }

    public static function traces(): bool
    {
        return false;
    }

    public function isDrawn(): bool
    {
        return $this->from === self::DRAWN;
    }

    public function of(): ?string
    {
        return $this->of;
    }

    public static function hangsOn(): array
    {
        return [Lamp::class, Sun::class];
    }

    /** It takes place and colour only where that is asked for. */
    public function inForce(Drive $drive): array
    {
        $seen = $this->takesPlace && $this->from === self::DISC ? $drive->source->kind->seenAt($drive->stage->camera) : null;

        return [...($seen === null ? [] : ['centre' => $seen->toArray()]), ...($this->takesColour ? ['colour' => $drive->source->kind->colour()->toArray()] : [])];
    }
}
