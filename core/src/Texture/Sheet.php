<?php

declare(strict_types=1);

namespace Aumbrel\Core\Texture;

use Aumbrel\Core\Geometry\Homography;
use Aumbrel\Core\Geometry\Placement;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Kind\Emitter;
use Aumbrel\Core\Picture\PictureSource;
use Aumbrel\Core\Value\ChoiceValue;
use Aumbrel\Core\Value\NumberValue;
use Aumbrel\Core\Value\Parameter;
use Aumbrel\Core\Value\PictureValue;
use Aumbrel\Core\Value\PointValue;
use Aumbrel\Core\Value\Unit;
use Aumbrel\Core\Value\Values;

/** A texture as it lies in the scene: moved, turned and stretched. */
final readonly class Sheet
{
    /**
     * @param  string|null  $picture  its plain name, when it is a picture
     * @param  Point  $middle  scene pixels
     * @param  float  $turn  degrees, counter-clockwise as seen
     */
    public function __construct(public Texture $texture, public ?string $picture, public int $seed, private Point $middle, private float $width, private float $height, private float $turn)
    {
    }

    /** @return list<Parameter> */
    public static function parameters(string $section, string $placing, Texture $usual): array
    {
        return [
            ChoiceValue::named('texture', 'Texture', $section, array_column(Texture::cases(), 'value'), $usual->value),
            PictureValue::optional('picture', 'Picture', $section, 'no picture')->shownWhen('texture', [Texture::Picture->value]),
            NumberValue::named('seed', 'Seed', $section, Unit::None, 0, 99999, 1)->shownWhen('texture', array_values(array_diff(array_column(Texture::cases(), 'value'), [Texture::Picture->value]))),
            PointValue::named('middle', 'Middle', $placing, new Point(0, 0)),
            NumberValue::named('width', 'Width', $placing, Unit::Pixels, 1, 100000, Texture::WIDTH),
            NumberValue::named('height', 'Height', $placing, Unit::Pixels, 1, 100000, Texture::HEIGHT),
            NumberValue::turn('turn', 'Turn', $placing),
        ];
    }

    public static function from(Values $values): self
    {
        return new self(Texture::from($values->text('texture')), $values->optionalText('picture'), (int) $values->number('seed'), $values->object('middle', Point::class), $values->number('width'), $values->number('height'), $values->number('turn'));
    }

    /** @return array<string, mixed> values of one that covers what is looked at */
    public static function placed(Point $centre, float $span): array
    {
        return ['middle' => [round($centre->x), round($centre->y)], 'width' => round(1.6 * $span), 'height' => round(1.05 * $span)];
    }

    /** Whether it is a picture that was not chosen yet. */
    public function lacksPicture(): bool
    {
        return $this->texture === Texture::Picture && $this->picture === null;
    }

    /** How bright it is; of a picture that is not there null. */
    public function brightness(?PictureSource $picture): ?Emitter
    {
        if ($this->texture !== Texture::Picture) {
            return new TextureShape($this->texture, $this->seed, $this->map(Texture::WIDTH, Texture::HEIGHT));
        }

        return $picture === null ? null : new SlideShape($picture, $this->placement($picture));
    }

    public function placement(PictureSource $picture): Placement
    {
        return new Placement(new Point(0, 0), new Point(0, 0), fit: $this->map($picture->width(), $picture->height()));
    }

    /**
     * The values that let it run past a scene of a size on all sides, in its own proportions.
     *
     * @return array<string, mixed>
     */
    public function covering(int $width, int $height): array
    {
        [$cos, $sin] = [abs(cos(deg2rad($this->turn))), abs(sin(deg2rad($this->turn)))];
        // what the scene takes up of the sheet's own two sides
        $by = 1.02 * max(($width * $cos + $height * $sin) / $this->width, ($width * $sin + $height * $cos) / $this->height);

        return ['middle' => [$width / 2, $height / 2], 'width' => round($by * $this->width, 1), 'height' => round($by * $this->height, 1)];
    }

    /** @return list<array{float, float}> its corners in the scene, in order round it */
    public function corners(): array
    {
        $map = $this->map(1.0, 1.0);

        return [$map->at(0, 0), $map->at(1, 0), $map->at(1, 1), $map->at(0, 1)];
    }

    /** From a sheet of a size to the scene. */
    private function map(float $width, float $height): Homography
    {
        [$cos, $sin] = [cos(deg2rad($this->turn)), sin(deg2rad($this->turn))];
        [$a, $b] = [$this->width / $width, $this->height / $height];

        return Homography::affine(
            $cos * $a, $sin * $b, $this->middle->x - ($cos * $this->width + $sin * $this->height) / 2,
            -$sin * $a, $cos * $b, $this->middle->y - (-$sin * $this->width + $cos * $this->height) / 2,
        );
    }
}
