<?php

declare(strict_types=1);

namespace App\CommandLine;

use App\Codecs\PictureEncoder;
use App\Codecs\PictureFormat;
use App\Export\Words;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kind\Family;
use Aumbrel\Core\Scene\Scene;
use Aumbrel\Core\Scene\Strip;
use Imagick;

/** aumbrel steps SCENE --out FILE: as it came in, each step, and finished, side by side with their words. */
final class StepsCommand implements Command
{
    /** The longer side of the sheet, px, when nothing is said. */
    private const SHEET = 3200;

    private const LARGEST = 16000;

    /** Shares of a picture's longer side: what lies between pictures, and the height of a line of words. */
    private const GAP = 0.02;

    private const LINE = 0.05;

    public function run(array $words): void
    {
        $arguments = Arguments::read($words, ['out', 'long-side', 'bits', 'quality'], [...Bands::SWITCHES, 'before']);
        $name = $arguments->plain[0] ?? throw new Problem('which scene? aumbrel steps SCENE --out FILE');
        $out = OutFile::of($arguments, ['png', 'jpg', 'jpeg', 'tif', 'tiff', 'webp', 'avif'], 'aumbrel steps SCENE --out FILE');
        $named = NamedScene::open($name);
        $named->checkPictures();
        $steps = $arguments->has('before') ? self::ends($named->scene) : self::steps($named->scene);
        $columns = $arguments->has('before') ? ($named->scene->width >= 1.6 * $named->scene->height ? 1 : 2) : (int) ceil(sqrt(count($steps) * $named->scene->height / $named->scene->width));
        $columns = max(1, min(count($steps), $columns));
        $sheet = $this->sheet($arguments, $named, $steps, $columns, $out);
        $format = PictureFormat::ofEnding($out) ?? PictureFormat::Png;
        (new PictureEncoder)->file($sheet, $out, $format, (int) $arguments->number('quality', 92, 1, 100));
        echo json_encode(['file' => $out, 'steps' => array_column($steps, 0), 'bytes' => filesize($out)], JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR), "\n";
    }

    /** @return list<array{string, Scene}> */
    private static function ends(Scene $scene): array
    {
        return [['As it came in', $scene->with($scene->unlit())], ['Finished', $scene]];
    }

    /** @return list<array{string, Scene}> what is said of each, and how it looks then; plates lie there from the start */
    private static function steps(Scene $scene): array
    {
        [$first, $finished] = self::ends($scene);
        $steps = [$first];
        foreach ($scene->strips as $at => $strip) {
            if ($strip->muted || $strip->kind::family() === Family::Plate) {
                continue;
            }
            // what is above is there as far as it is a plate: a step is what a strip does, not what it uncovers
            $above = array_filter(array_slice($scene->strips, $at + 1), static fn (Strip $other): bool => $other->kind::family() === Family::Plate);
            $steps[] = [$strip->name.($strip->mode->value === 'normal' ? '' : ", {$strip->mode->value}"), $scene->with([...array_slice($scene->strips, 0, $at + 1), ...$above])];
        }

        $last = count($steps) - 1;
        if ($last > 0 && count($steps[$last][1]->strips) === count($scene->strips)) {
            // the last step is the finished picture
            return [...array_slice($steps, 0, $last), ["Finished: {$steps[$last][0]}", $scene]];
        }

        return [...$steps, $finished];
    }

    /** @param  list<array{string, Scene}>  $steps */
    private function sheet(Arguments $arguments, NamedScene $named, array $steps, int $columns, string $out): Imagick
    {
        [$scene, $renderer, $bands] = [$named->scene, $named->renderer(), new Bands($arguments)];
        $rows = (int) ceil(count($steps) / $columns);
        $side = max($scene->width, $scene->height);
        $across = $columns * $scene->width + ($columns + 1) * self::GAP * $side;
        $down = $rows * ($scene->height + (self::LINE + self::GAP) * $side) + self::GAP * $side;
        $wanted = $arguments->has('long-side') ? $arguments->number('long-side', 0, 1, self::LARGEST) : self::SHEET;
        $scale = min(1.0, $wanted / max($across, $down));
        [$gap, $line] = [self::GAP * $side * $scale, self::LINE * $side * $scale];
        $sheet = new Imagick;
        $sheet->newImage((int) round($across * $scale), (int) round($down * $scale), '#262626');
        $raw = "{$out}.".bin2hex(random_bytes(6)).'.rows';
        $window = new Window(0, 0, $scene->width, $scene->height, $scale);
        try {
            foreach ($steps as $at => [$said, $step]) {
                $bands->render(static fn (Window $band) => $renderer->picture($step, $band, 8), $window, 8, $raw, $at, count($steps));
                $picture = (new PictureEncoder)->rows($raw, $window->columns, $window->rows);
                $x = (int) round($gap + ($at % $columns) * ($window->columns + $gap));
                $y = (int) round($gap + intdiv($at, $columns) * ($window->rows + $line + $gap));
                $sheet->compositeImage($picture, Imagick::COMPOSITE_OVER, $x, $y);
                Words::under($sheet, $said, $x, $y + $window->rows, $window->columns, $line);
                $picture->clear();
            }
        } finally {
            @unlink($raw);
        }

        return $sheet;
    }

    public static function help(): string
    {
        return <<<'TEXT'
            aumbrel steps SCENE --out FILE [options]

            One picture of the way that a scene went: as it came in, after each strip of
            the desk, and finished, side by side, each with its words below.

              --before           only as it came in, and finished
              --long-side N      pixels of the sheet's longer side (default 3200)
              --quality Q        of a JPEG, WebP or AVIF (default 92)

            TEXT.Bands::HELP."\n\nPrints {\"file\", \"steps\", \"bytes\"}.";
    }
}
