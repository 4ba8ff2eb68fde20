<?php

declare(strict_types=1);

namespace Aumbrel\Core\Air;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Kind\Family;
use Aumbrel\Core\Kind\Field;
use Aumbrel\Core\Kind\Framed;
use Aumbrel\Core\Kind\LooksBelow;
use Aumbrel\Core\Kind\Plain;
use Aumbrel\Core\Kind\Site;
use Aumbrel\Core\Kind\Surroundings;
use Aumbrel\Core\Raster\Smoke;
use Aumbrel\Core\Stage\Stage;
use Aumbrel\Core\Texture\Noised;
use Aumbrel\Core\Texture\Pinned;
use Aumbrel\Core\Texture\Sheet;
use Aumbrel\Core\Texture\Texture;
use Aumbrel\Core\Texture\Times;
use Aumbrel\Core\Value\ChoiceValue;
use Aumbrel\Core\Value\NumberValue;
use Aumbrel\Core\Value\Parameter;
use Aumbrel\Core\Value\PictureValue;
use Aumbrel\Core\Value\PointValue;
use Aumbrel\Core\Value\Unit;
use Aumbrel\Core\Value\Values;

/**
 * Smoke or mist: made anew from a seed, or of a picture. Of a picture only how bright it is counts, so that it takes any colour:
 * what is white cannot be tinted.
 */
final readonly class SmokeInAir implements Framed, LooksBelow
{
    use Plain;

    private const MADE = 'made anew';

    private const PICTURE = 'of a picture';

    /**
     * @param  Sheet|null  $sheet  of a picture
     * @param  float  $blacks  0..1, the brightness of the picture that counts as clear air
     */
    private function __construct(private LitBy $lit, private Smoke $smoke, private ?Sheet $sheet, private float $blacks)
    {
    }

    public static function key(): string
    {
        return 'smoke';
    }

    public static function label(): string
    {
        return 'Smoke';
    }

    public static function hint(): string
    {
        return 'Wafts of smoke or mist, plain or in a light';
    }

    public static function family(): Family
    {
        return Family::Air;
    }

    public static function parameters(): array
    {
        return [
            ...LitBy::parameters('#676d75'),
            ChoiceValue::named('made', 'Is', 'smoke', [self::MADE, self::PICTURE], self::MADE)->says('Made anew from a number, or the brightness of a picture'),
            ...self::where(self::MADE, [
                NumberValue::named('smokeSize', 'Size', 'smoke', Unit::Pixels, 4, 8000, 300),
                NumberValue::named('density', 'Density', 'smoke', Unit::Percent, 0, 100, 55),
                NumberValue::named('wafts', 'Softness', 'smoke', Unit::Percent, 0, 100, 70)->says('How softly wafts go over into clear air'),
                NumberValue::direction('drift', 'Drift', 'smoke', 10),
                NumberValue::named('stretch', 'Stretch', 'smoke', Unit::Factor, 0.2, 10, 2.2, 0.1),
                NumberValue::named('seed', 'Seed', 'smoke', Unit::None, 0, 99999, 1),
            ]),
            ...self::where(self::PICTURE, [
                PictureValue::optional('picture', 'Picture', 'smoke', 'no picture'),
                NumberValue::named('blacks', 'Clear up to', 'smoke', Unit::Percent, 0, 95, 0)->says('Tones of the picture up to here are clear air'),
                PointValue::named('middle', 'Middle', 'placing', new Point(0, 0)),
                NumberValue::named('width', 'Width', 'placing', Unit::Pixels, 1, 100000, Texture::WIDTH),
                NumberValue::named('height', 'Height', 'placing', Unit::Pixels, 1, 100000, Texture::HEIGHT),
                NumberValue::turn('turn', 'Turn', 'placing'),
            ]),
        ];
    }

    /**
     * @param  list<Parameter>  $parameters
     * @return list<Parameter> of smoke that is made so
     */
    private static function where(string $made, array $parameters): array
    {
        return array_map(static fn (Parameter $parameter): Parameter => $parameter->shownWhen('made', [$made]), $parameters);
    }

    public static function from(Values $values): self
    {
        return new self(
            LitBy::from($values),
            new Smoke($values->number('smokeSize'), $values->number('density') / 100, $values->number('wafts') / 100, $values->number('drift'), $values->number('stretch'), (int) $values->number('seed')),
            $values->text('made') === self::PICTURE ? new Sheet(Texture::Picture, $values->optionalText('picture'), 0, $values->object('middle', Point::class), $values->number('width'), $values->number('height'), $values->number('turn')) : null,
            $values->number('blacks') / 100,
        );
    }

    public static function placed(Point $centre, float $span, ?string $plate = null): array
    {
        return [...Sheet::placed($centre, $span), 'smokeSize' => round(max(4.0, 0.3 * $span))];
    }

    public static function placedAmount(): float
    {
        return 50.0;
    }

    public function defaultMode(): BlendMode
    {
        return BlendMode::Normal;
    }

    public function looksBelow(): bool
    {
        return false;
    }

    public function goesBy(): array
    {
        return $this->lit->goesBy();
    }

    public function layers(Site $site): array
    {
        if ($this->sheet === null) {
            return $this->lit->layers($site, fn (Field $field): Field => new Noised($field, $this->smoke, 1.0));
        }
        $shape = $this->sheet->brightness($this->sheet->picture === null ? null : $site->picture($this->sheet->picture));
        if ($shape !== null && $this->blacks > 0.0) {
            $shape = new Pinned($shape, $this->blacks);
        }

        return $shape === null ? [] : $this->lit->layers($site, static fn (Field $field): Field => new Times($field, $shape));
    }

    public function problem(Surroundings $around): ?string
    {
        return match (true) {
            $this->sheet === null => null,
            $this->sheet->lacksPicture() => 'No picture is chosen that could be its smoke.',
            default => $around->hasPicture((string) $this->sheet->picture) ? null : 'Its picture is gone: choose another one.',
        };
    }

    public function frame(): ?array
    {
        return $this->sheet?->corners();
    }

    public function covering(int $width, int $height): array
    {
        return $this->sheet?->covering($width, $height) ?? [];
    }

    public function outlines(Stage $stage): array
    {
        $corners = $this->sheet?->corners();

        return $corners === null ? [] : ['edge' => [...$corners, $corners[0]]];
    }
}
