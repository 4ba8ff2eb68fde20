<?php

declare(strict_types=1);

namespace Aumbrel\Core\Picture;

use Aumbrel\Core\Fault\NotKept;

/**
 * Shapes that are worked out of whole pictures, kept as packed pictures in a folder, and what was found out about pieces of
 * pictures, as bytes: each is worked out once for all processes. Whoever comes second waits for the first.
 */
final class ShapeStore
{
    /** So many are kept; the least recently made go first. */
    private const MOST = 48;

    /** @var array<string, PictureSource> */
    private array $open = [];

    private readonly string $folder;

    public function __construct(?string $folder = null)
    {
        $this->folder = $folder ?? sys_get_temp_dir().'/aumbrel-shapes';
    }

    /** @param  callable(): Shape  $make */
    public function get(string $key, callable $make): PictureSource
    {
        $name = hash('sha256', $key);
        if (count($this->open) > self::MOST) {
            $this->open = [];
        }

        return $this->open[$name] ??= $this->read($name) ?? $this->made($name, $make);
    }

    /**
     * What was found out about a piece of something (the edge in a block of a picture), as bytes.
     *
     * @param  string  $whole  names the something: its pieces are kept and go together
     * @param  callable(): string  $make
     */
    public function found(string $whole, string $piece, callable $make): string
    {
        $folder = "{$this->folder}/found/".hash('xxh128', $whole);
        $file = "{$folder}/".hash('xxh128', $piece);
        $read = static fn (): ?string => is_file($file) ? ((string) @file_get_contents($file) ?: null) : null;
        if (($known = $read()) !== null) {
            return $known;
        }
        if (! is_dir($folder)) {
            $this->prune("{$this->folder}/found");
            @mkdir($folder, 0o700, true);
        }

        return self::once("{$file}.lock", static function () use ($read, $make, $file): string {
            if (($known = $read()) !== null) {
                return $known;
            }
            $bytes = $make();
            $aside = "{$file}.".bin2hex(random_bytes(6));
            if (@file_put_contents($aside, $bytes) !== strlen($bytes) || ! @rename($aside, $file)) {
                // a full disk: it is right all the same, and will be worked out again
                @unlink($aside);
            }

            return $bytes;
        });
    }

    /** @param  callable(): Shape  $make */
    private function made(string $name, callable $make): PictureSource
    {
        self::folder($this->folder);

        return self::once("{$this->folder}/{$name}.lock", fn (): PictureSource => $this->read($name) ?? $this->write($name, $make()));
    }

    private static function folder(string $folder): void
    {
        if (! is_dir($folder) && ! @mkdir($folder, 0o700, true) && ! is_dir($folder)) {
            throw new NotKept('the folder for shapes');
        }
    }

    /**
     * @template T
     *
     * @param  callable(): T  $make
     * @return T of the first that asks; whoever comes second waits
     */
    private static function once(string $file, callable $make): mixed
    {
        $lock = @fopen($file, 'c');
        if ($lock !== false) {
            flock($lock, LOCK_EX);
        }
        try {
            return $make();
        } finally {
            if ($lock !== false) {
                flock($lock, LOCK_UN);
                fclose($lock);
                @unlink($file);
            }
        }
    }

    private function read(string $name): ?PictureSource
    {
        if (! is_file("{$this->folder}/{$name}/shape.json")) {
            return null;
        }
        $about = json_decode((string) file_get_contents("{$this->folder}/{$name}/shape.json"), true);
        if (! is_array($about) || ! is_int($about['width'] ?? null) || ! is_int($about['height'] ?? null) || ! is_int($about['level'] ?? null)) {
            return null;
        }

        return new ShapePicture(PackedPicture::open("{$this->folder}/{$name}"), $about['width'], $about['height'], $about['level']);
    }

    private function write(string $name, Shape $shape): PictureSource
    {
        $this->prune($this->folder);
        $aside = "{$this->folder}/{$name}.".bin2hex(random_bytes(6));
        $halving = $shape->halving();
        $writer = new PackedWriter($aside, $halving->columns, $halving->rows, 8);
        for ($row = 0; $row < $halving->rows; $row++) {
            $pixels = [];
            foreach (array_slice($shape->values, $row * $halving->columns, $halving->columns) as $value) {
                $pixels[] = (int) ($value * 255 + 0.5) << 24 | 0xFFFFFF;
            }
            $writer->band(pack('V*', ...$pixels));
        }
        $writer->finish();
        file_put_contents("{$aside}/shape.json", json_encode(['width' => $shape->width, 'height' => $shape->height, 'level' => $shape->level], JSON_THROW_ON_ERROR));
        // one that lies there and could not be read is damaged
        if (is_dir("{$this->folder}/{$name}")) {
            self::remove("{$this->folder}/{$name}");
        }
        @rename($aside, "{$this->folder}/{$name}");

        return $this->read($name) ?? throw new NotKept('a shape');
    }

    private function prune(string $in): void
    {
        $folders = array_diff(glob("{$in}/*", GLOB_ONLYDIR) ?: [], ["{$this->folder}/found"]);
        usort($folders, static fn (string $one, string $other): int => (int) @filemtime($other) <=> (int) @filemtime($one));
        foreach (array_slice($folders, self::MOST) as $old) {
            self::remove($old);
        }
    }

    private static function remove(string $folder): void
    {
        array_map(static fn (string $file): bool => @unlink($file), glob("{$folder}/*") ?: []);
        @rmdir($folder);
    }
}
