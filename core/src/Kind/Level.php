<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Color\LightColour;
use Aumbrel\Core\Kernel\KernelWriter;

/**
 * A light's level in stops. Mixed in linear light it multiplies; in the standard's modes, whose cover ends at 1, a level
 * above 0 acts like as many copies of the light one over the other.
 */
final readonly class Level implements Strength
{
    public function __construct(private float $stops)
    {
    }

    /** A light's, with what its gel takes of it. */
    public static function of(Surroundings $around, LightColour $colour): self
    {
        return new self($around->level() + $colour->stops($around->white()));
    }

    /** The cover of a shape 0..1 at a level above 0: that of 2^level copies in normal. */
    public static function copies(float $shape, float $gain): float
    {
        return 1.0 - (1.0 - $shape) ** $gain;
    }

    public function write(KernelWriter $kernel, string $cover, string $shape, BlendMode $mode, Field $field): void
    {
        $gain = $kernel->number(2 ** $this->stops);
        if ($mode->isLinear()) {
            $kernel->line("{$cover} *= {$shape} * {$gain};");

            return;
        }
        $share = $kernel->variable('share');
        $kernel->line("{$share} = {$shape} * {$kernel->number(1 / $field->largest())}; if ({$share} > 1.0) { {$share} = 1.0; }");
        $kernel->line($this->stops <= 0 ? "{$cover} *= {$share} * {$gain};" : "{$cover} *= {$kernel->expression([self::class, 'copies'], [$share, $gain])};");
    }

    public function full(BlendMode $mode): float
    {
        $gain = 2 ** $this->stops;

        return $mode->isLinear() ? $gain : min(1.0, $gain);
    }
}
