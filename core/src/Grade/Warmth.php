<?php

declare(strict_types=1);

namespace Aumbrel\Core\Grade;

use Aumbrel\Core\Color\LightColour;
use Aumbrel\Core\Color\Luma;
use Aumbrel\Core\Color\Oklab;
use Aumbrel\Core\Color\Rgb;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\Drive;
use Aumbrel\Core\Kind\Driven;
use Aumbrel\Core\Kind\DrivenByValues;
use Aumbrel\Core\Kind\Site;
use Aumbrel\Core\Stage\Lamp;
use Aumbrel\Core\Stage\Sun;
use Aumbrel\Core\Value\LightColourValue;
use Aumbrel\Core\Value\NumberValue;
use Aumbrel\Core\Value\ToggleValue;
use Aumbrel\Core\Value\Unit;
use Aumbrel\Core\Value\Values;

/** Bright tones drawn toward a light's colour, in Oklab, each as light as it was; dark ones away from it where that is wanted. */
final readonly class Warmth implements Driven, Grade
{
    use DrivenByValues, Recolours;

    /** How far the light's own chroma is reached at most. */
    private const MOST = 0.5;

    /** How far dark tones go the other way, of that. */
    private const AWAY = 0.5;

    /**
     * @param  float  $pull  -1..1, below 0 away from the light
     * @param  float  $mids  0..1, the share of it that mids take
     * @param  Rgb|null  $seen  the light, linear, its largest channel 1; null before it is known under which white
     */
    private function __construct(private LightColour $colour, private float $pull, private float $mids, private bool $coolsDarks, private ?Rgb $seen = null)
    {
    }

    public static function key(): string
    {
        return 'warmth';
    }

    public static function label(): string
    {
        return 'Toward a light';
    }

    public static function hint(): string
    {
        return 'Bright tones take a light\'s colour, dark ones cool';
    }

    public static function parameters(): array
    {
        return [
            LightColourValue::named('colour', 'Light', 'tone', LightColour::kelvin(3000)),
            NumberValue::named('pull', 'Pulled by', 'tone', Unit::Percent, -100, 100, 40)->says('How far bright tones go toward the light\'s colour; below 0 away from it'),
            NumberValue::named('mids', 'Mids too', 'tone', Unit::Percent, 0, 100, 0)->says('How much of that the tones between dark and bright take as well: a dull sky is one'),
            ToggleValue::named('coolDarks', 'Darks go the other way', 'tone', true)->says('Dark tones turn to the opposite colour a little, as shadows beside a coloured light do'),
        ];
    }

    public static function from(Values $values): self
    {
        return new self($values->object('colour', LightColour::class), $values->number('pull') / 100, $values->number('mids') / 100, $values->toggle('coolDarks'));
    }

    public static function hangsOn(): array
    {
        return [Lamp::class, Sun::class];
    }

    public function inForce(Drive $drive): array
    {
        return ['colour' => $drive->source->kind->colour()->toArray()];
    }

    public function write(KernelWriter $kernel, array $colour): void
    {
        $light = $this->seen ?? new Rgb(1, 1, 1);
        [, $a, $b] = Oklab::ofLinear($light->red, $light->green, $light->blue);
        if ($this->pull === 0.0) {
            return;
        }
        [$luma, $lights, $darks] = array_map($kernel->variable(...), ['luma', 'lights', 'darks']);
        $kernel->inline([Luma::class, 'of'], $colour, $luma);
        $kernel->inline([Ranges::class, 'lights'], [$luma], $lights);
        if ($this->coolsDarks || $this->mids > 0.0) {
            $kernel->inline([Ranges::class, 'darks'], [$luma], $darks);
            $mids = $kernel->number($this->mids);
            $away = $kernel->number($this->coolsDarks ? self::AWAY : 0.0);
            $kernel->line("{$lights} += {$mids} * (1.0 - {$lights} - {$darks}) - {$away} * {$darks};");
        }
        InOklab::enter($kernel, $colour);
        foreach ([1 => $a, 2 => $b] as $axis => $toward) {
            $kernel->line("{$colour[$axis]} += {$lights} * {$kernel->number($this->pull * self::MOST * $toward)};");
        }
        InOklab::leave($kernel, $colour);
    }

    public function mayExceed(): bool
    {
        return true;
    }

    private function grade(Site $site): Grade
    {
        return new self($this->colour, $this->pull, $this->mids, $this->coolsDarks, $this->colour->linear($site->white()));
    }
}
