<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kernel;

use Aumbrel\Core\Fault\NotKept;
use LogicException;

/**
 * Keeps kernels as files, like compiled views: text that is evaluated is never compiled to machine code, a file is.
 *
 * Files are written aside and renamed, so that two processes may write the same one. At most MOST are kept; the least
 * recently written go first.
 */
final class KernelStore
{
    public const MOST = 300;

    /** @var array<string, callable(list<float>, list<array<int, int|float>>, list<mixed>, array<string, mixed>, int, int, int, float, float, float): void> */
    private array $loaded = [];

    public function __construct(private readonly string $folder)
    {
    }

    /**
     * @return callable(list<float>, list<array<int, int|float>>, list<mixed>, array<string, mixed>, int, int, int, float, float, float): void
     *
     * @throws NotKept when the folder cannot be written
     */
    public function load(KernelSource $source): callable
    {
        return $this->loaded[$source->name] ??= $this->include($source);
    }

    public function path(KernelSource $source): string
    {
        return "{$this->folder}/{$source->name}.php";
    }

    private function include(KernelSource $source): callable
    {
        $path = $this->path($source);
        if (! is_file($path)) {
            $this->write($path, "<?php\n\nfunction {$source->name}{$source->body}");
        }
        if (! function_exists($source->name)) {
            require $path;
        }

        return is_callable($source->name) ? $source->name : throw new LogicException("the kernel file {$path} holds something else");
    }

    private function write(string $path, string $text): void
    {
        if (! is_dir($this->folder) && ! @mkdir($this->folder, 0o755, true) && ! is_dir($this->folder)) {
            throw new NotKept('the folder for kernels');
        }
        $aside = "{$path}.".bin2hex(random_bytes(6));
        if (@file_put_contents($aside, $text) !== strlen($text) || ! @rename($aside, $path)) {
            @unlink($aside);
            throw new NotKept('a kernel');
        }
        $this->prune();
    }

    private function prune(): void
    {
        $files = glob("{$this->folder}/*.php") ?: [];
        if (count($files) <= self::MOST) {
            return;
        }
        usort($files, static fn (string $a, string $b): int => (int) @filemtime($a) <=> (int) @filemtime($b));
        foreach (array_slice($files, 0, count($files) - self::MOST * 3 / 4) as $old) {
            @unlink($old);
        }
    }
}
