<?php

declare(strict_types=1);

namespace Aumbrel\Core\Mask;

use Aumbrel\Core\Geometry\Bounds;
use Aumbrel\Core\Geometry\Frame;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kernel\Plane;
use Aumbrel\Core\Kind\Bounded;
use Aumbrel\Core\Kind\Ground;
use Aumbrel\Core\Kind\Guide;
use Aumbrel\Core\Kind\GuidedMask;
use Aumbrel\Core\Kind\PlateMask;
use Aumbrel\Core\Picture\PictureSource;
use Aumbrel\Core\Stroke\Strokes;
use Aumbrel\Core\Value\ChoiceValue;
use Aumbrel\Core\Value\StrokesValue;
use Aumbrel\Core\Value\Values;

/** Painted strokes that reveal and hide, on a ground that is hidden or shown. */
final readonly class StrokesMask implements Bounded, GuidedMask, PlateMask
{
    private const STARTS = ['hidden', 'shown'];

    public function __construct(public Strokes $strokes, public bool $startsShown)
    {
    }

    public static function key(): string
    {
        return 'strokes';
    }

    public static function label(): string
    {
        return 'Strokes';
    }

    public static function grounds(): array
    {
        return [Ground::Scene, Ground::Plate, Ground::Emitter];
    }

    public static function parameters(): array
    {
        return [
            ChoiceValue::named('start', 'Starts', 'falloff', self::STARTS, self::STARTS[0]),
            StrokesValue::named('strokes', 'Strokes', 'falloff'),
        ];
    }

    public static function from(Values $values): self
    {
        return new self($values->object('strokes', Strokes::class), $values->text('start') === 'shown');
    }

    public static function placed(Point $centre, float $span): array
    {
        return [];
    }

    public function problem(): ?string
    {
        return null;
    }

    public function bounds(): ?Bounds
    {
        $all = null;
        foreach ($this->startsShown ? [] : $this->strokes->all as $stroke) {
            $own = $stroke->bounds();
            if ($own !== null) {
                $all = $all?->with($own) ?? $own;
            }
        }

        return $all;
    }

    public function write(KernelWriter $kernel, Window $window): string
    {
        return "{$kernel->plane($this->plane(Frame::scene($window)))}[\$i]";
    }

    public function isGuided(): bool
    {
        foreach ($this->strokes->all as $stroke) {
            if ($stroke->alike > 0) {
                return true;
            }
        }

        return false;
    }

    public function writeGuided(KernelWriter $kernel, Window $window, Guide $guide): string
    {
        return "{$kernel->plane(new StrokesPlane($this->strokes->all, $this->startsShown ? 1.0 : 0.0, Frame::scene($window), $guide))}[\$i]";
    }

    public function onPlate(Frame $frame, PictureSource $picture): Plane
    {
        return $this->plane($frame);
    }

    private function plane(Frame $frame): StrokesPlane
    {
        return new StrokesPlane($this->strokes->all, $this->startsShown ? 1.0 : 0.0, $frame);
    }
}
