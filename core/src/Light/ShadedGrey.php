<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\EncodedTint;
use Aumbrel\Core\Kind\Tint;

/** 0.5 + 0.5 x shade: a middle grey where a surface is flat. */
final readonly class ShadedGrey implements Tint
{
    use EncodedTint;

    public function __construct(private Shaded $shaded)
    {
    }

    public function write(KernelWriter $kernel, BlendMode $mode): array
    {
        $grey = $this->shaded->write($kernel);
        $kernel->line("{$grey} = 0.5 + 0.5 * {$grey}; if ({$grey} < 0.0) { {$grey} = 0.0; } if ({$grey} > 1.0) { {$grey} = 1.0; }");

        return [$grey, $grey, $grey];
    }
}
