<?php

declare(strict_types=1);

namespace App\Scenes;

use App\Codecs\UnreadablePicture;
use App\Faults\DiskFull;
use App\Files\Folder;

/**
 * A file that comes in part by part, in a folder of its own among the temporary ones. What has come stays when the line
 * breaks: whoever goes on asks how far it is. Forgotten ones are swept with the other leftovers.
 */
final readonly class Intake
{
    /** Bytes of a part, and of a file. */
    public const PART = 4 * 1024 ** 2;

    public const LARGEST = 200 * 1024 ** 2;

    /** Files that can be under way at a time; one of which nothing has come for so long is not counted. */
    private const MOST = 24;

    private const FORGOTTEN_SECONDS = 600;

    private function __construct(public string $id, private string $folder)
    {
    }

    /**
     * @param  int  $size  bytes of the whole
     *
     * @throws UnreadablePicture|DiskFull
     */
    public static function begin(string $name, int $size): self
    {
        if ($size < 1 || $size > self::LARGEST) {
            throw new UnreadablePicture($size < 1 ? "{$name} is empty (0 bytes)." : "{$name} was not taken: it is larger than 200 MB.");
        }
        if (count(array_filter(glob(self::place('*').'/bytes') ?: [], static fn (string $file): bool => (int) @filemtime($file) > time() - self::FORGOTTEN_SECONDS)) >= self::MOST) {
            throw new UnreadablePicture('Too many files are being taken in already. Wait until some of them are there.');
        }
        $intake = new self($id = bin2hex(random_bytes(16)), self::place($id));
        if (! @mkdir($intake->folder, 0o700, true) || @file_put_contents("{$intake->folder}/about.json", json_encode(['name' => $name, 'size' => $size], JSON_THROW_ON_ERROR)) === false || ! @touch($intake->bytes())) {
            throw DiskFull::writing($name);
        }

        return $intake;
    }

    /** Null when there is none, or no longer. */
    public static function find(string $id): ?self
    {
        return preg_match('/^[0-9a-f]{32}$/D', $id) === 1 && is_file(self::place($id).'/about.json') ? new self($id, self::place($id)) : null;
    }

    public function name(): string
    {
        return $this->about()['name'];
    }

    public function size(): int
    {
        return $this->about()['size'];
    }

    /** Bytes that have come. */
    public function took(): int
    {
        clearstatcache(true, $this->bytes());

        return (int) @filesize($this->bytes());
    }

    /**
     * The next part. One that has come before, or does not follow on what has come, changes nothing.
     *
     * @return int bytes that have come now
     *
     * @throws UnreadablePicture when more comes than was announced
     * @throws DiskFull
     */
    public function put(int $from, string $part): int
    {
        $file = @fopen($this->bytes(), 'cb');
        if ($file === false || ! flock($file, LOCK_EX)) {
            throw DiskFull::writing($this->name());
        }
        try {
            $took = $this->took();
            if ($from !== $took) {
                return $took;
            }
            if ($took + strlen($part) > $this->size()) {
                throw new UnreadablePicture("{$this->name()} was not taken: more came in than was announced.");
            }
            if (fseek($file, $took) !== 0 || @fwrite($file, $part) !== strlen($part) || ! @fflush($file)) {
                ftruncate($file, $took);
                throw DiskFull::writing($this->name());
            }

            return $took + strlen($part);
        } finally {
            fclose($file);
        }
    }

    /** @throws UnreadablePicture when it has not come in whole */
    public function whole(): IncomingPicture
    {
        if ($this->took() !== $this->size()) {
            throw new UnreadablePicture("{$this->name()} was not taken: it did not come in whole.");
        }

        return new IncomingPicture($this->bytes(), $this->name());
    }

    /** How far its decoding is, 0..1; told by whoever decodes it. */
    public function progress(): float
    {
        return (float) @file_get_contents($this->progressFile());
    }

    public function progressFile(): string
    {
        return "{$this->folder}/progress";
    }

    public function drop(): void
    {
        Folder::remove($this->folder);
    }

    private function bytes(): string
    {
        return "{$this->folder}/bytes";
    }

    /** @return array{name: string, size: int} */
    private function about(): array
    {
        $about = json_decode((string) @file_get_contents("{$this->folder}/about.json"), true);

        return is_array($about) && is_string($about['name'] ?? null) && is_int($about['size'] ?? null)
            ? ['name' => $about['name'], 'size' => $about['size']] : ['name' => 'The file', 'size' => 0];
    }

    private static function place(string $id): string
    {
        return config()->string('aumbrel.temporary')."/intake-{$id}";
    }
}
