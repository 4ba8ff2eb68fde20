<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Color\Rgb;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\LightTint;
use Aumbrel\Core\Kind\OneColour;
use Aumbrel\Core\Kind\Tint;

/**
 * The colour of a light where a surface turns toward it, none where it turns away: what a warm lamp does not reach is darker, not
 * short of red.
 */
final readonly class ShadedLight implements Tint
{
    use LightTint;

    private function __construct(private Shaded $shaded, private Rgb $colour)
    {
    }

    /** @param  Rgb  $colour  linear, the largest channel 1 */
    public static function of(Shaded $shaded, Rgb $colour): Tint
    {
        // what is white darkens by white anyway
        return min($colour->red, $colour->green, $colour->blue) === $colour->largest() ? OneColour::ofLight($colour) : new self($shaded, $colour);
    }

    public function write(KernelWriter $kernel, BlendMode $mode): array
    {
        $shade = $this->shaded->write($kernel);
        $channel = static fn (float $value): string => "({$shade} > 0.0 ? {$kernel->number($value)} : 1.0)";

        return [$channel($this->colour->red), $channel($this->colour->green), $channel($this->colour->blue)];
    }
}
