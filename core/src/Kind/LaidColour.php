<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Ramp\ColourRamp;
use Aumbrel\Core\Ramp\Laid;

/** The colour of a ramp where it lies. */
final readonly class LaidColour implements Tint
{
    use EncodedTint;

    public function __construct(private Laid $laid, private ColourRamp $ramp)
    {
    }

    public function write(KernelWriter $kernel, BlendMode $mode): array
    {
        $colour = [$kernel->variable('red'), $kernel->variable('green'), $kernel->variable('blue')];
        $this->ramp->writeColour($kernel, $this->laid->write($kernel), $colour);

        return $colour;
    }
}
