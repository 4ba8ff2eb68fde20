<?php

declare(strict_types=1);

use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Light\Rim;
use Aumbrel\Core\Reading\Pictures;
use Aumbrel\Core\Reading\Readings;
use Aumbrel\Core\Render\Picture;
use Tests\Support\Flat;
use Tests\Support\Rendering;

/** A disc of radius 40 in the middle of 120 x 120, its edge antialiased over a pixel. */
function rimmedDisc(): Flat
{
    return new Flat(120, 120, static fn (int $x, int $y): array => [128, 128, 128, (int) round(255 * max(0.0, min(1.0, 40.5 - hypot($x - 59.5, $y - 59.5))))]);
}

/**
 * @param  array<string, mixed>  $values  of the rim
 * @param  array<string, mixed>  $plate  values of the plate
 * @param  array<string, mixed>  $more  of the strip
 */
function rimmed(array $values, array $plate = [], array $more = [], ?Window $window = null, ?Flat $disc = null): Picture
{
    return Rendering::picture(['disc' => $disc ?? rimmedDisc()], 200, 160, [
        Rendering::plate('disc', ['id' => 'disc', 'values' => ['place' => [40, 20], ...$plate]]),
        ['id' => 'rim', 'kind' => 'rim', 'level' => 1, ...$more, 'values' => ['of' => 'disc', 'width' => 6, 'azimuth' => 0, 'elevation' => 0, 'colour' => ['swatch' => '#ffffff'], ...$values]],
    ], 16, $window);
}

/** How much light there is at a place: E of illuminate on the grey of the disc. */
function rimLight(Picture $picture, float $x, float $y): float
{
    $value = unpack('n', $picture->bytes, 8 * ((int) floor($y) * $picture->columns + (int) floor($x)))[1] / 65535;
    $linear = static fn (float $v): float => $v <= 0.04045 ? $v / 12.92 : (($v + 0.055) / 1.055) ** 2.4;

    return ($linear($value) / $linear(128 / 255) - 1) / 2;
}

it('agrees with rims from eight azimuths rendered by an independent implementation', function (): void {
    $folder = __DIR__.'/reference/rims';
    $given = json_decode((string) file_get_contents("{$folder}/scene.json"), true);
    $bytes = (new Imagick("{$folder}/blob.png"))->exportImagePixels(0, 0, 32, 40, 'RGBA', Imagick::PIXEL_CHAR);
    $blob = new Flat(32, 40, static fn (int $x, int $y): array => array_slice($bytes, 4 * ($y * 32 + $x), 4));
    $strips = array_map(static fn (array $strip): array => match ($strip['kind']) {
        'fill' => ['id' => $strip['id'], 'kind' => 'fill', 'mode' => 'normal', 'values' => ['colour' => sprintf('#%02x%02x%02x', ...array_map(static fn (float $v): int => (int) round(255 * $v), $strip['colour']))]],
        'plate' => Rendering::plate('blob', ['id' => $strip['id'], 'values' => ['place' => $strip['at']]]),
        'rim' => ['id' => $strip['id'], 'kind' => 'rim', 'mode' => $strip['mode'], 'level' => $strip['level'], 'confinedTo' => $strip['confined'], 'values' => [
            'of' => $strip['of'], 'width' => $strip['width'], 'wrap' => 100 * $strip['wrap'], 'azimuth' => $strip['azimuth'], 'elevation' => $strip['elevation'], 'colour' => $strip['light'],
        ]],
    }, $given['strips']);
    $picture = Rendering::picture(['blob' => $blob], 128, 80, $strips);
    $expected = array_values(unpack('g*', (string) file_get_contents("{$folder}/expected.f32")));
    $ours = array_values(unpack('n*', $picture->bytes));
    $sum = $most = 0.0;
    for ($k = 0; $k < 128 * 80; $k++) {
        for ($channel = 0; $channel < 3; $channel++) {
            // the ground is a swatch of 8 bits here, floats there: at most half a step of difference
            $off = 255 * abs($ours[4 * $k + $channel] / 65535 - min(1.0, $expected[3 * $k + $channel]));
            $sum += $off;
            $most = max($most, $off);
        }
    }
    expect($sum / (3 * 128 * 80))->toBeLessThan(1.0)->and($most)->toBeLessThan(8.0);
});

it('falls off from the edge as the definition says', function (): void {
    $picture = rimmed([]);
    // along the radius to the right: d = 40 - r, the normal points at the light
    foreach ([1.5, 3.5, 6.5, 10.5, 15.5] as $d) {
        expect(rimLight($picture, 100 + 40 - $d, 79.5))->toEqualWithDelta(exp(-($d / 6) ** 2), 0.02, "at {$d} px");
    }
    // at 60 degrees from the light half as much, on the far side nothing
    $x = 100 + 38.5 * cos(deg2rad(60));
    $y = 80 - 38.5 * sin(deg2rad(60));
    $d = 40 - hypot(floor($x) + 0.5 - 100, floor($y) + 0.5 - 80);
    expect(rimLight($picture, $x, $y))->toEqualWithDelta(0.5 * exp(-($d / 6) ** 2), 0.03)->and(rimLight($picture, 62.5, 79.5))->toEqualWithDelta(0.0, 1e-3);
});

it('comes round the edge when the light is behind, and when it wraps', function (): void {
    expect(Rim::facing(0.5, 1.0, 0.0))->toBe(0.5)->and(Rim::facing(-0.4, cos(deg2rad(30)), 0.5))->toEqualWithDelta(0.5 - 0.4 * cos(deg2rad(30)), 1e-12)
        ->and(Rim::facing(1.0, 1.0, 0.4))->toBe(1.0)->and(Rim::facing(-1.0, 1.0, 0.0))->toBe(0.0);
    $d = 1.5;
    $fall = exp(-($d / 6) ** 2);
    expect(rimLight(rimmed(['elevation' => -90]), 100 - 40 + $d, 79.5))->toEqualWithDelta($fall, 0.02)
        ->and(rimLight(rimmed(['elevation' => 60]), 100 + 40 - $d, 79.5))->toEqualWithDelta(0.5 * $fall, 0.02)
        ->and(rimLight(rimmed(['wrap' => 50, 'azimuth' => 90]), 100 + 40 - $d, 79.5))->toEqualWithDelta(0.5 * $fall, 0.02);
});

it('follows its plate when that is moved, scaled, turned and mirrored, and the light stays where it is', function (array $plate, array $edge): void {
    $bar = new Flat(120, 120, static fn (int $x, int $y): array => [128, 128, 128, $x >= 30 && $x < 50 && $y >= 20 && $y < 100 ? 255 : 0]);
    [$lit, $dark] = $edge;
    $picture = rimmed([], $plate, [], null, $bar);
    expect(rimLight($picture, ...$lit))->toBeGreaterThan(0.75)->and(rimLight($picture, ...$dark))->toBeLessThan(0.02);
})->with([
    // the bar's right edge is at x 50 of the picture, its left one at 30
    'as it is' => [[], [[88.5, 80], [71.5, 80]]],
    'moved by a fraction' => [['place' => [47.3, 11.6]], [[95.5, 70], [78.5, 70]]],
    'half as large' => [['scale' => 0.5, 'place' => [0, 0]], [[23.5, 30], [16.5, 30]]],
    'mirrored' => [['mirrored' => true, 'pivot' => [60, 60], 'place' => [100, 80]], [[128.5, 80], [111.5, 80]]],
    'upside down' => [['turn' => 180, 'pivot' => [60, 60], 'place' => [100, 80]], [[128.5, 80], [111.5, 80]]],
    // its upper end, at y 20, turns to the left; the lower one to the right
    'turned' => [['turn' => 90, 'pivot' => [60, 60], 'place' => [100, 80]], [[138, 99], [62, 99]]],
]);

it('is the same in bands and through windows, and half as large nearly', function (): void {
    $whole = rimmed(['azimuth' => 40]);
    $part = rimmed(['azimuth' => 40], window: new Window(60, 30, 90, 70));
    $line = static fn (Picture $picture, int $row, int $from, int $count): string => substr($picture->bytes, 8 * ($row * $picture->columns + $from), 8 * $count);
    for ($row = 0; $row < 70; $row += 7) {
        expect($line($part, $row, 0, 90))->toBe($line($whole, 30 + $row, 60, 90));
    }
    $band = Rendering::renderer(['disc' => rimmedDisc()])->picture(Rendering::scene(200, 160, [
        Rendering::plate('disc', ['id' => 'disc', 'values' => ['place' => [40, 20]]]),
        ['id' => 'rim', 'kind' => 'rim', 'level' => 1, 'values' => ['of' => 'disc', 'width' => 6, 'azimuth' => 40, 'elevation' => 0, 'colour' => ['swatch' => '#ffffff']]],
    ]), Window::whole(200, 160)->band(50, 30), 16);
    expect($band->bytes)->toBe(substr($whole->bytes, 8 * 50 * 200, 8 * 30 * 200));
    $half = rimmed(['azimuth' => 40], window: Window::whole(200, 160, 0.5));
    $off = [];
    for ($y = 12; $y < 68; $y++) {
        for ($x = 22; $x < 78; $x++) {
            // a hard edge is left out
            if (hypot($x + 0.5 - 50, $y + 0.5 - 40) < 17) {
                $mean = 0;
                foreach ([[0, 0], [1, 0], [0, 1], [1, 1]] as [$dx, $dy]) {
                    $mean += unpack('n', $whole->bytes, 8 * ((2 * $y + $dy) * 200 + 2 * $x + $dx))[1] / 4;
                }
                $off[] = abs($mean - unpack('n', $half->bytes, 8 * ($y * 100 + $x))[1]) / 257;
            }
        }
    }
    expect(array_sum($off) / count($off))->toBeLessThan(1.0)->and(max($off))->toBeLessThan(4.0);
});

it('works the outline out once for the plate, not for each place and window', function (): void {
    $renderer = Rendering::renderer(['disc' => rimmedDisc()]);
    $scene = static fn (array $place, float $azimuth): Aumbrel\Core\Scene\Scene => Rendering::scene(200, 160, [
        Rendering::plate('disc', ['id' => 'disc', 'values' => ['place' => $place]]),
        ['id' => 'rim', 'kind' => 'rim', 'values' => ['of' => 'disc', 'azimuth' => $azimuth]],
    ]);
    $renderer->picture($scene([40, 20], 0), Window::whole(200, 160));
    $found = new ReflectionProperty($renderer->planes, 'shapes');
    $folder = (new ReflectionProperty($found->getValue($renderer->planes), 'folder'))->getValue($found->getValue($renderer->planes));
    $known = static fn (): array => glob("{$folder}/found/*/*") ?: [];
    $before = $known();
    $renderer->picture($scene([51.5, 33.25], 120), new Window(10, 10, 150, 120));
    expect($before)->not->toBe([])->and($known())->toBe($before);
});

it('lies several times on one plate, each mixed and confined for itself', function (): void {
    $picture = Rendering::picture(['disc' => rimmedDisc()], 200, 160, [
        Rendering::plate('disc', ['id' => 'disc', 'values' => ['place' => [40, 20]]]),
        ...array_map(static fn (int $k): array => ['id' => "rim{$k}", 'kind' => 'rim', 'mode' => ['illuminate', 'screen', 'airlight'][$k], 'values' => ['of' => 'disc', 'azimuth' => [0, 120, -120][$k], 'elevation' => 0]], [0, 1, 2]),
    ]);
    foreach ([0, 120, -120] as $azimuth) {
        expect(rimLight($picture, 100 + 38.5 * cos(deg2rad($azimuth)), 80 - 38.5 * sin(deg2rad($azimuth))))->toBeGreaterThan(0.2);
    }
    // nothing beside the plate
    expect(unpack('n', $picture->bytes, 8 * (80 * 200 + 145) + 6)[1])->toBe(0);
});

it('says why it does nothing', function (array $values, bool $isOpaque, ?string $says): void {
    $scene = Rendering::scene(200, 160, [Rendering::plate('disc', ['id' => 'disc']), ['id' => 'rim', 'kind' => 'rim', 'name' => 'Rim', 'values' => $values]]);
    $readings = (new Readings($scene, new Pictures(['disc' => [120, 120, $isOpaque]])))->all();
    expect($readings[0]->seen ?? null)->toBe($says);
})->with([
    [[], false, 'Rim: A rim lies along the edge of a plate: choose which one.'],
    [['of' => 'gone'], false, 'Rim: Its plate is gone: choose another one.'],
    [['of' => 'disc'], true, 'Rim: Its plate is not cut out, so there is no edge for a rim.'],
    [['of' => 'disc'], false, null],
]);

it('is on the compass, seen from its plate, and turns when it is told to', function (): void {
    $scene = Rendering::scene(200, 160, [
        Rendering::plate('disc', ['id' => 'disc', 'values' => ['place' => [40, 20], 'bearing' => ['by' => 'sphere', 'azimuth' => 170, 'elevation' => 10]]]),
        ['id' => 'rim', 'kind' => 'rim', 'values' => ['of' => 'disc', 'azimuth' => 20, 'elevation' => -30]],
    ]);
    $readings = new Readings($scene, new Pictures(['disc' => [120, 120, false]]));
    $sight = $readings->compass->sights[1];
    expect($sight->strip)->toBe('rim')->and($sight->bearing->azimuth)->toBe(20.0)->and($sight->bearing->elevation)->toBe(-30.0)->and($sight->of)->toBe('disc')->and($sight->from->middle->toArray())->toBe([100.0, 80.0]);
    // the plate is lit from the left, the rim comes from the right: it is said, and the light can be turned
    $mend = collect($readings->all()[0]->mends)->firstWhere('key', 'turn the light');
    expect($mend->values)->toBe(['azimuth' => 170.0, 'elevation' => 10.0]);
});

it('keeps its width in scene pixels when the plate is scaled, and can be wider than the plate', function (): void {
    $small = rimmed(['width' => 4], ['scale' => 0.5]);
    // a disc of radius 20 around (70, 50)
    foreach ([1.5, 4.5] as $d) {
        expect(rimLight($small, 70 + 20 - $d, 49.5))->toEqualWithDelta(exp(-($d / 4) ** 2), 0.06);
    }
    $wide = rimmed(['width' => 300, 'elevation' => -90]);
    expect(rimLight($wide, 100, 80))->toEqualWithDelta(exp(-(40 / 300) ** 2), 0.02);
});

it('can be softened like any field', function (): void {
    $picture = Rendering::renderer(['disc' => rimmedDisc()]);
    $scene = Rendering::scene(200, 160, [Rendering::plate('disc', ['id' => 'disc', 'values' => ['place' => [40, 20]]]), ['id' => 'rim', 'kind' => 'rim', 'values' => ['of' => 'disc', 'width' => 6, 'azimuth' => 0, 'elevation' => 0]]]);
    $sites = $picture->sites($scene, Window::whole(200, 160));
    $field = (new Aumbrel\Core\Render\StripLayers($sites))->of($scene->strips[1])[0]->field;
    $soft = new Aumbrel\Core\Light\SoftShape($field, 4.0, Window::whole(200, 160));
    $values = $picture->planes->numbers($soft);
    $at = fn (float $x, float $y): float => $values[(int) round(($y - $soft->lattice->points->yOf(0)) / $soft->lattice->step) * $soft->lattice->points->columns + (int) round(($x - $soft->lattice->points->xOf(0)) / $soft->lattice->step)];
    // what was a bright edge beside nothing is spread over both, and the sum along a row stays
    expect($at(137, 80))->toBeGreaterThan(0.2)->toBeLessThan(0.8)->and($at(143, 80))->toBeGreaterThan(0.05)->and($at(100, 80))->toBeLessThan(0.01);
});
