<?php

declare(strict_types=1);

use App\Models\Scene;
use App\Render\PaintedReply;
use App\Render\Painter;
use App\Render\Pool\Dropped;
use App\Render\Pool\PoolClient;
use App\Render\Pool\Priority;
use App\Render\RenderRequest;
use App\Scenes\SceneStore;
use Aumbrel\Core\Scene\SceneError;
use Tests\Support\Folder;

/** Starts two resident render processes on the pictures of this test; gives a client of theirs. */
function pool(): PoolClient
{
    $socket = Folder::of('pool').'/'.bin2hex(random_bytes(4)).'.sock';
    $process = proc_open([PHP_BINARY, base_path('artisan'), 'aumbrel:render-processes', '--processes=2'], [1 => ['file', '/dev/null', 'w'], 2 => ['file', '/dev/null', 'w']], $pipes, base_path(), [
        'PHP_INI_SCAN_DIR' => getenv('PHP_INI_SCAN_DIR').':'.base_path('runtime/render'), 'AUMBREL_SOCKET' => $socket,
        'AUMBREL_PICTURES' => config('aumbrel.pictures'), 'AUMBREL_KERNELS' => config('aumbrel.kernels'),
    ] + getenv());
    test()->beforeApplicationDestroyed(fn () => proc_terminate($process));
    for ($k = 0; $k < 100 && ! file_exists($socket); $k++) {
        usleep(50_000);
    }

    return new PoolClient($socket);
}

function asked(array $scene, float $scale = 1.0): RenderRequest
{
    $stored = Scene::query()->findOrFail($scene['id']);
    $store = app(SceneStore::class);

    return new RenderRequest(RenderRequest::PICTURE, $store->flat($stored)->toDocument(), $store->pictureIds($stored), [0.0, 0.0, 64.0, 40.0], $scale);
}

it('renders in resident processes what this one renders, in bands too', function (): void {
    $request = asked(addSpot(aScene()));
    $pool = pool();
    $here = (new Painter(config('aumbrel.kernels'), config('aumbrel.pictures'), config('aumbrel.shapes')))->paint($request);
    expect($pool->ask([$request], Priority::Settled, 'a', 1)->bytes)->toBe($here->bytes)
        ->and($pool->ask($request->bands(2), Priority::Draft, 'a', 2))->toEqual($here);
});

it('drops what a newer request has made needless', function (): void {
    $request = asked(aScene());
    $pool = pool();
    expect($pool->ask([$request], Priority::Draft, 'view', 7))->toBeInstanceOf(PaintedReply::class)
        ->and($pool->ask([$request], Priority::Draft, 'view', 6))->toBeInstanceOf(Dropped::class)
        ->and($pool->ask([$request], Priority::Draft, 'another view', 1))->toBeInstanceOf(PaintedReply::class);
});

it('goes on when a process is killed in its work', function (): void {
    $request = asked(addSpot(aScene()), 14.0);
    $pool = pool();
    expect($pool->ask($request->bands(2), Priority::Draft, 'v', 1))->toBeInstanceOf(PaintedReply::class);
    exec('pgrep -f "aumbrel:render-processes --processes=2"', $pids);
    // the dispatcher is the oldest of them
    sort($pids);
    foreach (array_slice($pids, -2) as $pid) {
        posix_kill((int) $pid, SIGKILL);
    }
    usleep(300_000);
    expect($pool->ask($request->bands(2), Priority::Draft, 'v', 2))->toBeInstanceOf(PaintedReply::class);
});

it('says what is wrong with a scene, and is not reached when it does not run', function (): void {
    $request = asked(aScene());
    $pool = pool();
    $broken = new RenderRequest($request->kind, [...$request->scene, 'strips' => [['id' => 'x', 'kind' => 'torch']]], [], $request->window, 1.0);
    expect(fn () => $pool->ask([$broken], Priority::Settled, 'v', 1))->toThrow(SceneError::class, 'torch');
    expect((new PoolClient('/nowhere.sock'))->ask([$request], Priority::Settled, 'v', 1))->toBeNull();
});
