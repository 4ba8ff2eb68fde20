<?php

declare(strict_types=1);

namespace App\CommandLine;

use App\Codecs\PictureDecoder;
use App\Codecs\UnreadablePicture;
use App\Files\Folder;
use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Picture\PackedPicture;
use Aumbrel\Core\Picture\PictureShelf;
use Aumbrel\Core\Picture\PictureSource;

/** The picture files beside a scene file; decoded ones are kept in a folder by their content. */
final class FilePictures implements PictureShelf
{
    /** @var array<string, PackedPicture> by name */
    private array $open = [];

    public function __construct(private readonly string $folder, private readonly string $kept)
    {
    }

    public function picture(string $name): PictureSource
    {
        return $this->open[$name] ??= $this->read($name);
    }

    private function read(string $name): PackedPicture
    {
        $path = "{$this->folder}/{$name}";
        if (! is_file($path)) {
            throw new SceneError('picture', "there is no file \"{$name}\" beside the scene");
        }
        $packed = $this->kept.'/'.hash_file('sha256', $path);
        if (! is_file("{$packed}/picture.json")) {
            $aside = $packed.'.'.bin2hex(random_bytes(6));
            try {
                (new PictureDecoder)->decode($path, $name, $aside);
                @rename($aside, $packed);
            } catch (UnreadablePicture $problem) {
                throw new SceneError('picture', $problem->getMessage());
            } finally {
                Folder::remove($aside);
            }
        }

        return PackedPicture::open($packed);
    }
}
