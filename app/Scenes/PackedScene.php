<?php

declare(strict_types=1);

namespace App\Scenes;

use Aumbrel\Core\Scene\Scene;
use RuntimeException;
use ZipArchive;

/** A scene file and its pictures in one ZIP: `scene.json` and the pictures beside it, nothing else. */
final class PackedScene
{
    public const SCENE = 'scene.json';

    private const MOST_ENTRIES = 400;

    /** Bytes that come out of it in all. */
    private const MOST_BYTES = 4 * 1024 ** 3;

    /**
     * @param  array<string, string>  $pictures  files by their names in the scene
     */
    public static function write(Scene $scene, array $pictures, string $file): void
    {
        $zip = new ZipArchive;
        if ($zip->open($file, ZipArchive::CREATE | ZipArchive::OVERWRITE) !== true) {
            throw new RuntimeException('The packed scene cannot be written: is the disk full?');
        }
        $zip->addFromString(self::SCENE, $scene->toJson());
        foreach ($pictures as $name => $path) {
            // pictures are compressed already
            $zip->addFile($path, $name);
            $zip->setCompressionName($name, ZipArchive::CM_STORE);
        }
        if (! $zip->close()) {
            throw new RuntimeException('The packed scene cannot be written: is the disk full?');
        }
    }

    public static function isOne(string $file): bool
    {
        return file_get_contents($file, length: 4) === "PK\x03\x04";
    }

    /**
     * Lays a packed scene out in an empty folder.
     *
     * @return string the scene file
     *
     * @throws RuntimeException saying what is wrong with it
     */
    public static function unpack(string $file, string $folder): string
    {
        $zip = new ZipArchive;
        if ($zip->open($file, ZipArchive::RDONLY) !== true) {
            throw new RuntimeException('is no packed scene: the ZIP cannot be read');
        }
        if ($zip->numFiles > self::MOST_ENTRIES) {
            throw new RuntimeException('holds more than '.self::MOST_ENTRIES.' files');
        }
        $bytes = 0;
        for ($k = 0; $k < $zip->numFiles; $k++) {
            $entry = $zip->statIndex($k) ?: throw new RuntimeException('is no packed scene: the ZIP cannot be read');
            $bytes += $entry['size'];
            if (preg_match('/^\w[\w .()+-]{0,199}$/Du', $entry['name']) !== 1) {
                throw new RuntimeException("holds \"{$entry['name']}\": only plain file names are taken");
            }
            if ($bytes > self::MOST_BYTES) {
                throw new RuntimeException('holds more than 4 GB');
            }
            if (! $zip->extractTo($folder, $entry['name'])) {
                throw new RuntimeException("is damaged at \"{$entry['name']}\"");
            }
        }
        if (! is_file("{$folder}/".self::SCENE)) {
            throw new RuntimeException('holds no '.self::SCENE);
        }

        return "{$folder}/".self::SCENE;
    }
}
