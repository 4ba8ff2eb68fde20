<?php

declare(strict_types=1);

namespace Aumbrel\Core\Mask;

use Aumbrel\Core\CutOut\ColourRegion;
use Aumbrel\Core\CutOut\Colours;
use Aumbrel\Core\CutOut\ShapePlane;
use Aumbrel\Core\Geometry\Frame;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kernel\Plane;
use Aumbrel\Core\Kind\Ground;
use Aumbrel\Core\Kind\PlateMask;
use Aumbrel\Core\Picture\PictureSource;
use Aumbrel\Core\Picture\Shape;
use Aumbrel\Core\Value\ChoiceValue;
use Aumbrel\Core\Value\NumberValue;
use Aumbrel\Core\Value\PointValue;
use Aumbrel\Core\Value\Unit;
use Aumbrel\Core\Value\Values;
use LogicException;

/** What has the colour of a place that was picked: what hangs together with it, or everywhere. */
final readonly class ColourArea implements PlateMask
{
    private const REACHES = ['touching', 'everywhere'];

    public function __construct(public Point $at, public float $tolerance, public bool $everywhere, public float $patch)
    {
    }

    public static function key(): string
    {
        return 'colour area';
    }

    public static function label(): string
    {
        return 'Colour area';
    }

    public static function grounds(): array
    {
        return [Ground::Plate, Ground::Emitter];
    }

    public static function parameters(): array
    {
        return [
            PointValue::named('at', 'Picked at', 'falloff'),
            NumberValue::named('tolerance', 'Tolerance', 'falloff', Unit::Percent, 0.5, 100, 12, 0.5),
            ChoiceValue::named('reach', 'Takes what is', 'falloff', self::REACHES, self::REACHES[0]),
            NumberValue::named('patch', 'Patch', 'falloff', Unit::Pixels, 1, 101, 7, 2),
        ];
    }

    public static function from(Values $values): self
    {
        return new self($values->object('at', Point::class), $values->number('tolerance') / 100, $values->text('reach') === 'everywhere', $values->number('patch'));
    }

    public static function placed(Point $centre, float $span): array
    {
        return ['at' => $centre->toArray()];
    }

    public function problem(): ?string
    {
        return null;
    }

    public function write(KernelWriter $kernel, Window $window): string
    {
        throw new LogicException('a colour area lies on a plate');
    }

    public function onPlate(Frame $frame, PictureSource $picture): Plane
    {
        $key = "colour area {$picture->key()} {$this->at->x} {$this->at->y} {$this->tolerance} {$this->patch} ".(int) $this->everywhere;

        return new ShapePlane($frame, $key, fn (): Shape => ColourRegion::of(Colours::of($picture), $picture->width(), $picture->height(), $this->at, $this->tolerance, $this->everywhere, $this->patch));
    }
}
