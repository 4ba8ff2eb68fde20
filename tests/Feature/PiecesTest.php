<?php

declare(strict_types=1);

use App\Http\PictureAnswer;
use App\Models\Scene;
use App\Render\Bands;
use App\Render\HeldStrokes;
use App\Render\Painter;
use App\Render\Pieces;
use App\Render\Pool\PoolClient;
use App\Render\Pool\Priority;
use App\Render\Pool\Ticket;
use App\Render\RenderRequest;
use App\Scenes\SceneStore;
use Symfony\Component\HttpFoundation\StreamedResponse;

/* Pictures in pieces: how they are divided, how they are handed out, and that put together they are the whole. */

it('divides every picture into bands that make it up', function (int $columns, int $rows, int $parts, bool $isDraft): void {
    $heights = Bands::heights($columns, $rows, $parts, $isDraft);
    expect(array_sum($heights))->toBe($rows)->and(min($heights))->toBeGreaterThan(0)->and(count($heights))->toBeLessThanOrEqual(400);
    if ($isDraft) {
        // a draft is never more than one band for each of two processes
        expect(count($heights))->toBeLessThanOrEqual(2);
    }
})->with([[1, 1, 1], [640, 400, 37], [1280, 800, 3], [1280, 1, 400], [3600, 2500, 41], [3000, 3000, 400], [16000, 560, 12], [9, 16000, 5000]])->with([true, false]);

it('begins long pictures with small bands and goes on with larger ones', function (): void {
    $heights = Bands::heights(3600, 2500, 41, false);
    expect($heights[0])->toBeLessThan(20)->and(max($heights))->toBeGreaterThan(4 * $heights[0])->and(count($heights))->toBeGreaterThan(10);
    // what takes a moment is done in two
    expect(Bands::heights(1000, 600, 37, false))->toBe([300, 300])->and(Bands::heights(200, 100, 37, false))->toBe([100]);
});

it('counts strips and masks, those in groups too', function (): void {
    $request = fn (array $strips): RenderRequest => new RenderRequest(RenderRequest::PICTURE, ['strips' => $strips], [], [0.0, 0.0, 10.0, 10.0], 1.0);
    expect($request([])->parts())->toBe(1)->and($request([['masks' => [1, 2]], ['strips' => [['masks' => [1]], []]]])->parts())->toBe(7);
});

/** @return array{RenderRequest, Painter} */
function pictureToPaint(float $scale = 6.0): array
{
    $scene = addSpot(addSpot(aScene()));
    $stored = Scene::query()->findOrFail($scene['id']);
    $store = app(SceneStore::class);

    return [
        new RenderRequest(RenderRequest::PICTURE, $store->flat($stored)->toDocument(), $store->pictureIds($stored), [0.0, 0.0, 64.0, 40.0], $scale),
        new Painter(config('aumbrel.kernels'), config('aumbrel.pictures'), config('aumbrel.shapes')),
    ];
}

it('hands out one frame when it is quick, and the bands as they come when it is not', function (): void {
    [$request, $painter] = pictureToPaint();
    $ticket = new Ticket(Priority::Settled, 'v', 1);
    $none = new PoolClient('/nowhere.sock');
    $whole = $painter->paint($request);
    $rows = $request->window()->rows;
    $quick = (new PictureAnswer(new Pieces($none, $painter, [$request], $ticket), $rows, ['outlines' => (object) []]))->respond();
    $frames = framesOf((string) $quick->getContent());
    expect($frames)->toHaveCount(1)->and($frames[0]['head'])->toMatchArray(['columns' => $whole->columns, 'rows' => $rows, 'firstRow' => 0, 'of' => $rows, 'done' => true, 'clipped' => $whole->clipped, 'outlines' => []])->and($frames[0]['pixels'])->toBe($whole->bytes);
    // as it is handed out when it takes longer
    $heights = array_fill(0, (int) ceil($rows / 4), 4);
    $heights[count($heights) - 1] -= array_sum($heights) - $rows;
    $pieces = new Pieces($none, $painter, $request->bands($heights), $ticket);
    $answer = new PictureAnswer($pieces, $rows, ['outlines' => (object) []]);
    $response = (new ReflectionMethod($answer, 'stream'));
    ob_start();
    $response->invoke($answer, []);
    $frames = framesOf((string) ob_get_clean());
    $bands = array_values(array_filter($frames, fn (array $frame): bool => ($frame['head']['rows'] ?? 0) > 0));
    expect($bands)->toHaveCount(count($heights))->and(implode('', array_column($bands, 'pixels')))->toBe($whole->bytes)
        ->and(array_column(array_column($bands, 'head'), 'firstRow'))->toBe(range(0, $rows - 1, 4))
        ->and(end($frames)['head'])->toMatchArray(['done' => true, 'clipped' => $whole->clipped])
        ->and(array_column(array_column($bands, 'head'), 'progress'))->each->toBeLessThanOrEqual(1);
    // what belongs to the picture is told once
    expect(array_filter($frames, fn (array $frame): bool => isset($frame['head']['outlines'])))->toHaveCount(1);
});

it('tells in the stream what went wrong, since the answer has begun', function (): void {
    [$request, $painter] = pictureToPaint();
    $broken = new RenderRequest($request->kind, [...$request->scene->fields(), 'strips' => [['id' => 'x', 'kind' => 'candle']]], [], $request->window, 1.0);
    $answer = new PictureAnswer(new Pieces(new PoolClient('/nowhere.sock'), $painter, $broken->bands([20, 20]), new Ticket(Priority::Settled, 'v', 1)), 40, []);
    ob_start();
    (new ReflectionMethod($answer, 'stream'))->invoke($answer, []);
    $frames = framesOf((string) ob_get_clean());
    expect(end($frames)['head'])->toMatchArray(['done' => true])->toHaveKeys(['problem', 'field'])->and(end($frames)['head']['problem'])->toContain('candle');
});

it('streams what takes long', function (): void {
    $scene = addSpot(addSpot(addSpot(aScene())));
    foreach ([1, 2, 3] as $at) {
        $scene = change($scene, $at, ['values' => ['softness' => 3]])->assertOk()->json();
    }
    $response = $this->postJson("/api/scenes/{$scene['id']}/picture", ['view' => 'v', 'number' => 1, 'draft' => false, 'window' => [0, 0, 64, 40], 'scale' => 16]);
    $response->assertOk();
    $text = $response->baseResponse instanceof StreamedResponse ? $response->streamedContent() : $response->getContent();
    $frames = framesOf($text);
    expect(array_sum(array_map(fn (array $frame): int => $frame['head']['rows'] ?? 0, $frames)))->toBe(640)->and(end($frames)['head']['done'])->toBeTrue();
});

it('travels as a line and the scene, which is written once for all bands', function (): void {
    [$request] = pictureToPaint();
    $bands = $request->bands([100, 140]);
    $back = App\Render\RenderRequest::unpack($bands[1]->pack());
    expect($back->scene->fields())->toEqual($request->scene->fields())->and($back->scene->key())->toBe($request->scene->key())
        ->and([$back->firstRow, $back->rows, $back->window, $back->scale, $back->pictures])->toEqual([100, 140, $request->window, 6.0, $request->pictures])
        ->and($bands[0]->scene)->toBe($bands[1]->scene)->and($back->scene->document(new HeldStrokes)->toArray())->toEqual($request->scene->document(new App\Render\HeldStrokes)->toArray());
});
