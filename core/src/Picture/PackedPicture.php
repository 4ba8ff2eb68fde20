<?php

declare(strict_types=1);

namespace Aumbrel\Core\Picture;

use Aumbrel\Core\Fault\PictureLost;

/** A picture whose packed rows lie in a folder, as {@see PackedWriter} wrote them; windows read only their rows. */
final class PackedPicture implements PictureSource
{
    /** @var array<int, resource> open files by level */
    private array $files = [];

    private function __construct(
        private readonly string $folder,
        private readonly string $key,
        private readonly int $width,
        private readonly int $height,
        private readonly int $bits,
        private readonly bool $opaque,
        public readonly float $white,
    ) {
    }

    /** @throws PictureLost when the folder holds no packed picture */
    public static function open(string $folder): self
    {
        $about = json_decode((string) @file_get_contents("{$folder}/picture.json"), true);
        if (! is_array($about) || ! is_int($about['width'] ?? null) || ! is_int($about['height'] ?? null)
            || ! in_array($about['bits'] ?? null, [8, 16], true) || ! is_bool($about['opaque'] ?? null)) {
            throw new PictureLost($folder);
        }

        return new self($folder, basename($folder), $about['width'], $about['height'], $about['bits'], $about['opaque'], is_numeric($about['white'] ?? null) ? max(1.0, (float) $about['white']) : 1.0);
    }

    public function key(): string
    {
        return $this->key;
    }

    public function width(): int
    {
        return $this->width;
    }

    public function height(): int
    {
        return $this->height;
    }

    public function bits(): int
    {
        return $this->bits;
    }

    public function opaque(): bool
    {
        return $this->opaque;
    }

    public function pixels(int $level, int $x, int $y, int $columns, int $rows): array
    {
        $file = $this->files[$level] ??= $this->file($level);
        $size = intdiv($this->bits, 2);
        $pitch = (int) ceil($this->width / 2 ** $level) * $size;
        $bytes = '';
        if ($columns * $size === $pitch) {
            fseek($file, $y * $pitch);
            $bytes = $this->readAll($file, $rows * $pitch);
        } else {
            for ($row = 0; $row < $rows; $row++) {
                fseek($file, ($y + $row) * $pitch + $x * $size);
                $bytes .= $this->readAll($file, $columns * $size);
            }
        }

        return $this->bits === 16 ? array_values(self::wholes($bytes)) : self::ofTwo($bytes);
    }

    /**
     * Pixels of 8 bits a channel. Two at a time: it is each number that costs.
     *
     * @return list<int>
     */
    private static function ofTwo(string $bytes): array
    {
        $count = intdiv(strlen($bytes), 4);
        $pixels = [];
        foreach (self::wholes($count % 2 === 0 ? $bytes : $bytes."\0\0\0\0") as $two) {
            $pixels[] = $two & 0xFFFFFFFF;
            $pixels[] = $two >> 32 & 0xFFFFFFFF;
        }
        if ($count % 2 === 1) {
            array_pop($pixels);
        }

        return $pixels;
    }

    /** @return array<int, int> whole numbers of 8 bytes, the lowest byte first */
    private static function wholes(string $bytes): array
    {
        /** @var array<int, int>|false $wholes */
        $wholes = unpack('P*', $bytes);

        return $wholes === false ? [] : $wholes;
    }

    /** @return resource */
    private function file(int $level)
    {
        $file = @fopen("{$this->folder}/{$level}.rows", 'rb');

        return $file === false ? throw new PictureLost($this->folder) : $file;
    }

    /** @param  resource  $file */
    private function readAll($file, int $length): string
    {
        $bytes = $length > 0 ? stream_get_contents($file, $length) : '';
        if ($bytes === false || strlen($bytes) !== $length) {
            throw new PictureLost($this->folder);
        }

        return $bytes;
    }
}
