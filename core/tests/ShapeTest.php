<?php

declare(strict_types=1);

use Aumbrel\Core\CutOut\HairColours;
use Aumbrel\Core\CutOut\Segmentation;
use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Geometry\Corners;
use Aumbrel\Core\Geometry\Frame;
use Aumbrel\Core\Geometry\Homography;
use Aumbrel\Core\Geometry\Placement;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Mask\OutlineMask;
use Aumbrel\Core\Mask\StrokesMask;
use Aumbrel\Core\Picture\Pixels;
use Aumbrel\Core\Picture\Shape;
use Aumbrel\Core\Picture\ShapeStore;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Scene\MaskEntry;
use Aumbrel\Core\Scene\Scene;
use Aumbrel\Core\Stroke\Stroke;
use Aumbrel\Core\Value\Values;
use Tests\Support\Flat;
use Tests\Support\Folder;
use Tests\Support\Rendering;

/** A shape of 40 x 30 px, of which the left half is 1. */
function halfShape(int $level = 0): Shape
{
    $columns = (int) ceil(40 / 2 ** $level);
    $rows = (int) ceil(30 / 2 ** $level);

    return new Shape(40, 30, $level, array_map(fn (int $at): float => $at % $columns < $columns / 2 ? 1.0 : 0.0, range(0, $columns * $rows - 1)));
}

/** @return list<int> the alphas of a rectangle of a picture */
function alphas(Aumbrel\Core\Picture\PictureSource $picture, int $level, int $x, int $y, int $columns, int $rows): array
{
    return array_map(fn (int $pixel): int => $pixel >> 24 & 255, $picture->pixels($level, $x, $y, $columns, $rows));
}

it('works a shape out once, for this process and for others', function (): void {
    $folder = Folder::of('shapes-'.bin2hex(random_bytes(3)));
    $count = 0;
    $make = function () use (&$count): Shape {
        $count++;

        return halfShape();
    };
    $store = new ShapeStore($folder);
    $first = $store->get('half', $make);
    $store->get('half', $make);
    (new ShapeStore($folder))->get('half', $make);
    expect($count)->toBe(1)->and([$first->width(), $first->height(), $first->opaque()])->toBe([40, 30, false])
        ->and(alphas($first, 0, 18, 3, 4, 1))->toBe([255, 255, 0, 0])->and(alphas($first, 1, 9, 3, 2, 1))->toBe([255, 0]);
    expect(glob("{$folder}/*.lock"))->toBe([])->and(glob("{$folder}/*/picture.json"))->toHaveCount(1);
});

it('leaves nothing behind when a shape cannot be worked out', function (): void {
    $folder = Folder::of('shapes-'.bin2hex(random_bytes(3)));
    expect(fn () => (new ShapeStore($folder))->get('bad', fn () => throw new RuntimeException('no')))->toThrow(RuntimeException::class, 'no');
    expect(glob("{$folder}/*"))->toBe([]);
});

it('keeps no more shapes than it may', function (): void {
    $folder = Folder::of('shapes-'.bin2hex(random_bytes(3)));
    $store = new ShapeStore($folder);
    for ($k = 0; $k < 55; $k++) {
        $store->get("shape {$k}", fn (): Shape => new Shape(4, 4, 0, array_fill(0, 16, 1.0)));
    }
    expect(count(glob("{$folder}/*", GLOB_ONLYDIR)))->toBeLessThanOrEqual(49);
});

it('shows a shape that was worked out small at every size', function (): void {
    $picture = (new ShapeStore(Folder::of('shapes-'.bin2hex(random_bytes(3)))))->get('small', fn (): Shape => halfShape(2));
    expect([$picture->width(), $picture->height()])->toBe([40, 30])->and(alphas($picture, 2, 4, 2, 2, 1))->toBe([255, 0]);
    $full = alphas($picture, 0, 14, 9, 12, 1);
    // between the middles of the two coarse pixels it runs over evenly
    expect($full[0])->toBe(255)->and($full[11])->toBe(0)->and($full[5])->toEqualWithDelta(255 * 0.625, 1)->and($full[6])->toEqualWithDelta(255 * 0.375, 1);
    // pieces agree with the whole
    expect(alphas($picture, 0, 18, 9, 4, 1))->toBe(array_slice($full, 4, 4));
});

it('maps there and back, one map after the other', function (): void {
    $fit = Corners::read([[3, 2], [38, 6], [44, 33], [-4, 28]], 'fit')->fit(40, 30);
    $placement = new Placement(new Point(70, 50), new Point(12, 9), 1.7, 33, true, $fit);
    foreach ([[0, 0], [17, 21], [40, 30]] as [$x, $y]) {
        $scene = $placement->toScene(new Point($x, $y));
        expect($placement->toPicture($scene)->toArray())->toEqualWithDelta([(float) $x, (float) $y], 1e-8)
            ->and($placement->map()->map(new Point($x, $y))->toArray())->toEqualWithDelta($scene->toArray(), 1e-8)
            ->and($placement->map()->inverse()->map($scene)->toArray())->toEqualWithDelta([(float) $x, (float) $y], 1e-8);
    }
    $double = Homography::affine(2, 0, 1, 0, 2, -3);
    expect($double->after($double)->at(5, 5))->toEqualWithDelta([23.0, 11.0], 1e-12)->and($double->scaleAt(9, 9))->toEqualWithDelta(2.0, 1e-12)->and($double->isAffine())->toBeTrue()->and($fit->isAffine())->toBeFalse();
    // by how much an area grows in perspective, against small steps
    [$a, $b, $c] = [$fit->at(20, 15), $fit->at(20.001, 15), $fit->at(20, 15.001)];
    $area = abs(($b[0] - $a[0]) * ($c[1] - $a[1]) - ($b[1] - $a[1]) * ($c[0] - $a[0])) * 1e6;
    expect($fit->scaleAt(20, 15) ** 2)->toEqualWithDelta($area, 1e-2);
});

it('sees a window from the scene and from a plate, with margins and in bands', function (): void {
    $window = new Window(10, 20, 60, 40, 0.5);
    $frame = Frame::scene($window);
    expect($frame->toPixels->at(10, 20))->toEqualWithDelta([0, 0], 1e-12)->and($frame->toPixels->at(30, 40))->toEqualWithDelta([10, 10], 1e-12)->and($frame->pixelsPerUnit())->toEqualWithDelta(0.5, 1e-12)
        ->and($frame->padded(3)->toPixels->at(10, 20))->toEqualWithDelta([3, 3], 1e-12)
        ->and(Frame::scene($window->band(6, 4))->toPixels->at(10, 20))->toEqualWithDelta([0, -6], 1e-12);
    $padded = $window->band(6, 4)->padded(2);
    expect([$padded->columns, $padded->rows])->toBe([34, 8])->and($padded->xOf(2))->toBe($window->xOf(0))->and($padded->yOf(2))->toBe($window->yOf(6));
    $plate = Frame::plate($window, new Placement(new Point(30, 40), new Point(5, 5), 3.0));
    expect($plate->toPixels->at(5, 5))->toEqualWithDelta([10, 10], 1e-12)->and($plate->pixelsPerUnit())->toEqualWithDelta(1.5, 1e-12)->and($plate->fromPixels->at(13, 10))->toEqualWithDelta([7, 5], 1e-12);
});

it('feathers an outline as the Gaussian of its edge', function (float $feather): void {
    $mask = OutlineMask::from(Values::read(OutlineMask::parameters(), ['feather' => $feather, 'path' => [['at' => [-900, -900]], ['at' => [30, -900]], ['at' => [30, 900]], ['at' => [-900, 900]]]], 'values'));
    $planes = Rendering::renderer([])->planes;
    $plane = $planes->numbers($mask->onPlate(Frame::scene(Window::whole(60, 20)), new Flat(1, 1, fn (): array => [0, 0, 0])));
    // the normal distribution, Abramowitz and Stegun 7.1.26 for the error function
    $erf = function (float $x): float {
        $t = 1 / (1 + 0.3275911 * abs($x));
        $value = 1 - ((((1.061405429 * $t - 1.453152027) * $t + 1.421413741) * $t - 0.284496736) * $t + 0.254829592) * $t * exp(-$x * $x);

        return $x < 0 ? -$value : $value;
    };
    foreach ([16, 24, 28, 30, 33, 40] as $column) {
        expect($plane[10 * 60 + $column])->toEqualWithDelta(0.5 - 0.5 * $erf(($column + 0.5 - 30) / ($feather * M_SQRT2)), 1 / 255);
    }
    // and so in a part of the window
    $part = $planes->numbers($mask->onPlate(Frame::scene(Window::whole(60, 20)->band(7, 5)), new Flat(1, 1, fn (): array => [0, 0, 0])));
    expect($part[60 + 28])->toEqualWithDelta($plane[8 * 60 + 28], 1e-9);
})->with([4.0, 11.0, 30.0, 200.0]);

it('paints stroke by stroke what it paints at once', function (): void {
    $planes = Rendering::renderer([])->planes;
    $frame = Frame::scene(Window::whole(60, 40));
    $picture = new Flat(1, 1, fn (): array => [0, 0, 0]);
    $mask = fn (int $count): StrokesMask => StrokesMask::from(Values::read(StrokesMask::parameters(), ['start' => 'shown', 'strokes' => array_map(fn (int $k): array => [
        'size' => 14, 'opacity' => 60, 'letsIn' => $k % 3 === 0, 'points' => [[5 + 5 * $k, 8], [50 - 4 * $k, 30]],
    ], range(0, $count - 1))], 'values'));
    foreach (range(1, 9) as $count) {
        $grown = $planes->numbers($mask($count)->onPlate($frame, $picture));
    }
    expect(Rendering::renderer([])->planes->numbers($mask(9)->onPlate($frame, $picture)))->toEqualWithDelta($grown, 1e-12);
});

it('joins masks of planes as it joins those of formulas', function (string $join, bool $inverted, array $wanted): void {
    $entry = MaskEntry::read(['id' => 'm', 'kind' => 'outline', 'join' => $join, 'inverted' => $inverted], 'mask', Registry::kinds());
    expect($entry->joined([0.5, 0.8], [0.25, 1.0]))->toEqualWithDelta($wanted, 1e-12);
})->with([
    ['intersect', false, [0.125, 0.8]], ['add', false, [0.625, 1.0]], ['take away', false, [0.375, 0.0]], ['intersect', true, [0.375, 0.0]], ['take away', true, [0.125, 0.8]],
]);

it('cuts along edges, and only what hangs together with a stroke', function (): void {
    // two discs of the same orange on blue; only the left one is painted
    $isLeft = fn (int $x, int $y): bool => hypot($x - 50, $y - 45) < 28;
    $isRight = fn (int $x, int $y): bool => hypot($x - 130, $y - 45) < 20;
    $picture = new Flat(180, 90, fn (int $x, int $y): array => $isLeft($x, $y) || $isRight($x, $y) ? [214 + $x % 5, 120 + $y % 7, 50] : [50 + $y % 9, 80 + $x % 6, 140]);
    $strokes = array_map(fn (array $stroke): Stroke => Stroke::read(['size' => 6, 'hardness' => 100, ...$stroke], 's'), [
        ['points' => [[42, 36], [58, 52]]], ['letsIn' => false, 'points' => [[6, 6], [170, 6], [170, 84], [6, 84], [6, 6]]],
    ]);
    $values = Segmentation::of($picture, $strokes)->values;
    $wrong = 0;
    foreach ($values as $at => $value) {
        $wrong += ($value > 0.5) !== $isLeft($at % 180, intdiv($at, 180)) ? 1 : 0;
    }
    expect($wrong)->toBeLessThan(25)->and($values[45 * 180 + 130])->toBe(0.0);
});

it('is corrected by more strokes', function (): void {
    // a grey notch in the disc has the background's colour: a stroke says that it belongs to the subject
    $picture = new Flat(120, 90, fn (int $x, int $y): array => hypot($x - 60, $y - 45) < 32 && ! ($x > 62 && abs($y - 45) < 10) ? [210, 120 + $y % 5, 50] : [60 + $x % 4, 85, 140]);
    $of = fn (array $strokes): array => Segmentation::of($picture, array_map(fn (array $stroke): Stroke => Stroke::read(['size' => 6, 'hardness' => 100, ...$stroke], 's'), $strokes))->values;
    $first = [['points' => [[44, 30], [50, 60]]], ['letsIn' => false, 'points' => [[5, 5], [114, 5], [114, 84], [5, 84], [5, 5]]]];
    $notch = 45 * 120 + 76;
    expect($of($first)[$notch])->toBeLessThan(0.5)->and($of([...$first, ['points' => [[58, 45], [82, 45]]]])[$notch])->toBe(1.0);
});

it('tells hair by its colour, and leaves out what colours do not tell', function (): void {
    // dark on light left, grey on the same grey right; a band of 8 px around a level line
    $distances = $pixels = [];
    for ($y = 0; $y < 60; $y++) {
        for ($x = 0; $x < 120; $x++) {
            $distances[] = $y - 29.5;
            $grey = $x < 60 ? ($y >= 40 ? 26 : ($y < 20 ? 230 : 128)) : 102;
            $pixels[] = 255 << 24 | $grey << 16 | $grey << 8 | $grey;
        }
    }
    $alpha = HairColours::alpha($distances, new Pixels($pixels, 8), 120, 60, 8.0);
    expect($alpha[30 * 120 + 8])->toEqualWithDelta(0.5, 0.05)->and($alpha)->not->toHaveKey(30 * 120 + 112)->and($alpha)->not->toHaveKey(45 * 120 + 8);
});

it('writes and reads all of it without a loss', function (): void {
    $scene = Rendering::scene(100, 80, [
        Rendering::plate('p', [
            'values' => ['fit' => [[0, 0], [90, 5], [95, 70], [2, 60]], 'horizon' => [[0, 30], [100, 32]], 'exposure' => -2, 'drained' => 40, 'grow' => -1.5, 'unstain' => 80, 'fillInside' => true, 'bearing' => ['by' => 'shadow line', 'base' => [10, 20], 'tip' => [40, 25]]],
            'masks' => [
                ['id' => 'a', 'kind' => 'outline', 'on' => 'plate', 'values' => ['path' => [['at' => [1, 2], 'out' => [3, 4]], ['at' => [9, 9]], ['at' => [5, 1], 'in' => [-1, 0]]], 'feather' => 2.5]],
                ['id' => 'b', 'kind' => 'painted cut', 'join' => 'add', 'values' => ['strokes' => [['points' => [[1, 2, 0.5, 0], [3, 4, 1, 16]]], ['letsIn' => false, 'points' => [[9, 9]]]]]],
                ['id' => 'c', 'kind' => 'colour area', 'join' => 'take away', 'values' => ['at' => [4, 4], 'reach' => 'everywhere', 'unknown' => 7]],
            ],
        ]),
        ['kind' => 'base', 'values' => ['exposure' => -1]],
    ]);
    $again = Scene::fromJson($scene->toJson(), Registry::kinds());
    expect($again)->toEqual($scene)->and($again->toJson())->toBe($scene->toJson())->and($scene->strips[0]->cutOut())->toHaveCount(3)->and($scene->strips[0]->activeMasks())->toBe([]);
});

it('says which field of a plate is wrong', function (array $values, string $field): void {
    expect(fn () => Rendering::scene(100, 80, [Rendering::plate('p', ['values' => $values])]))->toThrow(SceneError::class, $field);
})->with([
    [['fit' => [[0, 0], [1, 1]]], 'values.fit'], [['horizon' => [[1, 1], [1, 1]]], 'values.horizon'], [['exposure' => 9], 'values.exposure'], [['unstain' => -1], 'values.unstain'],
    [['bearing' => ['by' => 'guess']], 'values.bearing.by'], [['bearing' => ['by' => 'sphere', 'elevation' => 91]], 'values.bearing.elevation'], [['bearing' => ['by' => 'shadow line', 'base' => [1, 1]]], 'values.bearing.tip'],
]);
