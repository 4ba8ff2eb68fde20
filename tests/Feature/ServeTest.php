<?php

declare(strict_types=1);

use App\Serve\Processes;
use App\Serve\RunFile;
use Tests\Support\OwnData;

/* The supervisor: what dies is started again, what it leaves behind is ended, and it says "runs" only when it does. */

function freePort(): int
{
    $door = stream_socket_server('tcp://127.0.0.1:0');
    $port = (int) substr((string) strrchr((string) stream_socket_get_name($door, false), ':'), 1);
    fclose($door);

    return $port;
}

/** @return array{resource, string} the supervisor and the file of what it says */
function serving(OwnData $data, int $port, string $host = '127.0.0.1', array $more = []): array
{
    $out = "{$data->root}/said-".bin2hex(random_bytes(3));

    $process = $data->start([PHP_BINARY, base_path('runtime/serve.php'), $host, (string) $port], $more, $out);
    // nothing that a test has started outlives it, also when it fails
    test()->beforeApplicationDestroyed(function () use ($data, $process): void {
        $groups = groups($data);
        ended($process);
        array_map(fn (int $group) => Processes::endGroup($group, 0.1), $groups);
        $data->remove();
    });

    return [$process, $out];
}

/**
 * Ends a supervisor as ctrl-C does, if it still runs.
 *
 * @param  resource  $process
 * @return int its exit code
 */
function ended($process): int
{
    if (! is_resource($process)) {
        return -1;
    }
    proc_terminate($process, SIGTERM);
    for ($until = microtime(true) + 15; ($status = proc_get_status($process))['running'] && microtime(true) < $until;) {
        usleep(20_000);
    }
    if ($status['running']) {
        proc_terminate($process, SIGKILL);
    }
    proc_close($process);

    return $status['exitcode'];
}

function saidWithin(string $file, string $wanted, float $seconds = 40): string
{
    for ($until = microtime(true) + $seconds; microtime(true) < $until && ! str_contains((string) @file_get_contents($file), $wanted);) {
        usleep(50_000);
    }
    expect((string) file_get_contents($file))->toContain($wanted);

    return (string) file_get_contents($file);
}

/** @return array<string, int> the groups of the services, by name */
function groups(OwnData $data): array
{
    return array_map(fn (array $group): int => $group['group'], (new RunFile("{$data->root}/run/serve.json"))->read()['groups'] ?? []);
}

function lives(array $groups): array
{
    return array_merge(...array_values(array_map(fn (int $group): array => Processes::ofGroup($group), $groups)));
}

function healthOf(int $port): ?array
{
    return json_decode((string) @file_get_contents("http://127.0.0.1:{$port}/api/health", false, stream_context_create(['http' => ['timeout' => 3]])), true);
}

it('starts again what dies, ends with all it has started, and is not started twice', function (): void {
    $data = new OwnData;
    $port = freePort();
    [$process, $out] = serving($data, $port);
    saidWithin($out, "Aumbrel runs at http://127.0.0.1:{$port}");
    expect(healthOf($port)['answers'])->toBeTrue();
    // a second start from the same folder
    [$second, $saysSecond] = serving($data, freePort());
    saidWithin($saysSecond, "Aumbrel runs already at http://127.0.0.1:{$port}");
    proc_close($second);
    $groups = groups($data);
    expect(array_keys($groups))->toBe(['web', 'render processes', 'queue']);
    // settings and routes are read once; they hold the key, and are for nobody else
    $kept = ["{$data->root}/run/settings.php", "{$data->root}/run/routes.php"];
    expect(array_map(fn (string $file): string => decoct(fileperms($file) & 0o777), $kept))->toBe(['600', '600'])
        ->and((require $kept[0])['aumbrel']['instance'])->toBe(healthOf($port)['instance']);
    // one web worker dies: PHP's own server would go on with one less for ever
    $workers = fn (): array => Processes::ofGroup(groups($data)['web']);
    $before = $workers();
    expect($before)->toHaveCount(8);
    $killed = end($before);
    posix_kill($killed, SIGKILL);
    for ($until = microtime(true) + 20; microtime(true) < $until && (in_array($killed, $now = $workers(), true) || count($now) < 8 || healthOf($port) === null);) {
        usleep(100_000);
    }
    expect($workers())->toHaveCount(8)->and(healthOf($port)['answers'])->toBeTrue();
    // so do the render processes as a whole
    posix_kill(groups($data)['render processes'], SIGKILL);
    $was = $groups['render processes'];
    for ($until = microtime(true) + 20; microtime(true) < $until && (groups($data)['render processes'] === $was || ! file_exists("{$data->root}/render.sock") || Processes::ofGroup($was) !== []);) {
        usleep(100_000);
    }
    expect(groups($data)['render processes'])->not->toBe($was)->and(Processes::ofGroup($was))->toBe([]);
    $all = groups($data);
    ended($process);
    expect(lives($all))->toBe([])->and(array_filter([...$kept, "{$data->root}/run/serve.json"], file_exists(...)))->toBe([]);
});

it('leaves nothing behind when it is killed, and the next start ends what is still there', function (): void {
    $data = new OwnData;
    $port = freePort();
    [$process, $out] = serving($data, $port);
    saidWithin($out, 'Aumbrel runs at');
    $groups = groups($data);
    expect(count(lives($groups)))->toBeGreaterThan(10);
    // those who keep the services company are stopped, so that they cannot notice
    foreach ($groups as $group) {
        posix_kill($group, SIGSTOP);
    }
    proc_terminate($process, SIGKILL);
    proc_close($process);
    usleep(300_000);
    expect(lives($groups))->not->toBe([]);
    [$process, $out] = serving($data, $port);
    $says = saidWithin($out, "Aumbrel runs at http://127.0.0.1:{$port}");
    expect($says)->toContain('processes of an earlier start were still there and have been ended')->and(lives($groups))->toBe([]);
    // and without anybody's help they go by themselves
    $groups = groups($data);
    proc_terminate($process, SIGKILL);
    proc_close($process);
    for ($until = microtime(true) + 10; microtime(true) < $until && lives($groups) !== [];) {
        usleep(50_000);
    }
    expect(lives($groups))->toBe([]);
});

it('does not say that it runs where something else listens', function (): void {
    $data = new OwnData;
    $door = stream_socket_server('tcp://127.0.0.1:0');
    $port = (int) substr((string) strrchr((string) stream_socket_get_name($door, false), ':'), 1);
    [$process, $out] = serving($data, $port);
    $says = saidWithin($out, 'Aumbrel did not start');
    expect($says)->toContain("something else listens on 127.0.0.1:{$port}")->not->toContain('runs at');
    for ($until = microtime(true) + 15; ($status = proc_get_status($process))['running'] && microtime(true) < $until;) {
        usleep(20_000);
    }
    expect($status['exitcode'])->toBe(1)->and(file_exists("{$data->root}/run/serve.json"))->toBeFalse();
});

it('asks others for a passphrase, at an address that works', function (): void {
    $data = new OwnData;
    $port = freePort();
    [$process, $out] = serving($data, $port, '0.0.0.0');
    $says = saidWithin($out, 'Passphrase: ');
    preg_match('/runs at (\S+)/', $says, $url);
    preg_match('/Passphrase: (\S+)/', $says, $passphrase);
    $get = fn (string $path, array $options = []): array => (function () use ($url, $path, $options): array {
        $body = @file_get_contents($url[1].$path, false, stream_context_create(['http' => ['ignore_errors' => true, 'follow_location' => 0, ...$options]]));

        return [(int) explode(' ', $http_response_header[0] ?? '0 0')[1], $body, implode("\n", $http_response_header ?? [])];
    })();
    expect($get('/')[0])->toBe(302)->and($get('/api/scenes')[0])->toBe(401)->and($get('/passphrase')[0])->toBe(200);
    [, $page, $headers] = $get('/passphrase');
    preg_match('/name="_token" value="([^"]+)"/', $page, $token);
    preg_match_all('/^Set-Cookie: ([^;]+)/m', $headers, $cookies);
    $sent = ['method' => 'POST', 'header' => "Content-Type: application/x-www-form-urlencoded\r\nCookie: ".implode('; ', $cookies[1]), 'content' => http_build_query(['_token' => $token[1], 'passphrase' => $passphrase[1]])];
    [$status, , $headers] = $get('/passphrase', $sent);
    preg_match('/^Set-Cookie: (aumbrel_pass=[^;]+)/m', $headers, $pass);
    expect($status)->toBe(302)->and($get('/api/scenes', ['header' => "Cookie: {$pass[1]}"])[0])->toBe(200);
});
