<?php

declare(strict_types=1);

use App\Models\Scene;
use App\Render\PaintedReply;
use App\Render\Painter;
use App\Render\Piece;
use App\Render\Pieces;
use App\Render\Pool\Dropped;
use App\Render\Pool\PoolClient;
use App\Render\Pool\Priority;
use App\Render\Pool\Reply;
use App\Render\Pool\Ticket;
use App\Render\Pool\Waiting;
use App\Render\RenderRequest;
use App\Scenes\SceneStore;
use Aumbrel\Core\Fault\SceneError;
use Tests\Support\Folder;

/** Starts two resident render processes on the pictures of this test; gives a client of theirs. */
function pool(array $settings = []): PoolClient
{
    $socket = Folder::of('pool').'/'.bin2hex(random_bytes(4)).'.sock';
    $process = proc_open([PHP_BINARY, ...$settings, base_path('artisan'), 'aumbrel:render-processes', '--processes=2'], [1 => ['file', '/dev/null', 'w'], 2 => ['file', '/dev/null', 'w']], $pipes, base_path(), [
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

/** Everything that comes of a request. */
function whole(PoolClient $pool, array $bands, Ticket $ticket): PaintedReply|Dropped|null
{
    $waiting = $pool->begin($bands, $ticket);
    $replies = [];
    while (! $waiting->isOver()) {
        foreach ($waiting->take(30) as $at => $answer) {
            $read = $answer === null ? null : Reply::read($answer);
            if (! $read instanceof PaintedReply) {
                return $read;
            }
            $replies[$at] = $read;
        }
    }
    ksort($replies);

    return PaintedReply::joined(array_values($replies));
}

function ticket(Priority $priority, string $view, int $number): Ticket
{
    return new Ticket($priority, $view, $number);
}

/** Waits until the render processes have nothing to do; gives how they stand, and how long that took. */
function idle(PoolClient $pool): array
{
    $begun = microtime(true);
    do {
        usleep(5_000);
        $stand = $pool->stand();
    } while ($stand['busy'] + $stand['waiting'] > 0 && microtime(true) - $begun < 60);

    return [$stand, microtime(true) - $begun];
}

it('renders in resident processes what this one renders, in bands too', function (): void {
    $request = asked(addSpot(aScene()));
    $pool = pool();
    $here = (new Painter(config('aumbrel.kernels'), config('aumbrel.pictures'), config('aumbrel.shapes')))->paint($request);
    expect(whole($pool, [$request], ticket(Priority::Settled, 'a', 1))->bytes)->toBe($here->bytes)
        ->and(whole($pool, $request->bands([20, 20]), ticket(Priority::Draft, 'a', 2))->worked(0))->toEqual($here);
});

it('works the cleaned edges of a scene out at full size while the hand rests, and then does what it is asked', function (): void {
    $scene = aScene(900, 700);
    $stored = Scene::query()->findOrFail($scene['id']);
    $store = app(SceneStore::class);
    $document = $store->flat($stored)->toDocument();
    $document['strips'][0]['values']['hairBand'] = 4;
    $document['strips'][0]['masks'] = [['id' => 'cut', 'kind' => 'outline', 'on' => 'plate', 'values' => ['path' => [['at' => [100, 80]], ['at' => [800, 80]], ['at' => [800, 620]], ['at' => [100, 620]]]]]];
    $request = fn (string $kind, float $scale): RenderRequest => new RenderRequest($kind, $document, $store->pictureIds($stored), [0.0, 0.0, 900.0, 700.0], $scale);
    $shapes = Folder::of('shapes-ahead').'/'.bin2hex(random_bytes(4));
    // not what is just being written beside its place
    $found = fn (): array => array_values(preg_grep('~/[0-9a-f]{32}$~D', glob("{$shapes}/found/*/*") ?: []) ?: []);
    putenv("AUMBREL_SHAPES={$shapes}");
    try {
        $pool = pool();
    } finally {
        putenv('AUMBREL_SHAPES');
    }
    whole($pool, [$request(RenderRequest::FACTS, 0.25)], ticket(Priority::Settled, 'facts', 1));
    // what was looked at meanwhile is gone again: whatever lies there now was worked out at rest
    array_map(unlink(...), $found());
    for ($k = 0; $k < 400 && count($found()) < 4; $k++) {
        usleep(50_000);
    }
    $ahead = $found();
    expect($ahead)->toHaveCount(4);
    // asked of both processes, one of which has worked ahead
    $full = $request(RenderRequest::PICTURE, 1.0);
    $came = whole($pool, $full->bands([350, 350]), ticket(Priority::Settled, 'a', 4));
    expect($found())->toBe($ahead)
        ->and($came->bytes)->toBe((new Painter(config('aumbrel.kernels'), config('aumbrel.pictures'), $shapes))->paint($full)->bytes);
});

it('drops what a newer request has made needless', function (): void {
    $request = asked(aScene());
    $pool = pool();
    expect(whole($pool, [$request], ticket(Priority::Draft, 'view', 7)))->toBeInstanceOf(PaintedReply::class)
        ->and(whole($pool, [$request], ticket(Priority::Draft, 'view', 6)))->toBeInstanceOf(Dropped::class)
        ->and(whole($pool, [$request], ticket(Priority::Draft, 'another view', 1)))->toBeInstanceOf(PaintedReply::class);
});

it('withdraws while it renders what nobody waits for any more, and renders no row twice', function (): void {
    $request = asked(addSpot(addSpot(aScene())), 40.0);
    $pool = pool();
    $rows = $request->window()->rows;
    $bands = $request->bands(array_fill(0, 8, intdiv($rows, 8)));
    // somebody asks and leaves
    $waiting = $pool->begin($bands, ticket(Priority::Settled, 'leaver', 1));
    expect($waiting->take(30))->not->toBe([])->and($pool->stand()['busy'])->toBeGreaterThan(0);
    unset($waiting);
    [$stand, $seconds] = idle($pool);
    expect($seconds)->toBeLessThan(0.5)->and($stand['withdrawn'])->toBeGreaterThan(0)->and($stand['rows'])->toBeLessThan($rows);
    // a newer picture of the same view ends an older one at rest at once, but not a draft
    $old = $pool->begin($bands, ticket(Priority::Settled, 'view', 1));
    $draft = $pool->begin([0 => $request->bands([8])[0]], ticket(Priority::Draft, 'view', 2));
    expect(array_unique(array_map(fn (?string $answer): string => $answer[0], all($old))))->toBe(['D'])->and(all($draft)[0][0])->toBe('P');
    // and whoever waits gets every row, each rendered once
    [$before] = idle($pool);
    expect(whole($pool, $bands, ticket(Priority::Settled, 'stayer', 1))->rows)->toBe($rows - $rows % 8);
    expect(idle($pool)[0]['rows'] - $before['rows'])->toBe($rows - $rows % 8);
});

it('puts off what can wait when somebody waits for something else, and does it after that', function (): void {
    $request = asked(addSpot(addSpot(aScene())), 60.0);
    $pool = pool();
    $rows = $request->window()->rows;
    // one for each process, so that none is free
    $slow = $pool->begin($request->bands([intdiv($rows, 2), $rows - intdiv($rows, 2)]), ticket(Priority::Contribution, 'miniatures', 1));
    $quick = $request->bands([8])[0];
    foreach ([Priority::Draft, Priority::Settled] as $number => $priority) {
        // it was begun again after a rest
        for ($k = 0; $k < 200 && $pool->stand()['busy'] < 2; $k++) {
            usleep(5_000);
        }
        expect(whole($pool, [0 => $quick], ticket($priority, 'view', $number + 1)))->toBeInstanceOf(PaintedReply::class)
            ->and($pool->stand()['withdrawn'])->toBeGreaterThan($number)->and($slow->isOver())->toBeFalse();
    }
    // another one that can wait does
    $withdrawn = $pool->stand()['withdrawn'];
    $later = $pool->begin([0 => $quick], ticket(Priority::Contribution, 'lights', 1));
    expect(array_map(fn (?string $answer): string => $answer[0], [...all($slow), ...all($later)]))->toBe(['P', 'P', 'P'])
        ->and(idle($pool)[0]['withdrawn'])->toBe($withdrawn)->and($pool->stand()['dropped'])->toBe(0);
});

it('shows the miniatures before it measures the scene, whichever was asked for first', function (): void {
    $request = asked(addSpot(aScene()), 12.0);
    $facts = new RenderRequest(RenderRequest::FACTS, $request->scene, $request->pictures, $request->window, 1.0);
    $pool = pool();
    // while somebody looks both wait
    expect(whole($pool, [$request], ticket(Priority::Settled, 'view', 1)))->toBeInstanceOf(PaintedReply::class);
    $measured = $pool->begin([0 => $facts], ticket(Priority::Facts, 'facts', 1));
    $small = $pool->begin([0 => $request->bands([8])[0]], ticket(Priority::Contribution, 'miniatures', 1));
    expect(array_map(fn (?string $answer): string => $answer[0], all($small)))->toBe(['P'])->and($measured->isOver())->toBeFalse()
        ->and(array_map(fn (?string $answer): string => $answer[0], all($measured)))->toBe(['P']);
});

/** Every answer, by part. */
function all(Waiting $waiting): array
{
    $answers = [];
    while (! $waiting->isOver()) {
        $answers += $waiting->take(30);
    }

    return $answers;
}

it('goes on when a process is killed in its work, and renders only what was lost again', function (): void {
    $request = asked(addSpot(aScene()), 30.0);
    $pool = pool();
    $rows = $request->window()->rows;
    expect(whole($pool, $request->bands([$rows]), ticket(Priority::Draft, 'warm', 1)))->toBeInstanceOf(PaintedReply::class);
    $before = $pool->stand();
    $painter = new Painter(config('aumbrel.kernels'), config('aumbrel.pictures'), config('aumbrel.shapes'));
    $pieces = new Pieces($pool, $painter, $request->bands([intdiv($rows, 2), $rows - intdiv($rows, 2)]), ticket(Priority::Settled, 'v', 2));
    posix_kill($before['processes'][0], SIGKILL);
    $came = [];
    while (! $pieces->isDone()) {
        array_push($came, ...$pieces->take(5));
    }
    usort($came, fn (Piece $a, Piece $b): int => $a->firstRow <=> $b->firstRow);
    expect(implode('', array_map(fn (Piece $piece): string => $piece->painted->bytes, $came)))->toBe($painter->paint($request)->bytes)
        ->and(idle($pool)[0]['rows'] - $before['rows'])->toBe($rows)->and($pool->stand()['processes'])->not->toContain($before['processes'][0])->toHaveCount(2);
});

it('lives through a rest that is longer than the time-out of sockets', function (): void {
    $request = asked(aScene());
    $pool = pool(['-d', 'default_socket_timeout=1']);
    whole($pool, [$request], ticket(Priority::Draft, 'v', 1));
    $before = $pool->stand()['processes'];
    usleep(2_600_000);
    expect($pool->stand()['processes'])->toBe($before)->and(whole($pool, [$request], ticket(Priority::Draft, 'v', 2)))->toBeInstanceOf(PaintedReply::class)
        ->and($pool->stand()['processes'])->toBe($before);
});

it('says what is wrong with a scene, and is not reached when it does not run', function (): void {
    $request = asked(aScene());
    $pool = pool();
    $broken = new RenderRequest($request->kind, [...$request->scene->fields(), 'strips' => [['id' => 'x', 'kind' => 'candle']]], [], $request->window, 1.0);
    expect(fn () => whole($pool, [$broken], ticket(Priority::Settled, 'v', 1)))->toThrow(SceneError::class, 'candle');
    expect((new PoolClient('/nowhere.sock'))->begin([$request], ticket(Priority::Settled, 'v', 1)))->toBeNull();
});

it('keeps each process below its limit of memory', function (): void {
    $request = asked(addSpot(addSpot(aScene())), 12.0);
    // what is needed for one picture fits, what is kept of many does not
    $painter = new Painter(config('aumbrel.kernels'), config('aumbrel.pictures'), config('aumbrel.shapes'), $limit = memory_get_usage() + 80 * 1024 * 1024);
    foreach (range(1, 12) as $k) {
        $painter->paint(new RenderRequest($request->kind, $request->scene, $request->pictures, [$k / 3, 0.0, 60.0, 40.0], 12.0, below: $request->scene->fields()['strips'][1]['id']));
        $painter->tidy();
        expect(memory_get_usage())->toBeLessThan($limit);
    }
});
