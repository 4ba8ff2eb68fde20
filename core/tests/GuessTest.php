<?php

declare(strict_types=1);

use Aumbrel\Core\CutOut\EdgePath;
use Aumbrel\Core\CutOut\FirstGuess;
use Aumbrel\Core\CutOut\Segmentation;
use Aumbrel\Core\Geometry\Bounds;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Stroke\Stroke;
use Tests\Support\Flat;

/** A disc of one colour on another, both grainy. */
function grainyDisc(float $radius = 70.0, int $side = 240): Flat
{
    mt_srand(5);

    return new Flat($side, $side, static function (int $x, int $y) use ($radius, $side): array {
        $cover = max(0.0, min(1.0, $radius - hypot($x + 0.5 - $side / 2, $y + 0.5 - $side / 2) + 0.5));

        return array_map(static fn (int $in, int $out): int => max(0, min(255, (int) ($out + $cover * ($in - $out) + mt_rand(-9, 9)))), [190, 96, 60], [70, 110, 104]);
    });
}

/** @param  list<array{float, float}>  $path */
function farthestFromCircle(array $path, float $middle, float $radius): float
{
    $most = 0.0;
    for ($k = 1; $k < count($path); $k++) {
        for ($share = 0.0; $share < 1; $share += 0.1) {
            [$x, $y] = [$path[$k - 1][0] + $share * ($path[$k][0] - $path[$k - 1][0]), $path[$k - 1][1] + $share * ($path[$k][1] - $path[$k - 1][1])];
            $most = max($most, abs(hypot($x - $middle, $y - $middle) - $radius));
        }
    }

    return $most;
}

it('keeps to an edge between two clicks', function (float $to): void {
    $place = static fn (float $angle): Point => new Point(120 + 70 * cos($angle), 120 + 70 * sin($angle));
    $path = EdgePath::between(grainyDisc(), $place(0.2), $place($to));
    expect(farthestFromCircle($path, 120, 70))->toBeLessThan(1.6)->and($path[0])->toEqualWithDelta([120 + 70 * cos(0.2), 120 + 70 * sin(0.2)], 0.06)->and(count($path))->toBeLessThan(40);
})->with([0.9, 1.9, -1.2]);

it('keeps to it in a large picture too, where it is looked for small first', function (): void {
    $path = EdgePath::between(grainyDisc(330, 800), new Point(400 + 330, 400), new Point(400, 400 + 330));
    expect(farthestFromCircle($path, 400, 330))->toBeLessThan(2.5);
});

it('goes straight where nothing is, and stays in the picture', function (): void {
    $even = new Flat(90, 60, static fn (): array => [100, 100, 100]);
    expect(EdgePath::between($even, new Point(10, 30), new Point(70, 30)))->toBe([[10.0, 30.0], [70.0, 30.0]])
        ->and(EdgePath::between($even, new Point(-50, 30), new Point(700, 30)))->toBe([[0.5, 30.0], [89.5, 30.0]])
        ->and(EdgePath::between(new Flat(1, 1, static fn (): array => [1, 2, 3]), new Point(0, 0), new Point(9, 9)))->toHaveCount(2);
});

/** The overlap of what strokes cut out with what is there. */
function guessed(Flat $picture, array $alpha, array $strokes): float
{
    $cut = Segmentation::of($picture, array_map(static fn (array $stroke): Stroke => Stroke::read($stroke, 'stroke'), $strokes));
    $both = $either = 0.0;
    foreach ($alpha as $at => $true) {
        $both += min($true, $cut->values[$at]);
        $either += max($true, $cut->values[$at]);
    }

    return $both / $either;
}

it('cuts a subject out of a box round it, or of a place on it', function (bool $isBox): void {
    $picture = grainyDisc();
    $alpha = [];
    for ($at = 0; $at < 240 * 240; $at++) {
        $alpha[] = max(0.0, min(1.0, 70 - hypot($at % 240 - 119.5, intdiv($at, 240) - 119.5) + 0.5));
    }
    $guess = new FirstGuess($picture);
    $strokes = $isBox ? $guess->inBox(new Bounds(40, 40, 205, 200)) : $guess->at(new Point(100, 130));
    expect(guessed($picture, $alpha, $strokes))->toBeGreaterThan(0.97);
})->with([true, false]);

it('makes strokes of any box and place', function (): void {
    foreach ([new Flat(30, 20, static fn (): array => [9, 9, 9]), grainyDisc(20, 60), new Flat(1, 1, static fn (): array => [1, 2, 3])] as $picture) {
        foreach ([(new FirstGuess($picture))->inBox(new Bounds(0, 0, $picture->width(), $picture->height())), (new FirstGuess($picture))->at(new Point(0, 0)), (new FirstGuess($picture))->inBox(new Bounds(-50, -50, 9000, 9000))] as $strokes) {
            foreach ($strokes as $stroke) {
                Stroke::read($stroke, 'stroke');
            }
            expect(array_filter($strokes, static fn (array $stroke): bool => $stroke['letsIn']))->not->toBe([]);
        }
    }
});
