<?php

declare(strict_types=1);

namespace Aumbrel\Core\Flat;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Color\Rgb;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Parameter\Parameter;
use Aumbrel\Core\Parameter\Values;
use Aumbrel\Core\Scene\Family;
use Aumbrel\Core\Scene\StripKind;

/** One colour as it is stored, over everything that its masks leave: for burning and for dark tints. */
final readonly class Fill implements StripKind
{
    public function __construct(public Rgb $colour)
    {
    }

    public static function key(): string
    {
        return 'fill';
    }

    public static function label(): string
    {
        return 'Fill';
    }

    public static function hint(): string
    {
        return 'A flat colour, to tint or to burn';
    }

    public static function family(): Family
    {
        return Family::Flat;
    }

    public static function parameters(): array
    {
        return [Parameter::flatColour('colour', 'Colour', 'light', '#20304a')];
    }

    public static function from(Values $values): self
    {
        return new self(Rgb::fromHex($values->choice('colour')));
    }

    public static function placed(Point $centre, float $span): array
    {
        return [];
    }

    public function defaultMode(): BlendMode
    {
        return BlendMode::Multiply;
    }

    public function outlines(): array
    {
        return [];
    }
}
