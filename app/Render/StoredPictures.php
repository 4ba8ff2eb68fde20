<?php

declare(strict_types=1);

namespace App\Render;

use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Picture\PackedPicture;
use Aumbrel\Core\Picture\PictureShelf;
use Aumbrel\Core\Picture\PictureSource;

/** The pictures of one scene among all that are stored; open ones stay open for as long as the process lives. */
final class StoredPictures implements PictureShelf
{
    /** @var array<string, string> id by name */
    private array $ids = [];

    /** @var array<string, PackedPicture> by id */
    private array $open = [];

    public function __construct(private readonly string $folder)
    {
    }

    /** @param  array<string, string>  $ids by name in the scene */
    public function showing(array $ids): self
    {
        $this->ids = $ids;

        return $this;
    }

    public function picture(string $name): PictureSource
    {
        $id = $this->ids[$name] ?? throw new SceneError('picture', "there is no picture \"{$name}\" in this scene");
        if (preg_match('/^[0-9a-f]{64}$/D', $id) !== 1) {
            throw new SceneError('picture', "\"{$name}\" has no stored picture");
        }

        return $this->open[$id] ??= PackedPicture::open("{$this->folder}/{$id}");
    }
}
