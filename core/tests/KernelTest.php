<?php

declare(strict_types=1);

use Aumbrel\Core\Color\Srgb;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\Inliner;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kernel\NotInlined;
use Aumbrel\Core\Kernel\Power;
use Aumbrel\Core\Kernel\Transfer;
use Tests\Support\Folder;
use Tests\Support\Rendering;

it('keeps close to the transfer function of the standard', function (): void {
    // IEC 61966-2-1; errors in encoded values, in 1/255
    $encode = $decode = $both = 0.0;
    for ($k = 0; $k <= 60000; $k++) {
        $value = $k / 40000;
        $linear = Srgb::decode($value);
        $encode = max($encode, abs(Transfer::encode($linear) - $value));
        $decode = max($decode, abs(Srgb::encode(Transfer::decode($value)) - $value));
        $both = max($both, abs(Transfer::encode(Transfer::decode($value)) - $value));
    }
    expect($encode * 255)->toBeLessThan(0.02)->and($decode * 255)->toBeLessThan(0.02)->and($both * 255)->toBeLessThan(0.03);
});

it('follows the standard itself', function (): void {
    // IEC 61966-2-1: the ends, the joint, and middle grey of 18 % (118 of 255, handbook value from memory)
    expect(Srgb::encode(0.0031308))->toEqualWithDelta(0.04045, 1e-5)->and(Srgb::decode(1.0))->toEqualWithDelta(1.0, 1e-12);
    expect(round(255 * Srgb::encode(0.18)))->toBe(118.0);
    // a drop in stops at the output white, in 1/255: -1 stop 188, -2 stops 137, -3 stops 99
    foreach ([1 => 188, 2 => 137, 3 => 99] as $stops => $byte) {
        expect(round(255 * Srgb::encode(2 ** -$stops)))->toBe((float) $byte);
    }
});

it('copies a formula with names of its own', function (): void {
    $inliner = new Inliner;
    $text = $inliner->copy([Transfer::class, 'decode'], ['$a'], '$b');
    expect($text)->toContain('$v0_linear')->toContain('$a')->not->toContain('$value')->not->toContain('return');
    $b = null;
    $a = 0.5;
    eval($text);
    expect($b)->toEqualWithDelta(Transfer::decode(0.5), 1e-15);
});

/** Formulas that would be something else once they stand in a kernel. */
final class Odd
{
    public const HALF = 0.5;

    public static function early(float $v): float
    {
        if ($v < 0.0) {
            return 0.0;
        }

        return $v;
    }

    public static function calls(float $v): float
    {
        return self::HALF * self::early($v);
    }

    public static function ofAnother(float $v): float
    {
        return Power::class === 'x' ? $v : 2.0;
    }

    public static function writes(float $v): float
    {
        $v *= self::HALF;

        return $v;
    }

    public static function takesApart(float $v, float $w): float
    {
        [$v, $u] = [$w, $v];

        return $v + $u;
    }

    public static function counts(float $v): float
    {
        static $times = 0;

        return $v + ++$times;
    }

    public static function makes(float $v): float
    {
        $double = static fn (float $w): float => 2 * $w;

        return $double($v);
    }

    /** As it may be: a branch, a constant, a parameter taken by reference. */
    public static function allowed(float $v, float &$w): float
    {
        $half = self::HALF * $v;
        if ($half > 1.0) {
            $half = 1.0; // at most
        }
        $w += $half;

        return $half;
    }
}

it('refuses a formula that it would make something else of, with file, line and reason', function (string $name, string $why): void {
    $line = (new ReflectionMethod(Odd::class, $name))->getStartLine();
    try {
        (new Inliner)->copy([Odd::class, $name], array_fill(0, (new ReflectionMethod(Odd::class, $name))->getNumberOfParameters(), '$a'), '$b');
    } catch (NotInlined $refused) {
        expect($refused->getMessage())->toContain($why)->toContain(basename(__FILE__).':');
        preg_match('/:(\d+):/', $refused->getMessage(), $found);
        expect((int) $found[1])->toBeGreaterThan($line)->toBeLessThanOrEqual((new ReflectionMethod(Odd::class, $name))->getEndLine());

        return;
    }
    test()->fail("{$name} was copied");
})->with([
    ['early', 'it returns before its end'], ['calls', 'it calls self::early()'], ['ofAnother', 'it reads Power::class of another class'], ['writes', 'it writes to its parameter $v'],
    ['takesApart', 'it writes to its parameter $v'], ['counts', 'something static'], ['makes', 'something static'],
]);

it('copies what it understands as it is', function (): void {
    $text = (new Inliner)->copy([Odd::class, 'allowed'], ['$a', '$sum'], '$b');
    foreach ([0.4, 3.0] as $a) {
        [$sum, $wanted] = [1.0, 1.0];
        $b = null;
        eval($text);
        expect($b)->toBe(Odd::allowed($a, $wanted))->and($sum)->toBe($wanted);
    }
});

it('has a kernel cached and compiled right after it was written', function (): void {
    // in a process with the settings of the render processes: opcache's own word on the file and on the compiled code
    $folder = Folder::of('fresh-kernels').'/'.bin2hex(random_bytes(4));
    $process = proc_open([PHP_BINARY, dirname(__DIR__, 2).'/tests/Support/fresh-kernel.php', $folder], [1 => ['pipe', 'w'], 2 => STDERR], $pipes, null,
        ['PHP_INI_SCAN_DIR' => getenv('PHP_INI_SCAN_DIR').':'.dirname(__DIR__, 2).'/runtime/render'] + getenv());
    $said = json_decode((string) stream_get_contents($pipes[1]), true);
    proc_close($process);
    expect($said['jit'])->toBeTrue()->and($said['cached'])->toBeTrue()->and($said['compiledBytes'])->toBeGreaterThan(2000);
});

/** @return list<float> what a formula makes of numbers from 0 to 1.5 */
function worked(Closure $formula): array
{
    return Rendering::renderer([])->planes->sample(function (KernelWriter $kernel) use ($formula): string {
        $x = $kernel->variable('x');
        $kernel->line("{$x} = \$i / 4000.0;");
        $formula($kernel, $x);

        return $x;
    }, Window::whole(6001, 1));
}

it('keeps close to powers', function (float $power): void {
    $off = 0.0;
    foreach (worked(fn (KernelWriter $kernel, string $x) => Power::write($kernel, $x, $power, $x)) as $at => $found) {
        $off = max($off, abs($found - ($at / 4000) ** $power) / max(1.0, ($at / 4000) ** $power));
    }
    $finer = array_map(fn (int $at): float => abs(worked(fn (KernelWriter $kernel, string $x) => Power::write($kernel, $x, 1 / 3, $x, Power::FINER))[$at] - ($at / 4000) ** (1 / 3)), [80, 300, 900, 1400, 3000, 4700]);
    expect($off * 255)->toBeLessThan(0.02)->and(max($finer) * 255)->toBeLessThan(0.002);
})->with([0.1, 0.2, 1 / 3, 1 / 2.4, 0.5, 0.8, 1.0, 1.4, 2.0, 2.4, 3.0, 7.0]);

it('keeps close to stops', function (float $stops): void {
    $off = 0.0;
    foreach (worked(fn (KernelWriter $kernel, string $x) => Power::writeOfTwo($kernel, $x, $stops, $x)) as $at => $found) {
        $off = max($off, abs($found / 2 ** ($stops * $at / 4000) - 1));
    }
    expect($off)->toBeLessThan(3e-5)->and(worked(fn (KernelWriter $kernel, string $x) => Power::writeOfTwo($kernel, $x, $stops, $x))[0])->toBe(1.0);
})->with([-4.0, -1.5, 0.0, 2.0, 4.0]);
