<?php

declare(strict_types=1);

use Tests\Support\Composite;

// the demo's own subjects, composited on other pictures, so that the true alpha is known

it('finds a subject from at most six rough strokes', function (string $subject, string $background, int $columns): void {
    $made = Composite::of($subject, $background, $columns);
    $strokes = $made->scribbles(12);
    expect(count($strokes))->toBeLessThanOrEqual(6)->and($made->share($strokes))->toBeLessThan(0.05);
    $scene = $made->sceneFile(['masks' => [['id' => 'cut', 'kind' => 'painted cut', 'on' => 'plate', 'values' => ['strokes' => $strokes]]]]);
    $out = dirname($scene).'/cut.png';
    expect(aumbrel('render', $scene, '--out', $out, '--strip', 'plate'))->toMatchArray(['status' => 0]);
    expect($made->overlap($out))->toBeGreaterThan(0.97);
})->with([
    ['lantern', 'boardwalk', 1600], ['lantern', 'wall', 1600], ['heron', 'wall', 1600],
]);

it('goes a long way where a subject is as dark as its background, and a stroke more goes all of it', function (): void {
    // the heron's legs and its grey foot before dark planks: legs take up nothing of a stroke that keeps away from edges
    $made = Composite::of('heron', 'boardwalk', 1600);
    $strokes = $made->scribbles(12);
    $overlap = function (array $strokes) use ($made): float {
        $scene = $made->sceneFile(['masks' => [['id' => 'cut', 'kind' => 'painted cut', 'on' => 'plate', 'values' => ['strokes' => $strokes]]]]);
        $out = dirname($scene).'/cut.png';
        aumbrel('render', $scene, '--out', $out, '--strip', 'plate');

        return $made->overlap($out);
    };
    expect($overlap($strokes))->toBeGreaterThan(0.95);
    // the same six strokes, the one on the head down one leg and up the other instead
    $strokes[1]['points'] = [[775, 600], [766, 700], [757, 840], [800, 880], [798, 760], [792, 660]];
    expect($strokes)->toHaveCount(6)->and($overlap($strokes))->toBeGreaterThan(0.97);
});

it('takes at least half of the fringe out of a real edge', function (): void {
    $made = Composite::of('heron', 'wall', 1000);
    $outline = ['id' => 'cut', 'kind' => 'painted cut', 'on' => 'plate', 'values' => ['strokes' => $made->scribbles(8)]];
    $errors = [];
    foreach ([0, 100] as $unstain) {
        $scene = $made->sceneFile(['masks' => [$outline], 'values' => ['unstain' => $unstain, 'soften' => 1]]);
        $out = dirname($scene).'/cut.png';
        aumbrel('render', $scene, '--out', $out, '--strip', 'plate');
        $errors[] = $made->fringeError($out);
    }
    expect($errors[1])->toBeLessThan(0.5 * $errors[0]);
});
