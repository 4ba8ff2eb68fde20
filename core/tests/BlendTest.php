<?php

declare(strict_types=1);

use Aumbrel\Core\Blend\BlendMode;
use Tests\Support\Flat;
use Tests\Support\Plainly;
use Tests\Support\Rendering;

// W3C Compositing and Blending Level 1, sections 9 and 10; kindle and illuminate by docs/calculations.md. The plain
// formulas stand in tests/Support/Plainly.php and share nothing with the core.

const PAIRS = 64;

/** @return array<int, int> bytes with both ends, the middle and everything between in odd steps */
function bytesOf(int $seed): array
{
    mt_srand($seed);

    return array_merge([0, 255, 127, 128, 64, 1, 254], array_map(fn (): int => mt_rand(0, 255), range(1, PAIRS - 7)));
}

$separable = array_values(array_filter(BlendMode::cases(), fn (BlendMode $mode): bool => ! $mode->readsWholeColour() && ! $mode->isLinear()));

it('mixes opaque colours as the standard says', function (BlendMode $mode): void {
    [$below, $above] = [bytesOf(1), bytesOf(2)];
    $pictures = ['a' => new Flat(PAIRS, PAIRS, fn ($x, $y) => [$below[$x], $below[$y], $below[($x + $y) % PAIRS]]), 'b' => new Flat(PAIRS, PAIRS, fn ($x, $y) => [$above[$y], $above[$x], $above[($x * 3 + $y) % PAIRS]])];
    foreach ([100, 37] as $amount) {
        $picture = Rendering::picture($pictures, PAIRS, PAIRS, [Rendering::plate('a'), Rendering::plate('b', ['mode' => $mode->value, 'amount' => $amount])]);
        $difference = Plainly::difference($picture->bytes, PAIRS, PAIRS, function (float $x, float $y) use ($below, $above, $mode, $amount): array {
            [$c, $r] = [(int) $x, (int) $y];
            $b = [$below[$c] / 255, $below[$r] / 255, $below[($c + $r) % PAIRS] / 255, 1.0];
            $s = [$above[$r] / 255, $above[$c] / 255, $above[($c * 3 + $r) % PAIRS] / 255];

            return Plainly::over($mode->value, $b, $s, $amount / 100);
        });
        expect($difference)->toBeLessThan(0.01);
    }
})->with($separable);

it('mixes with alpha as the standard says', function (BlendMode $mode): void {
    [$below, $above] = [bytesOf(3), bytesOf(4)];
    $pictures = [
        'a' => new Flat(PAIRS, PAIRS, fn ($x, $y) => [$below[$x], $below[$y], 90, $below[($x + 2 * $y) % PAIRS]]),
        'b' => new Flat(PAIRS, PAIRS, fn ($x, $y) => [$above[$y], $above[$x], 200, $above[($x * 3 + $y) % PAIRS]]),
    ];
    $picture = Rendering::picture($pictures, PAIRS, PAIRS, [Rendering::plate('a'), Rendering::plate('b', ['mode' => $mode->value])]);
    $difference = Plainly::difference($picture->bytes, PAIRS, PAIRS, function (float $x, float $y) use ($below, $above, $mode): array {
        [$c, $r] = [(int) $x, (int) $y];

        return Plainly::over($mode->value, [$below[$c] / 255, $below[$r] / 255, 90 / 255, $below[($c + 2 * $r) % PAIRS] / 255],
            [$above[$r] / 255, $above[$c] / 255, 200 / 255], $above[($c * 3 + $r) % PAIRS] / 255);
    });
    expect($difference)->toBeLessThan(0.01);
})->with($separable);

it('keeps luminosity, hue and saturation where the standard says so', function (BlendMode $mode): void {
    // section 9.2: Lum with 0.3, 0.59, 0.11; Sat = largest less smallest
    [$below, $above] = [bytesOf(5), bytesOf(6)];
    $pictures = ['a' => new Flat(PAIRS, 1, fn ($x, $y) => [$below[$x], $below[(int) (($x + 7) % PAIRS)], 128]), 'b' => new Flat(PAIRS, 1, fn ($x, $y) => [$above[$x], 40, $above[(int) (($x + 3) % PAIRS)]])];
    $picture = Rendering::picture($pictures, PAIRS, 1, [Rendering::plate('a'), Rendering::plate('b', ['mode' => $mode->value])]);
    $values = array_values(unpack('n*', $picture->bytes));
    $lum = fn (array $c): float => 0.3 * $c[0] + 0.59 * $c[1] + 0.11 * $c[2];
    foreach (range(0, PAIRS - 1) as $x) {
        $out = array_map(fn (int $value): float => $value / 65535, array_slice($values, $x * 4, 3));
        $b = [$below[$x] / 255, $below[($x + 7) % PAIRS] / 255, 128 / 255];
        $s = [$above[$x] / 255, 40 / 255, $above[($x + 3) % PAIRS] / 255];
        expect(abs($lum($out) - $lum($mode === BlendMode::Luminosity ? $s : $b)))->toBeLessThan(1e-4);
        expect(min($out))->toBeGreaterThanOrEqual(0.0)->and(max($out))->toBeLessThanOrEqual(1.0);
        if ($mode === BlendMode::Saturation && min($out) > 0.001 && max($out) < 0.999) {
            expect(abs(max($out) - min($out) - (max($s) - min($s))))->toBeLessThan(1e-3);
        }
    }
})->with([BlendMode::Hue, BlendMode::Saturation, BlendMode::Color, BlendMode::Luminosity]);

it('arranges formulas for opaque grounds without changing them', function (BlendMode $mode): void {
    [$class, $mix] = $mode->opaqueMix();
    $formula = $mode->perChannel();
    foreach (range(0, 20) as $b) {
        foreach (range(0, 20) as $s) {
            foreach ([0.0, 0.3, 1.0] as $cover) {
                $blended = $formula === null ? $s / 20 : call_user_func($formula, $b / 20, $s / 20);
                $wanted = $mode === BlendMode::Add ? min(1, $b / 20 + $cover * $s / 20) : $b / 20 + $cover * ($blended - $b / 20);
                expect($class::$mix($b / 20, $s / 20, $cover, 1 - $cover))->toEqualWithDelta($wanted, 1e-12);
            }
        }
    }
})->with(array_values(array_filter(BlendMode::cases(), fn (BlendMode $mode): bool => $mode->opaqueMix() !== null)));

it('has the neutral colours of the trade', function (): void {
    // common practice, no source: grey for overlay, soft light and hard light; black for screen and add; white for multiply
    foreach ([['overlay', 0.5, 0.0], ['soft light', 0.5, 0.0], ['hard light', 0.5, 0.0], ['screen', 0.0, 0.0], ['multiply', 1.0, 0.0], ['kindle', 0.0, 0.0]] as [$mode, $source, $slack]) {
        [$class, $formula] = BlendMode::from($mode)->perChannel();
        foreach (range(0, 20) as $k) {
            expect(abs($class::$formula($k / 20, $source) - $k / 20))->toBeLessThanOrEqual($slack + 1e-12);
        }
    }
});

it('counts what was clipped and keeps what lies above 1 until the end', function (): void {
    $pictures = ['a' => new Flat(8, 8, fn () => [200, 200, 200])];
    $bright = ['kind' => 'fill', 'mode' => 'illuminate', 'values' => ['colour' => '#ffffff']];
    $picture = Rendering::picture($pictures, 8, 8, [Rendering::plate('a'), $bright], 8);
    expect($picture->clipped)->toBe(64);
    // normal at half over an unclipped value reads it unclipped: lerp(below, source)
    $half = Rendering::picture($pictures, 8, 8, [Rendering::plate('a'), $bright, ['kind' => 'fill', 'mode' => 'normal', 'amount' => 50, 'values' => ['colour' => '#000000']]]);
    $below = Plainly::encode(2 * Plainly::decode(200 / 255));
    expect(unpack('n', $half->bytes)[1] / 65535)->toEqualWithDelta($below / 2, 0.0001);
});

it('knows which modes never darken', function (BlendMode $mode): void {
    [$class, $formula] = $mode->perChannel() ?? [null, null];
    if ($mode === BlendMode::Add || $mode->isLinear()) {
        // light is added; what illuminates may also take away
        expect($mode->onlyBrightens())->toBe($mode !== BlendMode::Illuminate);

        return;
    }
    $darkens = $class === null;
    for ($below = 0.0; $class !== null && $below <= 1.0; $below += 0.05) {
        for ($source = 0.0; $source <= 1.0; $source += 0.05) {
            $darkens = $darkens || $class::$formula($below, $source) < $below - 1e-9;
        }
    }
    expect($mode->onlyBrightens())->toBe(! $darkens);
})->with(BlendMode::cases());
