<?php

declare(strict_types=1);

namespace App\CommandLine;

use App\Codecs\ExrWriter;
use App\Codecs\Finish;
use App\Codecs\PictureEncoder;
use App\Codecs\PictureFormat;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Out\Linear;
use Aumbrel\Core\Render\Picture;
use Closure;

/** aumbrel render SCENE --out FILE [--scale S] [--window x,y,w,h] [--strip ID] [--until ID] [--bits 8|16] [--quality Q] */
final class RenderCommand implements Command
{
    private const MOST_PIXELS = 200_000_000;

    public function run(array $words): void
    {
        $arguments = Arguments::read($words, ['out', 'scale', 'window', 'strip', 'until', 'bits', 'quality', ...OutOptions::VALUED], [...Bands::SWITCHES, ...OutOptions::SWITCHES]);
        $name = $arguments->plain[0] ?? throw new Problem('which scene? aumbrel render SCENE --out FILE');
        $out = $arguments->text('out') ?? throw new Problem('where to? aumbrel render SCENE --out FILE');
        $format = self::format($out);
        $bits = $format === PictureFormat::Exr || $arguments->number('bits', 8, 8, 16) > 8 ? 16 : 8;
        if ($format !== PictureFormat::Exr && ! in_array($bits, $format->bits(), true)) {
            throw new Problem("--bits: a {$format->label()} holds 8 bits");
        }
        OutFile::writable($out);
        $named = NamedScene::open($name);
        $options = OutOptions::of($arguments, $named);
        $window = self::window($arguments, $named, $options);
        $this->checkStrips($arguments, $named);
        $raw = "{$out}.".bin2hex(random_bytes(6)).'.rows';
        try {
            $clipped = (new Bands($arguments))->render($format === PictureFormat::Exr ? $this->rendersLinear($arguments, $named, $options) : $this->renders($arguments, $named, $bits), $window, $bits, $raw);
            $format === PictureFormat::Exr ? ExrWriter::write($raw, $window->columns, $window->rows, $out) : (new PictureEncoder)->write($raw, $window->columns, $window->rows, $bits, $out, $format, (int) $arguments->number('quality', 92, 1, 100), $options->finish);
        } finally {
            @unlink($raw);
        }
        [$columns, $rows] = $options->size($window);
        echo json_encode(['file' => $out, 'columns' => $columns, 'rows' => $rows, 'bits' => $bits, 'clipped' => $clipped, 'bytes' => filesize($out)], JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR), "\n";
    }

    /**
     * @param  8|16  $bits
     * @return Closure(Window): Picture
     */
    private function renders(Arguments $arguments, NamedScene $named, int $bits): Closure
    {
        $renderer = $named->renderer();
        $strip = $arguments->text('strip');
        $until = $arguments->text('until');

        return static fn (Window $band): Picture => $strip === null
            ? $renderer->picture($named->scene, $band, $bits, $until)
            : $renderer->contributions($named->scene, $band, [$strip], $bits)[$strip];
    }

    /**
     * In linear light, brighter than white where it is.
     *
     * @return Closure(Window): Picture
     */
    private function rendersLinear(Arguments $arguments, NamedScene $named, OutOptions $options): Closure
    {
        if ($options->finish != new Finish || $arguments->has('strip') || $arguments->has('until')) {
            throw new Problem('an EXR file holds the whole scene in its own size and in linear light: --percent below 100, --long-side, --sharpen, --colours, --metadata, --strip and --until do not go with it');
        }
        $linear = new Linear($named->scene, $named->renderer());

        return static fn (Window $band): Picture => $linear->picture($band);
    }

    private function checkStrips(Arguments $arguments, NamedScene $named): void
    {
        if ($arguments->has('strip') && $arguments->has('until')) {
            throw new Problem('--strip and --until do not go together');
        }
        foreach (['strip', 'until'] as $option) {
            $id = $arguments->text($option);
            if ($id !== null && $named->scene->find($id) === null) {
                throw new Problem("--{$option}: there is no strip \"{$id}\" in this scene");
            }
        }
        $named->checkPictures();
    }

    private static function window(Arguments $arguments, NamedScene $named, OutOptions $options): Window
    {
        if (! $options->isWhole() && ($arguments->has('scale') || $arguments->has('window'))) {
            throw new Problem('--long-side and --percent are of the whole scene: they do not go with --scale or --window');
        }
        $scale = $arguments->number('scale', $options->scale, 0.001, 16);
        [$x, $y, $width, $height] = $arguments->numbers('window', 4) ?? [0.0, 0.0, (float) $named->scene->width, (float) $named->scene->height];
        if ($width <= 0 || $height <= 0) {
            throw new Problem('--window: width and height must be above 0');
        }
        if ($width * $height * $scale ** 2 > self::MOST_PIXELS) {
            throw new Problem('--window: at most 200 megapixels at its scale');
        }

        return new Window($x, $y, $width, $height, $scale);
    }

    private static function format(string $out): PictureFormat
    {
        $format = PictureFormat::ofEnding($out);

        return in_array($format, [...PictureFormat::written(), PictureFormat::Exr], true) ? $format : throw new Problem("--out: expected a name that ends in .png, .jpg, .tif, .webp, .avif or .exr, found \"{$out}\"");
    }

    public static function help(): string
    {
        return <<<'TEXT'
            aumbrel render SCENE --out FILE [options]

            Renders a scene. SCENE is a scene file with its pictures beside it, a packed
            scene, or the id of a stored scene. FILE ends in .png, .jpg,
            .tif, .webp, .avif or .exr (halves in linear light, brighter than white where
            it is).

              --scale S          output pixels to a scene pixel, 0.001 to 16 (default 1)
              --window x,y,w,h   the part of the scene, in scene pixels
              --strip ID         that strip's contribution alone
              --until ID         the picture up to and with that strip
              --bits 8|16        of a PNG or TIFF (default 8)
              --quality Q        of a JPEG, WebP (100 loses nothing) or AVIF (default 92)

            TEXT.OutOptions::HELP."\n".Bands::HELP."\n\nPrints {\"file\", \"columns\", \"rows\", \"bits\", \"clipped\", \"bytes\"}.";
    }
}
