<?php

declare(strict_types=1);

namespace Aumbrel\Core\Mask;

use Aumbrel\Core\CutOut\Segmentation;
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
use Aumbrel\Core\Stroke\Stroke;
use Aumbrel\Core\Stroke\Strokes;
use Aumbrel\Core\Value\StrokesValue;
use Aumbrel\Core\Value\Values;
use LogicException;

/** A subject found from rough strokes on it (those that reveal) and on its background (those that hide). */
final readonly class PaintedCut implements PlateMask
{
    public function __construct(public Strokes $strokes)
    {
    }

    public static function key(): string
    {
        return 'painted cut';
    }

    public static function label(): string
    {
        return 'Painted cut';
    }

    public static function grounds(): array
    {
        return [Ground::Plate];
    }

    public static function parameters(): array
    {
        return [StrokesValue::named('strokes', 'Strokes', 'falloff')];
    }

    public static function from(Values $values): self
    {
        return new self($values->object('strokes', Strokes::class));
    }

    public static function placed(Point $centre, float $span): array
    {
        return [];
    }

    public function problem(): ?string
    {
        $onSubject = array_filter($this->strokes->all, static fn (Stroke $stroke): bool => $stroke->letsIn) !== [];
        $onBackground = array_filter($this->strokes->all, static fn (Stroke $stroke): bool => ! $stroke->letsIn) !== [];

        return match (true) {
            $onSubject && $onBackground => null,
            $onSubject => 'Paint a stroke on the background too: a cut needs both sides.',
            $onBackground => 'Paint a stroke on the subject too: a cut needs both sides.',
            default => 'Paint roughly over the subject, then over the background.',
        };
    }

    public function write(KernelWriter $kernel, Window $window): string
    {
        throw new LogicException('a painted cut lies on a plate');
    }

    public function onPlate(Frame $frame, PictureSource $picture): Plane
    {
        $key = 'painted cut '.$picture->key().' '.implode(' ', array_map(static fn (Stroke $stroke): string => $stroke->key(), $this->strokes->all));

        return new ShapePlane($frame, $key, fn (): Shape => Segmentation::of($picture, $this->strokes->all));
    }
}
