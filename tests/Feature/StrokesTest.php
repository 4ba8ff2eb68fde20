<?php

declare(strict_types=1);

use App\Models\Scene;
use App\Render\HeldStrokes;
use App\Render\Painter;
use App\Render\Pieces;
use App\Render\Pool\PoolClient;
use App\Render\Pool\Priority;
use App\Render\Pool\Ticket;
use App\Render\RenderRequest;
use App\Render\StrokesMissing;
use App\Scenes\SceneStore;
use App\Scenes\StrokeShelf;
use Aumbrel\Core\Stroke\Stroke;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/* Strokes travel by their names: a scene with many of them is asked for, read and changed as quickly as one without. */

/** A scene with a spot that is revealed by so many strokes. */
function paintedScene(int $strokes): array
{
    $scene = addSpot(aScene());
    $recorded = array_map(fn (int $k): array => ['size' => 8, 'points' => [[$k % 60, 3 + $k % 30, 0.5, 0], [$k % 50 + 9, 20, 1, 40]]], range(1, $strokes));

    return test()->postJson("/api/scenes/{$scene['id']}/gestures/add-mask", [
        'strip' => $scene['strips'][1]['id'], 'kind' => 'strokes', 'centre' => [0, 0], 'span' => 1, 'values' => ['start' => 'hidden', 'strokes' => $recorded],
    ])->assertOk()->json();
}

function namedRequest(array $scene): RenderRequest
{
    $stored = Scene::query()->findOrFail($scene['id']);
    $store = app(SceneStore::class);

    return new RenderRequest(RenderRequest::PICTURE, $store->flat($stored)->toDocument(), $store->pictureIds($stored), [0.0, 0.0, 64.0, 40.0], 1.0, kept: (new StrokeShelf($stored->id))->texts(...));
}

function freshPainter(): Painter
{
    return new Painter(config('aumbrel.kernels'), config('aumbrel.pictures'), config('aumbrel.shapes'));
}

/** The bytes of a picture that is asked for at a pool, or here. */
function picturedBy(PoolClient $pool, RenderRequest $request, int $number): string
{
    $pieces = new Pieces($pool, freshPainter(), $request->bands([20, 20]), new Ticket(Priority::Settled, 'strokes', $number));
    $came = [];
    while (! $pieces->isDone()) {
        foreach ($pieces->take(10) as $piece) {
            $came[$piece->firstRow] = $piece->painted->bytes;
        }
    }
    ksort($came);

    return implode('', $came);
}

it('sends strokes to a process once, and then names them', function (): void {
    $request = namedRequest(paintedScene(40));
    expect(strlen($request->pack()))->toBeLessThan(6000)->and(fn () => freshPainter()->paint($request))->toThrow(StrokesMissing::class);
    $expected = freshPainter()->paint($request->withStrokes())->bytes;
    $pool = pool();
    expect(picturedBy($pool, $request, 1))->toBe($expected)->and(picturedBy($pool, $request, 2))->toBe($expected);
    // asked without a way to get them, the processes hold them by now
    $again = RenderRequest::unpack($request->pack());
    expect(picturedBy($pool, $again, 3))->toBe($expected)
        // and where no process can be reached it is rendered here
        ->and(picturedBy(new PoolClient('/nowhere'), $request, 4))->toBe($expected);
});

it('shows a stroke that grows beside those that are named', function (): void {
    $scene = paintedScene(5);
    $spot = $scene['strips'][1];
    $look = fn (array $changes): string => $this->postJson("/api/scenes/{$scene['id']}/picture", [
        'view' => 'v', 'number' => random_int(1, PHP_INT_MAX >> 12), 'draft' => true, 'window' => [0, 0, 64, 40], 'scale' => 1, 'changes' => $changes,
    ])->assertOk()->getContent();
    $growing = ['masks' => [$spot['masks'][0]['id'] => ['strokes' => [['size' => 30, 'points' => [[10, 30], [50, 34]]]]]]];
    $draft = $look([$spot['id'] => $growing]);
    expect($draft)->not->toBe($look([]));
    $this->postJson("/api/scenes/{$scene['id']}/gestures/change-strip", ['strip' => $spot['id'], 'revision' => $spot['revision'], ...$growing])->assertOk();
    expect(substr($look([]), -64 * 40 * 4))->toBe(substr($draft, -64 * 40 * 4));
});

it('takes names of strokes from nobody', function (string $name): void {
    $scene = paintedScene(2);
    $spot = $scene['strips'][1];
    $known = $spot['masks'][0]['values']['strokes'][0];
    $other = Str::replace('KNOWN', $known, $name);
    $elsewhere = addSpot(aScene());
    $mask = $this->postJson("/api/scenes/{$elsewhere['id']}/gestures/add-mask", ['strip' => $elsewhere['strips'][1]['id'], 'kind' => 'strokes', 'centre' => [0, 0], 'span' => 1])->json('strips.1');
    $this->postJson("/api/scenes/{$elsewhere['id']}/gestures/change-strip", ['strip' => $mask['id'], 'revision' => $mask['revision'], 'masks' => [$mask['masks'][0]['id'] => ['strokes' => [$other]]]])->assertStatus(422);
    $this->postJson("/api/scenes/{$elsewhere['id']}/picture", [
        'view' => 'v', 'number' => 1, 'draft' => true, 'window' => [0, 0, 64, 40], 'scale' => 1, 'changes' => [$mask['id'] => ['masks' => [$mask['masks'][0]['id'] => ['strokes' => [$other]]]]],
    ])->assertStatus(422);
})->with(['KNOWN', 'nobody', '']);

it('gives whole strokes to whoever takes the scene away', function (): void {
    $scene = paintedScene(3);
    $isWhole = fn (array $document): bool => count($document['strips'][1]['masks'][0]['values']['strokes']) === 3 && $document['strips'][1]['masks'][0]['values']['strokes'][2]['points'][0] == [3, 6, 0.5, 0];
    $file = $this->get("/api/scenes/{$scene['id']}/file")->assertOk()->getContent();
    expect($isWhole(json_decode($file, true)))->toBeTrue();
    $export = $this->postJson("/api/scenes/{$scene['id']}/exports", ['format' => 'png', 'bits' => 8])->assertCreated()->json();
    expect($isWhole(App\Models\Export::query()->findOrFail($export['id'])->scene))->toBeTrue();
    // packed and taken in again they are strokes of another scene
    $zip = $this->get("/api/scenes/{$scene['id']}/packed")->assertOk()->baseResponse->getFile()->getPathname();
    $copy = $this->post('/api/scenes', ['file' => new UploadedFile($zip, 'scene.zip', test: true)])->assertCreated()->json('id');
    expect(DB::table('strokes')->where('scene_id', $copy)->count())->toBe(3);
});

it('lets go of strokes that no scene of the moment uses, when there are too many', function (): void {
    $held = new HeldStrokes;
    $text = fn (int $k): string => json_encode(['size' => 400, 'points' => array_map(fn (int $n): array => [$n, $k], range(1, 4000))]);
    for ($k = 0; $k < 260; $k++) {
        $held->hold(["s{$k}" => $text($k)]);
    }
    $strokes = $held->in(['masks' => [['strokes' => ['s259', 's258']]]])['masks'][0]['strokes'];
    expect($strokes)->each->toBeInstanceOf(Stroke::class)->and($strokes[0]->points[0][1])->toBe(259.0)
        ->and(fn () => $held->in(['strokes' => ['s0', 's259']]))->toThrow(StrokesMissing::class, '1 strokes');
});

it('learns what strokes do from an index, without reading them', function (): void {
    $plan = DB::select('explain query plan select lets_in, key from strokes where scene_id = ?', ['x']);
    expect($plan[0]->detail)->toContain('COVERING INDEX');
});
