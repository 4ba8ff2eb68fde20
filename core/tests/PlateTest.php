<?php

declare(strict_types=1);

use Aumbrel\Core\Geometry\Placement;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Seen\Resampler;
use Tests\Support\Flat;
use Tests\Support\Folder;
use Tests\Support\Packed;
use Tests\Support\Plainly;
use Tests\Support\Rendering;

/** Smooth enough for every filter to follow. */
$smooth = fn (float $x, float $y): array => [(int) round(127 + 100 * sin($x / 19)), (int) round(127 + 100 * cos($y / 23)), (int) round(127 + 90 * sin(($x + $y) / 31))];

it('turns, mirrors and scales about the pivot, and back', function (): void {
    $placement = new Placement(new Point(50, 60), new Point(10, 20), 2.0, 90, true);
    // mirrored first: a point right of the pivot lies left of it; turned by 90 degrees counter-clockwise: below
    expect($placement->toScene(new Point(15, 20))->toArray())->toEqualWithDelta([50.0, 70.0], 1e-9);
    foreach ([[3, 4], [100, -7]] as [$x, $y]) {
        expect($placement->toPicture($placement->toScene(new Point($x, $y)))->toArray())->toEqualWithDelta([(float) $x, (float) $y], 1e-9);
    }
});

it('shows the pixels of a plate at scale 1 on whole pixels as they are', function (): void {
    $picture = Packed::picture(50, 40, fn (float $x, float $y): array => [((int) $x * 7) % 256, ((int) $y * 5) % 256, 90, ((int) $x * 13) % 256]);
    $out = Rendering::picture(['a' => $picture], 80, 70, [Rendering::plate('a', ['values' => ['place' => [12, 9]]])], 8)->bytes;
    $pixels = array_values(unpack('V*', $out));
    foreach ([[12, 9, 0, 0], [40, 30, 28, 21], [61, 48, 49, 39]] as [$x, $y, $px, $py]) {
        $alpha = ($px * 13) % 256;
        expect($pixels[$y * 80 + $x] >> 24 & 255)->toBe($alpha);
        if ($alpha > 0) {
            expect($pixels[$y * 80 + $x] & 255)->toBe(($px * 7) % 256);
        }
    }
    expect($pixels[9 * 80 + 11] >> 24)->toBe(0)->and($pixels[49 * 80 + 20] >> 24)->toBe(0);
});

it('follows the picture under any placing', function (array $values, float $scale) use ($smooth): void {
    $picture = Packed::picture(220, 180, $smooth);
    $values += ['place' => [110, 90], 'pivot' => [110, 90]];
    $window = Window::whole(220, 180, $scale);
    $out = Rendering::picture(['a' => $picture], 220, 180, [Rendering::plate('a', ['values' => $values])], 16, $window);
    $placement = new Placement(new Point(...$values['place']), new Point(...$values['pivot']), $values['scale'] ?? 1, $values['turn'] ?? 0, $values['mirrored'] ?? false);
    $inside = function (float $c, float $r) use ($placement, $scale): ?Point {
        $at = $placement->toPicture(new Point($c / $scale, $r / $scale));

        return $at->x > 8 && $at->y > 8 && $at->x < 212 && $at->y < 172 ? $at : null;
    };
    $difference = Plainly::difference($out->bytes, $out->columns, $out->rows, function (float $c, float $r) use ($inside, $smooth): array {
        $at = $inside($c, $r);

        return $at === null ? [0, 0, 0, 0] : array_map(fn (int $byte): float => $byte / 255, $smooth($at->x, $at->y));
    }, fn (float $c, float $r): bool => $inside($c, $r) !== null);
    expect($difference)->toBeLessThan(2.5);
})->with([
    'larger' => [['scale' => 2.3], 1], 'smaller' => [['scale' => 0.37], 1], 'mirrored' => [['mirrored' => true], 1], 'between pixels' => [['place' => [110.4, 90.7]], 1],
    'turned' => [['turn' => 33], 1], 'turned and larger' => [['turn' => -71, 'scale' => 1.8], 1], 'turned and smaller' => [['turn' => 140, 'scale' => 0.45, 'mirrored' => true], 1],
    'at half scale' => [[], 0.5], 'at an odd scale' => [['scale' => 0.9], 0.61], 'at twice' => [['turn' => 10], 2],
]);

it('has no jaggies: a reduced checkerboard is an even grey', function (array $values): void {
    $board = Packed::picture(256, 256, fn (float $x, float $y): array => ((int) $x + (int) $y) % 2 === 0 ? [255, 255, 255] : [0, 0, 0]);
    $out = Rendering::picture(['a' => $board], 256, 256, [Rendering::plate('a', ['values' => ['place' => [128, 128], 'pivot' => [128, 128], ...$values]])], 8);
    $pixels = array_values(unpack('V*', $out->bytes));
    foreach ([[128, 128], [120, 131], [135, 122]] as [$x, $y]) {
        expect($pixels[$y * 256 + $x] & 255)->toBeGreaterThan(110)->toBeLessThan(146);
    }
})->with([[['scale' => 0.3]], [['scale' => 0.21, 'turn' => 20]], [['scale' => 0.5]]]);

it('covers edge pixels by their share and leaves no seam between plates', function (): void {
    $white = Packed::picture(40, 40, fn (): array => [255, 255, 255]);
    $values = array_values(unpack('n*', Rendering::picture(['a' => $white], 60, 60, [Rendering::plate('a', ['values' => ['place' => [10.25, 10]]])])->bytes));
    $alpha = fn (int $x, int $y): float => $values[($y * 60 + $x) * 4 + 3] / 65535;
    expect($alpha(10, 20))->toEqualWithDelta(0.75, 0.005)->and($alpha(50, 20))->toEqualWithDelta(0.25, 0.005)->and($alpha(11, 20))->toBe(1.0)->and($alpha(9, 20))->toBe(0.0);
});

it('agrees between the scales', function () use ($smooth): void {
    // semantics: the half-scale render equals the full one box-averaged 2 x 2 on encoded values, mean below 1/255, at most 4/255
    $pictures = ['a' => Packed::picture(240, 160, $smooth), 'b' => Packed::picture(90, 120, fn (float $x, float $y): array => [200, 120, 60, (int) round(255 * max(0, min(1, 1.5 - hypot(($x - 45) / 40, ($y - 60) / 55))))])];
    $scene = Rendering::scene(240, 160, [
        Rendering::plate('a'), ['kind' => 'fill', 'mode' => 'multiply', 'amount' => 60, 'values' => ['colour' => '#405080'], 'masks' => [['id' => 'm', 'kind' => 'linear', 'values' => ['from' => [0, 20], 'to' => [0, 140], 'smooth' => true]]]],
        Rendering::plate('b', ['values' => ['place' => [150, 90], 'pivot' => [45, 60], 'scale' => 0.8]]),
        ['kind' => 'spot', 'mode' => 'airlight', 'level' => -1, 'values' => ['origin' => [60, -20], 'target' => [90, 130], 'reach' => 220, 'softness' => 6]],
        ['kind' => 'spot', 'mode' => 'illuminate', 'level' => 1, 'confinedTo' => 's2', 'values' => ['origin' => [240, -30], 'target' => [150, 100], 'reach' => 320]],
    ]);
    $renderer = Rendering::renderer($pictures);
    $full = array_values(unpack('n*', $renderer->picture($scene, Window::whole(240, 160), 16)->bytes));
    $half = array_values(unpack('n*', $renderer->picture($scene, Window::whole(240, 160, 0.5), 16)->bytes));
    $sum = $largest = 0.0;
    for ($y = 0, $at = 0; $y < 80; $y++) {
        for ($x = 0; $x < 120; $x++, $at += 4) {
            foreach ([0, 1, 2] as $c) {
                $mean = 0.0;
                foreach ([[0, 0], [1, 0], [0, 1], [1, 1]] as [$i, $j]) {
                    $mean += $full[((2 * $y + $j) * 240 + 2 * $x + $i) * 4 + $c] / 4;
                }
                $difference = abs($half[$at + $c] - $mean) / 257;
                $sum += $difference;
                $largest = max($largest, $difference);
            }
        }
    }
    expect($sum / (120 * 80 * 3))->toBeLessThan(1.0)->and($largest)->toBeLessThan(4.0);
});

it('keeps alpha-weighted colours in its halvings', function (): void {
    // a bright pixel without opacity must not bleed
    $picture = Packed::picture(4, 2, fn (float $x): array => $x < 2 ? ((int) $x === 0 ? [255, 255, 255, 0] : [100, 50, 25, 200]) : [10, 20, 30, 255]);
    [$first, $second] = $picture->pixels(1, 0, 0, 2, 1);
    expect([$first >> 16 & 255, $first >> 8 & 255, $first & 255, $first >> 24 & 255])->toBe([100, 50, 25, 100])->and($second & 255)->toBe(30);
});

it('halves without brightening: the mean of a picture stays, level after level', function (int $bits, bool $opaque): void {
    mt_srand(9);
    $most = (1 << $bits) - 1;
    $folder = Folder::of('halved').'/'.bin2hex(random_bytes(4));
    $writer = new Aumbrel\Core\Picture\PackedWriter($folder, 256, 256, $bits);
    for ($row = 0; $row < 256; $row++) {
        $pixels = [];
        for ($column = 0; $column < 256; $column++) {
            // few values, so that halves are frequent
            $pixels[] = ($opaque ? $most : mt_rand(1, 3)) << 3 * $bits | mt_rand(100, 103) << 2 * $bits | mt_rand(100, 101) << $bits | mt_rand(7, 8);
        }
        $writer->band(pack($bits === 16 ? 'P*' : 'V*', ...$pixels));
    }
    $writer->finish();
    $picture = Aumbrel\Core\Picture\PackedPicture::open($folder);
    $mean = function (int $level, int $shift) use ($picture, $most): float {
        $pixels = $picture->pixels($level, 0, 0, 256 >> $level, 256 >> $level);

        return array_sum(array_map(fn (int $pixel): int => $pixel >> $shift & $most, $pixels)) / count($pixels);
    };
    foreach ([2 * $bits, $bits, 0] as $shift) {
        // rounded half up, each level would add an eighth
        expect($mean(4, $shift))->toEqualWithDelta($mean(0, $shift), $opaque ? 0.1 : 0.16);
    }
})->with([8, 16])->with([true, false]);

it('filters upright plates by the cubic of Keys, widened with the reduction: written plainly', function (bool $clear, int $bits, float $scale, float $plate, bool $mirrored): void {
    $most = (1 << $bits) - 1;
    // clear but for a blob that touches the left border, with colours under what is clear
    $colour = fn (int $x, int $y): array => [($x * 37 + $y * 11) % ($most + 1), ($x * $y * 5) % ($most + 1), ($y * 83) % ($most + 1), $clear ? (int) round($most * max(0.0, min(1.0, 9.5 - hypot($x - 3, $y - 12) / 1.3))) : $most];
    $picture = new Flat(41, 29, $colour, $bits);
    $window = new Window(-7.3, 4.1, 90, 70, $scale);
    $placement = new Placement(new Point(31, 38), new Point(20.2, 14.6), $plate, 0.0, $mirrored);
    $drawn = (new Resampler($picture, $placement, $window))->fill();
    $pitch = 1 / $scale / $plate;
    $level = max(0, (int) floor(log($pitch, 2)));
    [$pitch, $wide, $high] = [$pitch / 2 ** $level, (int) ceil(41 / 2 ** $level), (int) ceil(29 / 2 ** $level)];
    $source = $picture->pixels($level, 0, 0, $wide, $high);
    $keys = fn (float $x): float => ($x = abs($x)) < 1 ? 1.5 * $x ** 3 - 2.5 * $x ** 2 + 1 : ($x < 2 ? -0.5 * $x ** 3 + 2.5 * $x ** 2 - 4 * $x + 2 : 0.0);
    $axis = function (float $centre, int $size, float $full) use ($pitch, $level, $keys): array {
        $widen = max(1.0, $pitch);
        $weights = [];
        for ($k = (int) floor($centre - 3 * $widen) - 1; $k <= $centre + 3 * $widen + 1; $k++) {
            $weights[max(0, min($size - 1, $k))] = ($weights[max(0, min($size - 1, $k))] ?? 0.0) + $keys(($k + 0.5 - $centre) / $widen);
        }
        $covered = min($full / 2 ** $level, $centre + $pitch / 2) - max(0.0, $centre - $pitch / 2);

        return [array_map(fn (float $w): float => $w / array_sum($weights), $weights), max(0.0, min(1.0, $covered / $pitch))];
    };
    $seen = 0;
    for ($row = 0; $row < $window->rows; $row++) {
        for ($column = 0; $column < $window->columns; $column++) {
            $x = ((($window->xOf($column) - 31) / $plate) * ($mirrored ? -1 : 1) + 20.2) / 2 ** $level;
            $y = (($window->yOf($row) - 38) / $plate + 14.6) / 2 ** $level;
            [[$across, $share], [$down, $height]] = [$axis($x, $wide, 41), $axis($y, $high, 29)];
            $sums = [0.0, 0.0, 0.0, 0.0];
            if ($share * $height > 0) {
                foreach ($down as $sy => $wy) {
                    foreach ($across as $sx => $wx) {
                        $pixel = $source[$sy * $wide + $sx];
                        $alpha = ($pixel >> 3 * $bits & $most) / $most;
                        foreach ([2, 1, 0] as $n => $shift) {
                            $sums[$n] += $wy * $wx * $alpha * ($pixel >> $shift * $bits & $most) / $most;
                        }
                        $sums[3] += $wy * $wx * $alpha;
                    }
                }
            }
            $got = $drawn[$row * $window->columns + $column];
            expect(($got >> 48 & 65535) / 65535)->toEqualWithDelta(max(0.0, min(1.0, $sums[3])) * $share * $height, 2e-5, "alpha of {$column}, {$row}");
            // what is hardly there has no colour that could be told
            if ($sums[3] > 0.01 && $share * $height > 0) {
                foreach ([32, 16, 0] as $n => $shift) {
                    expect(($got >> $shift & 65535) / 65535)->toEqualWithDelta(max(0.0, min(1.0, $sums[$n] / $sums[3])), 2e-5, "channel {$n} of {$column}, {$row}");
                }
                $seen++;
            }
        }
    }
    expect($seen)->toBeGreaterThan(40);
})->with([
    'enlarged' => [false, 8, 1.0, 1.7, false],
    'reduced' => [false, 8, 0.8, 0.81, false],
    'mirrored, at a halving' => [false, 8, 0.5, 0.7, true],
    'clear, enlarged' => [true, 8, 1.0, 1.3, false],
    'clear, mirrored and reduced' => [true, 8, 0.7, 1.0, true],
    'clear, 16 bits, at a halving' => [true, 16, 0.45, 1.0, false],
]);

it('draws nothing where a plate is not, or where it is clear', function (): void {
    $nothing = array_fill(0, 20 * 10, 0);
    $away = new Placement(new Point(500, 500), new Point(0, 0), 0.7);
    expect((new Resampler(new Flat(9, 9, fn (): array => [200, 10, 10]), $away, new Window(0, 0, 20, 10)))->fill())->toBe($nothing)
        ->and((new Resampler(new Flat(9, 9, fn (): array => [200, 10, 10, 0]), new Placement(new Point(3, 3), new Point(0, 0), 0.7), new Window(0, 0, 20, 10)))->fill())->toBe($nothing);
});
