<?php

declare(strict_types=1);

use App\Models\Scene;
use App\Scenes\SceneStore;

/* Whatever a hand does, undo leads back to where it began, step by step, and redo forth again: tried with gestures at random. */

/** The scene as it is written, without revisions. */
function documentOf(array $scene): array
{
    return json_decode(app(SceneStore::class)->whole(Scene::query()->findOrFail($scene['id']))->toJson(), true);
}

/** Does one gesture at random; says whether it was one. */
function randomGesture(array $scene): bool
{
    $at = "/api/scenes/{$scene['id']}";
    $state = test()->getJson($at)->json();
    $strip = $state['strips'][mt_rand(0, count($state['strips']) - 1)];
    $masks = $strip['masks'];
    $mask = $masks === [] ? null : $masks[mt_rand(0, count($masks) - 1)];
    $ask = fn (string $gesture, array $with) => test()->postJson("{$at}/gestures/{$gesture}", ['strip' => $strip['id'], ...$with]);
    $patch = fn (array $change) => $ask('change-strip', ['revision' => $strip['revision'], ...$change]);
    $response = match (mt_rand(0, 13)) {
        0 => test()->postJson("{$at}/gestures/add-strip", ['kind' => 'spot', 'centre' => [mt_rand(0, 60), mt_rand(0, 40)], 'span' => mt_rand(10, 60), 'above' => $strip['id']]),
        1 => test()->postJson("{$at}/gestures/add-strip", ['kind' => 'fill', 'centre' => [1, 1], 'span' => 9]),
        2 => $patch(['name' => 'Name '.mt_rand(0, 999)]),
        3 => $patch(['muted' => ! $strip['muted']]),
        4 => isset($strip['level']) ? $patch(['level' => mt_rand(-60, 60) / 10]) : $patch(['amount' => mt_rand(0, 100)]),
        5 => $patch(['mode' => ['normal', 'screen', 'multiply', 'airlight', 'illuminate'][mt_rand(0, 4)]]),
        6 => $ask('duplicate', ['revision' => $strip['revision']]),
        7 => $strip['kind'] === 'plate' ? null : $ask('remove-strip', ['revision' => $strip['revision']]),
        8 => test()->postJson("{$at}/gestures/reorder", ['strips' => (function (array $ids): array {
            shuffle($ids);

            return $ids;
        })(array_column($state['strips'], 'id')), 'revision' => $state['orderRevision']]),
        9 => $ask('add-mask', ['kind' => ['linear', 'radial'][mt_rand(0, 1)], 'centre' => [mt_rand(0, 60), 20], 'span' => 30, 'revision' => $strip['revision']]),
        10 => $ask('add-mask', ['kind' => 'strokes', 'centre' => [0, 0], 'span' => 1, 'values' => ['strokes' => [['points' => [[mt_rand(0, 60), 3], [9, mt_rand(0, 40)]]]]]]),
        11 => $mask === null ? null : $patch(['masks' => [$mask['id'] => ['inverted' => ! $mask['inverted']]]]),
        12 => $mask === null || $mask['kind'] !== 'strokes' ? null : $patch(['masks' => [$mask['id'] => ['strokes' => [['points' => [[mt_rand(0, 60), mt_rand(0, 40)]]], ['points' => [[5, 6], [7, 8]]]]]]]),
        default => $mask === null ? null : $ask('remove-mask', ['mask' => $mask['id'], 'revision' => $strip['revision']]),
    };
    expect($response?->getStatusCode() ?? 200)->toBeIn([200, 422]);

    return $response !== null && $response->getStatusCode() < 300;
}

it('leads back and forth through everything that a hand can do', function (int $seed): void {
    mt_srand($seed);
    $scene = addSpot(aScene());
    $states = [documentOf($scene)];
    for ($k = 0; $k < 45; $k++) {
        randomGesture($scene);
        $now = documentOf($scene);
        if ($now !== end($states)) {
            $states[] = $now;
        }
    }
    expect(count($states))->toBeGreaterThan(20);
    $last = count($states) - 1;
    foreach ([[$last - 1, 0, -1, 'undo'], [1, $last, 1, 'redo'], [$last - 1, (int) ($last / 2), -1, 'undo']] as [$from, $to, $step, $way]) {
        for ($at = $from; $at !== $to + $step; $at += $step) {
            $this->postJson("/api/scenes/{$scene['id']}/{$way}")->assertOk();
            expect(documentOf($scene))->toBe($states[$at], "{$way} to {$at}");
        }
    }
    // a new gesture cuts off what was taken back
    $this->postJson("/api/scenes/{$scene['id']}/gestures/add-strip", ['kind' => 'fill', 'centre' => [1, 1], 'span' => 9])->assertOk()->assertJsonPath('redo', null);
    $this->postJson("/api/scenes/{$scene['id']}/undo")->assertOk();
    expect(documentOf($scene))->toBe($states[(int) ($last / 2)]);
})->with([1, 2, 3]);

it('keeps at most a thousand edits, and goes on', function (): void {
    $scene = addSpot(aScene());
    $stored = Scene::query()->findOrFail($scene['id']);
    // as if there had been many
    $edit = $stored->edits()->firstOrFail();
    $stored->update(['edits_done' => 1500]);
    $edit->update(['position' => 1500]);
    change($this->getJson("/api/scenes/{$scene['id']}")->json(), 1, ['level' => 2])->assertOk();
    expect($stored->refresh()->edits_done)->toBe(1501)->and($stored->edits()->min('position'))->toBe(1500);
    $this->postJson("/api/scenes/{$scene['id']}/undo")->assertOk()->assertJsonPath('strips.1.level', 0);
    $this->postJson("/api/scenes/{$scene['id']}/undo")->assertOk()->assertJsonCount(1, 'strips')->assertJsonPath('undo', null);
});
