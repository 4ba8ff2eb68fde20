<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Kernel\KernelWriter;

/** A share, 0..1. */
final readonly class Amount implements Strength
{
    public function __construct(private float $share)
    {
    }

    public function write(KernelWriter $kernel, string $cover, string $shape, BlendMode $mode, Field $field): void
    {
        $kernel->line("{$cover} *= {$shape} * {$kernel->number($this->share)};");
    }

    public function full(BlendMode $mode): float
    {
        return $this->share;
    }
}
