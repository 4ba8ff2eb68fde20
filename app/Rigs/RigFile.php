<?php

declare(strict_types=1);

namespace App\Rigs;

use App\Files\Folder;
use App\Scenes\NoPackedScene;
use App\Scenes\PackedScene;
use App\Scenes\PictureLibrary;
use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Rig\Rig;

/** A rig as a file: JSON, or where it shows pictures a ZIP of `rig.json` and these. */
final readonly class RigFile
{
    public const DOCUMENT = 'rig.json';

    private const LARGEST = 64 * 1024 ** 2;

    /** @param  array<array-key, string>  $pictures  files by name; those that are missing are left out */
    private function __construct(public Rig $rig, public array $pictures)
    {
    }

    /** Whether a file may be a rig, by its content. */
    public static function isOne(string $file): bool
    {
        return PackedScene::isOne($file) ? ! self::holdsScene($file) : preg_match('/^(\xEF\xBB\xBF)?\s*\{\s*"aumbrelRig"/', (string) @file_get_contents($file, length: 4096)) === 1;
    }

    /**
     * @template T
     *
     * @param  callable(self): T  $use  while its pictures lie there
     * @return T
     *
     * @throws SceneError|NoPackedScene when it is none
     */
    public static function open(string $file, callable $use): mixed
    {
        if (! PackedScene::isOne($file)) {
            return $use(new self(self::read($file), []));
        }

        return Folder::temporary(static function (string $folder) use ($file, $use): mixed {
            $rig = self::read(PackedScene::unpack($file, $folder, self::DOCUMENT));
            $paths = array_map(static fn (string $name): string => "{$folder}/{$name}", array_combine($rig->pictures(), $rig->pictures()));

            return $use(new self($rig, array_filter($paths, is_file(...))));
        });
    }

    /** What of it can be shown: strips without their picture are left out. */
    public function complete(): Rig
    {
        return $this->rig->showing(fn (string $name): ?string => isset($this->pictures[$name]) ? $name : null);
    }

    /** Onto the shelf, with its pictures. */
    public function keep(RigShelf $shelf, PictureLibrary $library): void
    {
        $taken = [];
        foreach ($this->pictures as $name => $path) {
            $taken[$name] = $library->take($path, (string) $name);
        }
        $shelf->take($this->complete(), $taken);
    }

    /** @throws SceneError */
    private static function read(string $file): Rig
    {
        if ((int) @filesize($file) > self::LARGEST) {
            throw new SceneError('', 'a rig has at most 64 MB');
        }

        return Rig::fromJson((string) preg_replace('/^\xEF\xBB\xBF/', '', (string) @file_get_contents($file)), Registry::kinds());
    }

    private static function holdsScene(string $file): bool
    {
        $zip = new \ZipArchive;

        return $zip->open($file, \ZipArchive::RDONLY) === true && $zip->locateName(self::DOCUMENT) === false;
    }
}
