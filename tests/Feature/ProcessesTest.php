<?php

declare(strict_types=1);

use App\Serve\Processes;
use App\Serve\RunFile;
use Tests\Support\Folder;

/* What is known of processes, and the file that says who serves. */

/** @return array{resource, int} a process in a group of its own, and its pid */
function sleeper(string $script = 'sleep 60'): array
{
    $process = proc_open(['setsid', 'bash', '-c', $script], [], $pipes);
    test()->beforeApplicationDestroyed(function () use ($process): void {
        Processes::endGroup(proc_get_status($process)['pid'], 0.05);
        proc_close($process);
    });
    $pid = proc_get_status($process)['pid'];
    for ($k = 0; $k < 200 && posix_getpgid($pid) !== $pid; $k++) {
        usleep(5_000);
    }

    return [$process, $pid];
}

it('knows a process by its pid and the time of its start', function (): void {
    [, $pid] = sleeper();
    $own = Processes::started((int) getmypid());
    expect(Processes::started($pid))->toBeGreaterThanOrEqual($own)->and(Processes::started(4_000_000))->toBeNull()->and(Processes::boot())->toMatch('/^[0-9a-f-]{36}$/');
});

it('lists the processes of a group, and ends them all', function (): void {
    [, $pid] = sleeper('sleep 61 & sleep 62 & wait');
    for ($until = microtime(true) + 5; count(Processes::ofGroup($pid)) < 3 && microtime(true) < $until;) {
        usleep(10_000);
    }
    expect(Processes::ofGroup($pid))->toHaveCount(3)->toContain($pid)->and(Processes::ofGroup($pid, Processes::started($pid) + 1_000_000))->toBe([]);
    Processes::endGroup($pid);
    for ($until = microtime(true) + 5; Processes::ofGroup($pid) !== [] && microtime(true) < $until;) {
        usleep(10_000);
    }
    expect(Processes::ofGroup($pid))->toBe([]);
});

it('ends those too that do not want to', function (): void {
    [, $pid] = sleeper('trap "" TERM; while true; do sleep 0.1; done');
    usleep(200_000);
    Processes::endGroup($pid, 0.3);
    for ($until = microtime(true) + 5; Processes::ofGroup($pid) !== [] && microtime(true) < $until;) {
        usleep(10_000);
    }
    expect(Processes::ofGroup($pid))->toBe([]);
    // nobody ends everything by a slip
    Processes::endGroup(0);
    Processes::endGroup(1);
    expect(posix_getpid())->toBe(getmypid());
});

it('is held by one, and tells the others of it', function (): void {
    $path = Folder::of('run').'/'.bin2hex(random_bytes(4)).'/serve.json';
    [$one, $other] = [new RunFile($path), new RunFile($path)];
    // a process that is started later would hold the lock too: services let go of it in their companions
    [, $pid] = sleeper();
    expect($one->take())->toBeTrue()->and($other->take())->toBeFalse();
    $one->started('web', $pid);
    $one->url('http://127.0.0.1:8080');
    expect($other->read())->toMatchArray(['pid' => getmypid(), 'url' => 'http://127.0.0.1:8080'])->and($other->read()['groups']['web'])->toBe(['group' => $pid, 'started' => Processes::started($pid)]);
    // a shorter text leaves nothing of a longer one behind
    $one->url('');
    expect($other->read()['url'])->toBe('');
    // whoever comes after a crash ends what is left
    $one->leave();
    expect($other->take())->toBeTrue()->and($other->endOrphans())->toBe(1)->and(Processes::ofGroup($pid))->toBe([]);
    $other->end();
    expect(file_exists($path))->toBeFalse();
});

it('ends nothing of what was noted before the machine was started anew, or of somebody else', function (): void {
    [, $pid] = sleeper();
    $path = Folder::of('run').'/old.json';
    $note = fn (string $boot, int $started): int|false => file_put_contents($path, json_encode(['pid' => 1, 'boot' => $boot, 'url' => '', 'groups' => ['web' => ['group' => $pid, 'started' => $started]]]));
    $run = new RunFile($path);
    $note('another boot', 0);
    expect($run->endOrphans())->toBe(0);
    // the number has been given to a process that is older than what was noted
    $note(Processes::boot(), (int) Processes::started($pid) + 500);
    expect($run->endOrphans())->toBe(0)->and(Processes::ofGroup($pid))->not->toBe([]);
    file_put_contents($path, 'not what it was');
    expect($run->read())->toBeNull()->and($run->endOrphans())->toBe(0);
});
