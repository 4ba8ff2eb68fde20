<?php

declare(strict_types=1);

use Aumbrel\Core\Geometry\Homography;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Raster\Noise;
use Aumbrel\Core\Raster\NoiseSheet;
use Aumbrel\Core\Raster\Smoke;
use Aumbrel\Core\Texture\Dust;
use Aumbrel\Core\Texture\NoisePlane;
use Aumbrel\Core\Texture\Texture;
use Tests\Support\Rendering;

/* Noise, smoke, dust, and the textures made of them. */

/** Noise of size 20 along lines that lie apart, every second pixel. */
function noiseLines(int $points, int $lines, float $from, int $seed): array
{
    $x = $y = [];
    for ($line = 0; $line < $lines; $line++) {
        for ($k = 0; $k < $points; $k++) {
            $x[] = $from + 2 * $k / 20;
            $y[] = 1.7 * $line + 0.3;
        }
    }

    return array_chunk(NoiseSheet::at($x, $y, $seed), $points);
}

it('has the hash that was published', function (): void {
    // values of the definition; the hash is C. Wellons, "Prospecting for Hash Functions" (2018), as improved by TheIronBorn: from memory
    expect(Noise::hash(1))->toBe(2261973619)->and(Noise::hash(2))->toBe(229111015)->and(Noise::hash(0))->toBe(0);
    // the same by the definition, multiplied in halves, which cannot overflow
    $hash = function (int $x): int {
        $times = fn (int $a, int $b): int => ((($a * ($b >> 16)) & 0xFFFF) << 16) + $a * ($b & 0xFFFF) & 0xFFFFFFFF;
        $x ^= $x >> 16;
        $x = $times($x, 0x21F0AAAD);
        $x ^= $x >> 15;
        $x = $times($x, 0x735A2D97);

        return $x ^ $x >> 15;
    };
    foreach ([3, 77, 65535, 4294967295, 2147483648] as $x) {
        expect(Noise::hash($x))->toBe($hash($x));
    }
});

it('gives many places at once what it gives one by one', function (): void {
    $x = $y = [];
    for ($k = 0; $k < 500; $k++) {
        $x[] = 0.37 * $k - 90;
        $y[] = 0.113 * $k - 20;
    }
    foreach (NoiseSheet::at($x, $y, 5) as $at => $value) {
        expect($value)->toEqualWithDelta(Noise::gradient($x[$at], $y[$at], 5), 1e-12);
    }
});

it('does not repeat: nothing of it is like itself outside its own size', function (): void {
    $lines = noiseLines(1000, 64, 0.0, 3);
    $power = 0.0;
    foreach ($lines as $line) {
        foreach ($line as $value) {
            $power += $value * $value;
        }
    }
    $power /= 64 * 1000;
    [$most, $far] = [-1.0, 0.0];
    // one cell off gradient noise is the opposite of itself a little (-0.14); a repetition would show above 0
    for ($lag = 10; $lag < 500; $lag += 2) {
        $sum = 0.0;
        foreach ($lines as $line) {
            for ($k = 0; $k + $lag < 1000; $k++) {
                $sum += $line[$k] * $line[$k + $lag];
            }
        }
        $like = $sum / (64 * (1000 - $lag)) / $power;
        $most = max($most, $like);
        $far = $lag > 12 ? max($far, abs($like)) : $far;
    }
    expect($most)->toBeLessThan(0.1)->and($far)->toBeLessThan(0.1);
});

it('differs 256, 512 and 1024 cells on as much as anywhere', function (): void {
    $apart = function (float $cells): float {
        [$here, $there] = [noiseLines(200, 30, 0.0, 3), noiseLines(200, 30, $cells, 3)];
        $sum = 0.0;
        foreach ($here as $line => $values) {
            foreach ($values as $at => $value) {
                $sum += ($value - $there[$line][$at]) ** 2;
            }
        }

        return sqrt($sum / 6000);
    };
    $usual = $apart(137.0);
    foreach ([256.0, 512.0, 1024.0, 4096.0] as $cells) {
        expect($apart($cells) / $usual)->toBeGreaterThan(0.85)->toBeLessThan(1.15);
    }
});

it('curls smoke as it is defined', function (float $size, int $octaves): void {
    [$density, $softness, $drift, $stretch, $seed] = [0.45, 0.3, 25.0, 1.8, 11];
    $smoke = new Smoke($size, $density, $softness, $drift, $stretch, $seed);
    $x = $y = [];
    for ($k = 0; $k < 60; $k++) {
        $x[] = 13.7 * $k - 200;
        $y[] = 7.1 * $k + 40;
    }
    foreach ($smoke->at($x, $y) as $at => $value) {
        [$cos, $sin] = [cos(deg2rad($drift)), sin(deg2rad($drift))];
        [$u, $v] = [($x[$at] * $cos - $y[$at] * $sin) / $size / $stretch, ($x[$at] * $sin + $y[$at] * $cos) / $size];
        [$u, $v] = [$u + 0.5 * Noise::gradient($u, $v, $seed + 101), $v + 0.5 * Noise::gradient($u, $v, $seed + 102)];
        [$sum, $weights] = [0.0, 0.0];
        for ($k = 0; $k < $octaves; $k++) {
            $sum += Noise::gradient(2 ** $k * $u, 2 ** $k * $v, $seed + $k) / 2 ** $k;
            $weights += 1 / 2 ** $k;
        }
        $q = 0.05 + 0.25 * $softness;
        $t = max(0, min(1, (0.5 + 1.8 * $sum / $weights - (1 - $density - $q)) / (2 * $q)));
        expect($value)->toEqualWithDelta($t * $t * (3 - 2 * $t), 1e-9);
    }
})->with(['all octaves' => [120.0, 5], 'octaves below two pixels are left out' => [9.0, 3]]);

it('lays one speck in each cell, as the hash says', function (): void {
    $dust = new Dust(400, 0.5, 3.0, 0.4, 9);
    expect($dust->edge)->toEqualWithDelta(50.0, 1e-9);
    $u = fn (int $k): float => Noise::at(3, -2, 9 + $k) / 2 ** 32;
    [$x, $y, $radius, $near] = $dust->speck(3, -2);
    expect($x)->toEqualWithDelta((3 + $u(1)) * 50, 1e-9)->and($y)->toEqualWithDelta((-2 + $u(2)) * 50, 1e-9)
        ->and($radius)->toEqualWithDelta(0.5 * 6 ** ($u(3) ** 2), 1e-9)->and($near === null)->toBe($u(4) >= 0.4);
    // out of focus it is as strong as the disc would be: pi r^2
    $sum = 0.0;
    for ($j = -40; $j <= 40; $j++) {
        for ($i = -40; $i <= 40; $i++) {
            $sum += Dust::cover(hypot($i, $j), 4.0, 0.6);
        }
    }
    expect($sum)->toEqualWithDelta(M_PI * 16, 0.1);
});

it('is the same in every window, at every scale, without seams', function (Smoke|Dust $noise): void {
    $planes = Rendering::renderer([])->planes;
    $whole = (new NoisePlane($noise, $all = Window::whole(240, 160)))->fill($planes);
    $part = (new NoisePlane($noise, new Window(97, 41, 60, 50)))->fill($planes);
    foreach ($part as $at => $value) {
        expect($value)->toEqualWithDelta($whole[(intdiv($at, 60) + 41) * 240 + $at % 60 + 97], 1e-9);
    }
    $band = (new NoisePlane($noise, $all->band(64, 32)))->fill($planes);
    expect($band)->toEqualWithDelta(array_slice($whole, 64 * 240, 32 * 240), 1e-9);
    $half = (new NoisePlane($noise, Window::whole(240, 160, 0.5)))->fill($planes);
    $most = 0.0;
    foreach ($half as $at => $value) {
        $from = 2 * intdiv($at, 120) * 240 + 2 * ($at % 120);
        $most = max($most, abs($value - ($whole[$from] + $whole[$from + 1] + $whole[$from + 240] + $whole[$from + 241]) / 4));
    }
    expect($most)->toBeLessThan($noise instanceof Dust ? 0.02 : 0.012);
})->with([[new Smoke(90, 0.5, 0.6, 20, 1.5, 4, 3)], [new Dust(900, 0.6, 4.0, 0.5, 2)]]);

it('makes textures that are neither empty nor full, and stretch with their sheet', function (Texture $texture): void {
    $lit = 0.0;
    $count = 0;
    $specks = $texture->specks(1);
    $map = Homography::affine(2, 0, 30, 0, 2, 10);
    if ($specks !== null) {
        $values = $specks->rectangle(0, 0, 300, 200, 5.0);
        // moved and enlarged with the sheet: the same specks, twice as far apart
        $large = $specks->rectangle(30, 10, 300, 200, 10.0, $map);
        expect(array_sum($large) / array_sum($values))->toBeGreaterThan(0.9)->toBeLessThan(1.1);
    } else {
        $x = $y = [];
        for ($row = 0; $row < 40; $row++) {
            for ($column = 0; $column < 60; $column++) {
                $x[] = 25.0 * $column;
                $y[] = 25.0 * $row;
            }
        }
        $values = $texture->at($x, $y, 1);
    }
    foreach ($values as $value) {
        expect($value)->toBeGreaterThanOrEqual(0.0)->toBeLessThanOrEqual(1.0);
        $lit += $value;
        $count++;
    }
    expect($lit / $count)->toBeGreaterThan(0.004)->toBeLessThan(0.7);
})->with(array_map(fn (Texture $texture): array => [$texture], [Texture::Leak, Texture::Smoke, Texture::Clouds, Texture::Dust, Texture::Bokeh]));
