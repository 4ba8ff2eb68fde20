<?php

declare(strict_types=1);

use Aumbrel\Core\CutOut\Pieces;
use Aumbrel\Core\CutOut\Segmentation;
use Aumbrel\Core\Picture\Shape;
use Aumbrel\Core\Stroke\Stroke;
use Tests\Support\Faint;
use Tests\Support\Flat;

/** @param  list<array<string, mixed>>  $strokes */
function cutBy(Flat $picture, array $strokes): Shape
{
    return Segmentation::of($picture, array_map(fn (array $stroke): Stroke => Stroke::read($stroke, 'stroke'), $strokes));
}

it('cuts out a subject that hardly stands out, by three strokes', function (string $which): void {
    $faint = new Faint($which);
    $cut = cutBy($faint->picture(), Faint::strokes());
    $both = $either = 0.0;
    foreach ($faint->alpha as $at => $true) {
        $both += min($true, $cut->values[$at]);
        $either += max($true, $cut->values[$at]);
    }
    expect($both / $either)->toBeGreaterThan(0.95);
})->with(['jar on plaster', 'jar on earth', 'leaf on sand', 'grey on grey']);

it('keeps nothing that hangs together with no stroke', function (): void {
    // discs of one colour, two pixels apart: on the smaller sizes they run together
    $isRed = fn (int $x, int $y): bool => hypot(($x % 122) - 60, $y - 150) < 60 && $x < 732;
    $picture = new Flat(800, 300, fn (int $x, int $y): array => $isRed($x, $y) ? [190, 50, 40] : [60, 110, 90]);
    $cut = cutBy($picture, [
        ['size' => 12, 'hardness' => 100, 'letsIn' => true, 'points' => [[30, 150], [90, 150]]],
        ['size' => 12, 'hardness' => 100, 'letsIn' => false, 'points' => [[20, 20], [780, 20], [780, 280], [20, 280]]],
    ]);
    [$labels, $count] = Pieces::label($cut->values, 800, 300, 0.02);
    expect($count)->toBe(1)->and($labels[150 * 800 + 60])->toBe(1)->and(array_sum($cut->values))->toEqualWithDelta(M_PI * 60 ** 2, 150);
});

it('labels pieces as a flood fill does', function (int $seed): void {
    mt_srand($seed);
    [$columns, $rows] = [mt_rand(1, 40), mt_rand(1, 40)];
    $share = mt_rand(30, 75);
    $alpha = array_map(fn (): float => mt_rand(0, 99) < $share ? 1.0 : 0.0, range(1, $columns * $rows));
    [$labels, $count] = Pieces::label($alpha, $columns, $rows);
    $expected = array_fill(0, $columns * $rows, 0);
    $pieces = 0;
    foreach ($alpha as $start => $value) {
        if ($value < 0.5 || $expected[$start] !== 0) {
            continue;
        }
        $open = [$start];
        $expected[$start] = ++$pieces;
        while ($open !== []) {
            $at = array_pop($open);
            foreach ([$at % $columns > 0 ? $at - 1 : -1, $at % $columns < $columns - 1 ? $at + 1 : -1, $at - $columns, $at + $columns] as $next) {
                if (($alpha[$next] ?? 0.0) >= 0.5 && $expected[$next] === 0) {
                    $expected[$next] = $pieces;
                    $open[] = $next;
                }
            }
        }
    }
    expect($count)->toBe($pieces)->and($labels)->toBe($expected);
})->with(range(1, 25));
