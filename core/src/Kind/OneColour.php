<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Color\Rgb;
use Aumbrel\Core\Kernel\KernelWriter;

/** The same colour at every place: a light's, or a flat one. */
final readonly class OneColour implements Tint
{
    private function __construct(private Rgb $colour, private bool $isLight)
    {
    }

    /** @param  Rgb  $colour  linear, the largest channel 1 */
    public static function ofLight(Rgb $colour): self
    {
        return new self($colour, true);
    }

    /** @param  Rgb  $colour  encoded, as it is stored */
    public static function flat(Rgb $colour): self
    {
        return new self($colour, false);
    }

    public function write(KernelWriter $kernel, BlendMode $mode): array
    {
        $shown = $this->isLight && ! $mode->isLinear() ? $this->colour->encoded() : $this->colour;

        if ($shown->red === $shown->green && $shown->green === $shown->blue) {
            // one number, so that it can be seen that the channels are treated alike
            return array_fill(0, 3, $kernel->number($shown->red));
        }

        return [$kernel->number($shown->red), $kernel->number($shown->green), $kernel->number($shown->blue)];
    }

    public function isDirect(): bool
    {
        return true;
    }

    public function isLight(BlendMode $mode): bool
    {
        return $this->isLight && $mode->isLinear();
    }

    public function readsBelow(): bool
    {
        return false;
    }

    public function mayExceed(): bool
    {
        return false;
    }
}
