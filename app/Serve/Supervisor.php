<?php

declare(strict_types=1);

namespace App\Serve;

use App\Render\Pool\PoolClient;

/**
 * Runs the web server, the render processes and the queue worker on one machine: starts again what dies or does not answer
 * any more, sweeps now and then, and leaves nothing behind when it ends, however it ends.
 */
final class Supervisor
{
    /** Requests are answered by this many processes, one of them the web server itself. */
    private const WEB_PROCESSES = 7;

    private const LOOK_SECONDS = 0.2;

    /** How often it is looked whether services answer, not only live. */
    private const ASK_SECONDS = 3.0;

    /** All web processes may be busy with uploads for a while; after this long they are not busy but lost. */
    private const WEB_PATIENCE_SECONDS = 90.0;

    private const SWEEP_SECONDS = 6 * 3600;

    private const START_SECONDS = 30.0;

    private const QUICK_ENDS = 3;

    /** @var array<string, Service> */
    private array $services;

    private readonly RunFile $run;

    private readonly BootCache $cache;

    private readonly string $instance;

    private bool $stopping = false;

    private float $askedAt = 0;

    private float $answeredAt = 0;

    private float $sweptAt = 0;

    private float $paintedAt = 0;

    /** @param  string  $root  of the project */
    public function __construct(private readonly string $root, private readonly Door $door, string $runFolder, private readonly string $socket)
    {
        $this->run = new RunFile("{$runFolder}/serve.json");
        $this->cache = new BootCache($root, $runFolder);
        $this->instance = bin2hex(random_bytes(8));
    }

    /** @return int the exit code */
    public function serve(): int
    {
        if (! $this->run->take()) {
            $other = $this->run->read();
            $this->say($other !== null && $other['url'] !== '' ? "Aumbrel runs already at {$other['url']} (process {$other['pid']}); end that one first." : 'Aumbrel is being started by another process.');

            return 1;
        }
        $ended = $this->run->endOrphans();
        if ($ended > 0) {
            $this->say("{$ended} processes of an earlier start were still there and have been ended.");
        }
        $passphrase = $this->passphrase();
        $this->services = $this->services($passphrase);
        pcntl_async_signals(true);
        foreach ([SIGINT, SIGTERM, SIGHUP] as $signal) {
            pcntl_signal($signal, function (): void {
                $this->stopping = true;
            });
        }
        foreach ($this->services as $service) {
            $service->start($this->run);
        }
        $answers = $this->waitForAnswer();
        if ($answers) {
            $this->run->url($this->door->url());
            $this->say("Aumbrel runs at {$this->door->url()}  (end it with ctrl-C)");
            if ($passphrase !== null && getenv('AUMBREL_PASSPHRASE') === false) {
                $this->say("It can be reached from other machines. Passphrase: {$passphrase}");
            }
            $this->watch();
        } elseif (! $this->stopping) {
            $this->say($this->isTaken() ? "Aumbrel did not start: something else listens on {$this->door->listensOn()}. PORT= sets another port." : 'Aumbrel did not start; storage/logs/serve.log says why.');
        }
        foreach ($this->services as $service) {
            posix_kill(-$service->pid, SIGTERM);
        }
        foreach ($this->services as $service) {
            $service->stop();
        }
        $this->cache->drop();
        $this->run->end();

        return $answers ? 0 : 1;
    }

    private function watch(): void
    {
        $this->answeredAt = $this->paintedAt = microtime(true);
        while (! $this->stopping) {
            usleep((int) (self::LOOK_SECONDS * 1e6));
            while (($ended = pcntl_waitpid(-1, $status, WNOHANG)) > 0) {
                foreach ($this->services as $service) {
                    if ($service->pid === $ended && ! $this->stopping) {
                        $this->log("{$service->name} ended and is started again");
                        $service->restart($this->run);
                    }
                }
            }
            if (microtime(true) - $this->askedAt > self::ASK_SECONDS) {
                $this->ask();
                $this->sweep();
                $this->askedAt = microtime(true);
            }
        }
    }

    /** Whether services answer: a process can live and be of no use. */
    private function ask(): void
    {
        $web = $this->services['web'];
        // the first process of the group only keeps the others company
        if (count(Processes::ofGroup($web->pid)) < self::WEB_PROCESSES + 1) {
            $this->again($web, 'is not whole');

            return;
        }
        if ($this->answers(2.0)) {
            $this->answeredAt = microtime(true);
        } elseif (microtime(true) - $this->answeredAt > self::WEB_PATIENCE_SECONDS) {
            $this->again($web, 'does not answer');
        }
        if ((new PoolClient($this->socket))->stand() !== null) {
            $this->paintedAt = microtime(true);
        } elseif (microtime(true) - $this->paintedAt > self::START_SECONDS) {
            $this->again($this->services['render processes'], 'do not answer');
            $this->paintedAt = microtime(true);
        }
    }

    private function again(Service $service, string $why): void
    {
        $this->log("{$service->name} {$why} and is started again");
        $service->stop();
        $service->restart($this->run);
        $this->answeredAt = microtime(true);
    }

    private function waitForAnswer(): bool
    {
        for ($until = microtime(true) + self::START_SECONDS; microtime(true) < $until && ! $this->stopping;) {
            if ($this->answers(1.0) && file_exists($this->socket)) {
                return true;
            }
            while (($ended = pcntl_waitpid(-1, $status, WNOHANG)) > 0) {
                foreach ($this->services as $service) {
                    if ($service->pid === $ended) {
                        $service->restart($this->run);
                    }
                    if ($service->quickEnds >= self::QUICK_ENDS) {
                        return false;
                    }
                }
            }
            usleep(50_000);
        }

        return false;
    }

    /** Whether the server answers, and is the one that was started here. */
    private function answers(float $seconds): bool
    {
        $context = stream_context_create(['http' => ['timeout' => $seconds, 'ignore_errors' => true, 'header' => 'Connection: close']]);
        $reply = json_decode((string) @file_get_contents("http://{$this->door->near()}/api/health", false, $context), true);

        return is_array($reply) && ($reply['instance'] ?? null) === $this->instance;
    }

    private function isTaken(): bool
    {
        $door = @stream_socket_server("tcp://{$this->door->listensOn()}");

        return $door === false;
    }

    private function sweep(): void
    {
        if (microtime(true) - $this->sweptAt > self::SWEEP_SECONDS) {
            $this->sweptAt = microtime(true);
            // beside all the rest, and forgotten: it is not waited for
            if (pcntl_fork() === 0) {
                $this->run->leave();
                pcntl_exec(PHP_BINARY, ["{$this->root}/artisan", 'aumbrel:sweep', '--quiet']);
                posix_kill(posix_getpid(), SIGKILL);
            }
        }
    }

    /** @return array<string, Service> */
    private function services(?string $passphrase): array
    {
        $log = "{$this->root}/storage/logs/serve.log";
        $ini = fn (string $part): string => getenv('PHP_INI_SCAN_DIR').":{$this->root}/runtime/{$part}";
        $hosts = (string) getenv('AUMBREL_HOSTS');
        $web = [
            'PHP_INI_SCAN_DIR' => $ini('web'), 'PHP_CLI_SERVER_WORKERS' => (string) (self::WEB_PROCESSES - 1),
            'AUMBREL_INSTANCE' => $this->instance, 'AUMBREL_HOSTS' => implode(',', array_filter([$hosts, ...$this->door->hosts()])),
            ...($passphrase === null ? [] : ['AUMBREL_PASSPHRASE' => $passphrase]),
        ];
        $this->cache->make($web);
        $web += $this->cache->environment();
        $temporary = "{$this->root}/storage/uploads";
        if (! is_dir($temporary)) {
            mkdir($temporary, 0o700, true);
        }
        $services = [
            // the server says a word on every request
            new Service('web', [PHP_BINARY, '-d', "upload_tmp_dir={$temporary}", '-d', "sys_temp_dir={$temporary}", '-S', $this->door->listensOn(), '-t', 'public', 'public/router.php'], $web, $log, '/ (Accepted|Closing|Closed without)|\]: \w+ |\[[234]\d\d\]: /'),
            new Service('render processes', [PHP_BINARY, 'artisan', 'aumbrel:render-processes'], ['PHP_INI_SCAN_DIR' => $ini('render')], $log),
            new Service('queue', [PHP_BINARY, 'artisan', 'aumbrel:exports'], ['PHP_INI_SCAN_DIR' => $ini('web')], $log),
        ];

        return array_combine(array_map(static fn (Service $service): string => $service->name, $services), $services);
    }

    /** What others must know to get in; null when nobody else can reach the server. */
    private function passphrase(): ?string
    {
        $set = getenv('AUMBREL_PASSPHRASE');

        return match (true) {
            $set !== false && $set !== '' => $set,
            $this->door->isOpenToOthers() => implode('-', str_split(strtr(base64_encode(random_bytes(12)), ['+' => 'x', '/' => 'y', '=' => '']), 4)),
            default => null,
        };
    }

    private function say(string $text): void
    {
        echo $text, "\n";
    }

    private function log(string $text): void
    {
        file_put_contents("{$this->root}/storage/logs/serve.log", gmdate('c')." {$text}\n", FILE_APPEND);
    }
}
