<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Bearing\Bearing;
use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Body\ChamferPlane;
use Aumbrel\Core\Body\ReliefPlane;
use Aumbrel\Core\Color\LightColour;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\Planes;
use Aumbrel\Core\Kind\Directed;
use Aumbrel\Core\Kind\Driven;
use Aumbrel\Core\Kind\DrivenByValues;
use Aumbrel\Core\Kind\Evenly;
use Aumbrel\Core\Kind\Family;
use Aumbrel\Core\Kind\Layer;
use Aumbrel\Core\Kind\LooksBelow;
use Aumbrel\Core\Kind\Placed;
use Aumbrel\Core\Kind\PlacedPlate;
use Aumbrel\Core\Kind\Plain;
use Aumbrel\Core\Kind\Proposal;
use Aumbrel\Core\Kind\Proposes;
use Aumbrel\Core\Kind\Site;
use Aumbrel\Core\Kind\Stance;
use Aumbrel\Core\Kind\Surroundings;
use Aumbrel\Core\Picture\Pixels;
use Aumbrel\Core\Seen\SeenPlate;
use Aumbrel\Core\Value\ChoiceValue;
use Aumbrel\Core\Value\LightColourValue;
use Aumbrel\Core\Value\NumberValue;
use Aumbrel\Core\Value\PictureValue;
use Aumbrel\Core\Value\PlateValue;
use Aumbrel\Core\Value\Unit;
use Aumbrel\Core\Value\Values;

/**
 * A surface whose texture answers the light: tones are heights, and shade = max(0, n.l) - max(0, lz). What is raised toward the
 * light brightens, what falls away from it darkens, what is flat stays as it is.
 */
final readonly class Relief implements Directed, Driven, LooksBelow, Proposes
{
    use ByBearing;
    use DrivenByValues;
    use Plain;

    private const BELOW = 'what lies below';

    private const PLATE = 'a plate';

    private const PICTURE = 'a picture';

    private const OUTLINE = 'an outline';

    /**
     * @param  string  $heights  where they come from
     * @param  string|null  $of  the plate whose tones or outline are heights, or on which the picture lies; null for what lies below
     * @param  string|null  $picture  the picture whose tones are heights
     * @param  float  $rounding  how far inside an outline its height is reached, scene pixels
     * @param  float  $share  k, how much of the shade is seen
     * @param  float  $gloss  0..1
     */
    private function __construct(private string $heights, private ?string $of, private ?string $picture, private float $rounding, private float $gloss, private float $glossSize, private string $channel, private float $strength, private float $smooth, private float $share, private Bearing $bearing, private LightColour $colour)
    {
    }

    public static function key(): string
    {
        return 'relief';
    }

    public static function label(): string
    {
        return 'Relief';
    }

    public static function hint(): string
    {
        return 'Texture that catches the light from one side';
    }

    public static function family(): Family
    {
        return Family::Light;
    }

    public static function parameters(): array
    {
        return [
            NumberValue::named('strength', 'Strength', 'light', Unit::Pixels, 0, 500, 8, 0.5)->says('How high the brightest tone lies over the darkest'),
            NumberValue::named('smooth', 'Smoothness', 'light', Unit::Pixels, 0, 100, 1.5, 0.1)->says('How far heights are smoothed: what is finer has no relief'),
            NumberValue::named('shade', 'Shade', 'light', Unit::Percent, 0, 200, 80)->says('How much brighter it gets toward the light, and darker away from it'),
            NumberValue::direction('azimuth', 'Azimuth', 'direction', 135),
            NumberValue::named('elevation', 'Elevation', 'direction', Unit::Degrees, -90, 90, 30),
            ChoiceValue::named('heights', 'Heights', 'reach', [self::BELOW, self::PLATE, self::OUTLINE, self::PICTURE], self::BELOW)->says('Whose tones are taken for heights, or the outline that rises to its middle'),
            PlateValue::optional('of', 'Of', 'reach', 'no plate')->shownWhen('heights', [self::PLATE, self::OUTLINE, self::PICTURE])->says('The plate whose tones or outline are heights, or on which their picture lies'),
            PictureValue::optional('picture', 'Their picture', 'reach', 'none')->shownWhen('heights', [self::PICTURE])->says('White is high; it shows the same place as its plate'),
            NumberValue::named('rounding', 'Rounded over', 'reach', Unit::Pixels, 1, 20000, 40, 1)->shownWhen('heights', [self::OUTLINE])->says('How far inside the outline its height is reached'),
            ChoiceValue::named('channel', 'By', 'reach', ReliefPlane::CHANNELS, ReliefPlane::CHANNELS[0])->says('Which of its tones are heights: brightness, or one channel'),
            LightColourValue::named('colour', 'Colour', 'reach', LightColour::swatch('#ffffff')),
            NumberValue::named('gloss', 'Gloss', 'reach', Unit::Percent, 0, 100, 0)->says('How much of the light the surface mirrors'),
            NumberValue::named('glossSize', 'Highlight', 'reach', Unit::None, 2, 200, 20, 1)->says('How small and sharp the highlight is'),
        ];
    }

    public static function from(Values $values): self
    {
        return new self(
            $values->text('heights'), $values->optionalText('of'), $values->optionalText('picture'), $values->number('rounding'), $values->number('gloss') / 100, $values->number('glossSize'), $values->text('channel'), $values->number('strength'), $values->number('smooth'), $values->number('shade') / 100,
            new Bearing($values->number('azimuth'), $values->number('elevation')), $values->object('colour', LightColour::class),
        );
    }

    public static function placed(Point $centre, float $span, ?string $plate = null): array
    {
        return ['strength' => round(max(2.0, 0.02 * $span), 1), 'smooth' => round(max(0.8, 0.0016 * $span), 1)];
    }

    /** That of the tones of each plate that hangs: of a cloth, a print, a carved sign. */
    public static function proposals(Placed $placed): array
    {
        return array_map(static fn (PlacedPlate $plate): Proposal => new Proposal(
            "relief {$plate->id}", "Relief of {$plate->name}", self::class, [...self::placed($plate->footing->middle, $plate->size), 'heights' => self::PLATE, 'of' => $plate->id], 0.0, ticked: false, order: 112,
        ), $placed->those(Stance::Hangs));
    }

    public function defaultMode(): BlendMode
    {
        return BlendMode::Illuminate;
    }

    public function looksBelow(): bool
    {
        return $this->heights === self::BELOW;
    }

    public function goesBy(): array
    {
        return [];
    }

    public function layers(Site $site): array
    {
        $plane = $this->plane($site);
        $colour = $this->colour->linear($site->white());
        if ($plane === null || $this->strength <= 0 || $colour->largest() <= 0) {
            return [];
        }
        $shaded = new Shaded($plane, $this->bearing, $this->share, gloss: $this->gloss, glossSize: $this->glossSize);
        $tint = $site->mode()->isLinear() ? ShadedLight::of($shaded, $colour) : new ShadedGrey($shaded);

        return [new Layer($site->mode(), new Evenly(1.0), $tint, new ShadedLevel($site->level(), $shaded), recolours: true, within: $this->lights())];
    }

    private function plane(Site $site): ?ReliefPlane
    {
        if ($this->looksBelow()) {
            $beneath = $site->beneath();

            return new ReliefPlane($beneath->key(), static fn (Planes $planes, Window $window): array => $beneath->colours($window), $this->channel, $this->strength, $this->smooth, $site->stage()->size(), $site->window());
        }
        [$of, $picture] = [$this->of, $this->heights === self::PICTURE ? $this->picture : null];
        $seen = match (true) {
            $of === null || ($this->heights === self::PICTURE && $picture === null) || ($this->heights === self::OUTLINE && ! $site->hasOutline($of)) => null,
            $picture === null => static fn (Window $window): ?SeenPlate => $site->seen($of, $window),
            default => static fn (Window $window): ?SeenPlate => $site->pass($of, $picture, $window),
        };
        $name = $seen === null ? null : $seen(Window::whole(1, 1))?->key();

        if ($seen === null || $name === null) {
            return null;
        }
        if ($this->heights === self::OUTLINE) {
            return new ReliefPlane("{$name} rounded over {$this->rounding}", fn (Planes $planes, Window $window): array => ChamferPlane::rounded($planes, $window, $seen, $this->rounding), $this->channel, $this->strength, $this->smooth, $site->stage()->size(), $site->window());
        }

        return new ReliefPlane($name, static function (Planes $planes, Window $window) use ($seen): array {
            $plate = $seen($window);
            $pixels = $plate === null ? null : new Pixels($planes->pixels($plate), $plate->bits());
            $none = array_fill(0, $window->columns * $window->rows, 0.0);

            return $pixels === null ? [$none, $none, $none, $none] : [...$pixels->channels(), $pixels->alpha()];
        }, $this->channel, $this->strength, $this->smooth, $site->stage()->size(), $site->window());
    }

    public function problem(Surroundings $around): ?string
    {
        return match (true) {
            $this->looksBelow() => null,
            $this->of === null => match ($this->heights) {
                self::PICTURE => 'Choose the plate on which the picture of its heights lies.',
                self::OUTLINE => 'Choose the plate whose outline rises.',
                default => 'Choose the plate whose tones are its heights.',
            },
            $around->plate($this->of) === null => 'Its plate is gone: choose another one.',
            $this->heights === self::OUTLINE && ! $around->hasOutline($this->of) => 'Its plate is not cut out, so it has no outline that could rise.',
            $this->heights === self::PICTURE && $this->picture === null => 'Choose the picture whose tones are its heights.',
            $this->heights === self::PICTURE && ! $around->hasPicture((string) $this->picture) => 'The picture of its heights is gone: choose another one.',
            default => null,
        };
    }

    public function lights(): ?string
    {
        return $this->looksBelow() ? null : $this->of;
    }
}
