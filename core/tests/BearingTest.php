<?php

declare(strict_types=1);

use Aumbrel\Core\Bearing\Bearing;
use Aumbrel\Core\Bearing\Dome;
use Aumbrel\Core\Bearing\FoundBearing;
use Aumbrel\Core\Bearing\LitBody;
use Aumbrel\Core\Bearing\LitSphere;
use Aumbrel\Core\Bearing\OutlineEstimate;
use Aumbrel\Core\Bearing\ShadowLine;
use Aumbrel\Core\Color\Srgb;
use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Geometry\Point;
use Tests\Support\Bodies;

function median(array $values): float
{
    sort($values);

    return $values[intdiv(count($values), 2)];
}

/** Spearman's rank correlation. */
function rankCorrelation(array $one, array $other): float
{
    $ranks = function (array $values): array {
        asort($values);
        $ranks = array_combine(array_keys($values), range(0, count($values) - 1));
        ksort($ranks);

        return $ranks;
    };
    [$a, $b] = [$ranks($one), $ranks($other)];
    $n = count($a);

    return 1 - 6 * array_sum(array_map(fn (int $x, int $y): int => ($x - $y) ** 2, $a, $b)) / ($n * ($n * $n - 1));
}

/** @return list<array{truth: Bearing, found: Aumbrel\Core\Bearing\Estimate}> */
function estimates(string $name): array
{
    static $kept = [];
    $with = [
        'clean' => [[]],
        'hard' => [['texture' => 0.35], ['noise' => 0.04], ['second' => 0.35], ['texture' => 0.25, 'noise' => 0.03, 'gloss' => 0.4, 'ambient' => 0.2]],
    ][$name];
    if (! isset($kept[$name])) {
        $kept[$name] = [];
        foreach (['sphere', 'ellipsoid', 'blob'] as $k => $kind) {
            foreach (range(0, 7) as $n) {
                $truth = new Bearing(-170 + 43.7 * (3 * $n + $k), -45 + (37 * ($n + 3 * $k)) % 115);
                $kept[$name][] = ['truth' => $truth, 'found' => OutlineEstimate::of(Bodies::lit($kind, $truth, 100 * $k + $n, $with[$n % count($with)], 110))];
            }
        }
    }

    return $kept[$name];
}

it('goes by its definition', function (): void {
    // semantics: l = (cos e cos a, cos e sin a, sin e), y up
    expect((new Bearing(90, 0))->vector())->toEqualWithDelta([0, 1, 0], 1e-12)->and((new Bearing(0, 90))->vector())->toEqualWithDelta([0, 0, 1], 1e-12)
        ->and((new Bearing(33, 90))->azimuth)->toBe(0.0)
        ->and((new Bearing(190, 0))->azimuth)->toBe(-170.0)->and((new Bearing(-180, 0))->azimuth)->toBe(180.0)
        ->and((new Bearing(30, 20))->mirrored()->azimuth)->toBe(150.0)->and((new Bearing(170, 20))->turned(30)->azimuth)->toEqualWithDelta(-160, 1e-9)
        ->and((new Bearing(0, 0))->angleTo(new Bearing(90, 0)))->toEqualWithDelta(90, 1e-9)->and((new Bearing(20, 40))->angleTo(new Bearing(20, -50)))->toEqualWithDelta(90, 1e-9)
        ->and((new Bearing(90, 30))->heightAngle())->toEqualWithDelta(60, 1e-9)->and((new Bearing(0, 45))->heading())->toEqualWithDelta(45, 1e-9);
    foreach ([[37.0, 12.0], [-150.0, -60.0]] as [$azimuth, $elevation]) {
        [$x, $y, $z] = (new Bearing($azimuth, $elevation))->vector();
        $back = Bearing::toward(5 * $x, 5 * $y, 5 * $z);
        expect([$back->azimuth, $back->elevation])->toEqualWithDelta([$azimuth, $elevation], 1e-9);
    }
});

it('says directions in words', function (Bearing $bearing, string $words): void {
    expect($bearing->inWords())->toBe($words);
})->with([
    [new Bearing(0, 0), 'from the right'], [new Bearing(135, 10), 'from the upper left'], [new Bearing(180, 40), 'from the left, in front'],
    [new Bearing(-90, -30), 'from below, from behind'], [new Bearing(20, 85), 'from the camera'], [new Bearing(20, -80), 'from behind'], [new Bearing(-135, 0), 'from the lower left'],
]);

it('raises a sphere over a circle and an ellipsoid over an ellipse', function (): void {
    $inside = [];
    for ($row = 0; $row < 60; $row++) {
        for ($column = 0; $column < 80; $column++) {
            $inside[] = (($column - 40) / 30) ** 2 + (($row - 30) / 20) ** 2 < 1;
        }
    }
    $heights = Dome::heights($inside, 80, 60);
    // the solution of Poisson's equation on an ellipse: h² = 2a²b²/(a²+b²) (1 - x²/a² - y²/b²), times two (follows by putting it in)
    $most = 4 * 30 ** 2 * 20 ** 2 / (30 ** 2 + 20 ** 2) / 2;
    foreach ([[0, 0], [15, 0], [0, 10], [-18, 8]] as [$x, $y]) {
        expect($heights[(30 + $y) * 80 + 40 + $x] ** 2)->toEqualWithDelta($most * (1 - $x ** 2 / 900 - $y ** 2 / 400), 0.06 * $most);
    }
});

it('finds the light of clean bodies', function (): void {
    $all = array_filter(estimates('clean'), fn (array $one): bool => $one['found']->bearing !== null);
    $flat = array_filter($all, fn (array $one): bool => abs($one['truth']->elevation) < 60);
    expect(count($all))->toBeGreaterThan(20)
        ->and(median(array_map(fn (array $one): float => abs(fmod($one['found']->bearing->azimuth - $one['truth']->azimuth + 900, 360) - 180), $flat)))->toBeLessThan(5.0)
        ->and(median(array_map(fn (array $one): float => $one['found']->bearing->angleTo($one['truth']), $all)))->toBeLessThan(15.0);
});

it('finds the light of textured, noisy, glossy bodies and under a second light', function (): void {
    $all = array_filter(estimates('hard'), fn (array $one): bool => $one['found']->bearing !== null);
    $flat = array_filter($all, fn (array $one): bool => abs($one['truth']->elevation) < 60);
    expect(count($all))->toBeGreaterThan(18)
        ->and(median(array_map(fn (array $one): float => abs(fmod($one['found']->bearing->azimuth - $one['truth']->azimuth + 900, 360) - 180), $flat)))->toBeLessThan(15.0)
        ->and(median(array_map(fn (array $one): float => $one['found']->bearing->angleTo($one['truth']), $all)))->toBeLessThan(25.0);
});

it('is less sure where it is further off', function (): void {
    $all = array_filter([...estimates('clean'), ...estimates('hard')], fn (array $one): bool => $one['found']->bearing !== null);
    $errors = array_map(fn (array $one): float => $one['found']->bearing->angleTo($one['truth']), array_values($all));
    $confidence = array_map(fn (array $one): float => $one['found']->confidence, array_values($all));
    expect(rankCorrelation($confidence, $errors))->toBeLessThan(-0.5)->and(min($confidence))->toBeGreaterThanOrEqual(OutlineEstimate::LEAST_CONFIDENCE);
});

it('refuses in a sentence where there is too little to go on', function (Closure $body, string $says): void {
    $found = OutlineEstimate::of($body());
    expect($found->bearing)->toBeNull()->and($found->why)->toContain($says)->and($found->toArray()['azimuth'])->toBeNull();
})->with([
    'not cut out' => [fn () => new LitBody(array_fill(0, 900, 0.5), array_fill(0, 900, 1.0), 30, 30), 'no outline'],
    'nothing there' => [fn () => new LitBody(array_fill(0, 900, 0.5), array_fill(0, 900, 0.0), 30, 30), 'no outline'],
    'all one colour' => [fn () => new LitBody(array_fill(0, 6400, 0.4), array_map(fn (int $at): float => hypot($at % 80 - 40, intdiv($at, 80) - 40) < 30 ? 1.0 : 0.0, range(0, 6399)), 80, 80), 'same brightness'],
    'too small' => [fn () => new LitBody(array_fill(0, 900, 0.4), array_map(fn (int $at): float => hypot($at % 30 - 15, intdiv($at, 30) - 15) < 3 ? 1.0 : 0.0, range(0, 899)), 30, 30), 'too small'],
    'noise only' => [function () {
        mt_srand(4);

        return new LitBody(array_map(fn (): float => mt_rand() / mt_getrandmax(), range(0, 6399)), array_map(fn (int $at): float => hypot($at % 80 - 40, intdiv($at, 80) - 40) < 30 ? 1.0 : 0.0, range(0, 6399)), 80, 80);
    }, 'does not agree'],
]);

it('tells materials apart by their colour, not by their brightness', function (): void {
    // a red half and a grey half, both from dark to light
    $pixels = [];
    for ($row = 0; $row < 40; $row++) {
        for ($column = 0; $column < 40; $column++) {
            $share = 0.15 + 0.8 * $row / 40;
            $of = fn (float $linear): int => (int) round(255 * Srgb::encode($linear));
            $pixels[] = 255 << 24 | ($column < 20 ? $of(0.8 * $share) << 16 | $of(0.1 * $share) << 8 | $of(0.1 * $share) : $of(0.4 * $share) * 0x010101);
        }
    }
    $body = LitBody::of(new Aumbrel\Core\Picture\Pixels($pixels, 8), 40, 40);
    $left = array_unique(array_map(fn (int $row): int => $body->materials[$row * 40 + 5], range(6, 39)));
    $right = array_unique(array_map(fn (int $row): int => $body->materials[$row * 40 + 33], range(6, 39)));
    expect(count($left))->toBe(1)->and(count($right))->toBe(1)->and($left)->not->toEqual($right);
});

it('reads a shadow line', function (): void {
    // a shadow as long as the object is tall: the light stands at 45 degrees (follows from the definition)
    $right = (new ShadowLine(new Point(100, 200), new Point(160, 200)))->bearing('line');
    expect($right->heightAngle())->toEqualWithDelta(45, 1e-9)->and($right->heading())->toEqualWithDelta(-90, 1e-9);
    // half as long: atan 2
    expect((new ShadowLine(new Point(100, 200), new Point(160, 200), new Point(100, 80)))->bearing('line')->heightAngle())->toEqualWithDelta(rad2deg(atan(2)), 1e-9);
    // toward the viewer: the light is behind
    expect((new ShadowLine(new Point(100, 200), new Point(100, 235)))->bearing('line')->vector())->toEqualWithDelta([0, M_SQRT1_2, -M_SQRT1_2], 1e-9);
    // and back through the throw of the top: x - u lx/ly, y - tilt u lz/ly
    [$lx, $ly, $lz] = (new Bearing(118, 35))->vector();
    $u = 90.0;
    $tip = new Point(100 - $u * $lx / $ly, 200 - ShadowLine::GROUND_TILT * $u * $lz / $ly);
    expect((new ShadowLine(new Point(100, 200), $tip, new Point(100, 110)))->bearing('line')->angleTo(new Bearing(118, 35)))->toBeLessThan(1e-4);
    expect(fn () => (new ShadowLine(new Point(1, 1), new Point(2, 1)))->bearing('line'))->toThrow(SceneError::class, 'too short')
        ->and(fn () => (new ShadowLine(new Point(1, 1), new Point(20, 1), new Point(1, 30)))->bearing('line'))->toThrow(SceneError::class, 'above the foot');
});

it('keeps how a bearing was found', function (array $raw): void {
    $found = FoundBearing::read($raw, 'bearing');
    expect(FoundBearing::read($found->toArray(), 'bearing'))->toEqual($found)->and($found->method->value)->toBe($raw['by']);
})->with([
    [['by' => 'outline', 'azimuth' => 141.5, 'elevation' => 20, 'spread' => 8, 'confidence' => 0.7]],
    [['by' => 'sphere', 'azimuth' => -20, 'elevation' => 60]],
    [['by' => 'shadow line', 'base' => [10, 20], 'tip' => [50, 24]]],
    [['by' => 'shadow line', 'base' => [10, 20], 'tip' => [50, 24], 'top' => [10, 2]]],
]);

it('lights the sphere as Lambert says', function (): void {
    $bytes = LitSphere::pixels(new Bearing(90, 0), 64);
    $grey = fn (int $column, int $row): int => ord($bytes[4 * ($row * 64 + $column)]);
    expect(strlen($bytes))->toBe(64 * 64 * 4)->and($grey(32, 2))->toBeGreaterThan(220)->and($grey(32, 40))->toBe($grey(32, 60))->and(ord($bytes[3]))->toBe(0)
        ->and($grey(32, 16) / 255)->toEqualWithDelta(Srgb::encode(0.06 + 0.74 * (1 - 16.5 / 32)), 0.01);
});

it('knows how far off it may be: of its errors most lie within the spread, nearly all within twice', function (): void {
    $within = $twice = $count = 0;
    foreach ([...estimates('clean'), ...estimates('hard')] as ['truth' => $truth, 'found' => $found]) {
        if ($found->bearing !== null && abs($truth->elevation) < 60) {
            $error = abs(fmod($found->bearing->azimuth - $truth->azimuth + 900, 360) - 180);
            $within += $error <= $found->spread ? 1 : 0;
            $twice += $error <= 2 * $found->spread ? 1 : 0;
            $count++;
        }
    }
    expect($within / $count)->toBeGreaterThan(0.55)->and($twice / $count)->toBeGreaterThan(0.8);
});
