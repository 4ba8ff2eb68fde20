<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Value\Parameter;
use Aumbrel\Core\Value\Values;

/** One kind of mask: its values, and the text that a kernel runs for it. */
interface MaskKind
{
    public static function key(): string;

    public static function label(): string;

    /** @return list<Ground> on what it can lie; the first is what a new one lies on where both are possible */
    public static function grounds(): array;

    /** @return list<Parameter> */
    public static function parameters(): array;

    public static function from(Values $values): self;

    /**
     * The values of a new one that lies well in the part of the scene that is looked at.
     *
     * @return array<string, mixed>
     */
    public static function placed(Point $centre, float $span): array;

    /** What is missing for it to do anything, in a sentence; null when nothing is. One that misses something does nothing. */
    public function problem(): ?string;

    /** Writes the mask's value 0..1 at the current place of the scene and gives the variable that holds it. */
    public function write(KernelWriter $kernel, Window $window): string;
}
