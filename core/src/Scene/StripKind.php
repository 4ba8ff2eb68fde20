<?php

declare(strict_types=1);

namespace Aumbrel\Core\Scene;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Parameter\Parameter;
use Aumbrel\Core\Parameter\Values;

/**
 * One kind of strip: its values, its words, and (in the interfaces that extend this one) what it does to a pixel.
 *
 * Adding a kind is a class and a line in {@see Kinds}; the interface draws its bench from the parameters.
 */
interface StripKind
{
    /** Its name in the scene file. */
    public static function key(): string;

    /** Its word on the desk. */
    public static function label(): string;

    /** One sentence for the shelf. */
    public static function hint(): string;

    public static function family(): Family;

    /** @return list<Parameter> */
    public static function parameters(): array;

    public static function from(Values $values): self;

    /** How it joins what lies below when nothing else is chosen. */
    public function defaultMode(): BlendMode;

    /**
     * Values of a new one that lies well in the part of the scene that is looked at.
     *
     * @param  float  $span  the shorter side of that part, in scene pixels
     * @return array<string, mixed>
     */
    public static function placed(Point $centre, float $span): array;

    /**
     * The lines that show its shape on the picture, in scene pixels.
     *
     * @return array<string, list<array{float, float}>> by name
     */
    public function outlines(): array;
}
