<?php

declare(strict_types=1);

namespace App\Serve;

/**
 * The file that says who serves from this folder: locked by the one that does for as long as it lives, and with the
 * groups of the processes that it has started, so that the next one can end what an earlier one has left.
 *
 * @phpstan-type Group array{group: int, started: int}
 */
final class RunFile
{
    /** @var resource|null */
    private $handle;

    /** @var array{pid: int, boot: string, url: string, groups: array<string, Group>} */
    private array $says;

    public function __construct(private readonly string $path)
    {
        $this->says = ['pid' => (int) getmypid(), 'boot' => Processes::boot(), 'url' => '', 'groups' => []];
    }

    /** Becomes the one that serves; false when another one does. */
    public function take(): bool
    {
        if (! is_dir(dirname($this->path))) {
            mkdir(dirname($this->path), 0o700, true);
        }
        $handle = fopen($this->path, 'c+b');
        if ($handle === false || ! flock($handle, LOCK_EX | LOCK_NB)) {
            return false;
        }
        $this->handle = $handle;

        return true;
    }

    /** @return array{pid: int, boot: string, url: string, groups: array<string, Group>}|null what the one says that serves, or has served last */
    public function read(): ?array
    {
        // it may be read while it is being written
        for ($try = 0; $try < 20; $try++, usleep(5_000)) {
            $says = json_decode((string) @file_get_contents($this->path), true);
            if (is_array($says) && is_array($says['groups'] ?? null) && is_string($says['boot'] ?? null)) {
                /** @var array{pid: int, boot: string, url: string, groups: array<string, Group>} */
                return $says;
            }
        }

        return null;
    }

    /** Ends what an earlier run has left; says how many processes there were. */
    public function endOrphans(): int
    {
        $earlier = $this->read();
        $ended = 0;
        foreach ($earlier !== null && $earlier['boot'] === Processes::boot() ? $earlier['groups'] : [] as ['group' => $group, 'started' => $started]) {
            $left = count(Processes::ofGroup($group, $started));
            if ($left > 0) {
                Processes::endGroup($group);
                $ended += $left;
            }
        }

        return $ended;
    }

    public function url(string $url): void
    {
        $this->says['url'] = $url;
        $this->write();
    }

    public function started(string $service, int $group): void
    {
        $this->says['groups'][$service] = ['group' => $group, 'started' => Processes::started($group) ?? 0];
        $this->write();
    }

    /** Lets go in a process that was forked off: the lock is its parent's. */
    public function leave(): void
    {
        if ($this->handle !== null) {
            fclose($this->handle);
            $this->handle = null;
        }
    }

    public function end(): void
    {
        @unlink($this->path);
        $this->leave();
    }

    private function write(): void
    {
        if ($this->handle !== null) {
            $text = json_encode($this->says, JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES);
            rewind($this->handle);
            fwrite($this->handle, $text);
            ftruncate($this->handle, strlen($text));
            fflush($this->handle);
        }
    }
}
