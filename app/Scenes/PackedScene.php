<?php

declare(strict_types=1);

namespace App\Scenes;

use App\Faults\DiskFull;
use Aumbrel\Core\Scene\Scene;
use ZipArchive;

/** A scene file and its pictures in one ZIP: `scene.json` and the pictures beside it, nothing else. */
final class PackedScene
{
    public const SCENE = 'scene.json';

    private const MOST_ENTRIES = 400;

    /** Bytes that come out of it in all. */
    private const MOST_BYTES = 4 * 1024 ** 3;

    /** Bytes of a scene file, packed or not. */
    public const LARGEST_SCENE = 64 * 1024 ** 2;

    private const CHUNK = 1 << 18;

    /**
     * @param  array<array-key, string>  $pictures  files by their names in the scene
     *
     * @throws DiskFull
     */
    public static function write(Scene $scene, array $pictures, string $file): void
    {
        self::pack(self::SCENE, $scene->toJson(), $pictures, $file);
    }

    /**
     * A document and the pictures that it names.
     *
     * @param  array<array-key, string>  $pictures  files by their names
     *
     * @throws DiskFull
     */
    public static function pack(string $name, string $document, array $pictures, string $file): void
    {
        $zip = new ZipArchive;
        if ($zip->open($file, ZipArchive::CREATE | ZipArchive::OVERWRITE) !== true) {
            throw DiskFull::writing('The packed scene');
        }
        $zip->addFromString($name, $document);
        foreach ($pictures as $name => $path) {
            // pictures are compressed already
            $zip->addFile($path, (string) $name);
            $zip->setCompressionName((string) $name, ZipArchive::CM_STORE);
        }
        if (! @$zip->close()) {
            @unlink($file);
            throw DiskFull::writing('The packed scene');
        }
    }

    public static function isOne(string $file): bool
    {
        return @file_get_contents($file, length: 4) === "PK\x03\x04";
    }

    /**
     * Lays a packed scene out in an empty folder.
     *
     * What the ZIP says of its entries is not believed: bytes are counted as they come out, and their sum is checked.
     *
     * @param  string  $document  what it must hold besides pictures
     * @return string the scene file
     *
     * @throws NoPackedScene saying what is wrong with it
     * @throws DiskFull
     */
    public static function unpack(string $file, string $folder, string $document = self::SCENE): string
    {
        $zip = new ZipArchive;
        if ($zip->open($file, ZipArchive::RDONLY) !== true) {
            throw new NoPackedScene('is no packed scene: the ZIP cannot be read');
        }
        if ($zip->numFiles > self::MOST_ENTRIES) {
            throw new NoPackedScene('holds more than '.self::MOST_ENTRIES.' files');
        }
        $entries = [];
        for ($k = 0; $k < $zip->numFiles; $k++) {
            $entry = $zip->statIndex($k) ?: throw new NoPackedScene('is no packed scene: the ZIP cannot be read');
            if (preg_match('/^\w[\w .()+-]{0,199}$/Du', $entry['name']) !== 1) {
                throw new NoPackedScene("holds \"{$entry['name']}\": only plain file names are taken");
            }
            if (isset($entries[$entry['name']])) {
                throw new NoPackedScene("holds \"{$entry['name']}\" twice");
            }
            $entries[$entry['name']] = $entry;
        }
        if (! isset($entries[$document])) {
            throw new NoPackedScene("holds no {$document}");
        }
        if (array_sum(array_column($entries, 'size')) > self::MOST_BYTES) {
            throw new NoPackedScene('holds more than 4 GB');
        }
        if ($entries[$document]['size'] > self::LARGEST_SCENE) {
            throw new NoPackedScene('holds a scene file of more than 64 MB');
        }
        foreach ($entries as $name => $entry) {
            self::extract($zip, $entry, "{$folder}/{$name}");
        }

        return "{$folder}/{$document}";
    }

    /** @param  array{name: string, index: int, size: int, crc: int}  $entry */
    private static function extract(ZipArchive $zip, array $entry, string $to): void
    {
        $from = $zip->getStreamIndex($entry['index']);
        $out = @fopen($to, 'xb');
        if ($from === false) {
            throw new NoPackedScene("is damaged at \"{$entry['name']}\"");
        }
        if ($out === false) {
            throw DiskFull::writing('The packed scene');
        }
        $sum = hash_init('crc32b');
        $bytes = 0;
        while (! feof($from)) {
            $chunk = @fread($from, self::CHUNK);
            if ($chunk === false) {
                break;
            }
            $bytes += strlen($chunk);
            if ($bytes > $entry['size']) {
                throw new NoPackedScene("is damaged: \"{$entry['name']}\" is larger than it says");
            }
            hash_update($sum, $chunk);
            if (@fwrite($out, $chunk) !== strlen($chunk)) {
                throw DiskFull::writing('The packed scene');
            }
        }
        fclose($from);
        fclose($out);
        if ($bytes !== $entry['size'] || hash_final($sum) !== sprintf('%08x', $entry['crc'] & 0xFFFFFFFF)) {
            throw new NoPackedScene("is damaged at \"{$entry['name']}\": its checksum is another");
        }
    }
}
