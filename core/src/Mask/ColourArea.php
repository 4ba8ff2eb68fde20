<?php

declare(strict_types=1);

namespace Aumbrel\Core\Mask;

use Aumbrel\Core\CutOut\ColourRegion;
use Aumbrel\Core\CutOut\Colours;
use Aumbrel\Core\CutOut\Shape;
use Aumbrel\Core\CutOut\ShapePlane;
use Aumbrel\Core\Geometry\Frame;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Parameter\Parameter;
use Aumbrel\Core\Parameter\Unit;
use Aumbrel\Core\Parameter\Values;
use Aumbrel\Core\Plate\PictureSource;
use Aumbrel\Core\Render\Plane;
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
        return [Ground::Plate];
    }

    public static function parameters(): array
    {
        return [
            Parameter::point('at', 'Picked at', 'falloff'),
            Parameter::number('tolerance', 'Tolerance', 'falloff', Unit::Percent, 0.5, 100, 12, 0.5),
            Parameter::choice('reach', 'Takes what is', 'falloff', self::REACHES, self::REACHES[0]),
            Parameter::number('patch', 'Patch', 'falloff', Unit::Pixels, 1, 101, 7, 2),
        ];
    }

    public static function from(Values $values): self
    {
        return new self($values->point('at'), $values->number('tolerance') / 100, $values->choice('reach') === 'everywhere', $values->number('patch'));
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
