<?php

declare(strict_types=1);

namespace App\CommandLine;

use App\Codecs\OraFile;
use App\Codecs\PictureEncoder;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Out\LayerStack;
use Aumbrel\Core\Out\OutLayer;
use Closure;
use DOMElement;

/** aumbrel layers SCENE --out FILE.ora: the strips as layers of an OpenRaster file. */
final class LayersCommand implements Command
{
    public function run(array $words): void
    {
        $arguments = Arguments::read($words, ['out', 'bits', 'quality'], Bands::SWITCHES);
        $name = $arguments->plain[0] ?? throw new Problem('which scene? aumbrel layers SCENE --out FILE.ora');
        $out = OutFile::of($arguments, ['ora'], 'aumbrel layers SCENE --out FILE.ora');
        $bits = $arguments->number('bits', 8, 8, 16) > 8 ? 16 : 8;
        $named = NamedScene::open($name);
        [$scene, $renderer] = [$named->scene, $named->renderer()];
        $named->checkPictures();
        $layers = (new LayerStack($scene, $renderer))->layers();
        $window = Window::whole($scene->width, $scene->height);
        $all = 1 + count(array_merge([], ...array_map(static fn (OutLayer $layer): array => $layer->pictured(), $layers)));
        $done = 0;
        $raw = "{$out}.".bin2hex(random_bytes(6)).'.rows';
        $bands = new Bands($arguments);
        $encoder = new PictureEncoder;
        $render = static function (Closure $picture, int $bits = 16) use (&$done, $all, $bands, $window, $raw): void {
            $bands->render($picture, $window, $bits === 16 ? 16 : 8, $raw, $done++, $all);
        };
        $ora = OraFile::create($out, $scene->width, $scene->height, $scene->title);
        $baked = [];
        $put = static function (array $layers, DOMElement $stack) use (&$put, &$baked, $ora, $render, $encoder, $raw, $window, $bits): void {
            /** @var list<OutLayer> $layers */
            foreach ($layers as $layer) {
                if ($layer->picture === null) {
                    $put($layer->layers, $ora->group($stack, $layer->name));

                    continue;
                }
                $render($layer->picture);
                // what is baked says so where its name is read
                $ora->layer($stack, $layer->baked === null ? $layer->name : "{$layer->name} (baked)", $encoder->layer($raw, $window->columns, $window->rows, $bits), $layer->operation, $layer->opacity);
                if ($layer->baked !== null) {
                    $baked[] = ['layer' => $layer->name, 'why' => $layer->baked];
                }
            }
        };
        try {
            $put($layers, $ora->root());
            $render(static fn (Window $band) => $renderer->picture($scene, $band, $bits), $bits);
            $merged = $encoder->whole($raw, $window->columns, $window->rows, $bits);
            $ora->finish($merged, $encoder->small($merged, OraFile::THUMBNAIL));
        } finally {
            @unlink($raw);
        }
        echo json_encode(['file' => $out, 'layers' => $all - 1, 'baked' => $baked, 'bytes' => filesize($out)], JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR), "\n";
    }

    public static function help(): string
    {
        return <<<'TEXT'
            aumbrel layers SCENE --out FILE.ora [options]

            Writes a scene as an OpenRaster file: one layer a strip, in the standard's
            operation where there is one. What has none, or goes by what lies below, is
            baked: it looks right over just this picture, and its name says so. Strips
            that are muted are left out.

              --bits 8|16        of the layers (default 8)

            TEXT.Bands::HELP."\n\nPrints {\"file\", \"layers\", \"baked\": [{\"layer\", \"why\"}], \"bytes\"}.";
    }
}
