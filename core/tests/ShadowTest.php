<?php

declare(strict_types=1);

use Aumbrel\Core\Geometry\Bounds;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kind\Pullable;
use Aumbrel\Core\Reading\Pictures;
use Aumbrel\Core\Reading\Readings;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Scene\Hanging;
use Aumbrel\Core\Scene\Scene;
use Aumbrel\Core\Scene\ShadowsOf;
use Aumbrel\Core\Scene\Shares;
use Tests\Support\Flat;
use Tests\Support\PlainShadow;
use Tests\Support\Rendering;

/** White ground of 400 x 300 with the horizon in row 100, and a plate of 60 x 80 of which columns 10..49 and rows 20..69 are there. */
function shadowScene(array $strips, array $plate = [], array $more = []): Scene
{
    return Scene::read(['aumbrel' => 2, 'title' => 'Shadow', 'size' => [400, 300], 'stage' => ['floor' => ['horizon' => 100, 'contact' => [[0, 250], [400, 250]]]], ...$more, 'strips' => [
        ['id' => 'ground', 'kind' => 'fill', 'mode' => 'normal', 'values' => ['colour' => '#ffffff']],
        ...$strips,
        ...($plate === ['none'] ? [] : [['id' => 'post', 'name' => 'Post', 'muted' => true, ...Rendering::plate('post', ['values' => ['place' => [150, 130], 'stance' => 'stands', ...$plate]])]]),
    ]], Registry::kinds());
}

/** A cast shadow without any softness, black, wholly dense. */
function sharp(array $values = [], array $more = []): array
{
    return ['id' => 'cast', 'kind' => 'cast', ...$more, 'values' => ['of' => ['post'], 'colour' => '#000000', 'contact' => 0, 'width' => 0, 'tip' => 100, ...$values]];
}

function post(): Flat
{
    return new Flat(60, 80, static fn (int $x, int $y): array => [150, 140, 130, $x >= 10 && $x < 50 && $y >= 20 && $y < 70 ? 255 : 0]);
}

/** How much of the light is gone: 0..1, row after row. @return list<float> */
function shade(Scene $scene, array $pictures = [], ?Window $window = null): array
{
    $picture = Rendering::renderer(['post' => post(), ...$pictures])->picture($scene, $window ?? Window::whole($scene->width, $scene->height), 16);
    $values = array_values(unpack('n*', $picture->bytes));

    return array_map(static fn (int $k): float => 1 - $values[4 * $k] / 65535, range(0, $picture->columns * $picture->rows - 1));
}

/** The largest distance over which a shade differs from a polygon, px: what is dark outside or light inside it. */
function offOutline(array $shade, array $polygon, int $columns = 400): float
{
    $off = 0.0;
    foreach ($shade as $k => $value) {
        $inside = PlainShadow::inside($polygon, $k % $columns + 0.5, intdiv($k, $columns) + 0.5);
        if (($inside > 0) !== ($value > 0.5)) {
            $off = max($off, abs($inside));
        }
    }

    return $off;
}

/** The corners of the post in the scene. */
const POST = [[160.0, 150.0], [200.0, 150.0], [200.0, 200.0], [160.0, 200.0]];

it('agrees with shadows rendered by an independent implementation', function (string $case): void {
    $folder = __DIR__.'/reference/shadows';
    $given = json_decode((string) file_get_contents("{$folder}/{$case}/scene.json"), true);
    [$width, $height] = $given['size'];
    $hex = static fn (array $colour): string => sprintf('#%02x%02x%02x', ...array_map(static fn (float $v): int => (int) round(255 * $v), $colour));
    $pictures = $strips = [];
    foreach ($given['strips'] as $strip) {
        $id = strtr($strip['id'], ' ', '-');
        if ($strip['kind'] === 'fill') {
            $strips[] = ['id' => $id, 'kind' => 'fill', 'mode' => 'normal', 'values' => ['colour' => $hex($strip['colour'])]];
        } elseif ($strip['kind'] === 'plate') {
            $image = new Imagick("{$folder}/".basename($strip['file']));
            [$columns, $rows, $at] = [$image->getImageWidth(), $image->getImageHeight(), $strip['at'] ?? [0, 0]];
            $bytes = $image->exportImagePixels(0, 0, $columns, $rows, 'RGBA', Imagick::PIXEL_CHAR);
            $pictures[$id] = new Flat($columns, $rows, static fn (int $x, int $y): array => array_slice($bytes, 4 * ($y * $columns + $x), 4));
            $feet = isset($given['camera']) ? array_map(static function (int $x) use ($given, $at): array {
                [[$x0, $y0], [$x1, $y1]] = $given['camera']['contact'];

                return [$x, $y0 + ($y1 - $y0) * ($x + $at[0] - $x0) / ($x1 - $x0) - $at[1]];
            }, [4, $columns - 4]) : null;
            $strips[] = ['id' => $id, ...Rendering::plate($id, ['values' => ['place' => $at, ...($feet === null ? [] : ['feet' => $feet, 'stance' => 'stands'])]])];
        } else {
            $strips[] = ['id' => $id, 'kind' => $strip['kind'], 'amount' => 100 * $strip['density'], 'values' => [
                'of' => (array) $strip['of'], 'colour' => $hex($strip['ambient'] ?? [0, 0, 0]), 'azimuth' => $strip['azimuth'], 'elevation' => $strip['elevation'],
                'width' => rad2deg($strip['angle']), 'contact' => $strip['contact'], ...(isset($strip['gap']) ? ['gap' => $strip['gap'], 'filled' => false] : ['tip' => 100]),
            ]];
        }
    }
    $stage = isset($given['camera']) ? ['stage' => ['floor' => array_intersect_key($given['camera'], ['horizon' => 0, 'contact' => 0]), ...(isset($given['camera']['f']) ? ['focal' => $given['camera']['f']] : [])]] : [];
    $scene = Scene::read(['aumbrel' => 2, 'title' => 'Case', 'size' => [$width, $height], ...$stage, 'strips' => $strips], Registry::kinds());
    $ours = array_values(unpack('n*', Rendering::renderer($pictures)->picture($scene, Window::whole($width, $height), 16)->bytes));
    $expected = array_values(unpack('g*', (string) file_get_contents("{$folder}/{$case}/expected.f32")));
    $sum = $most = 0.0;
    foreach ($expected as $k => $value) {
        $off = 255 * abs($ours[4 * intdiv($k, 3) + $k % 3] / 65535 - min(1.0, $value));
        [$sum, $most] = [$sum + $off, max($most, $off)];
    }
    expect($sum / count($expected))->toBeLessThan(0.5)->and($most)->toBeLessThan(4.0);
})->with(['on a wall' => '18', 'from the left and the front' => '24', 'a slanted row, two sources' => '26']);

it('throws a sheet on the ground as exact projection does', function (float $azimuth, float $elevation, ?float $horizon): void {
    $plain = new PlainShadow(200, $horizon, 200, 250, 480, 150);
    $light = PlainShadow::light($azimuth, $elevation);
    $polygon = array_map(static fn (array $corner): array => $plain->bySun(...$corner, l: $light), POST);
    $scene = shadowScene([sharp(['azimuth' => $azimuth, 'elevation' => $elevation])], more: $horizon === null ? ['stage' => []] : []);
    $shade = shade($scene);
    expect(offOutline($shade, $polygon))->toBeLessThan(1.0)->and(array_sum($shade))->toBeGreaterThan(150);
})->with([
    'from behind, left' => [130, -30, 100], 'from the front' => [80, 40, 100], 'nearly from the side: raised' => [150, 2, 100], 'from the side behind' => [30, -4, 100],
    'no horizon, from behind' => [120, -35, null], 'no horizon, from the front' => [60, 30, null],
]);

it('throws a sheet by a lamp as exact projection does', function (array $at, float $depth, ?float $horizon): void {
    $plain = new PlainShadow(200, $horizon, 200, 250, 480, 150);
    $lamp = $plain->lamp($at[0], $at[1], $depth, 180);
    $polygon = array_map(static fn (array $corner): ?array => $plain->byLamp(...$corner, lamp: $lamp), POST);
    $scene = shadowScene([sharp([], ['source' => 'lamp'])], more: [
        'sources' => [['id' => 'lamp', 'kind' => 'lamp', 'values' => ['place' => $at, 'depth' => $depth, 'width' => 0]]], ...($horizon === null ? ['stage' => []] : []),
    ]);
    $shade = shade($scene);
    expect(offOutline($shade, $polygon))->toBeLessThan(1.0)->and(array_sum($shade))->toBeGreaterThan(150);
})->with([
    'behind' => [[90, 20], -420, 100], 'before' => [[250, -150], 60, 100], 'in the plane of the sheet: raised' => [[60, 30], -240, 100], 'no horizon' => [[260, 20], 90, null],
]);

it('throws nothing of what stands higher than the lamp, and the rest without an end', function (): void {
    $scene = shadowScene([sharp([], ['source' => 'lamp'])], more: ['sources' => [['id' => 'lamp', 'kind' => 'lamp', 'values' => ['place' => [120, 165], 'depth' => -300, 'width' => 0]]]]);
    $plain = new PlainShadow(200, 100.0, 200, 250, 480, 150);
    $lamp = $plain->lamp(120, 165, -300, 180);
    $shade = shade($scene);
    // the same formulas backwards: whether a place of the ground looks at the lamp through the sheet
    $isDark = static function (float $x, float $y) use ($plain, $lamp): bool {
        [[$atX, $h, $z], $wp] = [$lamp, $plain->wp()];
        $w = (200 - 100) / ($y - 100);
        $s = ($w - 1) * 480 * $wp / ($z - $plain->zp());
        $u = $h * $s / (1 + $s);
        $sheet = (($x - 200) * $w * $wp + $s * ($atX - 200)) / (1 + $s) / $wp + 200;

        return $s > 0 && $u < 50 * $wp && $sheet > 160 && $sheet < 200;
    };
    [$dark, $wrong] = [0, 0];
    for ($y = 110; $y < 299; $y++) {
        for ($x = 1; $x < 399; $x++) {
            $around = array_map(static fn (array $by): bool => $isDark($x + 0.5 + $by[0], $y + 0.5 + $by[1]), [[0, 0], [1, 1], [1, -1], [-1, 1], [-1, -1]]);
            if (count(array_unique($around)) === 1) {
                $dark += $around[0] ? 1 : 0;
                $wrong += ($shade[$y * 400 + $x] > 0.5) !== $around[0] ? 1 : 0;
            }
        }
    }
    // it runs out of the picture, on both sides of which there is light
    expect($wrong)->toBe(0)->and($dark)->toBeGreaterThan(1000)->and($dark)->toBeLessThan(40000);
});

it('has penumbrae as wide as those of a disc', function (float $angle): void {
    // light straight from behind: across the shadow is across the picture, and every row has one distance. Large, so that pixels count little
    $tall = new Flat(300, 420, static fn (int $x, int $y): array => [9, 9, 9, $x >= 10 && $x < 290 && $y >= 10 && $y < 410 ? 255 : 0]);
    $scene = Scene::read(['aumbrel' => 2, 'title' => 'Penumbra', 'size' => [1200, 1000], 'stage' => ['floor' => ['horizon' => 100, 'contact' => [[0, 500], [1200, 500]]], 'focal' => 1400], 'strips' => [
        ['id' => 'ground', 'kind' => 'fill', 'mode' => 'normal', 'values' => ['colour' => '#ffffff']], sharp(['azimuth' => 90, 'elevation' => -65, 'width' => $angle]),
        ['id' => 'post', 'muted' => true, ...Rendering::plate('tall', ['values' => ['place' => [450, 90], 'stance' => 'stands']])],
    ]], Registry::kinds());
    [, $ly, $lz] = PlainShadow::light(90, -65);
    foreach ([690, 820, 950] as $row) {
        $line = shade($scene, ['tall' => $tall], (new Window(200, $row, 400, 1)));
        $w = (500 - 100) / ($row + 0.5 - 100);
        // w = 1 + (u/f)(lz/ly); the way along the ray is u/ly; the picture is 1/w larger there
        $u = ($w - 1) * 1400 * $ly / $lz;
        $wanted = $u / $ly * deg2rad($angle) / 4 / $w;
        $step = array_map(static fn (int $k): float => $line[$k + 1] - $line[$k], range(0, 398));
        $mean = array_sum(array_map(static fn (float $d, int $k): float => $d * $k, $step, array_keys($step))) / array_sum($step);
        $spread = sqrt(array_sum(array_map(static fn (float $d, int $k): float => $d * ($k - $mean) ** 2, $step, array_keys($step))) / array_sum($step));
        expect($spread)->toEqualWithDelta($wanted, 0.05 * $wanted, "{$angle} degrees in row {$row}, {$wanted} px");
    }
})->with([0.5, 1.0, 2.0, 5.0]);

it('gathers each place with its own Gaussian', function (float $azimuth, float $elevation, float $angle): void {
    $shade = shade(shadowScene([sharp(['azimuth' => $azimuth, 'elevation' => $elevation, 'width' => $angle, 'contact' => 1.2])]));
    $light = PlainShadow::light($azimuth, $elevation);
    $back = static function (float $x, float $y) use ($light): array {
        $w = (200 - 100) / ($y - 100);
        $u = ($w - 1) * 480 * $light[1] / $light[2];

        return [200 + ($x - 200) * $w + $u * $light[0] / $light[1], 200 - $u, $u, $w];
    };
    [$sum, $count] = [0.0, 0];
    for ($y = 186.5; $y < 296; $y += 3) {
        for ($x = 40.5; $x < 396; $x += 7) {
            [, , $u, $w] = $back($x, $y);
            $sigma = max(0, $u) / $light[1] * deg2rad($angle) / 4;
            // on the ground: along the shadow, and across it; a way (right, toward the viewer) is seen as (right + (x - cx) toward/f, (y - yh) toward/f)/w
            $flat = hypot($light[0], $light[2]);
            $seen = static fn (float $right, float $near): array => [($right + ($x - 200) * $near / 480) / $w, ($y - 100) * $near / 480 / $w];
            $along = $seen($light[0] / $flat * $sigma / $light[1], $light[2] / $flat * $sigma / $light[1]);
            $across = $seen($light[2] / $flat * $sigma, -$light[0] / $flat * $sigma);
            [$xx, $xy, $yy] = [$along[0] ** 2 + $across[0] ** 2, $along[0] * $along[1] + $across[0] * $across[1], $along[1] ** 2 + $across[1] ** 2];
            // both axes are at least the contact softness
            $half = sqrt((($xx - $yy) / 2) ** 2 + $xy ** 2);
            [$large, $small] = [max(1.44, ($xx + $yy) / 2 + $half), max(1.44, ($xx + $yy) / 2 - $half)];
            $turn = atan2(2 * $xy, $xx - $yy) / 2;
            [$value, $weights] = [0.0, 0.0];
            for ($i = -9; $i <= 9; $i++) {
                for ($j = -9; $j <= 9; $j++) {
                    [$p, $q] = [$i / 3, $j / 3];
                    $weight = exp(-($p * $p + $q * $q) / 2);
                    $place = $back($x + $p * sqrt($large) * cos($turn) - $q * sqrt($small) * sin($turn), $y + $p * sqrt($large) * sin($turn) + $q * sqrt($small) * cos($turn));
                    $value += $weight * ($place[0] > 160 && $place[0] < 200 && $place[1] > 150 && $place[1] < 200 ? 1.0 : 0.0);
                    $weights += $weight;
                }
            }
            $sum += abs($value / $weights - $shade[(int) $y * 400 + (int) $x]);
            $count++;
        }
    }
    expect(255 * $sum / $count)->toBeLessThan(2.0)->and($count)->toBeGreaterThan(1000);
})->with(['from behind' => [125, -30, 4.0], 'low and wide' => [150, -10, 8.0], 'from the front' => [75, 30, 3.0]]);

it('covers a quarter of the area in a scene of half the size, and as much at half the scale', function (): void {
    $whole = shadowScene([sharp(['azimuth' => 125, 'elevation' => -30, 'width' => 2])]);
    $area = array_sum(shade($whole));
    $half = Scene::read([
        'aumbrel' => 2, 'title' => 'Half', 'size' => [200, 150], 'stage' => ['floor' => ['horizon' => 50, 'contact' => [[0, 125], [200, 125]]]], 'strips' => [
            ['id' => 'ground', 'kind' => 'fill', 'mode' => 'normal', 'values' => ['colour' => '#ffffff']], sharp(['azimuth' => 125, 'elevation' => -30, 'width' => 2]),
            ['id' => 'post', 'muted' => true, ...Rendering::plate('post', ['values' => ['place' => [75, 65], 'scale' => 0.5, 'stance' => 'stands']])],
        ]], Registry::kinds());
    expect(4 * array_sum(shade($half)))->toEqualWithDelta($area, 0.02 * $area);
    $draft = shade($whole, window: Window::whole(400, 300, 0.5));
    expect(4 * array_sum($draft))->toEqualWithDelta($area, 0.02 * $area);
});

it('is the same in every window', function (): void {
    $scene = shadowScene([sharp(['azimuth' => 125, 'elevation' => -30, 'width' => 3, 'bends' => [['at' => [0.5, 0.6], 'by' => [0.3, 0.2]]]])]);
    $whole = shade($scene);
    foreach ([new Window(170, 190, 93, 60), new Window(201, 203, 64, 64)] as $window) {
        $part = shade($scene, window: $window);
        $off = 0.0;
        foreach ($part as $k => $value) {
            $off = max($off, abs($value - $whole[((int) $window->y + intdiv($k, $window->columns)) * 400 + (int) $window->x + $k % $window->columns]));
        }
        expect($off)->toBeLessThan(1e-4);
    }
    // bands of rows, as the processes share them
    $band = shade($scene, window: Window::whole(400, 300)->band(203, 40));
    expect(max(array_map(static fn (float $value, int $k): float => abs($value - $whole[203 * 400 + $k]), $band, array_keys($band))))->toBeLessThan(1e-4);
});

it('touches both feet of what stands aslant', function (): void {
    // two legs of 8 px: the left one ends 14 px higher, 60 px further left
    $legs = new Flat(100, 100, static fn (int $x, int $y): array => [90, 90, 90, ($x >= 16 && $x < 24 && $y >= 20 && $y < 76) || ($x >= 76 && $x < 84 && $y >= 20 && $y < 90) || ($y >= 20 && $y < 30 && $x >= 16 && $x < 84) ? 255 : 0]);
    $scene = shadowScene([sharp(['azimuth' => 120, 'elevation' => -35])], ['picture' => 'legs', 'place' => [120, 120], 'feet' => [[20, 76], [80, 90]]]);
    $shade = shade($scene, ['legs' => $legs]);
    foreach ([[140, 196], [200, 210]] as [$x, $y]) {
        // dark right below the foot, light a little further up, before the leg
        $column = array_map(static fn (int $row): float => $shade[$row * 400 + $x], range($y - 6, $y + 6));
        $first = array_key_first(array_filter($column, static fn (float $value): bool => $value > 0.5));
        expect($first)->not->toBeNull()->and(abs($first + $y - 6 + 0.5 - $y))->toBeLessThan(1.5, "foot at {$x}, {$y}");
    }
});

/** Three legs that meet on top, the middle one behind: 160 x 120, their feet at (12, 112), (80, 88) and (148, 112). */
function tripod(bool $isSolid = false): Flat
{
    return new Flat(160, 120, static fn (int $x, int $y): array => [90, 80, 70, isTripod($x, $y, $isSolid) ? 255 : 0]);
}

function isTripod(int $x, int $y, bool $isSolid = false): bool
{
    $beside = min(array_map(static fn (array $foot): float => $y > $foot[1] ? INF : abs($x + 0.5 - 80 - ($foot[0] - 80) * ($y - 8) / ($foot[1] - 8)), [[12, 112], [80, 88], [148, 112]]));
    $solid = $isSolid && $y >= 8 && $y < 112 - abs(min(24, 24 * (1 - abs($x - 80) / 68))) && abs($x + 0.5 - 80) <= 68 * ($y - 8) / 104;

    return $y >= 8 && ($solid || $beside < 4);
}

it('starts at each foot of what stands on three, and has no seam where its sheet is folded', function (float $azimuth, float $elevation): void {
    $feet = [[12, 112], [80, 88], [148, 112]];
    $scene = shadowScene([sharp(['azimuth' => $azimuth, 'elevation' => $elevation])], ['place' => [120, 130], 'feet' => $feet]);
    $shade = shade($scene, ['post' => tripod()]);
    $dark = static fn (array $of, float $x, float $y): float => $of[(int) floor($y) * 400 + (int) floor($x)];
    // the way of the shadow on the ground in the picture: where the foot of a leg goes and where a little above it is thrown
    foreach ($feet as [$x, $y]) {
        [$fx, $fy] = [120 + $x, 130 + $y];
        $nearest = INF;
        for ($dy = -6; $dy <= 6; $dy++) {
            for ($dx = -6; $dx <= 6; $dx++) {
                $nearest = $dark($shade, $fx + $dx, $fy + $dy) > 0.5 ? min($nearest, hypot($dx, $dy)) : $nearest;
            }
        }
        expect($nearest)->toBeLessThan(1.5);
    }
    // one flat sheet misses the foot behind by the way between both rows
    $flat = shade(shadowScene([sharp(['azimuth' => $azimuth, 'elevation' => $elevation])], ['place' => [120, 130], 'feet' => [$feet[0], $feet[2]]]), ['post' => tripod()]);
    expect($dark($flat, 200, 218))->toBeLessThan(0.5);
    // a solid one: what lies between darkness is dark
    $whole = shade($scene, ['post' => tripod(true)]);
    $least = 1.0;
    for ($y = 110; $y < 290; $y++) {
        for ($x = 6; $x < 394; $x++) {
            $around = min($dark($whole, $x - 4, $y), $dark($whole, $x + 4, $y), $dark($whole, $x, $y - 4), $dark($whole, $x, $y + 4));
            $least = $around > 0.95 ? min($least, $dark($whole, $x, $y)) : $least;
        }
    }
    expect($least)->toBeGreaterThan(0.85);
})->with([[54, -44], [130, -50], [70, -60]]);

it('throws a shadow when a foot was marked as high as the top', function (): void {
    $scene = shadowScene([sharp(['azimuth' => 54, 'elevation' => -44])], ['place' => [120, 130], 'feet' => [[12, 60], [80, 30], [148, 8]]]);
    expect(max(shade($scene, ['post' => tripod()])))->toBeGreaterThan(0.9);
});

it('finds the ends of legs by the lower edge of a cut-out', function (): void {
    $of = static fn (callable $isThere): array => Aumbrel\Core\CutOut\FoundFeet::of(array_map(static fn (int $k): float => $isThere($k % 160, intdiv($k, 160)) ? 1.0 : 0.0, range(0, 160 * 120 - 1)), 160, 120);
    $feet = $of(isTripod(...));
    expect($feet)->toHaveCount(3);
    foreach ([[12, 113], [80, 89], [148, 113]] as $at => [$x, $y]) {
        expect($feet[$at][0])->toEqualWithDelta($x, 2.5)->and($feet[$at][1])->toEqualWithDelta($y, 1.5);
    }
    // a block has one, in the middle of its sole; what hangs high up is none
    expect($of(static fn (int $x, int $y): bool => ($x >= 40 && $x < 90 && $y >= 10 && $y < 100) || ($x >= 90 && $x < 130 && $y >= 20 && $y < 40)))->toEqual([[65.0, 100.0]])
        ->and($of(static fn (): bool => false))->toBe([]);
});

it('throws nothing from infinitely far, and does not break there', function (): void {
    // from the ground right under a lamp nothing comes back to the sheet: here on a row on which cells begin
    $scene = shadowScene([['id' => 'cast', 'kind' => 'cast', 'source' => 'lamp', 'values' => ['of' => ['post']]]], ['place' => [397, 365]], [
        'size' => [600, 480], 'stage' => ['floor' => ['horizon' => 221, 'contact' => [[0, 480], [600, 480]]]], 'sources' => [['id' => 'lamp', 'kind' => 'lamp', 'values' => ['place' => [273, 176]]]],
    ]);
    $shade = shade($scene, window: Window::whole(600, 480, 0.2));
    expect($shade)->toHaveCount(120 * 96)->and(max($shade))->toBeGreaterThan(0.3);
});

it('climbs a wall, continuous at its foot', function (): void {
    $wall = ['stage' => ['floor' => ['horizon' => 100, 'contact' => [[0, 250], [400, 250]]], 'walls' => [['id' => 'back', 'foot' => [[0, 185], [400, 185]], 'height' => 400]]]];
    // from the front: thrown away from the viewer, up the wall behind
    [$azimuth, $elevation] = [65, 75];
    $plain = new PlainShadow(200, 100.0, 200, 250, 480, 150);
    $light = PlainShadow::light($azimuth, $elevation);
    $polygon = [];
    for ($k = 0; $k < 100; $k++) {
        [$x, $y] = $k < 25 ? [160 + 1.6 * $k, 150] : ($k < 50 ? [200, 150 + 2 * ($k - 25)] : ($k < 75 ? [200 - 1.6 * ($k - 50), 200] : [160, 200 - 2 * ($k - 75)]));
        $polygon[] = $plain->climbing($x, $y, $light, 185);
    }
    $shade = shade(shadowScene([sharp(['azimuth' => $azimuth, 'elevation' => $elevation])], more: $wall));
    expect(offOutline($shade, $polygon))->toBeLessThan(1.2)->and(min(array_column($polygon, 1)))->toBeLessThan(178.0);
    // without climbing it goes on over the ground
    $flat = shade(shadowScene([sharp(['azimuth' => $azimuth, 'elevation' => $elevation, 'climbs' => false])], more: $wall));
    expect(offOutline($flat, array_map(static fn (array $corner): array => $plain->bySun(...$corner, l: $light), POST)))->toBeLessThan(1.0);
    // the wall's height cuts off what is higher
    $low = ['stage' => ['floor' => ['horizon' => 100, 'contact' => [[0, 250], [400, 250]]], 'walls' => [['id' => 'back', 'foot' => [[0, 185], [400, 185]], 'height' => 20]]]];
    $cut = shade(shadowScene([sharp(['azimuth' => $azimuth, 'elevation' => $elevation])], more: $low));
    // 20 px of the contact row are 20 x 85/150 px at the foot line
    $highest = intdiv((int) array_key_first(array_filter($cut, static fn (float $value): bool => $value > 0.5)), 400);
    expect($highest)->toEqualWithDelta(185 - 20 * 85 / 150, 1.0);
});

it('falls on a plate that takes shadows as on a wall at its depth', function (): void {
    $board = new Flat(100, 100, static fn (int $x, int $y): array => [255, 255, 255, $x >= 5 && $x < 95 && $y >= 5 && $y < 95 ? 255 : 0]);
    // behind the post: its feet in row 180, the light from the front
    $behind = ['id' => 'board', 'name' => 'Board', ...Rendering::plate('board', ['values' => ['place' => [110, 85], 'stance' => 'stands', 'receives' => true]])];
    $plain = new PlainShadow(200, 100.0, 200, 250, 480, 150);
    $light = PlainShadow::light(70, 76);
    $shade = shade(shadowScene([$behind, sharp(['azimuth' => 70, 'elevation' => 76])]), ['board' => $board]);
    $top = $plain->climbing(180, 150, $light, 180);
    expect($top[1])->toBeLessThan(170.0)
        ->and($shade[((int) $top[1] + 3) * 400 + (int) $top[0]])->toBeGreaterThan(0.9)->and($shade[((int) $top[1] - 4) * 400 + (int) $top[0]])->toBeLessThan(0.1);
    // one that takes none stays light, and covers what lies on the ground behind it
    $behind['values']['receives'] = false;
    $without = shade(shadowScene([$behind, sharp(['azimuth' => 70, 'elevation' => 76])]), ['board' => $board]);
    foreach (range(92, 178) as $row) {
        expect(max(array_slice($without, $row * 400 + 116, 88)))->toBeLessThan(0.01);
    }
});

it('joins what one source throws, and multiplies what several do', function (): void {
    $two = ['id' => 'other', 'name' => 'Other', 'muted' => true, ...Rendering::plate('post', ['values' => ['place' => [165, 132], 'stance' => 'stands']])];
    $values = ['azimuth' => 125, 'elevation' => -30];
    $joined = shade(shadowScene([$two, sharp([...$values, 'of' => ['post', 'other']], ['amount' => 60])]));
    expect(max($joined))->toEqualWithDelta(0.6, 0.01);
    $several = shade(shadowScene([$two, sharp($values, ['amount' => 60]), sharp([...$values, 'of' => ['other']], ['id' => 'second', 'amount' => 50])]));
    expect(max($several))->toEqualWithDelta(1 - 0.4 * 0.5, 0.01);
    // also when they are strips of their own, with densities of their own; one that is masked is not counted on
    $sun = ['sources' => [['id' => 'sun', 'kind' => 'sun', 'values' => [...$values, 'width' => 0]]]];
    $own = static fn (array $more): array => shade(shadowScene([$two, sharp([], ['amount' => 40, 'source' => 'sun', ...$more]), sharp(['of' => ['other']], ['id' => 'second', 'amount' => 60, 'source' => 'sun'])], more: $sun));
    [$first, $second, $both] = [shade(shadowScene([$two, sharp([], ['amount' => 40, 'source' => 'sun'])], more: $sun)), shade(shadowScene([$two, sharp(['of' => ['other']], ['amount' => 60, 'source' => 'sun'])], more: $sun)), $own([])];
    $off = array_map(static fn (float $one, float $other, float $both): float => abs(max($one, $other) - $both), $first, $second, $both);
    expect(max($off))->toBeLessThan(0.002)->and(count(array_filter($first, static fn (float $v, int $k): bool => $v > 0.3 && $second[$k] > 0.3, ARRAY_FILTER_USE_BOTH)))->toBeGreaterThan(20);
    expect(max($own(['masks' => [['id' => 'm', 'kind' => 'linear', 'values' => ['from' => [0, 0], 'to' => [1, 0], 'stops' => [['offset' => 0, 'value' => 1], ['offset' => 1, 'value' => 1]]]]]])))->toEqualWithDelta(1 - 0.6 * 0.4, 0.01);
    // nor one that acts on some tones only, or is kept off a plate
    expect(max($own(['tones' => ['darks' => [0, 0.01], 'brights' => [1, 1]]])))->toEqualWithDelta(1 - 0.6 * 0.4, 0.01)
        ->and(max($own(['keptOff' => ['plates' => ['post']]])))->toEqualWithDelta(1 - 0.6 * 0.4, 0.01);
});

it('thins toward its tip, and fills insides on request', function (): void {
    $even = shade(shadowScene([sharp(['azimuth' => 90, 'elevation' => -75])]));
    $thin = shade(shadowScene([sharp(['azimuth' => 90, 'elevation' => -75, 'tip' => 20])]));
    [, $ly, $lz] = PlainShadow::light(90, -75);
    foreach ([210, 225, 245] as $row) {
        $w = 100 / ($row + 0.5 - 100);
        $u = ($w - 1) * 480 * $ly / $lz;
        expect($thin[$row * 400 + 178])->toEqualWithDelta($even[$row * 400 + 178] * (1 - 0.8 * $u / 50), 0.02);
    }
    $ring = new Flat(60, 80, static fn (int $x, int $y): array => [9, 9, 9, $x >= 10 && $x < 50 && $y >= 20 && $y < 70 && ! ($x >= 22 && $x < 38 && $y >= 32 && $y < 58) ? 255 : 0]);
    $area = static fn (bool $filled): float => array_sum(shade(shadowScene([sharp(['azimuth' => 125, 'elevation' => -30, 'filled' => $filled])], ['picture' => 'ring']), ['ring' => $ring]));
    expect($area(true))->toEqualWithDelta(array_sum(shade(shadowScene([sharp(['azimuth' => 125, 'elevation' => -30])]))), 20.0)->and($area(false))->toBeLessThan(0.87 * $area(true));
});

it('drops behind a frame as far as a lamp close to the wall throws it', function (float $below, float $drop): void {
    // a lamp 60 px before the wall, a frame with a gap of 8 px: geometry, 8/60 of the way down from the lamp
    $scene = Scene::read(['aumbrel' => 2, 'title' => 'Wall', 'size' => [400, 700], 'sources' => [['id' => 'lamp', 'kind' => 'lamp', 'values' => ['place' => [180, 60], 'depth' => 60, 'width' => 0, 'unseen' => true]]], 'strips' => [
        ['id' => 'ground', 'kind' => 'fill', 'mode' => 'normal', 'values' => ['colour' => '#ffffff']],
        ['id' => 'cast', 'kind' => 'wall', 'source' => 'lamp', 'values' => ['of' => ['post'], 'colour' => '#000000', 'contact' => 0.4]],
        ['id' => 'post', 'muted' => true, ...Rendering::plate('post', ['values' => ['place' => [150, $below + 60 - 70], 'stance' => 'hangs', 'gap' => 8]])],
    ]], Registry::kinds());
    $shade = shade($scene);
    // the lower edge stands so far below the lamp
    $column = array_map(static fn (int $row): float => $shade[$row * 400 + 180], range(0, 699));
    $last = array_key_last(array_filter($column, static fn (float $value): bool => $value > 0.5));
    expect($last + 1 - 60 - $below)->toEqualWithDelta($drop, 1.0);
})->with([[40, 5.33], [240, 32], [440, 58.7]]);

it('darkens the seam where something touches', function (): void {
    $seam = static fn (array $values, array $plate = []): array => shade(shadowScene([['id' => 'seam', 'kind' => 'contact', 'values' => ['of' => ['post'], 'colour' => '#000000', 'width' => 6, 'softness' => 1, 'offset' => 3, ...$values]]], $plate));
    $shade = $seam([]);
    $column = array_map(static fn (int $row): float => $shade[$row * 400 + 180], range(150, 230));
    // the last 6 px of the post, 3 px lower: rows 197 to 203; thinner with the height over the row
    expect(max($column))->toBeGreaterThan(0.8)->and(array_search(max($column), $column, true) + 150)->toBeGreaterThan(195)->toBeLessThan(204)
        ->and($column[190 - 150])->toBeLessThan(0.05)->and($column[207 - 150])->toBeLessThan(0.05);
    // of several plates, wherever they stand
    $other = ['id' => 'other', 'muted' => true, ...Rendering::plate('post', ['values' => ['place' => [300, 60], 'stance' => 'stands']])];
    $both = shade(shadowScene([$other, ['id' => 'seam', 'kind' => 'contact', 'values' => ['of' => ['other', 'post'], 'colour' => '#000000', 'width' => 6, 'softness' => 1, 'offset' => 3]]]));
    expect($both[200 * 400 + 180])->toBeGreaterThan(0.8)->and($both[130 * 400 + 330])->toBeGreaterThan(0.8);
    // to a side, of what hangs: all along that side
    $side = $seam(['offsetTo' => 0], ['stance' => 'hangs']);
    expect($side[175 * 400 + 199])->toBeGreaterThan(0.7)->and($side[175 * 400 + 180])->toBeLessThan(0.05);
});

it('bends where it was dragged, and stays at the feet', function (): void {
    $straight = shade(shadowScene([sharp(['azimuth' => 90, 'elevation' => -75])]));
    $bent = shade(shadowScene([sharp(['azimuth' => 90, 'elevation' => -75, 'bends' => [['at' => [0.5, 0.8], 'by' => [0.4, 0]]]])]));
    $middle = static fn (array $shade, int $row): float => array_sum(array_map(static fn (int $x): float => $shade[$row * 400 + $x] * ($x + 0.5), range(0, 399))) / max(1e-9, array_sum(array_slice($shade, $row * 400, 400)));
    [, $ly, $lz] = PlainShadow::light(90, -75);
    $w = 1 + 40 / 480 * $lz / $ly;
    $row = (int) (100 + 100 / $w);
    // 0.4 heights of 50 px at the place that was dragged
    expect($middle($bent, $row) - $middle($straight, $row))->toEqualWithDelta(20.0, 2.0)->and($middle($bent, 201) - $middle($straight, 201))->toEqualWithDelta(0.0, 0.05);
});

it('turns its light when the tip is dragged, as far as that reaches', function (): void {
    $known = new Pictures(['post' => [60, 80, false]], ['post' => new Bounds(10, 20, 50, 70)]);
    $pulled = static function (array $to, array $strip = [], array $more = []) use ($known) {
        $scene = shadowScene([sharp(more: $strip)], more: $more);
        $kind = (new Hanging($scene, $known))->asLit($scene->find('cast'));

        return $kind->pulled(Pullable::TIP, new Point(...$to));
    };
    foreach ([[260, 235], [120, 170], [230, 240]] as $to) {
        $values = $pulled($to)->values;
        $scene = shadowScene([sharp($values)]);
        $tip = (new Hanging($scene, $known))->asLit($scene->find('cast'))->outlines($scene->stage)['tip'][0];
        expect(hypot($tip[0] - $to[0], $tip[1] - $to[1]))->toBeLessThan(0.5);
    }
    // along the row the sheet would stand edge-on: the tip stops at the nearest place that can be reached
    $edge = $pulled([320, 200.4])->values;
    $light = PlainShadow::light($edge['azimuth'], $edge['elevation']);
    expect(abs($light[2]) / hypot($light[0], $light[2]))->toEqualWithDelta(0.35, 0.005);
    // hung on a sun it moves that: the sun's light then comes along the same way
    $sun = ['sources' => [['id' => 'sun', 'kind' => 'sun', 'values' => ['azimuth' => 100, 'elevation' => -20]]]];
    $pull = $pulled([260, 235], ['source' => 'sun'], $sun);
    $scene = shadowScene([sharp(more: ['source' => 'sun'])], more: $sun);
    $moved = $scene->source('sun')->kind->shiningThrough($pull->through, $pull->toward, $scene->stage->camera);
    expect($moved['azimuth'])->toEqualWithDelta($pulled([260, 235])->values['azimuth'], 0.01);
    // a lamp stays as far from the top as it was
    $lamp = ['sources' => [['id' => 'sun', 'kind' => 'lamp', 'values' => ['place' => [90, 20], 'depth' => -420]]]];
    $pull = $pulled([260, 235], ['source' => 'sun'], $lamp);
    $scene = shadowScene([sharp(more: ['source' => 'sun'])], more: $lamp);
    $values = $scene->source('sun')->kind->shiningThrough($pull->through, $pull->toward, $scene->stage->camera);
    $scene = shadowScene([sharp(more: ['source' => 'sun'])], more: ['sources' => [['id' => 'sun', 'kind' => 'lamp', 'values' => $values]]]);
    $tip = (new Hanging($scene, $known))->asLit($scene->find('cast'))->outlines($scene->stage)['tip'][0];
    expect(hypot($tip[0] - 260, $tip[1] - 235))->toBeLessThan(1.0);
});

it('says what is missing, and loses nothing', function (array $strip, array $plate, string $says): void {
    $scene = shadowScene([sharp($strip)], $plate);
    $known = new Pictures(['post' => [60, 80, ($plate['opaque'] ?? false)]], ['post' => new Bounds(10, 20, 50, 70)]);
    $problem = collect((new Readings($scene, $known))->all())->firstWhere('kind', 'strip')?->seen;
    expect($problem)->toContain($says)->and(max(shade($scene)))->toBeLessThan(0.01);
})->with([
    'no plate' => [['of' => []], [], 'choose which one'],
    'a plate that is gone' => [['of' => ['gone']], [], 'is gone'],
    'feet above the horizon' => [['azimuth' => 120, 'elevation' => -30], ['place' => [150, 10]], 'at the horizon or above'],
    'a light under the ground' => [['azimuth' => -60, 'elevation' => 10], [], 'below the ground'],
]);

it('refuses plates and bends that are none', function (mixed $value, string $name): void {
    expect(static fn () => shadowScene([sharp([$name => $value])]))->toThrow(Aumbrel\Core\Fault\SceneError::class, $name);
})->with([['post', 'of'], [[7], 'of'], [array_fill(0, 61, 'post'), 'of'], [[['at' => [0, 0]]], 'bends'], [[['at' => [0, 0], 'by' => [NAN, 0]]], 'bends'], [[['at' => [0, 0], 'by' => [99, 0]]], 'bends'], [NAN, 'contact'], [181, 'width']]);

it('shares the light between sources as the definition says', function (): void {
    $sources = [
        ['id' => 'sun', 'kind' => 'sun', 'level' => -1, 'values' => ['azimuth' => 60, 'elevation' => 20]],
        ['id' => 'lamp', 'kind' => 'lamp', 'level' => 1, 'values' => ['place' => [90, 20], 'depth' => -100]],
        ['id' => 'out', 'kind' => 'sun', 'muted' => true, 'values' => ['azimuth' => 90, 'elevation' => 0]],
    ];
    $scene = shadowScene([], more: ['sources' => $sources, 'ambient' => ['level' => -2]]);
    $known = new Pictures(['post' => [60, 80, false]], ['post' => new Bounds(10, 20, 50, 70)]);
    $shares = new Shares($scene, (new Hanging($scene, $known))->footings);
    [$plain, $post] = [new PlainShadow(200, 100.0, 200, 250, 480, 150), $scene->find('post')];
    // the feet and the middle in space: x from the column, y up from the horizon, z
    $wp = $plain->wp();
    $at = static fn (float $x, float $y): array => [($x - 200) * $wp, -($y - 100) * $wp, $plain->zp()];
    [$foot, $middle] = [$at(180, 200), $at(180, 175)];
    $w = 1 + 100 / 480;
    $lamp = [(90 - 200) * $w, -(20 - 100) * $w, -100.0];
    $to = static fn (array $from): array => array_map(static fn (float $a, float $b): float => $a - $b, $lamp, $from);
    $length = static fn (array $v): float => sqrt($v[0] ** 2 + $v[1] ** 2 + $v[2] ** 2);
    [$d, $d0] = [$length($to($foot)), $length($to($middle))];
    $ofLamp = 2 * ($d0 ** 2 + ($d0 / 3) ** 2) / ($d ** 2 + ($d0 / 3) ** 2) * $to($foot)[1] / $d;
    $ofSun = 0.5 * cos(deg2rad(20)) * sin(deg2rad(60));
    expect($shares->share($post, $scene->source('lamp'), false))->toEqualWithDelta($ofLamp / ($ofLamp + $ofSun + 0.25), 1e-6)
        ->and($shares->share($post, $scene->source('sun'), false))->toEqualWithDelta($ofSun / ($ofLamp + $ofSun + 0.25), 1e-6)
        ->and($shares->share($post, $scene->source('out'), false))->toBe(0.0)->and($shares->ambient($post, false))->toEqualWithDelta(0.25 / ($ofLamp + $ofSun + 0.25), 1e-6);
    // all shadows in one action: one by each source that is lit, and where it touches
    $all = (new ShadowsOf($scene, $known, Registry::kinds()))->plate('post');
    expect(array_map(static fn ($shadow): string => $shadow->key, $all))->toBe(['cast sun', 'cast lamp', 'contact'])
        ->and($all[1]->amount)->toEqualWithDelta(100 * (1 - Tests\Support\Plainly::encode(1 - $ofLamp / ($ofLamp + $ofSun + 0.25))), 0.06);
});

it('keeps what does not depend on the light', function (): void {
    $renderer = Rendering::renderer(['post' => post()]);
    $window = Window::whole(400, 300);
    $time = static function (float $azimuth) use ($renderer, $window): array {
        $scene = shadowScene([sharp(['azimuth' => $azimuth, 'elevation' => -30, 'width' => 2])]);
        $stack = new Aumbrel\Core\Shadow\Stack(Aumbrel\Core\Shadow\CastShape::of(new Aumbrel\Core\Render\StripSite($scene->find('cast'), $renderer->sites($scene, $window)), 'post', false, Aumbrel\Core\Shadow\Sheet::of((new Aumbrel\Core\Scene\Standings($scene, $renderer->measures(), (new Hanging($scene, $renderer->measures()))->footings, 'cast', static fn ($strip) => $strip->kind))->stand('post'), $scene->stage->camera)), 1.0);
        $before = $renderer->planes->holds($stack);
        $renderer->picture($scene, $window);

        return [$before, $renderer->planes->holds($stack)];
    };
    expect($time(120))->toBe([false, true])->and($time(100))->toBe([true, true]);
});

it('notices shadows that cannot be, and mends them', function (): void {
    $known = new Pictures(['post' => [60, 80, false]], ['post' => new Bounds(10, 20, 50, 70), 'other' => new Bounds(10, 20, 50, 70)]);
    $read = static fn (Scene $scene): array => collect((new Readings($scene, $known))->all())->keyBy('kind')->all();
    $sun = ['id' => 'sun', 'kind' => 'sun', 'name' => 'Sun', 'values' => ['azimuth' => 60, 'elevation' => -30]];
    // toward its light
    $leaning = $read(shadowScene([sharp(['azimuth' => 120, 'elevation' => 40])], more: ['sources' => [$sun]]))['leaning'] ?? null;
    expect($leaning?->number)->toBeGreaterThan(90.0)->and($leaning->mends[0]->fields)->toBe(['source' => 'sun']);
    expect($read(shadowScene([sharp(['azimuth' => 75, 'elevation' => -30])], more: ['sources' => [$sun]])))->not->toHaveKey('leaning');
    // not at the feet: 9 px above the lower edge
    $start = $read(shadowScene([sharp()], ['feet' => [[30, 61]]]))['start'] ?? null;
    expect($start?->number)->toBe(9.0)->and($start->seen)->toContain('9 px')->and($start->mends[0]->values)->toBe(['feet' => null]);
    // two feet too near to each other
    expect($read(shadowScene([sharp()], ['feet' => [[28, 70], [30, 69]]]))['row']->mends[0]->values)->toBe(['feet' => [[28.0, 70.0]]]);
    // one without a shadow among others
    $other = ['id' => 'other', 'name' => 'Other', ...Rendering::plate('post', ['values' => ['place' => [300, 130], 'stance' => 'stands']])];
    $bare = $read(shadowScene([$other, sharp()]))['bare'] ?? null;
    expect($bare?->strips)->toBe(['other'])->and($bare->mends[0]->values)->toBe(['of' => ['post', 'other']]);
    // darker than the ambient: two shadows of 80 % leave less than it gives; the mend brings them up to it
    $scene = static fn (float $amount, float $more): Scene => shadowScene([sharp([], ['source' => 'sun', 'amount' => $amount]), sharp(['azimuth' => 70], ['id' => 'more', 'amount' => $more])], [], ['sources' => [$sun], 'ambient' => ['level' => -1.5]]);
    $lit = static fn (Scene $scene): array => $read($scene->changing('post', static fn ($strip) => $strip->driven($strip->kind, 0.0, false)));
    $dark = $lit($scene(80, 70))['dark'] ?? null;
    expect($dark)->not->toBeNull();
    [$mend] = $dark->mends;
    expect($mend->also)->toHaveCount(1)->and($lit($scene((float) $mend->fields['amount'], (float) $mend->also[0]->fields['amount'])))->not->toHaveKey('dark');
});
