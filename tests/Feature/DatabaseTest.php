<?php

declare(strict_types=1);

use App\Database\ImmediatePdo;
use App\Faults\DatabaseBusy;
use App\Faults\DatabaseFault;
use App\Faults\DiskFull;
use Tests\Support\OwnData;
use Tests\Support\PictureFile;

/* What happens to edits when several come at once, and when the database cannot take them. */

const NEW_SCENE = '$file = new App\Scenes\IncomingPicture($argv[1], "quay.png"); $scene = app(App\Scenes\NewScene::class)->of($file); echo $scene->id, " ", app(App\Scenes\SceneStore::class)->flat($scene)->order[0][0];';

/** @return array{OwnData, string, string} the data, a scene and its plate */
function ownScene(?string $root = null): array
{
    $data = new OwnData($root);
    [$scene, $strip] = explode(' ', $data->run(NEW_SCENE, PictureFile::png(64, 40)->getPathname()));
    if ($root === null) {
        test()->beforeApplicationDestroyed(fn () => $data->remove());
    }

    return [$data, $scene, $strip];
}

it('lets concurrent edits wait for their turn: eight writers, none refused, none lost', function (): void {
    [$data, $scene, $strip] = ownScene();
    $writers = [];
    foreach (range(1, 8) as $writer) {
        $writers[] = $data->runBeside('for ($k = 0; $k < 12; $k++) { $said = ask("POST", "/api/scenes/{$argv[1]}/gestures/change-strips", ["label" => "w", "revisions" => [$argv[2] => 0], "changes" => [$argv[2] => ["name" => "x"]]]);
            $said = ask("POST", "/api/scenes/{$argv[1]}/gestures/add-strip", ["kind" => "fill", "centre" => [1, 2], "span" => 10]); echo $said["status"], "\n"; }', "{$data->root}/writer{$writer}", $scene, $strip);
    }
    foreach ($writers as $writer) {
        proc_close($writer);
    }
    $said = array_merge(...array_map(fn (int $writer): array => file("{$data->root}/writer{$writer}", FILE_IGNORE_NEW_LINES), range(1, 8)));
    expect(array_count_values($said))->toBe(['200' => 96]);
    expect($data->run('echo App\Models\Strip::query()->count(), " ", App\Models\Edit::query()->count();'))->toBe('97 96');
});

it('waits while another process holds the database, and says so when that takes too long', function (): void {
    [$data, $scene] = ownScene();
    $hold = '$pdo = new PDO("sqlite:".config("database.connections.sqlite.database")); $pdo->exec("begin immediate"); touch($argv[2]); usleep((int) $argv[1]); $pdo->exec("rollback");';
    $add = 'config(["database.connections.sqlite.busy_timeout" => (int) $argv[2]]); Illuminate\Support\Facades\DB::purge(); $begun = microtime(true); $said = ask("POST", "/api/scenes/{$argv[1]}/gestures/add-strip", ["kind" => "fill", "centre" => [1, 2], "span" => 10]); echo json_encode([$said["status"], $said["says"]["message"] ?? "", microtime(true) - $begun]);';
    $held = $data->runBeside($hold, '/dev/null', '1500000', "{$data->root}/held");
    for ($k = 0; $k < 200 && ! file_exists("{$data->root}/held"); $k++) {
        usleep(10_000);
    }
    [$status, , $seconds] = json_decode($data->run($add, $scene, '15000'), true);
    expect($status)->toBe(200)->and($seconds)->toBeGreaterThan(0.3);
    proc_close($held);
    unlink("{$data->root}/held");
    $held = $data->runBeside($hold, '/dev/null', '3000000', "{$data->root}/held");
    for ($k = 0; $k < 200 && ! file_exists("{$data->root}/held"); $k++) {
        usleep(10_000);
    }
    [$status, $message] = json_decode($data->run($add, $scene, '200'), true);
    expect($status)->toBe(503)->and($message)->toBe('Another process holds the database. Nothing was written yet; try again in a moment.');
    proc_close($held);
    // ten seconds are within the patience that the application has
    expect(config('database.connections.sqlite.busy_timeout'))->toBeGreaterThan(10_000);
});

it('says that the disk is full, writes nothing, and goes on when there is room again', function (): void {
    [$data, $scene] = ownScene();
    $said = $data->run('$scene = $argv[1]; $add = fn () => ask("POST", "/api/scenes/{$scene}/gestures/add-strip", ["kind" => "spot", "centre" => [1, 2], "span" => 10]); $add();
        // as full as a disk: the database may not grow by a page
        $pages = DB::scalar("pragma page_count"); DB::statement("pragma max_page_count = {$pages}"); $said = [];
        for ($k = 0; $k < 40; $k++) { $one = $add(); $said[$one["status"]] = $one["says"]["message"] ?? ""; }
        $undo = ask("POST", "/api/scenes/{$scene}/undo");
        $before = App\Models\Strip::query()->count(); DB::statement("pragma max_page_count = 1000000"); $after = $add();
        echo json_encode(["said" => $said, "undo" => $undo["status"], "after" => $after["status"], "grew" => App\Models\Strip::query()->count() - $before, "edits" => App\Models\Scene::query()->first()->edits_done - App\Models\Edit::query()->count()]);', $scene);
    $said = json_decode($said, true);
    expect($said['said'])->toHaveKey(507)->and($said['said'][507])->toStartWith('The change could not be written: the disk seems to be full.')->and(array_keys($said['said']))->each->toBeIn([200, 507])
        ->and($said['undo'])->toBeIn([200, 507])->and($said['after'])->toBe(200)->and($said['grew'])->toBe(1);
});

it('ends a transaction that could not be committed, so that the next one can begin', function (): void {
    $file = tempnam(sys_get_temp_dir(), 'aumbrel');
    $pdo = new ImmediatePdo("sqlite:{$file}", null, null, [PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION]);
    $pdo->exec('pragma foreign_keys = on');
    $pdo->exec('create table a (id integer primary key)');
    $pdo->exec('create table b (a references a deferrable initially deferred)');
    $pdo->beginTransaction();
    expect($pdo->inTransaction())->toBeTrue();
    $pdo->exec('insert into b values (7)');
    expect(fn () => $pdo->commit())->toThrow(PDOException::class)->and($pdo->inTransaction())->toBeFalse();
    expect($pdo->beginTransaction())->toBeTrue();
    $pdo->exec('insert into a values (1)');
    $pdo->commit();
    expect($pdo->query('select count(*) from a')->fetchColumn())->toBe(1)->and($pdo->query('select count(*) from b')->fetchColumn())->toBe(0);
    unlink($file);
});

it('tells faults of the database apart', function (string $says, string $class, int $status): void {
    $fault = DatabaseFault::of(new PDOException($says));
    expect($fault)->toBeInstanceOf($class)->and($fault->status())->toBe($status)->and($fault->getMessage())->not->toContain('SQLSTATE');
})->with([
    ['SQLSTATE[HY000]: General error: 13 database or disk is full', DiskFull::class, 507], ['SQLSTATE[HY000]: General error: 5 database is locked', DatabaseBusy::class, 503],
    ['SQLSTATE[HY000]: General error: 1 no such table: scenes', App\Faults\DatabaseFailed::class, 503],
]);

it('writes a gesture once, however often it comes', function (): void {
    $scene = aScene();
    $add = fn (string $key) => $this->postJson("/api/scenes/{$scene['id']}/gestures/add-strip", ['kind' => 'fill', 'centre' => [1, 2], 'span' => 10], ['Idempotency-Key' => $key])->assertOk()->json();
    $add('gesture-one');
    expect($add('gesture-one')['strips'])->toHaveCount(2)->and($add('gesture-two')['strips'])->toHaveCount(3);
    foreach ([1, 2] as $k) {
        $state = $this->postJson("/api/scenes/{$scene['id']}/undo", [], ['Idempotency-Key' => 'gesture-undo'])->assertOk()->json();
        expect($state['strips'])->toHaveCount(2);
    }
    // one that was refused is not remembered as written
    $spot = $state['strips'][1];
    $change = fn (int $revision) => $this->postJson("/api/scenes/{$scene['id']}/gestures/change-strip", ['strip' => $spot['id'], 'revision' => $revision, 'name' => 'N'], ['Idempotency-Key' => 'gesture-change']);
    $change(99)->assertConflict();
    $change($spot['revision'])->assertOk()->assertJsonPath('strips.1.name', 'N');
    $this->postJson("/api/scenes/{$scene['id']}/undo", [], ['Idempotency-Key' => 'no'])->assertStatus(422);
});

it('goes by what was seen in every kind of gesture', function (): void {
    $scene = addSpot(addSpot(aScene()));
    [$plate, $spot] = $scene['strips'];
    $at = "/api/scenes/{$scene['id']}";
    $this->postJson("{$at}/gestures/change-strip", ['strip' => $spot['id'], 'revision' => $spot['revision'], 'name' => 'Newer'])->assertOk();
    $this->postJson("{$at}/gestures/change-strip", ['strip' => $plate['id'], 'revision' => $plate['revision'], 'name' => 'Newer plate'])->assertOk();
    $stale = ['revision' => $spot['revision']];
    $this->postJson("{$at}/gestures/add-mask", ['strip' => $spot['id'], 'kind' => 'linear', 'centre' => [1, 2], 'span' => 9, ...$stale])->assertConflict()->assertJsonPath('strip', $spot['id']);
    $this->postJson("{$at}/gestures/duplicate", ['strip' => $spot['id'], ...$stale])->assertConflict();
    $this->postJson("{$at}/gestures/remove-strip", ['strip' => $spot['id'], ...$stale])->assertConflict();
    $this->postJson("{$at}/gestures/trio", ['strip' => $plate['id'], 'revision' => $plate['revision']])->assertConflict();
    $this->postJson("{$at}/gestures/average", ['strip' => $plate['id'], 'revision' => $plate['revision']])->assertConflict();
    $this->postJson("{$at}/undo", ['revision' => $scene['revision']])->assertConflict();
    // a fade elsewhere does not stand in the way of the order, another order does
    $ids = array_column($scene['strips'], 'id');
    $order = fn (array $ids, int $revision) => $this->postJson("{$at}/gestures/reorder", ['strips' => $ids, 'revision' => $revision]);
    $order([$ids[0], $ids[2], $ids[1]], $scene['orderRevision'])->assertOk();
    $order($ids, $scene['orderRevision'])->assertConflict()->assertJsonPath('message', fn (string $says): bool => str_contains($says, 'changed in another window'));
    $now = $this->getJson($at)->json();
    expect($this->getJson("{$at}/revision")->json('revision'))->toBe($now['revision']);
    $order($ids, $now['orderRevision'])->assertOk();
});
