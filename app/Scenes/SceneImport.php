<?php

declare(strict_types=1);

namespace App\Scenes;

use App\Codecs\UnreadablePicture;
use App\Faults\DiskFull;
use App\Files\Folder;
use App\Models\Scene;
use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Scene\Scene as Document;

/** Stores a scene file with the pictures that lie beside it, or a packed scene. */
final readonly class SceneImport
{
    public function __construct(private SceneStore $store, private PictureLibrary $library)
    {
    }

    /**
     * @throws SceneError when it is no scene, or a picture is missing
     * @throws UnreadablePicture
     * @throws NoPackedScene|DiskFull
     */
    public function fromFile(string $file): Scene
    {
        return PackedScene::isOne($file)
            ? Folder::temporary(fn (string $folder): Scene => $this->fromSceneFile(PackedScene::unpack($file, $folder), fn (string $name): string => "{$folder}/{$name}"))
            : $this->fromSceneFile($file, static fn (string $name): string => dirname($file)."/{$name}");
    }

    /**
     * A scene file and its pictures as they were brought, each by its name.
     *
     * @param  array<array-key, string>  $pictures  paths by name
     *
     * @throws SceneError|UnreadablePicture|DiskFull
     */
    public function fromParts(string $file, array $pictures): Scene
    {
        return $this->fromSceneFile($file, static fn (string $name): string => $pictures[$name] ?? '');
    }

    /** Whether a file is a scene file, by its content. */
    public static function isSceneFile(string $file): bool
    {
        return preg_match('/^(\xEF\xBB\xBF)?\s*\{/', (string) @file_get_contents($file, length: 4096)) === 1;
    }

    /** @param  callable(string): string  $place  of a picture by its name */
    private function fromSceneFile(string $file, callable $place): Scene
    {
        if ((int) @filesize($file) > PackedScene::LARGEST_SCENE) {
            throw new SceneError('', 'a scene file has at most 64 MB');
        }
        $document = Document::fromJson((string) @file_get_contents($file), Registry::kinds());
        $names = array_combine($document->pictures(), $document->pictures());
        // what is missing is said before anything is taken in
        $missing = array_filter($names, static fn (string $name): bool => ! is_file($place($name)));
        if ($missing !== []) {
            throw new SceneError('picture', 'these pictures of the scene are missing: '.implode(', ', $missing).'. Bring them together with the scene file');
        }

        return $this->store->create($document, array_map(fn (string $name) => $this->library->take($place($name), $name), $names));
    }
}
