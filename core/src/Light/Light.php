<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Color\LightColour;
use Aumbrel\Core\Geometry\Extent;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Scene\StripKind;

/** A kind of light: a shape in the picture, before level, colour and masks. */
interface Light extends Extent, StripKind
{
    /** Writes the shape at the current place and gives the variable that holds it; never below 0. */
    public function writeShape(KernelWriter $kernel): string;

    /** The shape's largest value: the standard's modes take the shape divided by it. Infinite where it has none, which only linear modes take. */
    public function largest(): float;

    /** The Gaussian that softens the shape, in scene pixels; 0 for none. */
    public function softness(): float;

    public function colour(): LightColour;

    /** Names the shape with all that it depends on, so that a softened one can be kept. */
    public function shapeKey(): string;
}
