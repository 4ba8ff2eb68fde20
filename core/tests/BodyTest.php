<?php

declare(strict_types=1);

use Aumbrel\Core\Body\ChamferPlane;
use Aumbrel\Core\Body\NormalPass;
use Aumbrel\Core\Body\OwnLight;
use Aumbrel\Core\Color\Srgb;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Light\Relit;
use Aumbrel\Core\Raster\Membrane;
use Aumbrel\Core\Reading\Reading;
use Aumbrel\Core\Reading\Readings;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Scene\Scene;
use Tests\Support\Flat;
use Tests\Support\Rendering;

/* The form of plates, and lights that answer it. */

/** How much of each pixel an ellipse covers, by 4 x 4 samples. */
function ellipseCover(int $x, int $y, float $cx, float $cy, float $a, float $b): float
{
    $in = 0;
    for ($n = 0; $n < 16; $n++) {
        $in += (($x + ($n % 4 + 0.5) / 4 - $cx) / $a) ** 2 + (($y + (intdiv($n, 4) + 0.5) / 4 - $cy) / $b) ** 2 < 1 ? 1 : 0;
    }

    return $in / 16;
}

/** A ball of one grey on a picture of 160 x 160, its middle at 80.3, 79.6, of radius 64. */
function ball(callable $colour): Flat
{
    return new Flat(160, 160, fn (int $x, int $y): array => [...$colour($x, $y), (int) round(255 * ellipseCover($x, $y, 80.3, 79.6, 64, 64))]);
}

/** @return array{float, float, float}|null the normal of that ball at a place of its picture, y up */
function ballNormal(float $x, float $y): ?array
{
    [$nx, $ny] = [($x - 80.3) / 64, (79.6 - $y) / 64];

    return $nx ** 2 + $ny ** 2 < 0.95 ** 2 ? [$nx, $ny, sqrt(1 - $nx ** 2 - $ny ** 2)] : null;
}

/** @return list<int> a normal as renders write it */
function encodedNormal(array $normal, bool $upward): array
{
    return array_map(fn (float $part): int => (int) round(255 * (0.5 + 0.5 * $part)), [$normal[0], $upward ? $normal[1] : -$normal[1], $normal[2]]);
}

/**
 * @param  list<array<string, mixed>>  $strips
 * @return Closure(int, int): array{float, float, float} pixels of the scene, linear
 */
function lit(array $strips, array $plate = [], array $pictures = [], array $more = [], ?Window $window = null, string $colour = 'grey'): Closure
{
    $pictures = ['black' => new Flat(240, 200, fn (): array => [0, 0, 0]), 'grey' => ball(fn (): array => [100, 100, 100]), ...$pictures];
    $scene = Scene::read(['aumbrel' => 2, 'title' => 'Body', 'size' => [240, 200], ...$more, 'strips' => [
        Rendering::plate('black', ['id' => 'ground']), Rendering::plate($colour, ['id' => 'ball', 'values' => ['place' => [40, 20], ...$plate]]), ...$strips,
    ]], Registry::kinds());
    $window ??= Window::whole(240, 200);
    $values = array_values(unpack('n*', Rendering::renderer($pictures)->picture($scene, $window, 16)->bytes));

    return fn (int $x, int $y): array => array_map(fn (int $k): float => Srgb::decode($values[4 * ($y * $window->columns + $x) + $k] / 65535), [0, 1, 2]);
}

/** @return array<string, mixed> a white key light without gloss that adds its light once */
function keyLight(array $values = [], array $more = []): array
{
    return ['id' => 'key', 'kind' => 'key light', 'level' => 0, ...$more, 'values' => ['of' => 'ball', 'colour' => ['swatch' => '#ffffff'], 'wrap' => 0, 'gloss' => 0, 'azimuth' => 120, 'elevation' => 30, ...$values]];
}

/** @return array{float, float, float} */
function towardLight(float $azimuth, float $elevation): array
{
    [$a, $e] = [deg2rad($azimuth), deg2rad($elevation)];

    return [cos($e) * cos($a), cos($e) * sin($a), sin($e)];
}

function dotOf(array $one, array $other): float
{
    return $one[0] * $other[0] + $one[1] * $other[1] + $one[2] * $other[2];
}

/** The grey of the ball, linear. */
const OWN_GREY = 0.12743768043564743;

it('knows the normals of circles and ellipses within two degrees', function (int $columns, int $rows, float $a, float $b): void {
    [$cx, $cy] = [$columns / 2 + 0.3, $rows / 2 - 0.2];
    $shape = [];
    for ($at = 0; $at < $columns * $rows; $at++) {
        $shape[] = ellipseCover($at % $columns, intdiv($at, $columns), $cx, $cy, $a, $b);
    }
    $membrane = Membrane::over($shape, $columns, $rows);
    // u = k (1 - (x/a)² - (y/b)²) solves laplace u = -4 with k = 2 / (1/a² + 1/b²): by insertion
    $k = 2 / (1 / $a ** 2 + 1 / $b ** 2);
    [$worst, $count] = [0.0, 0];
    foreach ($membrane->heights as $at => $height) {
        [$x, $y] = [$at % $columns + 0.5 - $cx, intdiv($at, $columns) + 0.5 - $cy];
        $q = ($x / $a) ** 2 + ($y / $b) ** 2;
        if ($q < 0.95 ** 2) {
            [$own, $exact] = [[-$membrane->across[$at], -$membrane->down[$at], 2 * sqrt($height)], [2 * $k * $x / $a ** 2, 2 * $k * $y / $b ** 2, 2 * sqrt($k * (1 - $q))]];
            $worst = max($worst, rad2deg(acos(min(1.0, dotOf($own, $exact) / sqrt(dotOf($own, $own) * dotOf($exact, $exact))))));
            $count++;
        }
    }
    expect($worst)->toBeLessThan(2.0)->and($count)->toBeGreaterThan(1000);
})->with([[160, 140, 60.0, 60.0], [200, 160, 80.0, 45.0], [110, 300, 42.0, 140.0], [500, 400, 190.0, 190.0]]);

it('lights a ball as Lambert says, by illuminate within 2 of 255', function (float $azimuth, float $elevation, float $wrap, array $plate): void {
    $shown = lit([keyLight(['azimuth' => $azimuth, 'elevation' => $elevation, 'wrap' => 100 * $wrap])], $plate);
    $light = towardLight($azimuth, $elevation);
    $looked = 0;
    for ($y = 2; $y < 198; $y += 5) {
        for ($x = 2; $x < 238; $x += 5) {
            // where that is in the plate's own picture: scaled, mirrored, turned about its pivot
            [$dx, $dy] = [$x + 0.5 - ($plate['place'][0] ?? 40), $y + 0.5 - ($plate['place'][1] ?? 20)];
            $turn = deg2rad($plate['turn'] ?? 0);
            [$u, $v] = [(cos($turn) * $dx - sin($turn) * $dy) / ($plate['scale'] ?? 1), (sin($turn) * $dx + cos($turn) * $dy) / ($plate['scale'] ?? 1)];
            $side = ($plate['mirrored'] ?? false) ? -1 : 1;
            $normal = ballNormal($side * $u + ($plate['pivot'][0] ?? 0), $v + ($plate['pivot'][1] ?? 0));
            if ($normal === null) {
                continue;
            }
            [$nx, $ny] = [$side * $normal[0], $normal[1]];
            $seen = [cos($turn) * $nx - sin($turn) * $ny, sin($turn) * $nx + cos($turn) * $ny, $normal[2]];
            $facing = max(0.0, (dotOf($seen, $light) + $wrap) / (1 + $wrap));
            $looked++;
            expect(abs(Srgb::encode($shown($x, $y)[0]) - Srgb::encode(OWN_GREY * (1 + $facing))) * 255)->toBeLessThan(2.0);
        }
    }
    expect($looked)->toBeGreaterThan(150);
})->with([
    [120.0, 30.0, 0.0, []], [-160.0, -15.0, 0.5, []], [0.0, 90.0, 0.0, []],
    'mirrored' => [150.0, 20.0, 0.0, ['mirrored' => true, 'place' => [120, 100], 'pivot' => [80, 80]]],
    'turned' => [80.0, 10.0, 0.2, ['turn' => 35, 'place' => [120, 100], 'pivot' => [80, 80]]],
    'smaller' => [-60.0, 40.0, 0.0, ['scale' => 0.7, 'place' => [50, 30]]],
]);

it('is lit alike at half the size, in every window, and only where it is', function (): void {
    $strips = [keyLight(['gloss' => 20])];
    [$whole, $half, $part] = [lit($strips), lit($strips, window: Window::whole(240, 200, 0.5)), lit($strips, window: new Window(60, 50, 100, 90))];
    foreach ([[100, 60], [120, 100], [150, 130], [90, 120]] as [$x, $y]) {
        $mean = ($whole($x, $y)[0] + $whole($x + 1, $y)[0] + $whole($x, $y + 1)[0] + $whole($x + 1, $y + 1)[0]) / 4;
        expect(Srgb::encode($half(intdiv($x, 2), intdiv($y, 2))[0]))->toEqualWithDelta(Srgb::encode($mean), 2 / 255)
            ->and($part($x - 60, $y - 50)[0])->toEqualWithDelta($whole($x, $y)[0], 1e-6);
    }
    expect($whole(45, 25)[0])->toBe(0.0);
});

it('adds the gloss of Blinn and Phong, and a sky', function (): void {
    $light = towardLight(120, 30);
    $half = array_map(fn (float $part): float => $part / sqrt(2 + 2 * $light[2]), [$light[0], $light[1], $light[2] + 1]);
    $glossy = lit([keyLight(['gloss' => 30, 'glossSize' => 40])]);
    $sky = lit([['id' => 'sky', 'kind' => 'skylight', 'values' => ['of' => 'ball', 'colour' => ['swatch' => '#ffffff']]]]);
    foreach ([[106, 70], [120, 100], [96, 84], [140, 120]] as [$x, $y]) {
        $normal = ballNormal($x + 0.5 - 40, $y + 0.5 - 20);
        $facing = max(0.0, dotOf($normal, $light));
        $shine = 0.3 * 48 / 8 * max(0.0, dotOf($normal, $half)) ** 40 * $facing;
        // airlight on top of what illuminate made: below + shine
        expect(Srgb::encode(min(1.0, $glossy($x, $y)[0])))->toEqualWithDelta(Srgb::encode(min(1.0, OWN_GREY * (1 + $facing) + $shine)), 3 / 255)
            ->and(Srgb::encode($sky($x, $y)[0]))->toEqualWithDelta(Srgb::encode(OWN_GREY * (1 + 0.5 + 0.5 * $normal[1])), 2 / 255);
    }
});

it('takes its form from a picture of normals, whichever way green grows there', function (bool $upward, array $values): void {
    $normals = new Flat(160, 160, fn (int $x, int $y): array => encodedNormal(ballNormal($x + 0.5, $y + 0.5) ?? [0.0, 0.0, 1.0], $upward));
    expect(NormalPass::growsUpward($normals))->toBe($upward);
    $shown = lit([keyLight()], ['normals' => 'pass', ...$values], ['pass' => $normals]);
    $light = towardLight(120, 30);
    foreach ([[90, 60], [120, 100], [150, 130], [100, 140]] as [$x, $y]) {
        $normal = ballNormal($x + 0.5 - 40, $y + 0.5 - 20);
        expect(Srgb::encode($shown($x, $y)[0]))->toEqualWithDelta(Srgb::encode(OWN_GREY * (1 + max(0.0, dotOf($normal, $light)))), 2 / 255);
    }
})->with([[true, []], [false, []], [true, ['normalsUp' => 'green is up']], [false, ['normalsUp' => 'green is down']]]);

it('keeps a normal within a degree through 8 bit', function (): void {
    foreach ([[0.3, 0.4], [-0.7, 0.1], [0.0, 0.0], [0.6, -0.75]] as [$x, $y]) {
        $normal = [$x, $y, sqrt(1 - $x * $x - $y * $y)];
        $back = array_map(fn (int $byte): float => 2 * $byte / 255 - 1, encodedNormal($normal, true));
        expect(rad2deg(acos(min(1.0, dotOf($normal, $back) / sqrt(dotOf($back, $back))))))->toBeLessThan(1.0);
    }
});

it('is lit by a lamp from every place by itself, nearer ones more', function (): void {
    // a lamp at the picture's plane, to the right of the ball's middle and before it
    $sources = ['sources' => [['id' => 'lamp', 'kind' => 'lamp', 'name' => 'Lamp', 'values' => ['place' => [230, 100], 'depth' => 40, 'unseen' => true, 'width' => 1, 'colour' => ['swatch' => '#ffffff']]]]];
    $shown = lit([keyLight([], ['source' => 'lamp'])], [], [], $sources);
    // without a horizon the middle row stands for it, and x, y are counted from the middle: the lamp is at (110, 0, 40), the ball's box has its middle at the picture's place (120, 100)
    $middle = [110 - (120.3 - 120), 0 - (100 - 99.6), 40.0];
    $d0 = dotOf($middle, $middle);
    foreach ([[110, 90], [140, 100], [160, 120], [120, 60]] as [$x, $y]) {
        $way = [110 - ($x + 0.5 - 120), 0 - (100 - ($y + 0.5)), 40.0];
        $square = dotOf($way, $way);
        $facing = max(0.0, dotOf(ballNormal($x + 0.5 - 40, $y + 0.5 - 20), $way) / sqrt($square));
        $law = ($d0 + $d0 / 9) / ($square + $d0 / 9);
        expect(Srgb::encode($shown($x, $y)[0]))->toEqualWithDelta(Srgb::encode(OWN_GREY * (1 + $facing * $law)), 3 / 255);
    }
});

it('bends the form by the plate\'s own tones, out or in', function (): void {
    // a bright spot in the middle of a grey ball
    $spotted = ['spotted' => ball(fn (int $x, int $y): array => array_fill(0, 3, (int) round(100 + 80 * exp(-(($x - 79.8) ** 2 + ($y - 79.1) ** 2) / 32))))];
    $of = fn (float $detail): Closure => lit([keyLight(['azimuth' => 0, 'elevation' => 45])], ['detail' => $detail, 'detailSize' => 8], $spotted, colour: 'spotted');
    [$flat, $out, $in] = [$of(0), $of(100), $of(-100)];
    // lit from the right: what stands out is brighter on its right side and darker on its left
    expect($out(124, 100)[0])->toBeGreaterThan(1.02 * $flat(124, 100)[0])->and($out(115, 100)[0])->toBeLessThan(0.98 * $flat(115, 100)[0])
        ->and($in(124, 100)[0])->toBeLessThan(0.98 * $flat(124, 100)[0])->and($in(115, 100)[0])->toBeGreaterThan(1.02 * $flat(115, 100)[0]);
});

it('is flat with no roundness, and steeper with more', function (): void {
    $of = fn (float $roundness): float => lit([keyLight(['azimuth' => 0, 'elevation' => 0])], ['roundness' => $roundness])(150, 100)[0];
    expect($of(0))->toEqualWithDelta(OWN_GREY, 0.001)->and($of(200))->toBeGreaterThan($of(100) + 0.01)->and($of(100))->toBeGreaterThan($of(50) + 0.01);
});

it('leaves holes of some size open, and fills small ones', function (): void {
    $holed = fn (float $radius): array => ['holed' => new Flat(160, 160, fn (int $x, int $y): array => [100, 100, 100, (int) round(255 * max(0, ellipseCover($x, $y, 80.3, 79.6, 64, 64) - ellipseCover($x, $y, 80, 80, $radius, $radius)))])];
    // just beside the hole the form falls off toward a large one, and not toward a small one
    $beside = fn (float $radius): float => lit([keyLight(['azimuth' => 180, 'elevation' => 0])], [], $holed($radius), colour: 'holed')((int) (120 + $radius + 2), 100)[0];
    expect($beside(16))->toBeGreaterThan(OWN_GREY * 1.3)->and($beside(2.5))->toBeLessThan(OWN_GREY * 1.1);
});

it('says what is missing, and changes nothing then', function (array $values, string $says): void {
    $strip = keyLight($values);
    $scene = Scene::read(['aumbrel' => 2, 'title' => 'Body', 'size' => [240, 200], 'strips' => [Rendering::plate('black', ['id' => 'ground']), Rendering::plate('grey', ['id' => 'ball']), $strip]], Registry::kinds());
    $pictures = ['black' => new Flat(240, 200, fn (): array => [0, 0, 0]), 'grey' => ball(fn (): array => [100, 100, 100])];
    $renderer = Rendering::renderer($pictures);
    expect(array_map(fn ($reading): string => $reading->seen, (new Readings($scene, $renderer->measures()))->all()))->toContain("Key light: {$says}");
})->with([
    [['of' => null], 'A key light falls on the body of a plate: choose which one.'], [['of' => 'gone'], 'Its plate is gone: choose another one.'],
    [['of' => 'ground'], 'Its plate is not cut out and has no normals, so nothing tells its form.'],
]);

it('reads out passes that are gone or have other proportions, and offers to go without', function (): void {
    $pictures = ['black' => new Flat(240, 200, fn (): array => [0, 0, 0]), 'grey' => ball(fn (): array => [100, 100, 100]), 'wide' => new Flat(160, 80, fn (): array => [128, 128, 255]), 'finer' => new Flat(320, 320, fn (): array => [128, 128, 255])];
    $scene = Scene::read(['aumbrel' => 2, 'title' => 'Body', 'size' => [240, 200], 'strips' => [Rendering::plate('black', ['id' => 'ground']), Rendering::plate('grey', ['id' => 'ball', 'name' => 'Ball', 'values' => ['normals' => 'wide', 'occlusion' => 'finer', 'depth' => 'lost.png']])]], Registry::kinds());
    $readings = array_column(array_map(fn (Reading $reading): array => [$reading->id, $reading], (new Readings($scene, Rendering::renderer($pictures)->measures()))->all()), 1, 0);
    expect(array_keys($readings))->toBe(['pass ball normals', 'pass ball depth'])->and($readings['pass ball normals']->seen)->toBe('Ball: its picture of normals has other proportions than it (160 x 80, not 160 x 160).')
        ->and($readings['pass ball depth']->seen)->toBe('Ball: its picture of depth is gone.')->and($readings['pass ball depth']->mends[0]->values)->toBe(['depth' => null]);
});

it('goes by the outline when its normals are gone, and where they have no length', function (): void {
    $none = new Flat(160, 160, fn (): array => [128, 128, 128]);
    [$outline, $gone, $short] = [lit([keyLight()]), lit([keyLight()], ['normals' => 'lost.png']), lit([keyLight()], ['normals' => 'none'], ['none' => $none])];
    expect($gone(100, 80))->toBe($outline(100, 80))->and($short(100, 80))->toEqualWithDelta($outline(100, 80), 1e-6);
});

it('agrees with relief rendered by an independent implementation', function (): void {
    $folder = __DIR__.'/reference/relief';
    $given = json_decode((string) file_get_contents("{$folder}/28/scene.json"), true);
    $image = new Imagick("{$folder}/texture.png");
    [$width, $height] = $given['size'];
    $bytes = $image->exportImagePixels(0, 0, $width, $height, 'RGB', Imagick::PIXEL_CHAR);
    $strips = [Rendering::plate('texture', ['id' => 'tex'])];
    foreach (array_slice($given['strips'], 1) as $strip) {
        $strips[] = ['id' => $strip['id'], 'kind' => 'relief', 'mode' => strtr($strip['mode'], '-', ' '), 'level' => $strip['level'], 'values' => [
            'heights' => $strip['heights'] === 'below' ? 'what lies below' : 'a plate', 'of' => $strip['heights'] === 'below' ? null : $strip['heights'], 'channel' => $strip['channel'], 'strength' => $strip['strength'],
            'smooth' => $strip['smooth'], 'azimuth' => $strip['azimuth'], 'elevation' => $strip['elevation'], 'shade' => 100 * $strip['k'],
        ], 'masks' => [['id' => "m{$strip['id']}", 'kind' => 'outline', 'values' => ['path' => array_map(fn (array $at): array => ['at' => $at], $strip['masks'][0]['polygon'])]]]];
    }
    $scene = Scene::read(['aumbrel' => 2, 'title' => 'Case', 'size' => [$width, $height], 'strips' => $strips], Registry::kinds());
    $ours = array_values(unpack('n*', Rendering::renderer(['texture' => new Flat($width, $height, fn (int $x, int $y): array => array_slice($bytes, 3 * ($y * $width + $x), 3))])->picture($scene, Window::whole($width, $height), 16)->bytes));
    [$sum, $most] = [0.0, 0.0];
    foreach (array_values(unpack('g*', (string) file_get_contents("{$folder}/28/expected.f32"))) as $k => $value) {
        $off = 255 * abs($ours[4 * intdiv($k, 3) + $k % 3] / 65535 - min(1.0, $value));
        [$sum, $most] = [$sum + $off, max($most, $off)];
    }
    expect($sum / ($width * $height * 3))->toBeLessThan(0.5)->and($most)->toBeLessThan(2.0);
});

it('leaves what is flat as it is, in every mode, and shades slopes by their own side', function (string $mode): void {
    $pictures = ['flat' => new Flat(60, 40, fn (): array => [120, 130, 140]), 'ramp' => new Flat(60, 40, fn (int $x): array => array_fill(0, 3, 60 + 2 * $x))];
    $relief = ['id' => 'r', 'kind' => 'relief', 'mode' => $mode, 'values' => ['azimuth' => 0, 'elevation' => 20, 'strength' => 40, 'smooth' => 1]];
    $shown = fn (string $ground, array $values): array => array_slice(array_values(unpack('C*', Rendering::picture($pictures, 60, 40, [Rendering::plate($ground), array_replace_recursive($relief, ['values' => $values])], 8)->bytes)), 4 * (20 * 60 + 30), 3);
    expect($shown('flat', []))->toBe([120, 130, 140]);
    // it rises to the right: lit from the left it turns to the light
    expect($shown('ramp', ['azimuth' => 180])[0])->toBeGreaterThan(124)->and($shown('ramp', ['azimuth' => 0])[0])->toBeLessThan(116);
})->with(['illuminate', 'overlay', 'soft light']);

it('rises from the outline as a flat slope or a quarter of a circle', function (): void {
    foreach ([0.0, 2.0, 5.0, 9.5] as $d) {
        $t = $d / 10;
        expect(ChamferPlane::height($d, 10, 0))->toEqualWithDelta($d, 1e-9)->and(ChamferPlane::height($d, 10, 1))->toEqualWithDelta(10 * sqrt(1 - (1 - $t) ** 2), 1e-9);
    }
    expect(ChamferPlane::height(30, 10, 0.5))->toBe(10.0)->and(ChamferPlane::height(-3, 10, 0.5))->toBe(0.0);
});

it('shades the edge of a plate toward the light and away from it, and nothing further inside', function (): void {
    $plate = new Flat(120, 100, fn (int $x, int $y): array => [100, 100, 100, $x >= 10 && $x < 110 && $y >= 10 && $y < 90 ? 255 : 0]);
    $strip = fn (array $values): array => ['id' => 'c', 'kind' => 'chamfer', 'values' => ['of' => 'frame', 'width' => 12, 'roundness' => 0, 'smooth' => 0, 'azimuth' => 180, 'elevation' => 30, 'lights' => 100, 'shades' => 50, ...$values]];
    $shown = fn (array $values, ?Window $window = null): array => array_values(unpack('n*', Rendering::picture(['black' => new Flat(160, 120, fn (): array => [0, 0, 0]), 'frame' => $plate], 160, 120, [Rendering::plate('black', ['id' => 'g']), Rendering::plate('frame', ['id' => 'frame', 'values' => ['place' => [20, 10]]]), $strip($values)], 16, $window)->bytes));
    $at = fn (array $values, int $x, int $y, int $columns = 160): float => Srgb::decode($values[4 * ($y * $columns + $x)] / 65535);
    $seen = $shown([]);
    // a flat slope of 45 degrees: its normal is (-1, 0, 1)/sqrt 2 on the left, (1, 0, 1)/sqrt 2 on the right
    $light = towardLight(180, 30);
    [$left, $right] = [max(0, dotOf([-M_SQRT1_2, 0, M_SQRT1_2], $light)) - $light[2], 0.5 * (max(0, dotOf([M_SQRT1_2, 0, M_SQRT1_2], $light)) - $light[2])];
    expect(Srgb::encode($at($seen, 36, 60)))->toEqualWithDelta(Srgb::encode(OWN_GREY * (1 + $left)), 1.5 / 255)
        ->and(Srgb::encode($at($seen, 123, 60)))->toEqualWithDelta(Srgb::encode(OWN_GREY * (1 + $right)), 1.5 / 255)
        ->and($at($seen, 80, 60))->toEqualWithDelta(OWN_GREY, 1e-3)->and($at($seen, 24, 60))->toBe(0.0)
        // in a window of it the same
        ->and($at($shown([], new Window(30, 40, 60, 50)), 6, 20, 60))->toEqualWithDelta($at($seen, 36, 60), 1e-6);
    // a warm light colours what turns toward it; what turns away is darker, and as grey as it was
    $warm = $shown(['colour' => ['swatch' => '#ff8040']]);
    $channels = static fn (int $x): array => array_slice($warm, 4 * (60 * 160 + $x), 3);
    expect($channels(36)[0] - $channels(36)[2])->toBeGreaterThan(4000)->and(max($channels(123)) - min($channels(123)))->toBeLessThan(10)
        ->and($at($warm, 123, 60))->toEqualWithDelta($at($seen, 123, 60), 1e-3);
});

/** The ball lit from one side, with as much light from everywhere, as a picture. */
function litBall(array $light, float $ambient, array $albedo = [0.5, 0.4, 0.3]): Flat
{
    return ball(function (int $x, int $y) use ($light, $ambient, $albedo): array {
        [$nx, $ny] = [($x + 0.5 - 80.3) / 64, (79.6 - $y - 0.5) / 64];
        $normal = [$nx, $ny, sqrt(max(0.0, 1 - $nx ** 2 - $ny ** 2))];
        $shade = $ambient + (1 - $ambient) * max(0.0, dotOf($normal, $light));

        return array_map(fn (float $part): int => (int) round(255 * Srgb::encode($part * $shade)), $albedo);
    });
}

it('gives the plate back when its own light is exchanged for one from where it came', function (array $plate): void {
    $picture = ['lit' => litBall(towardLight(150, 25), 0.2)];
    $known = ['bearing' => ['by' => 'sphere', 'azimuth' => 150, 'elevation' => 25]];
    $before = lit([], $plate + $known, $picture, colour: 'lit');
    // what the action would put there is read off the plate
    $scene = Scene::read(['aumbrel' => 2, 'title' => 'Relit', 'size' => [240, 200], 'strips' => [Rendering::plate('black', ['id' => 'ground']), Rendering::plate('lit', ['id' => 'ball', 'values' => ['place' => [40, 20], ...$plate, ...$known]])]], Registry::kinds());
    $pictures = ['black' => new Flat(240, 200, fn (): array => [0, 0, 0]), ...$picture];
    $own = Rendering::renderer($pictures)->ownLight($scene, 'ball');
    $toward = $scene->find('ball')->kind->bearing();
    expect($own)->toBeInstanceOf(OwnLight::class)->and($own->ambient)->toEqualWithDelta(0.2, 0.03);
    $relit = ['id' => 'key', ...Relit::light('ball', $own, $toward)];
    $after = lit([$relit], $plate + $known + Relit::plate(), $picture, colour: 'lit');
    $evened = lit([], $plate + $known + Relit::plate(), $picture, colour: 'lit');
    $covered = lit([], $plate, ['lit' => ball(fn (): array => [255, 255, 255])], colour: 'lit');
    $worst = $changed = 0.0;
    for ($y = 22; $y < 198; $y += 3) {
        for ($x = 2; $x < 238; $x += 3) {
            // at its edge a light on it takes the share of it that is there
            foreach ($covered($x, $y)[0] > 0.999 ? [0, 1, 2] : [] as $k) {
                $worst = max($worst, abs(Srgb::encode($after($x, $y)[$k]) - Srgb::encode($before($x, $y)[$k])));
                $changed = max($changed, abs(Srgb::encode($evened($x, $y)[$k]) - Srgb::encode($before($x, $y)[$k])));
            }
        }
    }
    expect(255 * $worst)->toBeLessThan(1.0)->and(255 * $changed)->toBeGreaterThan(60.0);
})->with(['as it is' => [[]], 'mirrored and turned' => [['mirrored' => true, 'turn' => 20, 'place' => [120, 100], 'pivot' => [80, 80]]], 'with detail' => [['detail' => 40]], 'smaller' => [['scale' => 0.6]]]);

it('lets a wash, a spot and a pattern follow a body', function (array $light, Closure $plain): void {
    $values = ['colour' => ['swatch' => '#ffffff'], ...$light['values']];
    $strip = static fn (array $more): array => [[...['id' => 'l', 'level' => 0, 'confinedTo' => 'ball', 'mode' => 'illuminate'], ...$light, 'values' => [...$values, ...$more]]];
    [$follows, $flat] = [lit($strip(['follows' => true])), lit($strip([]))];
    $from = $plain();
    $looked = 0;
    for ($y = 40; $y < 170; $y += 9) {
        for ($x = 60; $x < 185; $x += 9) {
            $normal = ballNormal($x + 0.5 - 40, $y + 0.5 - 20);
            $share = $flat($x, $y)[0] / OWN_GREY - 1;
            if ($normal === null || $share < 0.05) {
                continue;
            }
            $looked++;
            expect(abs(Srgb::encode($follows($x, $y)[0]) - Srgb::encode(OWN_GREY * (1 + $share * max(0.0, dotOf($normal, $from))))) * 255)->toBeLessThan(2.0);
        }
    }
    expect($looked)->toBeGreaterThan(60);
    // without a plate that it is confined to it says so, and lies as it did
    $loose = ['aumbrel' => 2, 'title' => 'Body', 'size' => [240, 200], 'strips' => [Rendering::plate('black', ['id' => 'ground']), array_diff_key($strip(['follows' => true])[0], ['confinedTo' => 1])]];
    $said = array_map(fn (Reading $reading): string => $reading->seen, (new Readings(Scene::read($loose, Registry::kinds()), Rendering::renderer(['black' => new Flat(240, 200, fn (): array => [0, 0, 0])])->measures()))->all());
    expect($said[0] ?? '')->toContain('confine it to one');
})->with([
    'wash' => [['kind' => 'wash', 'values' => ['azimuth' => 60, 'elevation' => 20]], fn (): array => towardLight(60, 20)],
    'pattern' => [['kind' => 'pattern', 'values' => ['through' => 'blinds', 'slats' => 4, 'tilt' => 20, 'tight' => 3, 'share' => 0, 'corners' => [[40, 20], [200, 20], [200, 180], [40, 180]], 'azimuth' => -160, 'elevation' => 45]], fn (): array => towardLight(-160, 45)],
    // it comes from the upper left, level with the picture but for its elevation; seen from the ball's middle, which is where it aims
    'spot' => [['kind' => 'spot', 'values' => ['origin' => [20.5, 0], 'target' => [120.5, 100], 'beam' => 120, 'field' => 160, 'reachLaw' => 'constant', 'elevation' => 30]], fn (): array => towardLight(135, 30)],
]);

it('takes the tones of a picture for heights, where its plate lies', function (): void {
    $hills = new Flat(160, 160, fn (int $x): array => array_fill(0, 3, (int) round(105 + 90 * sin($x / 6))));
    $strip = static fn (array $values): array => [['id' => 'r', 'kind' => 'relief', 'level' => 0, 'values' => ['strength' => 12, 'smooth' => 0, 'shade' => 100, 'azimuth' => 180, 'elevation' => 30, 'of' => 'ball', ...$values]]];
    // the same tones as the plate's own
    $own = ball(fn (int $x): array => array_fill(0, 3, (int) round(105 + 90 * sin($x / 6))));
    [$of, $flat] = [lit($strip(['heights' => 'a picture', 'picture' => 'hills']), pictures: ['hills' => $hills]), lit([])];
    [$shaded, $plain] = [lit($strip(['heights' => 'a plate']), pictures: ['grey' => $own]), lit([], pictures: ['grey' => $own])];
    $seen = 0.0;
    for ($x = 80; $x < 160; $x += 3) {
        $factor = $of($x, 100)[0] / $flat($x, 100)[0];
        $seen = max($seen, abs($factor - 1));
        expect($factor)->toEqualWithDelta($shaded($x, 100)[0] / $plain($x, 100)[0], 0.02);
    }
    expect($seen)->toBeGreaterThan(0.3);
});

it('is formed by a picture of depth', function (array $with): void {
    $depth = new Flat(160, 160, function (int $x, int $y) use ($with): array {
        [$nx, $ny] = [($x + 0.5 - 80.3) / 64, (79.6 - $y - 0.5) / 64];
        $near = sqrt(max(0.0, 1 - $nx ** 2 - $ny ** 2));

        return array_fill(0, 3, (int) round(65535 * ($with['depthEnds'] === 'white is near' ? $near : 1 - $near)));
    }, 16);
    $shown = lit([keyLight()], ['depth' => 'depth', 'depthForm' => 64, ...$with], ['depth' => $depth]);
    $light = towardLight(120, 30);
    $looked = 0;
    for ($y = 30; $y < 180; $y += 7) {
        for ($x = 50; $x < 200; $x += 7) {
            $normal = ballNormal($x + 0.5 - 40, $y + 0.5 - 20);
            if ($normal !== null && $normal[2] > 0.4) {
                $looked++;
                expect(abs(Srgb::encode($shown($x, $y)[0]) - Srgb::encode(OWN_GREY * (1 + max(0.0, dotOf($normal, $light))))) * 255)->toBeLessThan(2.0);
            }
        }
    }
    expect($looked)->toBeGreaterThan(100);
})->with([[['depthEnds' => 'white is near']], [['depthEnds' => 'black is near']]]);

it('says what is wrong with pictures that should tell a form', function (): void {
    $said = static fn (array $values, Flat $pass): string => (string) Rendering::renderer(['grey' => ball(fn (): array => [100, 100, 100]), 'pass' => $pass])->ownLight(Scene::read(['aumbrel' => 2, 'title' => 'Body', 'size' => [160, 160], 'strips' => [
        Rendering::plate('grey', ['id' => 'ball', 'values' => ['bearing' => ['by' => 'sphere', 'azimuth' => 150, 'elevation' => 25], ...$values]]),
    ]], Registry::kinds()), 'ball');
    expect($said(['normals' => 'pass'], new Flat(40, 40, fn (): array => [128, 128, 128])))->toContain('holds none')
        ->and($said(['depth' => 'pass', 'depthForm' => 50], new Flat(40, 40, fn (): array => [90, 90, 90])))->toContain('is flat');
});

it('lets an outline rise to a height, rounded by distance, and its surface mirror', function (): void {
    // a plate of 120 x 100 at (20, 10), all of it there inside a clear border of 4
    $plate = new Flat(128, 108, fn (int $x, int $y): array => $x >= 4 && $y >= 4 && $x < 124 && $y < 104 ? [128, 128, 128, 255] : [0, 0, 0, 0]);
    $relief = static fn (array $values): array => ['id' => 'r', 'kind' => 'relief', 'values' => ['heights' => 'an outline', 'of' => 'frame', 'rounding' => 20, 'strength' => 20, 'smooth' => 0, 'shade' => 100, 'azimuth' => 180, 'elevation' => 30, ...$values]];
    $shown = static function (array $values, ?Window $window = null) use ($plate, $relief): array {
        $strips = [Rendering::plate('black', ['id' => 'g']), Rendering::plate('frame', ['id' => 'frame', 'values' => ['place' => [16, 6]]]), ...($values === ['none' => true] ? [] : [$relief($values)])];

        return array_values(unpack('n*', Rendering::picture(['black' => new Flat(160, 120, fn (): array => [0, 0, 0]), 'frame' => $plate], 160, 120, $strips, 16, $window)->bytes));
    };
    $at = static fn (array $values, int $x, int $y = 60, int $columns = 160): float => Srgb::decode($values[4 * ($y * $columns + $x)] / 65535);
    [$plain, $round] = [$shown(['none' => true]), $shown([])];
    $light = towardLight(180, 30);
    // d is measured at the middle of a pixel: its edge lies at 20
    $slope = static fn (float $d): float => (ChamferPlane::height($d + 1, 20, 1) - ChamferPlane::height($d - 1, 20, 1)) / 2;
    foreach ([27, 30, 36] as $x) {
        $rise = $slope($x + 0.5 - 20);
        $normal = [-$rise / sqrt(1 + $rise ** 2), 0, 1 / sqrt(1 + $rise ** 2)];
        expect($at($round, $x) / $at($plain, $x))->toEqualWithDelta(1 + max(0, dotOf($normal, $light)) - $light[2], 0.03);
    }
    expect($at($round, 80) / $at($plain, 80))->toEqualWithDelta(1.0, 1e-3)->and($at($round, 132) / $at($plain, 132))->toBeLessThan(0.9)
        // less high is flatter, and a window of it is the same
        ->and($at($shown(['strength' => 5]), 30))->toBeLessThan($at($round, 30))
        ->and($at($shown([], new Window(25, 40, 60, 50)), 5, 20, 60))->toEqualWithDelta($at($round, 30), 1e-6);
    // its gloss comes by the half vector, and what is flat stays as it is
    $glossy = $shown(['gloss' => 50, 'glossSize' => 12]);
    $mirror = static function (array $normal) use ($light): float {
        $half = [$light[0], $light[1], $light[2] + 1];
        $length = sqrt(dotOf($half, $half));

        return 0.5 * 20 / 8 * max(0, dotOf($normal, $half) / $length) ** 12 * max(0, dotOf($normal, $light));
    };
    $rise = $slope(10.5);
    $normal = [-$rise / sqrt(1 + $rise ** 2), 0, 1 / sqrt(1 + $rise ** 2)];
    expect($at($glossy, 30) / $at($plain, 30))->toEqualWithDelta(1 + max(0, dotOf($normal, $light)) + $mirror($normal) - $light[2] - $mirror([0, 0, 1]), 0.04)
        ->and($at($glossy, 80) / $at($plain, 80))->toEqualWithDelta(1.0, 2e-3);
});

it('says what a relief of an outline misses', function (array $values, string $says): void {
    $scene = Scene::read(['aumbrel' => 2, 'title' => 'T', 'size' => [240, 200], 'strips' => [Rendering::plate('whole', ['id' => 'whole']), ['id' => 'r', 'kind' => 'relief', 'name' => 'Relief', 'values' => ['heights' => 'an outline', ...$values]]]], Registry::kinds());
    $measures = Rendering::renderer(['whole' => new Flat(240, 200, fn (): array => [0, 0, 0])])->measures();
    expect(array_map(fn (Reading $reading): string => $reading->seen, (new Readings($scene, $measures))->all()))->toContain("Relief: {$says}");
})->with([
    [[], 'Choose the plate whose outline rises.'],
    [['of' => 'gone'], 'Its plate is gone: choose another one.'],
    [['of' => 'whole'], 'Its plate is not cut out, so it has no outline that could rise.'],
]);
