<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

use Aumbrel\Core\Geometry\Extent;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\IdentityOfAll;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kernel\Power;

/** A field with more or less contrast: nothing, a half and one stay, what is above one passes, so that black stays black. */
final readonly class Contrasted implements Field
{
    use IdentityOfAll;

    /** @param  float  $contrast  -1..1 */
    public function __construct(private Field $field, private float $contrast)
    {
    }

    /** Writes 0.5 (2v)^(1+2c) up to a half, and mirrored above, into a variable. */
    public static function writeHarder(KernelWriter $kernel, string $value, float $power, string $into): void
    {
        $side = $kernel->variable('side');
        $kernel->line("{$side} = {$value} > 0.5 ? 2.0 - 2.0 * {$value} : 2.0 * {$value}; if ({$side} < 0.0) { {$side} = 0.0; }");
        Power::write($kernel, $side, $power, $side);
        $kernel->line("{$into} = {$value} > 1.0 ? {$value} : ({$value} > 0.5 ? 1.0 - 0.5 * {$side} : 0.5 * {$side});");
    }

    /** v + 2c v (1-v) (2v-1), c below 0. */
    public static function softer(float $value, float $contrast): float
    {
        return $value > 1.0 ? $value : $value + 2.0 * $contrast * $value * (1.0 - $value) * (2.0 * $value - 1.0);
    }

    public function write(KernelWriter $kernel, Window $window): string
    {
        $shape = $this->field->write($kernel, $window);
        $shaped = $kernel->variable('shaped');
        $this->contrast >= 0
            ? self::writeHarder($kernel, $shape, 1 + 2 * $this->contrast, $shaped)
            : $kernel->inline([self::class, 'softer'], [$shape, $kernel->number($this->contrast)], $shaped);

        return $shaped;
    }

    public function extent(): ?Extent
    {
        return $this->field->extent();
    }

    public function largest(): float
    {
        return max(1.0, $this->field->largest());
    }

    public function readsBelow(): bool
    {
        return $this->field->readsBelow();
    }
}
