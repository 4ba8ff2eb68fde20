<?php

declare(strict_types=1);

use App\Serve\Processes;
use Tests\Support\OwnData;
use Tests\Support\PictureFile;

/* Exports whose worker is killed, that are cancelled, that find the disk full: none runs for ever, nothing is left behind. */

const LONG_EXPORT = '$scene = app(App\Scenes\NewScene::class)->of(new App\Scenes\IncomingPicture($argv[1], "quay.png"));
    for ($k = 0; $k < 6; $k++) { $scene = app(App\Scenes\SceneStore::class)->edit($scene->id, "Add", fn ($flat) => app(App\Gestures\AddStrip::class)->onto($flat, new App\Gestures\Asked(new App\Models\Scene, ["kind" => "spot", "centre" => [900 + 100 * $k, 700], "span" => 900]))); }
    echo app(App\Export\Exports::class)->order($scene, App\Export\Ordered::picture(App\Codecs\PictureFormat::Png, 16, 92))->id;';

const STATE = '$export = App\Models\Export::query()->findOrFail($argv[1]); echo json_encode($export->only(["state", "progress", "problem", "process_group", "starts"]));';

/** @return array{OwnData, string} the data, and a long export that waits */
function longExport(): array
{
    $data = new OwnData;
    test()->beforeApplicationDestroyed(fn () => $data->remove());

    return [$data, $data->run(LONG_EXPORT, PictureFile::png(2400, 1600)->getPathname())];
}

/** Waits until an export is as wanted. */
function exportOnceIt(OwnData $data, string $export, callable $is, float $seconds = 90): array
{
    for ($until = microtime(true) + $seconds; microtime(true) < $until; usleep(50_000)) {
        $pdo = new PDO("sqlite:{$data->root}/aumbrel.sqlite");
        $state = $pdo->query('select state, progress, problem, process_group, starts from exports where id = '.$pdo->quote($export))->fetch(PDO::FETCH_ASSOC);
        if ($state !== false && $is($state)) {
            return $state;
        }
    }
    test()->fail('the export stays '.json_encode($state ?? null));
}

/** @return resource */
function worker(OwnData $data)
{
    $worker = $data->start([PHP_BINARY, base_path('artisan'), 'aumbrel:exports'], ['PHP_INI_SCAN_DIR' => getenv('PHP_INI_SCAN_DIR').':'.base_path('runtime/web')], "{$data->root}/worker.log");
    test()->beforeApplicationDestroyed(fn () => killed($worker));

    return $worker;
}

/** @param  resource  $process */
function killed($process): void
{
    if (is_resource($process)) {
        proc_terminate($process, SIGKILL);
        proc_close($process);
    }
}

it('is taken up once more when its worker was killed, and fails with a sentence the second time', function (): void {
    [$data, $export] = longExport();
    $isRunning = fn (array $state): bool => $state['state'] === 'running' && $state['progress'] > 0 && $state['process_group'] !== null;
    $first = worker($data);
    $group = (int) exportOnceIt($data, $export, $isRunning)['process_group'];
    expect(Processes::ofGroup($group))->not->toBe([]);
    killed($first);
    $second = worker($data);
    $again = exportOnceIt($data, $export, fn (array $state): bool => $isRunning($state) && (int) $state['process_group'] !== $group);
    expect((int) $again['starts'])->toBe(2)->and(Processes::ofGroup($group))->toBe([]);
    killed($second);
    $third = worker($data);
    $failed = exportOnceIt($data, $export, fn (array $state): bool => $state['state'] === 'failed');
    expect($failed['problem'])->toBe('The export was interrupted before it was done. Export again.')->and(Processes::ofGroup((int) $again['process_group']))->toBe([])
        ->and(glob("{$data->root}/exports/*"))->toBe([]);
    // and the worker goes on with others
    $next = $data->run('echo app(App\Export\Exports::class)->order(App\Models\Scene::query()->firstOrFail(), App\Export\Ordered::picture(App\Codecs\PictureFormat::Jpeg, 8, 80))->id;');
    exportOnceIt($data, $next, fn (array $state): bool => $state['state'] === 'done');
    killed($third);
});

it('ends every process of an export that is cancelled', function (): void {
    [$data, $export] = longExport();
    $worker = worker($data);
    $group = (int) exportOnceIt($data, $export, fn (array $state): bool => $state['progress'] > 0 && $state['process_group'] !== null)['process_group'];
    expect(count(Processes::ofGroup($group)))->toBeGreaterThan(1);
    $data->run('app(App\Export\Exports::class)->cancel(App\Models\Export::query()->findOrFail($argv[1]));', $export);
    $begun = microtime(true);
    while (Processes::ofGroup($group) !== [] && microtime(true) - $begun < 10) {
        usleep(20_000);
    }
    expect(microtime(true) - $begun)->toBeLessThan(2.0);
    // what it had written so far goes too
    for ($k = 0; $k < 100 && glob("{$data->root}/exports/*") !== []; $k++) {
        usleep(50_000);
    }
    expect(glob("{$data->root}/exports/*"))->toBe([])->and(json_decode($data->run(STATE, $export), true)['state'])->toBe('cancelled');
    killed($worker);
});

it('writes a rig over many pictures, each once and none half, though the worker is killed in the middle', function (): void {
    $data = new OwnData;
    test()->beforeApplicationDestroyed(fn () => $data->remove());
    $rig = json_encode(['aumbrelRig' => 1, 'name' => 'Mist', 'strips' => [['id' => 'v', 'kind' => 'fill', 'mode' => 'screen', 'amount' => 40, 'values' => ['colour' => '#8090a0']], ['id' => 's', 'kind' => 'spot', 'mode' => 'soft light', 'values' => ['origin' => [-0.4, -0.4], 'target' => [0.2, 0.2], 'softness' => 0.02]]]]);
    file_put_contents("{$data->root}/mist.rig.json", $rig);
    $begin = 'App\Rigs\RigFile::open($argv[1], fn ($file) => $file->keep(app(App\Rigs\RigShelf::class), app(App\Scenes\PictureLibrary::class)));
        $id = app(App\Rigs\RigShelf::class)->all()[0]["id"];
        foreach (array_slice($argv, 2) as $picture) { $scene = app(App\Rigs\NewFromRig::class)->of($id, new App\Scenes\IncomingPicture($picture, basename($picture))); app(App\Export\Exports::class)->order($scene, App\Export\Ordered::picture(App\Codecs\PictureFormat::Png, 8, 92), str_repeat("b", 26), pathinfo($picture, PATHINFO_FILENAME)); }';
    $pictures = array_map(function (int $at) use ($data): string {
        copy(PictureFile::png(900 + $at, 700)->getPathname(), $file = "{$data->root}/p{$at}.png");

        return $file;
    }, range(1, 6));
    $data->run($begin, "{$data->root}/mist.rig.json", ...$pictures);
    $pdo = new PDO("sqlite:{$data->root}/aumbrel.sqlite");
    $count = static fn (string $where): int => (int) $pdo->query("select count(*) from exports where {$where}")->fetchColumn();
    $until = static function (callable $is): void {
        for ($end = microtime(true) + 90; ! $is(); usleep(30_000)) {
            microtime(true) < $end || test()->fail('the exports do not go on');
        }
    };
    $first = worker($data);
    $until(static fn (): bool => $count('state = "done"') >= 2 && $count('state = "running" and process_group is not null') === 1);
    killed($first);
    $second = worker($data);
    $until(static fn (): bool => $count('state = "done"') === 6);
    killed($second);
    expect($count('1'))->toBe(6)->and($count('starts > 1'))->toBeLessThanOrEqual(1);
    $files = glob("{$data->root}/exports/*");
    expect($files)->toHaveCount(6);
    $widths = array_map(static function (string $file): int {
        // the whole of it can be read
        $image = imagecreatefrompng($file);

        return imagesx($image);
    }, $files);
    sort($widths);
    expect($widths)->toBe(range(901, 906));
});
