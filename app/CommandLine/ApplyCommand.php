<?php

declare(strict_types=1);

namespace App\CommandLine;

use App\Codecs\PictureFormat;
use App\Codecs\PictureHead;
use App\Codecs\UnreadablePicture;
use App\Files\Folder;
use App\Rigs\RigFile;
use App\Rigs\RiggedScene;
use App\Scenes\FlatScene;
use App\Scenes\NoPackedScene;
use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Rig\Rig;
use Aumbrel\Core\Scene\Scene;

/** aumbrel apply RIG PICTURE... --out DIR: a rig over many pictures. */
final class ApplyCommand implements Command
{
    public function run(array $words): void
    {
        $arguments = Arguments::read($words, ['out', 'format', 'bits', 'quality', ...OutOptions::VALUED], [...OutOptions::SWITCHES, 'over', 'scenes']);
        $file = $arguments->plain[0] ?? throw new Problem('which rig? aumbrel apply RIG PICTURE... --out DIR');
        $pictures = array_slice($arguments->plain, 1);
        $folder = $arguments->text('out') ?? throw new Problem('where to? aumbrel apply RIG PICTURE... --out DIR');
        $format = PictureFormat::tryFrom($arguments->text('format') ?? 'png');
        if ($format === null || ! in_array($format, PictureFormat::written(), true)) {
            throw new Problem("--format: expected one of png, jpeg, tiff, webp, avif, found \"{$arguments->text('format')}\"");
        }
        if (! is_file($file)) {
            throw new Problem("there is no rig file {$file}");
        }
        if ($pictures === []) {
            throw new Problem('over which pictures? aumbrel apply RIG PICTURE... --out DIR');
        }
        if (! is_dir($folder) || ! is_writable($folder)) {
            throw new Problem("--out: the folder {$folder} is not there, or cannot be written");
        }
        $places = $this->places($pictures, $folder, $format, $arguments->has('over'));
        // the application's folder for what is on its way
        NamedScene::application();
        try {
            RigFile::open($file, fn (RigFile $rig) => $this->over($rig, $places, $arguments));
        } catch (SceneError $error) {
            throw new Problem("{$file}: {$error->getMessage()}");
        } catch (NoPackedScene $error) {
            throw new Problem("{$file} {$error->getMessage()}");
        }
    }

    /**
     * @param  list<string>  $pictures
     * @return array<string, string> where each is written to, by its file
     *
     * @throws Problem before anything is rendered, when one is missing or there already
     */
    private function places(array $pictures, string $folder, PictureFormat $format, bool $over): array
    {
        $places = [];
        foreach ($pictures as $picture) {
            if (! is_file($picture)) {
                throw new Problem("there is no picture {$picture}");
            }
            $stem = "{$folder}/".pathinfo($picture, PATHINFO_FILENAME);
            for ($place = "{$stem}.{$format->ending()}", $k = 2; in_array($place, $places, true); $k++) {
                $place = "{$stem}-{$k}.{$format->ending()}";
            }
            if (is_file($place) && ! $over) {
                throw new Problem("{$place} is there already: --over writes over it");
            }
            if (realpath($place) === realpath($picture)) {
                throw new Problem("{$picture} would be written over: choose another folder");
            }
            $places[$picture] = $place;
        }

        return $places;
    }

    /** @param  array<string, string>  $places */
    private function over(RigFile $file, array $places, Arguments $arguments): void
    {
        $rig = $file->complete();
        $left = array_diff($file->rig->pictures(), $rig->pictures());
        if ($left !== []) {
            fwrite(STDERR, 'aumbrel: these pictures of the rig are missing, and what needs them is left out: '.implode(', ', $left)."\n");
        }
        $failed = [];
        foreach ($places as $picture => $place) {
            try {
                $this->one($rig, $file->pictures, (string) $picture, $place, $arguments);
            } catch (UnreadablePicture|SceneError|Problem $problem) {
                $failed[] = "{$picture}: {$problem->getMessage()}";
            }
        }
        if ($failed !== []) {
            throw new Problem(implode('; ', $failed));
        }
    }

    /** @param  array<array-key, string>  $beside  pictures of the rig by name */
    private function one(Rig $rig, array $beside, string $picture, string $place, Arguments $arguments): void
    {
        Folder::temporary(static function (string $folder) use ($rig, $beside, $picture, $place, $arguments): void {
            $head = PictureHead::read($picture, basename($picture));
            $name = 'picture.'.$head->format->ending();
            foreach ([$name => $picture, ...$beside] as $called => $path) {
                symlink((string) realpath($path), "{$folder}/{$called}");
            }
            $pictures = new FilePictures($folder, NamedScene::root().'/storage/pictures');
            $source = $pictures->picture($name);
            $document = Scene::read([
                'aumbrel' => Scene::VERSION, 'title' => mb_substr(pathinfo($picture, PATHINFO_FILENAME), 0, 120) ?: 'Picture', 'size' => [$source->width(), $source->height()],
                'strips' => [['id' => 'backdrop', 'kind' => 'plate', 'name' => 'Backdrop', 'locked' => true, 'values' => ['picture' => $name]]],
            ], Registry::kinds());
            $flat = RiggedScene::of(FlatScene::fromDocument($document->toArray()), $rig, null, new \Aumbrel\Core\Reading\Pictures([$name => [$source->width(), $source->height(), $source->opaque()]]));
            file_put_contents("{$folder}/scene.json", json_encode($flat->toDocument(), JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION));
            $options = ['bits', 'quality', ...OutOptions::VALUED];
            (new RenderCommand)->run([
                "{$folder}/scene.json", '--out', $place, ...array_merge([], ...array_map(static fn (string $option): array => $arguments->has($option) ? ["--{$option}", (string) $arguments->text($option)] : [], $options)),
                ...($arguments->has('metadata') ? ['--metadata'] : []),
            ]);
        });
    }

    public static function help(): string
    {
        return <<<'TEXT'
            aumbrel apply RIG PICTURE... --out DIR [options]

            Uses a rig (a JSON file, or a ZIP of rig.json and its pictures) on each of the
            pictures, and writes them into a folder under their names. A picture that
            cannot be read is said at the end; the others are written.

              --format F         png, jpeg, tiff, webp or avif (default png)
              --over             writes over files that are there
              --bits 8|16        of a PNG or TIFF (default 8)
              --quality Q        of a JPEG, WebP or AVIF (default 92)

            TEXT.OutOptions::HELP."\n\nPrints a line for each, as render does.";
    }
}
