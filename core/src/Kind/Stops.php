<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kernel\Power;

/**
 * An exposure in stops, by how much of it there is: by illuminate the factor is 2^(stops x cover), above 1 or below. In the
 * standard's modes it is a flat colour through what was painted, and the stops say nothing.
 */
final readonly class Stops implements Strength
{
    public function __construct(private float $stops)
    {
    }

    /** What illuminate adds to 1: below 0 where light is taken away. */
    public static function beyond(float $stops): float
    {
        return 2.0 ** $stops - 1.0;
    }

    public function write(KernelWriter $kernel, string $cover, string $shape, BlendMode $mode, Field $field): void
    {
        $kernel->line("{$cover} *= {$shape};");
        if ($mode === BlendMode::Illuminate) {
            Power::writeOfTwo($kernel, $cover, $this->stops, $cover);
            $kernel->line("{$cover} -= 1.0;");
        }
    }

    public function full(BlendMode $mode): float
    {
        return $mode === BlendMode::Illuminate ? self::beyond($this->stops) : 1.0;
    }
}
