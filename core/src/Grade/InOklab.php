<?php

declare(strict_types=1);

namespace Aumbrel\Core\Grade;

use Aumbrel\Core\Color\Oklab;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kernel\Power;
use Aumbrel\Core\Kernel\Transfer;

/** What grades have in common that work on lightness and chroma. */
final class InOklab
{
    /**
     * Writes encoded channels as lightness and the two axes of colour, in place.
     *
     * @param  array{string, string, string}  $colour
     */
    public static function enter(KernelWriter $kernel, array $colour): void
    {
        self::decode($kernel, $colour);
        self::ofLinear($kernel, $colour);
    }

    /**
     * Writes linear channels as lightness and the two axes of colour, in place.
     *
     * @param  array{string, string, string}  $colour
     */
    public static function ofLinear(KernelWriter $kernel, array $colour): void
    {
        self::cones($kernel, $colour);
        $kernel->inline([Oklab::class, 'axes'], $colour);
    }

    /**
     * Writes linear channels with their two axes of colour multiplied and shifted, in place.
     *
     * @param  array{string, string, string}  $colour
     */
    public static function move(KernelWriter $kernel, array $colour, float $scale, float $a = 0.0, float $b = 0.0): void
    {
        self::cones($kernel, $colour);
        $kernel->inline([Oklab::class, 'moved'], [...$colour, $kernel->number($scale), ...array_map($kernel->number(...), Oklab::shifts($a, $b))]);
        $kernel->inline([Oklab::class, 'seen'], $colour);
        self::atLeastNone($kernel, $colour);
    }

    /** @param  array{string, string, string}  $colour */
    private static function cones(KernelWriter $kernel, array $colour): void
    {
        $kernel->inline([Oklab::class, 'cones'], $colour);
        foreach ($colour as $cone) {
            Power::write($kernel, $cone, 1 / 3, $cone, Power::FINER);
        }
    }

    /**
     * Writes them as encoded channels again: what the screen cannot show below 0 is 0.
     *
     * @param  array{string, string, string}  $colour
     */
    public static function leave(KernelWriter $kernel, array $colour): void
    {
        self::toLinear($kernel, $colour);
        self::atLeastNone($kernel, $colour);
        self::encode($kernel, $colour);
    }

    /**
     * Writes lightness and the two axes of colour as linear channels, in place.
     *
     * @param  array{string, string, string}  $colour
     */
    public static function toLinear(KernelWriter $kernel, array $colour): void
    {
        $kernel->inline([Oklab::class, 'roots'], $colour);
        $kernel->inline([Oklab::class, 'seen'], $colour);
    }

    /**
     * What the screen cannot show below 0 is 0.
     *
     * @param  array{string, string, string}  $colour  linear
     */
    public static function atLeastNone(KernelWriter $kernel, array $colour): void
    {
        foreach ($colour as $channel) {
            $kernel->line("if ({$channel} < 0.0) { {$channel} = 0.0; }");
        }
    }

    /** @param  array{string, string, string}  $colour */
    public static function decode(KernelWriter $kernel, array $colour): void
    {
        foreach ($colour as $channel) {
            $kernel->inline([Transfer::class, 'decode'], [$channel], $channel);
        }
    }

    /** @param  array{string, string, string}  $colour  not below 0 */
    public static function encode(KernelWriter $kernel, array $colour): void
    {
        foreach ($colour as $channel) {
            $kernel->inline([Transfer::class, 'encode'], [$channel], $channel);
        }
    }
}
