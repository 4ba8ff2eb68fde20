<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Color\Luma;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\FromBelow;
use Aumbrel\Core\Kind\Tint;
use Aumbrel\Core\Ramp\ToneRamp;

/** The colour that a ramp has for the luma of what lies below. */
final readonly class ByTones implements Tint
{
    use FromBelow;

    public function __construct(private ToneRamp $ramp)
    {
    }

    public function write(KernelWriter $kernel, BlendMode $mode): array
    {
        $tone = $kernel->variable('tone');
        $colour = [$kernel->variable('red'), $kernel->variable('green'), $kernel->variable('blue')];
        $kernel->inline([Luma::class, 'of'], [$kernel->stored('r'), $kernel->stored('g'), $kernel->stored('b')], $tone);
        $this->ramp->write($kernel, $tone, $colour);

        return $colour;
    }

    public function mayExceed(): bool
    {
        return false;
    }
}
