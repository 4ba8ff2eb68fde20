<?php

declare(strict_types=1);

namespace App\Scenes;

use App\Codecs\ExrPasses;
use App\Codecs\PictureDecoder;
use App\Codecs\PictureHead;
use App\Codecs\UnreadablePicture;
use App\Faults\DiskFull;
use App\Files\Folder;
use App\Models\Picture;
use Aumbrel\Core\Picture\PackedPicture;
use Closure;
use LogicException;

/** Takes picture files in: the file as it came, and its packed rows, in a folder named after the content. */
final readonly class PictureLibrary
{
    public function __construct(private PictureDecoder $decoder, private string $folder)
    {
    }

    /**
     * @param  string  $name  what the person calls the file, for messages only
     *
     * @throws UnreadablePicture
     */
    public function take(string $path, string $name): Picture
    {
        $head = PictureHead::read($path, $name);
        $id = $this->prepare($path, $name, head: $head);
        $packed = PackedPicture::open($this->path($id));

        return Picture::query()->updateOrCreate(['id' => $id], [
            'width' => $packed->width(), 'height' => $packed->height(), 'bits' => $packed->bits(), 'opaque' => $packed->opaque(), 'format' => $head->format->value,
        ]);
    }

    /**
     * Decodes a file, so that it is taken at once later; the database does not know of it yet.
     *
     * @param  (Closure(float): void)|null  $progress  told the share that is done; may throw to end it
     * @return string its id
     *
     * @throws UnreadablePicture
     */
    public function prepare(string $path, string $name, ?Closure $progress = null, ?PictureHead $head = null): string
    {
        $head ??= PictureHead::read($path, $name);
        $id = (string) hash_file('sha256', $path);
        if (! is_file($this->path($id).'/picture.json')) {
            $this->unpack($path, $name, $this->path($id), $head, $progress);
        }
        if (! is_file($this->path($id).'/original')) {
            $this->keep($path, $this->path($id).'/original');
        }

        return $id;
    }

    /** By how many stops a picture is stored darker than it is, so that what goes beyond white is kept. */
    public function darkerBy(Picture $picture): float
    {
        return round(log(PackedPicture::open($this->path($picture->id))->white, 2), 3);
    }

    /**
     * The passes that a file brought along, as files.
     *
     * @return array{files: array<string, string>, range: float} paths by the plate's value that names them, and how much further the furthest of its depth is than the nearest
     */
    public function passes(Picture $picture): array
    {
        $folder = $this->path($picture->id);

        return ['files' => ExrPasses::in($folder), 'range' => (float) @file_get_contents("{$folder}/range")];
    }

    /** What is worth saying of a file that was taken. */
    public function notice(string $path, string $name): ?string
    {
        return PictureHead::read($path, $name)->isAnimated ? "{$name} holds several pictures: the first one was taken." : null;
    }

    /**
     * @param  (Closure(float): void)|null  $progress
     *
     * @throws UnreadablePicture
     */
    private function unpack(string $path, string $name, string $folder, PictureHead $head, ?Closure $progress): void
    {
        $aside = $folder.'.'.bin2hex(random_bytes(6));
        try {
            $this->decoder->decode($path, $name, $aside, $head, $progress);
            if (! @rename($aside, $folder) && ! is_file("{$folder}/picture.json")) {
                throw DiskFull::writing('The picture');
            }
        } finally {
            Folder::remove($aside);
        }
    }

    private function keep(string $path, string $original): void
    {
        $aside = $original.'.'.bin2hex(random_bytes(6));
        if (! @copy($path, $aside) || ! @rename($aside, $original)) {
            @unlink($aside);
            throw DiskFull::writing('The picture file');
        }
    }

    /** The folder of a picture's packed rows and its file. */
    public function path(string $id): string
    {
        if (preg_match('/^[0-9a-f]{64}$/D', $id) !== 1) {
            throw new LogicException('no such picture');
        }

        return "{$this->folder}/{$id}";
    }
}
