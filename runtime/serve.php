<?php

declare(strict_types=1);

/*
 * Starts the web server, the render processes and the queue worker, starts again what dies, and ends them all when it
 * ends: each runs in a process group of its own, because the web server's workers outlive their parent otherwise.
 *
 * php runtime/serve.php HOST PORT   (AUMBREL_SOCKET and the like as in config/aumbrel.php)
 */

chdir(dirname(__DIR__));
[, $host, $port] = $argv + [1 => '127.0.0.1', 2 => '8080'];

$extra = (string) getenv('PHP_INI_SCAN_DIR');
$ini = static fn (string $part): array => ['PHP_INI_SCAN_DIR' => $extra.':'.__DIR__.'/'.$part];
$services = [
    'web' => [[PHP_BINARY, '-S', "{$host}:{$port}", '-t', 'public', 'public/router.php'], $ini('web') + ['PHP_CLI_SERVER_WORKERS' => '6']],
    'render processes' => [[PHP_BINARY, 'artisan', 'aumbrel:render-processes'], $ini('render')],
    'queue' => [[PHP_BINARY, 'artisan', 'queue:work', '--sleep=0.5', '--tries=1', '--timeout=3600', '--quiet'], $ini('web')],
];

$log = fopen('storage/logs/serve.log', 'ab') ?: STDERR;
$pids = $died = [];
$stopping = false;
$start = static function (string $name) use ($services, $log): int {
    [$command, $environment] = $services[$name];
    $pid = pcntl_fork();
    if ($pid === 0) {
        posix_setsid();
        foreach ($environment as $key => $value) {
            putenv("{$key}={$value}");
        }
        $null = fopen('/dev/null', 'rb');
        $process = proc_open($command, [$null, $log, ['pipe', 'w']], $pipes, null, array_merge(getenv(), $environment));
        pcntl_async_signals(true);
        pcntl_signal(SIGTERM, static function () use ($process): void {
            proc_terminate($process);
        });
        // what the service says goes to the log, but for the web server's word on every request
        while (($line = fgets($pipes[2])) !== false || ! feof($pipes[2])) {
            if ($line !== false && preg_match('/ (Accepted|Closing|Closed without)|\]: \w+ |\[[234]\d\d\]: /', $line) !== 1) {
                fwrite($log, $line);
            }
        }
        exit(0);
    }

    return $pid;
};

pcntl_async_signals(true);
$stop = static function () use (&$stopping): void {
    $stopping = true;
};
foreach ([SIGINT, SIGTERM, SIGHUP] as $signal) {
    pcntl_signal($signal, $stop);
}
foreach (array_keys($services) as $name) {
    $pids[$name] = $start($name);
}

$answers = false;
for ($k = 0; $k < 100 && ! $stopping; $k++) {
    $door = @stream_socket_client("tcp://{$host}:{$port}", $code, $problem, 1);
    if ($door !== false && file_exists((string) (getenv('AUMBREL_SOCKET') ?: 'storage/run/render.sock'))) {
        fclose($door);
        $answers = true;
        break;
    }
    usleep(100_000);
}
echo $answers ? "Aumbrel runs at http://{$host}:{$port}  (end it with ctrl-C)\n" : "Aumbrel did not start; storage/logs/serve.log says why.\n";

while ($answers && ! $stopping) {
    usleep(200_000);
    while (($ended = pcntl_waitpid(-1, $status, WNOHANG)) > 0) {
        $name = array_search($ended, $pids, true);
        if (is_string($name) && ! $stopping) {
            fwrite($log, "{$name} ended and is started again\n");
            // a service that dies at once is not started again faster than once a second
            usleep(time() - ($died[$name] ?? 0) < 2 ? 1_000_000 : 0);
            $died[$name] = time();
            posix_kill(-$ended, SIGKILL);
            $pids[$name] = $start($name);
        }
    }
}
foreach ($pids as $pid) {
    posix_kill(-$pid, SIGTERM);
}
usleep(300_000);
foreach ($pids as $pid) {
    posix_kill(-$pid, SIGKILL);
}
exit($answers ? 0 : 1);
