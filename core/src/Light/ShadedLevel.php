<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\Field;
use Aumbrel\Core\Kind\Strength;

/**
 * The strength of what shades both ways. In linear light the factor is 1 + level x shade, never below 0; in the standard's modes
 * a grey is laid with a coverage of 2^level, up to 1.
 */
final readonly class ShadedLevel implements Strength
{
    public function __construct(private float $stops, private Shaded $shaded)
    {
    }

    public function write(KernelWriter $kernel, string $cover, string $shape, BlendMode $mode, Field $field): void
    {
        if (! $mode->isLinear()) {
            $kernel->line("{$cover} *= {$shape} * {$kernel->number($this->full($mode))};");

            return;
        }
        $shade = $this->shaded->write($kernel);
        $kernel->line("{$shade} *= {$kernel->number(2 ** $this->stops)}; if ({$shade} < -1.0) { {$shade} = -1.0; }");
        $kernel->line("{$cover} *= {$shape} * {$shade};");
    }

    public function full(BlendMode $mode): float
    {
        return $mode->isLinear() ? 2 ** $this->stops : min(1.0, 2 ** $this->stops);
    }
}
