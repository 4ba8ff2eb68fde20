<?php

declare(strict_types=1);

namespace App\Serve;

/**
 * A command that is kept running: in a process group of its own, ended with whoever has started it, and what it says on
 * its error output written to the log.
 */
final class Service
{
    private const LOOK_SECONDS = 1;

    /** Ends within this time mean that it does not start at all. */
    private const QUICK_SECONDS = 2.0;

    public int $pid = 0;

    public int $quickEnds = 0;

    private float $startedAt = 0;

    /**
     * @param  list<string>  $command
     * @param  array<string, string>  $environment
     * @param  string  $quiet  a pattern of lines that are not worth a log
     */
    public function __construct(public readonly string $name, private readonly array $command, private readonly array $environment, private readonly string $log, private readonly string $quiet = '')
    {
    }

    public function start(RunFile $run): void
    {
        $this->startedAt = microtime(true);
        $parent = posix_getpid();
        $pid = pcntl_fork();
        if ($pid === 0) {
            posix_setsid();
            $run->leave();
            $this->keepCompany($parent);
            posix_kill(0, SIGKILL);
        }
        $this->pid = $pid;
        // the group is there once the child has made it
        for ($k = 0; $k < 200 && posix_getpgid($pid) !== $pid; $k++) {
            usleep(1000);
        }
        $run->started($this->name, $pid);
    }

    public function stop(): void
    {
        Processes::endGroup($this->pid);
        pcntl_waitpid($this->pid, $status);
    }

    /** Starts it anew after it has ended. */
    public function restart(RunFile $run): void
    {
        $this->quickEnds = microtime(true) - $this->startedAt < self::QUICK_SECONDS ? $this->quickEnds + 1 : 0;
        // what is left of the group goes too
        posix_kill(-$this->pid, SIGKILL);
        usleep($this->quickEnds > 0 ? 500_000 : 0);
        $this->start($run);
    }

    /** Runs the command and stays beside it; goes, and takes it along, when it ends or its supervisor is gone. */
    private function keepCompany(int $parent): void
    {
        $log = fopen($this->log, 'ab') ?: STDERR;
        $null = fopen('/dev/null', 'rb');
        $process = proc_open($this->command, [$null, $log, ['pipe', 'w']], $pipes, null, array_merge(getenv(), $this->environment));
        pcntl_async_signals(true);
        pcntl_signal(SIGTERM, static function () use ($process): void {
            proc_terminate($process);
        });
        pcntl_signal(SIGINT, SIG_IGN);
        stream_set_blocking($pipes[2], false);
        while (posix_getppid() === $parent && ! feof($pipes[2])) {
            $read = [$pipes[2]];
            $write = $except = null;
            if (@stream_select($read, $write, $except, self::LOOK_SECONDS) > 0) {
                while (($line = fgets($pipes[2])) !== false) {
                    if ($this->quiet === '' || preg_match($this->quiet, $line) !== 1) {
                        fwrite($log, $line);
                    }
                }
            }
        }
    }
}
