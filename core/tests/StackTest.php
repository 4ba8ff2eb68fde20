<?php

declare(strict_types=1);

use Tests\Support\Flat;
use Tests\Support\Plainly;
use Tests\Support\Rendering;

// Groups, confinement and contributions, by docs/calculations.md, on small pictures with known pixels.

$ground = fn (): Flat => new Flat(40, 30, fn ($x, $y) => [$x * 6, $y * 8, 120]);
$subject = fn (): Flat => new Flat(40, 30, fn ($x, $y) => [200, 180, 40, min(255, max(0, 20 * ($x - 8)))]);

/** The alpha of $subject at a column. */
function subjectAlpha(float $x): float
{
    return min(255, max(0, 20 * ((int) $x - 8))) / 255;
}

function groundAt(float $x, float $y): array
{
    return [(int) $x * 6 / 255, (int) $y * 8 / 255, 120 / 255, 1.0];
}

it('fades a group between the picture before and after it', function () use ($ground): void {
    $inside = ['id' => 'in', 'kind' => 'fill', 'mode' => 'multiply', 'amount' => 100, 'values' => ['colour' => '#408020']];
    $mask = ['id' => 'm', 'kind' => 'linear', 'values' => ['from' => [0, 0], 'to' => [40, 0]]];
    $picture = Rendering::picture(['a' => $ground()], 40, 30, [Rendering::plate('a'), ['kind' => 'group', 'amount' => 70, 'masks' => [$mask], 'strips' => [$inside]]]);
    $difference = Plainly::difference($picture->bytes, 40, 30, function (float $x, float $y): array {
        $below = groundAt($x, $y);
        $cover = 0.7 * (1 - $x / 40);

        return array_map(fn (float $b, float $s): float => $b + $cover * ($b * $s - $b), array_slice($below, 0, 3), [64 / 255, 128 / 255, 32 / 255]);
    });
    expect($difference)->toBeLessThan(0.05);
});

it('fades a group over transparency by premultiplied values', function () use ($subject): void {
    $inside = ['id' => 'in', 'kind' => 'fill', 'mode' => 'normal', 'amount' => 50, 'values' => ['colour' => '#ff0000']];
    $picture = Rendering::picture(['a' => $subject()], 40, 30, [Rendering::plate('a'), ['kind' => 'group', 'amount' => 40, 'strips' => [$inside]]]);
    $difference = Plainly::difference($picture->bytes, 40, 30, function (float $x): array {
        $a = subjectAlpha($x);
        $below = [200 / 255, 180 / 255, 40 / 255, $a];
        $after = Plainly::over('normal', $below, [1.0, 0.0, 0.0], 0.5);
        $alpha = $a + 0.4 * ($after[3] - $a);

        return [...array_map(fn (int $c): float => $alpha > 0 ? ($below[$c] * $a * 0.6 + 0.4 * $after[$c] * $after[3]) / $alpha : 0.0, [0, 1, 2]), $alpha];
    });
    expect($difference)->toBeLessThan(0.05);
});

it('confines a strip to a plate, as far as plates in between leave it uncovered', function () use ($ground, $subject): void {
    $over = new Flat(40, 30, fn ($x, $y) => [10, 20, 30, $y * 8]);
    $picture = Rendering::picture(['a' => $ground(), 'b' => $subject(), 'c' => $over], 40, 30, [
        Rendering::plate('a'), Rendering::plate('b'), Rendering::plate('c', ['amount' => 50]),
        ['kind' => 'fill', 'mode' => 'screen', 'amount' => 80, 'confinedTo' => 's1', 'values' => ['colour' => '#604020']],
    ]);
    $difference = Plainly::difference($picture->bytes, 40, 30, function (float $x, float $y): array {
        $between = 0.5 * (int) $y * 8 / 255;
        $out = Plainly::over('normal', groundAt($x, $y), [200 / 255, 180 / 255, 40 / 255], subjectAlpha($x));
        $out = Plainly::over('normal', $out, [10 / 255, 20 / 255, 30 / 255], $between);

        return Plainly::over('screen', $out, [96 / 255, 64 / 255, 32 / 255], 0.8 * subjectAlpha($x) * (1 - $between));
    });
    expect($difference)->toBeLessThan(0.05);
});

it('taps what a strip contributes, and leaves the rest as it was', function () use ($ground, $subject): void {
    $renderer = Rendering::renderer(['a' => $ground(), 'b' => $subject()]);
    $scene = Rendering::scene(40, 30, [
        Rendering::plate('a'), ['kind' => 'fill', 'mode' => 'multiply', 'values' => ['colour' => '#808080']], Rendering::plate('b'),
        ['kind' => 'fill', 'mode' => 'illuminate', 'amount' => 100, 'values' => ['colour' => '#ffffff']], ['kind' => 'fill', 'mode' => 'normal', 'muted' => true, 'values' => ['colour' => '#00ff00']],
    ]);
    $window = Aumbrel\Core\Geometry\Window::whole(40, 30);
    $taps = $renderer->contributions($scene, $window, ['s1', 's2', 's3', 's4'], 16);
    expect(array_keys($taps))->toBe(['s1', 's2', 's3', 's4']);
    $dimmed = fn (float $x, float $y): array => array_map(fn (float $b): float => $b * 128 / 255, array_slice(groundAt($x, $y), 0, 3));
    expect(Plainly::difference($taps['s1']->bytes, 40, 30, fn (float $x, float $y): array => array_map(fn (float $b): float => $b * 127 / 255, array_slice(groundAt($x, $y), 0, 3))))->toBeLessThan(0.05);
    expect(Plainly::difference($taps['s2']->bytes, 40, 30, fn (float $x): array => [200 / 255, 180 / 255, 40 / 255, subjectAlpha($x)]))->toBeLessThan(0.05);
    $lit = fn (float $v): float => Plainly::encode(2 * Plainly::decode($v)) - $v;
    expect(Plainly::difference($taps['s3']->bytes, 40, 30, fn (float $x, float $y): array => array_map($lit, array_slice(Plainly::over('normal', [...$dimmed($x, $y), 1.0], [200 / 255, 180 / 255, 40 / 255], subjectAlpha($x)), 0, 3))))->toBeLessThan(0.2);
    // a muted strip shows what it would do
    expect(array_sum(unpack('C*', $taps['s4']->bytes)))->toBeGreaterThan(100000);
});

it('renders the picture up to a strip, in groups too', function () use ($ground): void {
    $renderer = Rendering::renderer(['a' => $ground()]);
    $fill = fn (string $id, string $colour): array => ['id' => $id, 'kind' => 'fill', 'mode' => 'normal', 'values' => ['colour' => $colour]];
    $scene = Rendering::scene(40, 30, [Rendering::plate('a'), ['kind' => 'group', 'strips' => [$fill('red', '#ff0000'), $fill('green', '#00ff00')]], $fill('blue', '#0000ff')]);
    $window = Aumbrel\Core\Geometry\Window::whole(40, 30);
    foreach (['red' => [255, 0, 0], 'green' => [0, 255, 0], 'blue' => [0, 0, 255]] as $id => $colour) {
        expect(array_values(unpack('C3', $renderer->picture($scene, $window, 8, $id)->bytes)))->toBe($colour);
    }
});
