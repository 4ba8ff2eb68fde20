<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\EncodedTint;
use Aumbrel\Core\Kind\Field;
use Aumbrel\Core\Kind\Tint;
use Aumbrel\Core\Ramp\ColourRamp;

/** The colour that a ramp has at 1 - field. */
final readonly class RampTint implements Tint
{
    use EncodedTint;

    public function __construct(private Field $field, private ColourRamp $ramp, private Window $window)
    {
    }

    public function write(KernelWriter $kernel, BlendMode $mode): array
    {
        $out = $kernel->variable('out');
        $colour = [$kernel->variable('red'), $kernel->variable('green'), $kernel->variable('blue')];
        $kernel->line("{$out} = 1.0 - {$this->field->write($kernel, $this->window)};");
        $this->ramp->writeColour($kernel, $out, $colour);

        return $colour;
    }
}
