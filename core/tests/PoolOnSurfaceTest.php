<?php

declare(strict_types=1);

use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Light\AngularLaw;
use Aumbrel\Core\Reading\Pictures;
use Aumbrel\Core\Reading\Readings;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Render\Picture;
use Aumbrel\Core\Scene\Scene;
use Aumbrel\Core\Stage\Stage;
use Tests\Support\Flat;
use Tests\Support\Rendering;

/**
 * @param  list<array<string, mixed>>  $strips
 * @param  array<string, mixed>  $more  stage, sources and the like
 */
function stagedScene(int $width, int $height, array $strips, array $more = []): Scene
{
    foreach ($strips as $at => $strip) {
        $strips[$at] = ['id' => "s{$at}", ...$strip];
    }

    return Scene::read(['aumbrel' => 2, 'title' => 'Staged', 'size' => [$width, $height], 'strips' => $strips, ...$more], Registry::kinds());
}

/** @param  array<string, mixed>  $values */
function poolOn(array $values, array $more = [], int $width = 200, int $height = 150): Picture
{
    $scene = stagedScene($width, $height, [
        ['kind' => 'fill', 'mode' => 'normal', 'values' => ['colour' => '#404040']],
        ['kind' => 'spot-onto', 'level' => 0, ...array_intersect_key($more, ['mode' => 0, 'level' => 0, 'source' => 0]), 'values' => ['colour' => ['swatch' => '#ffffff'], ...$values]],
    ], array_diff_key($more, ['mode' => 0, 'level' => 0, 'source' => 0]));

    return Rendering::renderer([])->picture($scene, Window::whole($width, $height), 16);
}

/** E at a pixel, read off a grey of 64 under white light by illuminate. */
function poolLight(Picture $picture, int $x, int $y): float
{
    $value = unpack('n', $picture->bytes, 8 * ($y * $picture->columns + $x))[1] / 65535;
    $linear = static fn (float $v): float => $v <= 0.04045 ? $v / 12.92 : (($v + 0.055) / 1.055) ** 2.4;

    return $linear($value) / $linear(64 / 255) - 1;
}

it('agrees with pools on the ground rendered by an independent implementation', function (): void {
    $folder = __DIR__.'/reference/pools';
    $given = json_decode((string) file_get_contents("{$folder}/scene.json"), true);
    $bytes = (new Imagick("{$folder}/photo_wide.png"))->exportImagePixels(0, 0, 128, 96, 'RGB', Imagick::PIXEL_CHAR);
    $photo = new Flat(128, 96, static fn (int $x, int $y): array => [...array_slice($bytes, 3 * ($y * 128 + $x), 3), 255]);
    $strips = array_map(static fn (array $strip): array => $strip['kind'] === 'plate' ? Rendering::plate('photo', ['id' => $strip['id']]) : [
        'id' => $strip['id'], 'kind' => 'spot-onto', 'mode' => $strip['mode'], 'level' => $strip['level'],
        'values' => ['surface' => 'floor', 'lamp' => array_slice($strip['lamp'], 0, 2), 'height' => $strip['lamp'][2], 'target' => $strip['target'], 'beam' => $strip['beam'], 'field' => $strip['field'], 'colour' => $strip['light']],
    ], $given['strips']);
    $scene = stagedScene(128, 96, $strips, ['stage' => ['floor' => ['horizon' => $given['camera']['horizon'], 'contact' => $given['camera']['contact']]]]);
    $picture = Rendering::renderer(['photo' => $photo])->picture($scene, Window::whole(128, 96), 16);
    $expected = array_values(unpack('g*', (string) file_get_contents("{$folder}/expected.f32")));
    $ours = array_values(unpack('n*', $picture->bytes));
    $sum = $most = 0.0;
    for ($k = 0; $k < 128 * 96; $k++) {
        for ($channel = 0; $channel < 3; $channel++) {
            $off = 255 * abs($ours[4 * $k + $channel] / 65535 - min(1.0, $expected[3 * $k + $channel]));
            $sum += $off;
            $most = max($most, $off);
        }
    }
    // the lamp's height is in pixels of the picture at its foot; read so, it agrees far within what the case allows
    expect($sum / (3 * 128 * 96))->toBeLessThan(0.02)->and($most)->toBeLessThan(0.5);
});

it('lights a wall that faces the camera as the definition says', function (): void {
    // straight before the wall, 60 px over (100, 75)
    $picture = poolOn(['lamp' => [100, 75], 'height' => 60, 'target' => [100, 75], 'beam' => 80, 'field' => 120]);
    $law = new AngularLaw(80, 120);
    foreach ([[100, 75], [130, 75], [100, 40], [160, 100], [40, 20]] as [$x, $y]) {
        [$dx, $dy] = [$x + 0.5 - 100, $y + 0.5 - 75];
        $d = sqrt($dx ** 2 + $dy ** 2 + 60 ** 2);
        $expected = $law->at(rad2deg(acos(60 / $d))) * (60 / $d) ** 2 * 60 / $d;
        expect(poolLight($picture, $x, $y))->toEqualWithDelta($expected, 2e-3, "at {$x}, {$y}");
    }
});

it('loses two stops when the distance doubles, and half of it when it falls at 60 degrees', function (): void {
    // at 60 degrees from straight down the distance is twice the height: a quarter by distance, half by the cosine
    $height = 40;
    $picture = poolOn(['lamp' => [20, 75], 'height' => $height, 'target' => [20, 75], 'beam' => 160, 'field' => 168]);
    $law = new AngularLaw(160, 168);
    $x = (int) round(20 + $height * sqrt(3) - 0.5);
    $away = hypot($x + 0.5 - 20, 0.5);
    expect(poolLight($picture, $x, 75) / $law->at(rad2deg(atan2($away, $height))))->toEqualWithDelta(0.25 * 0.5, 2e-3);
});

it('draws the rings where half and a tenth of the beam are left', function (): void {
    $stage = Stage::read(['floor' => ['horizon' => 50, 'contact' => [[0, 120], [200, 120]]]], 'stage', 200, 150);
    $strip = stagedScene(200, 150, [['kind' => 'spot-onto', 'values' => ['surface' => 'floor', 'lamp' => [90, 100], 'height' => 50, 'target' => [110, 110], 'beam' => 40, 'field' => 70]]])->strips[0];
    $lines = $strip->kind->outlines($stage);
    // places in space, by the formulas of the camera
    $f = 1.2 * 200;
    $ground = static fn (float $x, float $y): array => [($x - 100) * 70 / ($y - 50), -70.0, -$f * 70 / ($y - 50)];
    $foot = $ground(90, 100);
    $lamp = [$foot[0], $foot[1] + 50 * 70 / 50, $foot[2]];
    $axis = array_map(static fn (float $a, float $b): float => $a - $b, $ground(110, 110), $lamp);
    $dot = static fn (array $a, array $b): float => $a[0] * $b[0] + $a[1] * $b[1] + $a[2] * $b[2];
    foreach (['beam' => 20, 'field' => 35] as $ring => $half) {
        expect(count($lines[$ring]))->toBeGreaterThan(60);
        foreach ($lines[$ring] as [$x, $y]) {
            $way = array_map(static fn (float $a, float $b): float => $a - $b, $ground($x, $y), $lamp);
            expect(rad2deg(acos($dot($way, $axis) / sqrt($dot($way, $way) * $dot($axis, $axis)))))->toEqualWithDelta($half, 0.1);
        }
    }
    expect((new AngularLaw(40, 70))->at(20))->toEqualWithDelta(0.5, 1e-9)->and((new AngularLaw(40, 70))->at(35))->toEqualWithDelta(0.1, 1e-9);
});

it('ends at its reach', function (): void {
    $plain = poolOn(['lamp' => [100, 75], 'height' => 30, 'target' => [100, 75], 'beam' => 150, 'field' => 165]);
    $ended = poolOn(['lamp' => [100, 75], 'height' => 30, 'target' => [100, 75], 'beam' => 150, 'field' => 165, 'reach' => 60]);
    foreach ([10, 30, 45, 51] as $aside) {
        $share = (hypot($aside + 0.5, 0.5) ** 2 + 900) / 3600;
        expect(poolLight($ended, 100 + $aside, 75))->toEqualWithDelta(poolLight($plain, 100 + $aside, 75) * max(0, 1 - $share ** 2) ** 2, 1e-3);
    }
    expect(poolLight($ended, 160, 75))->toEqualWithDelta(0.0, 1e-4);
});

it('is cut by straight edges, each as soft as it says', function (): void {
    $values = ['lamp' => [100, 75], 'height' => 60, 'target' => [100, 75], 'beam' => 120, 'field' => 160];
    $plain = poolOn($values);
    // going right, what is above stays; going down on the left side of the picture, what is to the right stays
    $cut = poolOn([...$values, 'cuts' => [['from' => [0, 90], 'to' => [200, 90], 'softness' => 6], ['from' => [60, 0], 'to' => [60, 150], 'softness' => 0]]]);
    // the normal distribution at -2, -1, 0.0833, 1 sigma, by tables (Abramowitz and Stegun, table 26.1)
    foreach ([101 => 0.0274, 95 => 0.1797, 89 => 0.5332, 83 => 0.8603] as $y => $expected) {
        expect(poolLight($cut, 120, $y) / poolLight($plain, 120, $y))->toEqualWithDelta($expected, 4e-3, "row {$y}");
    }
    expect(poolLight($cut, 62, 60) / poolLight($plain, 62, 60))->toEqualWithDelta(1.0, 1e-3)->and(poolLight($cut, 57, 60))->toEqualWithDelta(0.0, 1e-4);
});

it('lies on a wall that is seen at an angle, and ends at its corners', function (): void {
    $stage = ['floor' => ['horizon' => 60, 'contact' => [[0, 130], [200, 130]]], 'walls' => [['id' => 'hut', 'name' => 'Hut', 'foot' => [[40, 120], [160, 90]], 'height' => 90]]];
    $values = ['surface' => 'hut', 'lamp' => [90, 80], 'height' => 25, 'target' => [95, 85], 'beam' => 80, 'field' => 120];
    $picture = poolOn($values, ['stage' => $stage]);
    // plainly: the upright plane over the foot line, in space
    [$f, $yh, $h] = [240.0, 60.0, 70.0];
    $place = static fn (float $x, float $y, float $w): array => [($x - 100) * $w, ($yh - $y) * $w, $f - $f * $w];
    [$a, $b] = [$place(40, 120, $h / 60), $place(160, 90, $h / 30)];
    $along = [$b[0] - $a[0], 0, $b[2] - $a[2]];
    $length = hypot($along[0], $along[2]);
    $n = [$along[2] / $length, 0, -$along[0] / $length];
    $n = $n[0] * -$a[0] + $n[2] * ($f - $a[2]) < 0 ? [-$n[0], 0, -$n[2]] : $n;
    $on = static function (float $x, float $y) use ($place, $n, $a, $f): array {
        $w = ($n[0] * $a[0] + $n[2] * ($a[2] - $f)) / ($n[0] * ($x - 100) - $n[2] * $f);

        return [$place($x, $y, $w), $w];
    };
    [$foot, $w] = $on(90, 80);
    $lamp = [$foot[0] + 25 * $w * $n[0], $foot[1], $foot[2] + 25 * $w * $n[2]];
    $dot = static fn (array $p, array $q): float => $p[0] * $q[0] + $p[1] * $q[1] + $p[2] * $q[2];
    $less = static fn (array $p, array $q): array => [$p[0] - $q[0], $p[1] - $q[1], $p[2] - $q[2]];
    $axis = $less($on(95, 85)[0], $lamp);
    foreach ([[95, 85], [120, 70], [70, 60], [80, 100]] as [$x, $y]) {
        $way = $less($on($x + 0.5, $y + 0.5)[0], $lamp);
        $angle = rad2deg(acos($dot($way, $axis) / sqrt($dot($way, $way) * $dot($axis, $axis))));
        $expected = (new AngularLaw(80, 120))->at($angle) * $dot($axis, $axis) / $dot($way, $way) * 25 * $w / sqrt($dot($way, $way));
        expect(poolLight($picture, $x, $y))->toEqualWithDelta($expected, 3e-3, "at {$x}, {$y}");
    }
    // below its foot line lies the floor, beside it there is no wall
    expect(poolLight($picture, 95, 112))->toEqualWithDelta(0.0, 1e-4)->and(poolLight($picture, 36, 80))->toEqualWithDelta(0.0, 1e-4);
    // and on the floor nothing lies where the wall stands
    $floor = poolOn(['surface' => 'floor', 'lamp' => [95, 112], 'height' => 60, 'target' => [95, 112], 'beam' => 120, 'field' => 160], ['stage' => $stage]);
    expect(poolLight($floor, 95, 112))->toBeGreaterThan(0.5)->and(poolLight($floor, 95, 100))->toEqualWithDelta(0.0, 1e-4);
});

it('says why it does nothing', function (array $values, array $stage, ?string $sentence): void {
    $scene = stagedScene(200, 150, [['kind' => 'spot-onto', 'name' => 'Pool', 'values' => ['lamp' => [90, 120], 'target' => [100, 130], ...$values]]], $stage === [] ? [] : ['stage' => $stage]);
    $said = collect((new Readings($scene, new Pictures([])))->all())->firstWhere('kind', 'strip')?->seen;
    expect($said === null ? $sentence : str_starts_with($said, 'Pool: '.$sentence))->toBe($sentence === null ? null : true);
})->with([
    'well placed' => [[], [], null],
    'too flat' => [['height' => 2, 'beam' => 60, 'field' => 90], [], 'It shines too flat'],
    'no floor' => [['surface' => 'floor'], [], 'The floor is not marked'],
    'no wall' => [['surface' => 'gone'], [], 'Its wall is gone'],
    'above the horizon' => [['surface' => 'floor', 'target' => [100, 20]], ['floor' => ['horizon' => 50, 'contact' => [[0, 120], [200, 120]]]], 'Its lamp stands behind the surface'],
]);

it('is full where it is brightest in the standard\'s modes, and nowhere more', function (): void {
    $picture = poolOn(['lamp' => [70, 75], 'height' => 50, 'target' => [110, 75], 'beam' => 50, 'field' => 80], ['mode' => 'normal']);
    $most = 0;
    foreach (unpack('n*', $picture->bytes) as $at => $value) {
        $most = ($at - 1) % 4 === 3 ? $most : max($most, $value);
    }
    expect($most / 65535)->toEqualWithDelta(1.0, 2e-3);
});

it('looks the same at half the size', function (): void {
    $stage = ['floor' => ['horizon' => 40, 'contact' => [[0, 120], [200, 120]]]];
    $scene = stagedScene(200, 150, [['kind' => 'fill', 'mode' => 'normal', 'values' => ['colour' => '#707070']], ['kind' => 'spot-onto', 'level' => 1, 'values' => ['surface' => 'floor', 'lamp' => [80, 90], 'height' => 60, 'target' => [100, 100]]]], ['stage' => $stage]);
    $renderer = Rendering::renderer([]);
    $whole = $renderer->picture($scene, Window::whole(200, 150), 16);
    $half = $renderer->picture($scene, Window::whole(200, 150, 0.5), 16);
    $value = static fn (Picture $picture, int $x, int $y): float => unpack('n', $picture->bytes, 8 * ($y * $picture->columns + $x))[1] / 257;
    $most = 0.0;
    for ($y = 0; $y < 75; $y++) {
        for ($x = 0; $x < 100; $x++) {
            $mean = ($value($whole, 2 * $x, 2 * $y) + $value($whole, 2 * $x + 1, 2 * $y) + $value($whole, 2 * $x, 2 * $y + 1) + $value($whole, 2 * $x + 1, 2 * $y + 1)) / 4;
            $most = max($most, abs($mean - $value($half, $x, $y)));
        }
    }
    expect($most)->toBeLessThan(4.0);
});
