<?php

declare(strict_types=1);

namespace Aumbrel\Core\Scene;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Parameter\Values;

/** Strips held together: one fader and one set of masks over what they do to the picture below. */
final readonly class Group implements StripKind
{
    public static function key(): string
    {
        return 'group';
    }

    public static function label(): string
    {
        return 'Group';
    }

    public static function hint(): string
    {
        return 'Strips held together under one fader';
    }

    public static function family(): Family
    {
        return Family::Group;
    }

    public static function parameters(): array
    {
        return [];
    }

    public static function from(Values $values): self
    {
        return new self;
    }

    public static function placed(Point $centre, float $span): array
    {
        return [];
    }

    public function defaultMode(): BlendMode
    {
        return BlendMode::Normal;
    }

    public function outlines(): array
    {
        return [];
    }
}
