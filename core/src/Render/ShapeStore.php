<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\CutOut\Shape;
use Aumbrel\Core\CutOut\ShapePicture;
use Aumbrel\Core\Fault\NotKept;
use Aumbrel\Core\Plate\PackedPicture;
use Aumbrel\Core\Plate\PackedWriter;
use Aumbrel\Core\Plate\PictureSource;

/**
 * Shapes that are worked out of whole pictures, kept as packed pictures in a folder, so that each is worked out once for
 * all processes. Whoever comes second waits for the first.
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

    /** @param  callable(): Shape  $make */
    private function made(string $name, callable $make): PictureSource
    {
        if (! is_dir($this->folder) && ! @mkdir($this->folder, 0o700, true) && ! is_dir($this->folder)) {
            throw new NotKept('the folder for shapes');
        }
        $lock = @fopen("{$this->folder}/{$name}.lock", 'c');
        if ($lock !== false) {
            flock($lock, LOCK_EX);
        }
        try {
            return $this->read($name) ?? $this->write($name, $make());
        } finally {
            if ($lock !== false) {
                flock($lock, LOCK_UN);
                fclose($lock);
                @unlink("{$this->folder}/{$name}.lock");
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
        $this->prune();
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
        self::remove("{$this->folder}/{$name}");
        @rename($aside, "{$this->folder}/{$name}");

        return $this->read($name) ?? throw new NotKept('a shape');
    }

    private function prune(): void
    {
        $folders = glob("{$this->folder}/*", GLOB_ONLYDIR) ?: [];
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
