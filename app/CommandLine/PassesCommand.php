<?php

declare(strict_types=1);

namespace App\CommandLine;

use App\Codecs\ExrWriter;
use App\Codecs\PictureEncoder;
use App\Codecs\PictureFormat;
use App\Faults\DiskFull;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Out\Linear;
use Aumbrel\Core\Scene\Strip;
use Illuminate\Support\Str;
use ZipArchive;

/** aumbrel passes SCENE --out FILE.zip: what each strip adds, in a file of its own. */
final class PassesCommand implements Command
{
    public function run(array $words): void
    {
        $arguments = Arguments::read($words, ['out', 'format', 'bits', 'quality'], Bands::SWITCHES);
        $name = $arguments->plain[0] ?? throw new Problem('which scene? aumbrel passes SCENE --out FILE.zip');
        $out = OutFile::of($arguments, ['zip'], 'aumbrel passes SCENE --out FILE.zip');
        $format = PictureFormat::tryFrom($arguments->text('format') ?? 'exr');
        if ($format !== PictureFormat::Exr && $format !== PictureFormat::Png) {
            throw new Problem("--format: expected exr or png, found \"{$arguments->text('format')}\"");
        }
        $bits = $arguments->number('bits', 16, 8, 16) > 8 ? 16 : 8;
        $named = NamedScene::open($name);
        $named->checkPictures();
        [$scene, $renderer] = [$named->scene, $named->renderer()];
        $window = Window::whole($scene->width, $scene->height);
        $strips = array_values(array_filter($scene->strips, static fn (Strip $strip): bool => ! $strip->muted));
        $linear = new Linear($scene, $renderer);
        $bands = new Bands($arguments);
        $zip = new ZipArchive;
        $aside = "{$out}.".bin2hex(random_bytes(6));
        if ($zip->open($aside, ZipArchive::CREATE | ZipArchive::OVERWRITE) !== true) {
            throw DiskFull::writing('The passes');
        }
        $files = $temporary = [];
        try {
            foreach ($strips as $at => $strip) {
                $raw = "{$aside}.rows";
                $file = $temporary[] = "{$aside}.{$at}";
                $files[] = $entry = sprintf('%02d-%s.%s', $at + 1, Str::slug($strip->name) ?: $strip->id, $format->ending());
                $temporary[] = $raw;
                $bands->render($format === PictureFormat::Exr
                    ? static fn (Window $band) => $linear->added($band, $strip->id)
                    : static fn (Window $band) => $renderer->contributions($scene, $band, [$strip->id], $bits)[$strip->id], $window, $format === PictureFormat::Exr ? 16 : $bits, $raw, $at, count($strips));
                if ($format === PictureFormat::Exr) {
                    ExrWriter::write($raw, $window->columns, $window->rows, $file);
                } else {
                    (new PictureEncoder)->write($raw, $window->columns, $window->rows, $bits, $file, $format);
                }
                $zip->addFile($file, $entry);
                $zip->setCompressionName($entry, ZipArchive::CM_STORE);
            }
            if (! @$zip->close() || ! @rename($aside, $out)) {
                throw DiskFull::writing('The passes');
            }
        } finally {
            array_map(static fn (string $file): bool => @unlink($file), [...$temporary, $aside]);
        }
        echo json_encode(['file' => $out, 'passes' => $files, 'bytes' => filesize($out)], JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR), "\n";
    }

    public static function help(): string
    {
        return <<<'TEXT'
            aumbrel passes SCENE --out FILE.zip [options]

            Writes what each strip of the desk adds into a file of its own, back to front;
            groups as a whole, muted strips not. As EXR the passes are halves in linear
            light, premultiplied, below 0 where a strip takes away and above 1 where it is
            brighter than white: added up they are the picture. As PNG each is how much a
            strip changes, on black.

              --format exr|png   (default exr)
              --bits 8|16        of a PNG (default 16)

            TEXT.Bands::HELP."\n\nPrints {\"file\", \"passes\", \"bytes\"}.";
    }
}
