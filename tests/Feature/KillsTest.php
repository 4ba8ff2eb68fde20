<?php

declare(strict_types=1);

use App\Serve\Processes;
use App\Serve\RunFile;

/*
 * Several hands edit one scene while processes are killed at random, the supervisor with all its children among them, and
 * while another process holds the database now and then. Every acknowledged gesture is there afterwards, once.
 *
 * KILL_SECONDS= makes it longer by hand.
 */
it('loses no acknowledged edit and writes none twice, whatever is killed', function (): void {
    $seconds = (int) (getenv('KILL_SECONDS') ?: 40);
    [$data, $scene] = ownScene();
    $hands = 4;
    $strips = explode(' ', trim($data->run('for ($k = 0; $k < (int) $argv[2]; $k++) { $scene = app(App\Scenes\SceneStore::class)->edit($argv[1], "Add", fn ($flat) => app(App\Gestures\AddStrip::class)->onto($flat, new App\Gestures\Asked(new App\Models\Scene, ["kind" => "fill", "centre" => [9, 9], "span" => 9]))); }
        echo implode(" ", App\Models\Strip::query()->where("kind", "fill")->pluck("key")->all());', $scene, (string) $hands)));
    $port = freePort();
    [$server, $out] = serving($data, $port);
    saidWithin($out, 'Aumbrel runs at');
    $clients = [];
    foreach ($strips as $at => $strip) {
        $clients[] = $data->start([PHP_BINARY, base_path('tests/faults/client.php'), "http://127.0.0.1:{$port}", $scene, $strip, (string) $seconds, "{$data->root}/hand{$at}"], out: "{$data->root}/hands.log");
    }
    $kills = 0;
    mt_srand(11);
    // while all of it is being started again there is nothing to kill: it is tried again soon
    for ($until = microtime(true) + $seconds - 2, $did = true; microtime(true) < $until; usleep($did ? mt_rand(100_000, 700_000) : 200_000)) {
        $did = false;
        $groups = (new RunFile("{$data->root}/run/serve.json"))->read()['groups'] ?? [];
        $what = mt_rand(0, 9);
        if ($what === 0) {
            // all at once, as when the machine goes
            proc_terminate($server, SIGKILL);
            array_map(fn (array $group) => posix_kill(-$group['group'], SIGKILL), $groups);
            proc_close($server);
            [$server, $out] = serving($data, $port);
            $kills++;
            $did = true;
        } elseif ($what === 1) {
            $pdo = new PDO("sqlite:{$data->root}/aumbrel.sqlite");
            $pdo->exec('begin immediate');
            usleep(800_000);
            $pdo->exec('rollback');
            $did = true;
        } elseif ($groups !== []) {
            $group = $groups[array_rand($groups)];
            $pids = Processes::ofGroup($group['group'], $group['started']);
            if ($pids !== []) {
                posix_kill($pids[array_rand($pids)], SIGKILL);
                $kills++;
                $did = true;
            }
        }
    }
    foreach ($clients as $client) {
        while (proc_get_status($client)['running']) {
            usleep(100_000);
        }
    }
    $said = array_map(fn (int $at): array => json_decode((string) file_get_contents("{$data->root}/hand{$at}"), true), array_keys($strips));
    $now = json_decode($data->run('$scene = App\Models\Scene::query()->firstOrFail(); echo json_encode(["done" => $scene->edits_done, "names" => App\Models\Strip::query()->pluck("name", "key"), "check" => DB::scalar("pragma integrity_check")]);'), true);
    expect(array_merge(...array_column($said, 'odd')))->toBe([])->and($kills)->toBeGreaterThan($seconds / 3)->and($now['check'])->toBe('ok');
    foreach ($strips as $at => $strip) {
        expect($now['names'][$strip])->toBe((string) $said[$at]['acknowledged'], "hand {$at}")->and($said[$at]['acknowledged'])->toBeGreaterThan(3);
    }
    expect($now['done'])->toBe($hands + array_sum(array_column($said, 'acknowledged')));
    fwrite(STDERR, sprintf("  %d kills, %d gestures acknowledged in %d tries\n", $kills, array_sum(array_column($said, 'acknowledged')), array_sum(array_column($said, 'tries'))));
});
