<?php

declare(strict_types=1);

use Aumbrel\Core\CutOut\FirstGuess;
use Aumbrel\Core\CutOut\Segmentation;
use Aumbrel\Core\Geometry\Bounds;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Stroke\Stroke;
use Tests\Support\Composite;

// the demo's own subjects on other pictures, so that the true alpha is known

it('makes a first cut of a box, or of a click', function (string $subject, string $background, bool $isBox, float $least): void {
    $made = Composite::of($subject, $background, 800);
    [$left, $top, $width, $height] = $made->box();
    $picture = $made->picture();
    $guess = new FirstGuess($picture);
    $strokes = $isBox ? $guess->inBox(new Bounds($left - 12, $top - 9, $left + $width + 15, $top + $height + 8)) : $guess->at(new Point(...$made->inside()));
    $cut = Segmentation::of($picture, array_map(static fn (array $stroke): Stroke => Stroke::read($stroke, 'stroke'), $strokes));
    expect($made->overlapOf($cut->values))->toBeGreaterThan($least);
})->with([
    ['heron', 'wall', true, 0.93], ['lantern', 'boardwalk', true, 0.93], ['heron', 'wall', false, 0.94],
    // its shaded side and its legs have the colours of what lies behind it: a start, no more
    ['heron', 'boardwalk', true, 0.5],
]);
