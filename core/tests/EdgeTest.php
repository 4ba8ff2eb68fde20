<?php

declare(strict_types=1);

use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KernelStore;
use Aumbrel\Core\Picture\Blocks;
use Aumbrel\Core\Picture\ShapeStore;
use Aumbrel\Core\Raster\Distance;
use Aumbrel\Core\Render\EdgesAhead;
use Aumbrel\Core\Render\Renderer;
use Tests\Support\Flat;
use Tests\Support\Folder;
use Tests\Support\Hair;
use Tests\Support\Rendering;

/** @return list<float> the alpha of a 16-bit picture */
function alphaOf(string $bytes): array
{
    $alpha = [];
    foreach (array_values(unpack('n*', $bytes)) as $at => $value) {
        if ($at % 4 === 3) {
            $alpha[] = $value / 65535;
        }
    }

    return $alpha;
}

/** A renderer whose found edges lie in a folder. */
function rendererIn(string $folder, Flat $picture): Renderer
{
    return new Renderer(new KernelStore(Folder::of('core-kernels')), $picture, new ShapeStore($folder));
}

/** @return list<string> the files in which found edges lie */
function foundIn(string $folder): array
{
    return glob("{$folder}/found/*/*") ?: [];
}

/** A disc of radius 30 before an even ground, half red, in the middle of a picture. */
function disc(int $columns, int $rows): Flat
{
    return new Flat($columns, $rows, function (int $x, int $y) use ($columns, $rows): array {
        $share = max(0.0, min(1.0, 30.5 - hypot($x + 0.5 - $columns / 2, $y + 0.5 - $rows / 2)));

        return [(int) (200 * $share + 40 * (1 - $share)), (int) (60 + 100 * (1 - $share)), 60];
    });
}

/** @return array<string, mixed> a plate with a circle of radius 28 around the middle of its picture as its cut */
function discPlate(int $columns, int $rows, array $values): array
{
    return Rendering::plate('p', ['masks' => [['id' => 'm', 'kind' => 'outline', 'on' => 'plate', 'values' => ['path' => array_map(
        static fn (int $k): array => ['at' => [$columns / 2 + 28 * cos($k * M_PI / 24), $rows / 2 + 28 * sin($k * M_PI / 24)]], range(0, 47),
    )]]], 'values' => $values]);
}

it('finds hair that is composed with a known alpha, and eats no lit cheek', function (string $which): void {
    $hair = new Hair($which);
    $render = fn (float $band): array => alphaOf(Rendering::picture(['p' => $hair->picture()], Hair::COLUMNS, Hair::ROWS, [
        Rendering::plate('p', ['masks' => [Hair::outline()], 'values' => ['hairBand' => $band]]),
    ])->bytes);
    $rough = $render(0);
    $distances = Distance::signed($rough, Hair::COLUMNS, Hair::ROWS);
    foreach ([Hair::REACH, 40.0] as $width) {
        $fine = $render($width);
        [$error, $before, $count, $cheek, $cheeks, $beyond] = [0.0, 0.0, 0, 0.0, 0, 0.0];
        foreach ($distances as $at => $distance) {
            if (abs($distance) >= $width) {
                $beyond = max($beyond, abs($fine[$at] - $rough[$at]));

                continue;
            }
            $error += $off = abs($fine[$at] - $hair->alpha[$at]);
            $before += abs($rough[$at] - $hair->alpha[$at]);
            $count++;
            $turn = atan2(Hair::Y - intdiv($at, Hair::COLUMNS), $at % Hair::COLUMNS - Hair::X);
            if (abs($turn) < 0.15 * M_PI) {
                $cheek += $off;
                $cheeks++;
            }
        }
        expect($error / $count)->toBeLessThan(0.06)->toBeLessThan(0.45 * $before / $count)
            ->and($cheek / $cheeks)->toBeLessThan(0.01)
            ->and($beyond)->toBeLessThan(1 / 255);
    }
})->with(['dark on leaves', 'fair before the evening', 'red before two walls']);

it('works an edge out once, for all places, windows and processes', function (): void {
    $folder = Folder::of('edges').'/'.bin2hex(random_bytes(4));
    $picture = disc(120, 100);
    $renderer = rendererIn($folder, $picture);
    $scene = fn (array $place): Aumbrel\Core\Scene\Scene => Rendering::scene(200, 160, [discPlate(120, 100, ['hairBand' => 6, 'unstain' => 100, 'place' => $place])]);
    $first = $renderer->picture($scene([0, 0]), Window::whole(200, 160), 16)->bytes;
    $found = foundIn($folder);
    expect($found)->toHaveCount(1);
    $written = array_map(filemtime(...), $found);
    // moved by whole pixels: the same edge elsewhere
    $moved = $renderer->picture($scene([40, 30]), Window::whole(200, 160), 16)->bytes;
    expect(substr($moved, 8 * (200 * 80 + 100), 8 * 60))->toBe(substr($first, 8 * (200 * 50 + 60), 8 * 60))
        ->and(foundIn($folder))->toBe($found);
    // part of it, in a process that knows nothing yet
    $part = rendererIn($folder, $picture)->picture($scene([0, 0]), new Window(20, 30, 100, 60), 16)->bytes;
    expect(substr($part, 0, 8 * 100))->toBe(substr($first, 8 * (200 * 30 + 20), 8 * 100))
        ->and(foundIn($folder))->toBe($found)->and(array_map(filemtime(...), foundIn($folder)))->toBe($written);
    // another cut is another edge
    $renderer->picture(Rendering::scene(200, 160, [discPlate(120, 100, ['hairBand' => 7])]), Window::whole(200, 160));
    expect(foundIn($folder))->toHaveCount(2);
});

it('is worked out ahead at the size that an export needs, and no second time', function (float $size, int $halving): void {
    $folder = Folder::of('edges').'/'.bin2hex(random_bytes(4));
    [$columns, $rows] = [Blocks::SIDE + 88, 300];
    $picture = disc($columns, $rows);
    $strips = [
        discPlate($columns, $rows, ['hairBand' => 6, 'unstain' => 100, 'scale' => $size]),
        // nothing to clean, and nothing to see
        [...discPlate($columns, $rows, ['soften' => 2]), 'id' => 'soft'], [...discPlate($columns, $rows, ['hairBand' => 9]), 'id' => 'muted', 'muted' => true],
    ];
    $scene = Rendering::scene($columns, $rows, $strips);
    $renderer = rendererIn($folder, $picture);
    // the view, at a fifth: other blocks
    $renderer->picture($scene, Window::whole($columns, $rows, 0.2));
    $before = foundIn($folder);
    $worked = iterator_to_array((new EdgesAhead($renderer))->of($scene), false);
    expect($worked)->toBe(array_fill(0, $halving === 0 ? 2 : 1, $scene->strips[0]->id));
    $found = foundIn($folder);
    expect(count($found))->toBe(count($before) + count($worked));
    $written = array_map(filemtime(...), $found);
    $ahead = rendererIn($folder, $picture)->picture($scene, Window::whole($columns, $rows), 16)->bytes;
    expect(foundIn($folder))->toBe($found)->and(array_map(filemtime(...), $found))->toBe($written)
        ->and($ahead)->toBe(rendererIn("{$folder}-other", $picture)->picture($scene, Window::whole($columns, $rows), 16)->bytes)
        // and what is known already is only looked at
        ->and(iterator_to_array((new EdgesAhead(rendererIn($folder, $picture)))->of($scene), false))->toBe($worked)->and(foundIn($folder))->toBe($found);
})->with(['as it is' => [1.0, 0], 'at less than half' => [0.4, 1]]);

it('works a damaged find out again', function (string $damage): void {
    $folder = Folder::of('edges').'/'.bin2hex(random_bytes(4));
    $picture = disc(120, 100);
    $scene = Rendering::scene(120, 100, [discPlate(120, 100, ['hairBand' => 6])]);
    $render = fn (): string => rendererIn($folder, $picture)->picture($scene, Window::whole(120, 100), 16)->bytes;
    $right = $render();
    foreach (foundIn($folder) as $file) {
        file_put_contents($file, $damage === 'cut' ? substr(file_get_contents($file), 0, 50) : $damage);
    }
    expect($render())->toBe($right);
})->with(['cut short' => 'cut', 'empty' => '', 'too short to count' => 'abc', 'a count that is not there' => "\xff\xff\xff\xff"]);

it('joins the blocks of a large picture without a seam', function (): void {
    // the disc lies on the corner where four blocks meet, and alone in the middle of one
    $side = Blocks::SIDE;
    $values = ['hairBand' => 8, 'grow' => 1, 'unstain' => 100];
    $render = fn (int $columns, int $rows): string => Rendering::picture(
        ['p' => disc($columns, $rows)], $columns, $rows, [discPlate($columns, $rows, $values)], 16, new Window($columns / 2 - 48, $rows / 2 - 48, 96, 96),
    )->bytes;
    $worst = 0.0;
    $alone = alphaOf($render($side, $side));
    foreach (alphaOf($render(2 * $side, 2 * $side)) as $at => $alpha) {
        $worst = max($worst, abs($alpha - $alone[$at]));
    }
    expect(array_sum($alone))->toEqualWithDelta(M_PI * 30 ** 2, 20)->and($worst)->toBeLessThan(1 / 255);
});

it('cleans at half the size what it cleans at full size', function (): void {
    $picture = disc(160, 120);
    $plate = discPlate(160, 120, ['hairBand' => 8, 'unstain' => 100]);
    $full = alphaOf(Rendering::picture(['p' => $picture], 160, 120, [$plate])->bytes);
    $half = alphaOf(Rendering::picture(['p' => $picture], 160, 120, [$plate], 16, Window::whole(160, 120, 0.5))->bytes);
    $sum = 0.0;
    foreach ($half as $at => $alpha) {
        $from = 2 * intdiv($at, 80) * 160 + 2 * ($at % 80);
        $sum += abs($alpha - ($full[$from] + $full[$from + 1] + $full[$from + 160] + $full[$from + 161]) / 4);
    }
    expect($sum / count($half))->toBeLessThan(1 / 255);
});

it('softens by as much as its length is there, in perspective', function (): void {
    // a plate whose upper border is a third as wide as its lower one, half of it cut away along an upright line
    $picture = new Flat(120, 120, static fn (): array => [255, 255, 255]);
    $half = ['id' => 'm', 'kind' => 'outline', 'on' => 'plate', 'values' => ['path' => array_map(static fn (array $at): array => ['at' => $at], [[60, -4], [130, -4], [130, 124], [60, 124]])]];
    $shown = static function (array $values, ?Window $window = null) use ($picture, $half): array {
        $window ??= Window::whole(240, 200);

        return [alphaOf(Rendering::picture(['p' => $picture], 240, 200, [Rendering::plate('p', ['masks' => [$half], 'values' => $values])], 16, $window)->bytes), $window->columns];
    };
    $fit = ['fit' => [[80, 20], [160, 20], [230, 180], [10, 180]], 'soften' => 4];
    [$alpha, $columns] = $shown($fit);
    // the integral of P (1 - P) of a normal distribution is its deviation over the root of pi
    $back = Rendering::scene(240, 200, [Rendering::plate('p', ['values' => $fit])])->strips[0]->kind->placement(120, 120)->map()->inverse();
    $sigmas = [];
    foreach ([40, 90, 120, 150] as $row) {
        $edge = array_slice($alpha, $row * $columns + 95, 50);
        $sigmas[] = $sigma = sqrt(M_PI) * array_sum(array_map(static fn (float $share): float => $share * (1 - $share), $edge));
        // as many pixels as four of the picture's are there, by area
        expect($sigma / (4 / $back->scaleAt(120.5, $row + 0.5)))->toEqualWithDelta(1.0, 0.07);
    }
    expect($sigmas[3] / $sigmas[0])->toBeGreaterThan(2.0);
    [$part, $wide] = $shown($fit, new Window(90, 60, 60, 50));
    foreach ([[3, 4], [28, 20], [31, 44], [55, 30]] as [$x, $y]) {
        expect($part[$y * $wide + $x])->toEqualWithDelta($alpha[($y + 60) * $columns + $x + 90], 0.002);
    }
});
