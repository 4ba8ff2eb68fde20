<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Color\LightColour;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Kind\Drive;
use Aumbrel\Core\Kind\Driven;
use Aumbrel\Core\Kind\DrivenByValues;
use Aumbrel\Core\Kind\Family;
use Aumbrel\Core\Kind\Framed;
use Aumbrel\Core\Kind\HoldsBlack;
use Aumbrel\Core\Kind\Layer;
use Aumbrel\Core\Kind\Level;
use Aumbrel\Core\Kind\OneColour;
use Aumbrel\Core\Kind\Plain;
use Aumbrel\Core\Kind\Site;
use Aumbrel\Core\Kind\Surroundings;
use Aumbrel\Core\Ramp\ColourRamp;
use Aumbrel\Core\Stage\Lamp;
use Aumbrel\Core\Stage\Stage;
use Aumbrel\Core\Stage\Sun as SunSource;
use Aumbrel\Core\Texture\Pinned;
use Aumbrel\Core\Texture\Sheet;
use Aumbrel\Core\Texture\Texture;
use Aumbrel\Core\Value\ChoiceValue;
use Aumbrel\Core\Value\ColourRampValue;
use Aumbrel\Core\Value\LightColourValue;
use Aumbrel\Core\Value\NumberValue;
use Aumbrel\Core\Value\ToggleValue;
use Aumbrel\Core\Value\Unit;
use Aumbrel\Core\Value\Values;

/**
 * A picture, or a texture of the shelf, as light. Its black is held: (v - blacks) / (1 - blacks), then gain, so that what is dark
 * in it adds nothing.
 */
final readonly class Leak implements Driven, Framed, HoldsBlack
{
    use DrivenByValues;
    use Plain;

    private const OWN = 'its own';

    private const ONE = 'one colour';

    private const RAMP = 'by brightness';

    /**
     * @param  float  $blacks  0..1, the brightness that counts as black
     * @param  float  $gain  stops
     * @param  float  $softness  sigma, px
     */
    private function __construct(
        private Sheet $sheet,
        private string $colours,
        private LightColour $colour,
        private ColourRamp $ramp,
        private float $blacks,
        private float $gain,
        private float $softness,
        private bool $takesColour,
    ) {
    }

    public static function key(): string
    {
        return 'leak';
    }

    public static function label(): string
    {
        return 'Leak';
    }

    public static function hint(): string
    {
        return 'Stray light, smoke, bokeh or a picture, used as light';
    }

    public static function family(): Family
    {
        return Family::Light;
    }

    public static function parameters(): array
    {
        return [
            ChoiceValue::named('colours', 'Colours', 'light', [self::RAMP, self::ONE, self::OWN], self::RAMP),
            // who wants it in one colour wants another one than its ramp's
            LightColourValue::named('colour', 'Colour', 'light', LightColour::swatch('#6fa8ff'))->shownWhen('colours', [self::ONE]),
            ColourRampValue::named('ramp', 'Ramp', 'light', ColourRamp::of([0.0, '#ffe9bd', 1.0], [0.4, '#ff9d42', 1.0], [0.75, '#e8402b', 1.0], [1.0, '#7a1020', 0.9]))->shownWhen('colours', [self::RAMP]),
            ...Sheet::parameters('light', 'reach', Texture::Leak),
            NumberValue::named('blacks', 'Blacks start at', 'tone', Unit::Percent, 0, 95, 0),
            NumberValue::named('gain', 'Gain', 'tone', Unit::Stops, -4, 4, 0, 0.1),
            NumberValue::named('softness', 'Softness', 'tone', Unit::Pixels, 0, 2000, 0, 0.5),
            ToggleValue::named('takesColour', "In its source's colour", 'source'),
        ];
    }

    public static function from(Values $values): self
    {
        return new self(
            Sheet::from($values), $values->text('colours'), $values->object('colour', LightColour::class), $values->object('ramp', ColourRamp::class),
            $values->number('blacks') / 100, $values->number('gain'), $values->number('softness'), $values->toggle('takesColour'),
        );
    }

    public static function placed(Point $centre, float $span, ?string $plate = null): array
    {
        return Sheet::placed($centre, $span);
    }

    public static function placedLevel(): float
    {
        return -0.3;
    }

    public function defaultMode(): BlendMode
    {
        return BlendMode::Screen;
    }

    public function layers(Site $site): array
    {
        $picture = $this->sheet->picture === null ? null : $site->picture($this->sheet->picture);
        $isOwn = $this->colours === self::OWN && $this->sheet->texture === Texture::Picture;
        if ($isOwn && $picture !== null) {
            $placement = $this->sheet->placement($picture);
            $field = new PictureLight($picture, $placement, $site->mode()->isLinear(), $this->softness, $site->window());
            $tint = new PictureTint($picture, $placement, $this->softness, $site->window());
        } else {
            $shape = $this->sheet->brightness($picture);
            if ($shape === null) {
                return [];
            }
            $field = $this->softness > 0.05 ? new Softened($shape, $this->softness) : $shape;
            $tint = null;
        }
        if ($this->blacks > 0) {
            $field = new Pinned($field, $this->blacks);
        }
        if ($this->gain != 0.0) {
            $field = new Gained($field, $this->gain);
        }
        $level = new Level($site->level() + ($this->colours === self::ONE ? $this->colour->stops($site->white()) : 0.0));
        if ($tint === null && $this->colours === self::RAMP) {
            return [new Layer($site->mode(), new Ramped($field, $this->ramp), new RampTint($field, $this->ramp, $site->window()), $level)];
        }

        return [new Layer($site->mode(), $field, $tint ?? OneColour::ofLight($this->colour->linear($site->white())), $level)];
    }

    public function problem(Surroundings $around): ?string
    {
        return match (true) {
            $this->sheet->lacksPicture() => 'No picture is chosen that could be its light.',
            $this->sheet->texture === Texture::Picture && ! $around->hasPicture((string) $this->sheet->picture) => 'Its picture is gone: choose another one.',
            default => null,
        };
    }

    /** A texture of the shelf has no border. */
    public function frame(): ?array
    {
        return $this->sheet->texture === Texture::Picture ? $this->sheet->corners() : null;
    }

    public function covering(int $width, int $height): array
    {
        return $this->sheet->covering($width, $height);
    }

    /** What was added at least, in the sheet's own brightness; a little more, so that nothing is left of it. */
    public function holdingBlack(float $least): array
    {
        return ['blacks' => round(min(95.0, 100 * ($this->blacks + (1 - $this->blacks) * $least * 2 ** -$this->gain) + 1.5), 1)];
    }

    public static function hangsOn(): array
    {
        return [Lamp::class, SunSource::class];
    }

    public function inForce(Drive $drive): array
    {
        return $this->takesColour ? ['colours' => self::ONE, 'colour' => $drive->source->kind->colour()->toArray()] : [];
    }

    public function outlines(Stage $stage): array
    {
        $corners = $this->sheet->corners();

        return ['edge' => [...$corners, $corners[0]]];
    }
}
