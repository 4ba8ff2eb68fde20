<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kernel;

/**
 * Kernels run twice as fast where the compiler keeps numbers in registers over a whole trace. Other code must not: with registers
 * this PHP loses values where a trace is left (docs/architecture.md). So what computes pixels is compiled without them, but for
 * kernels, which are loops over numbers of one type, and are tried in both ways (`core/tests/BothWaysTest.php`).
 */
final class Registers
{
    /** Traces without and with registers that are kept over them, as the setting `opcache.jit` has it. */
    private const WITHOUT = '1054';

    private const WITH = '1254';

    /**
     * @template T
     *
     * @param  callable(): T  $kernels  runs kernels
     * @return T
     */
    public static function kept(callable $kernels): mixed
    {
        $isOurs = ini_get('opcache.jit') === self::WITHOUT && ini_set('opcache.jit', self::WITH) !== false;
        try {
            return $kernels();
        } finally {
            if ($isOurs) {
                ini_set('opcache.jit', self::WITHOUT);
            }
        }
    }
}
