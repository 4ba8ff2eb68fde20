<?php

declare(strict_types=1);

namespace App\CommandLine;

use Aumbrel\Core\Bearing\LitBody;
use Aumbrel\Core\Bearing\OutlineEstimate;
use Aumbrel\Core\Color\Luma;
use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Picture\Halving;
use Aumbrel\Core\Picture\PictureSource;
use Aumbrel\Core\Picture\Pixels;

/** Where the light of a cut-out picture comes from, by its outline. The mask is another picture: its brightness is the cut-out. */
final class BearingCommand implements Command
{
    public function run(array $words): void
    {
        $arguments = Arguments::read($words, ['mask'], []);
        $path = count($arguments->plain) === 1 ? $arguments->plain[0] : throw new Problem('bearing PICTURE [--mask PICTURE]');
        $picture = self::open($path);
        $mask = $arguments->text('mask');
        $size = LitBody::sizeFor($picture);
        $alpha = $mask === null ? null : self::alpha($picture, self::open($mask), $mask, $size);
        $body = LitBody::of(new Pixels($size->pixels($picture), $picture->bits()), $size->columns, $size->rows, $alpha);
        echo json_encode(OutlineEstimate::of($body)->toArray(), JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION | JSON_UNESCAPED_UNICODE), "\n";
    }

    private static function open(string $path): PictureSource
    {
        if (! is_file($path)) {
            throw new Problem("there is no file {$path}");
        }
        try {
            return (new FilePictures(dirname($path), NamedScene::root().'/storage/pictures'))->picture(basename($path));
        } catch (SceneError $error) {
            throw new Problem("{$path}: {$error->reason}");
        }
    }

    /** @return list<float> */
    private static function alpha(PictureSource $picture, PictureSource $mask, string $name, Halving $size): array
    {
        if ($mask->width() !== $picture->width() || $mask->height() !== $picture->height()) {
            throw new Problem(sprintf('--mask: %s has %d x %d px; a mask is as large as its picture, %d x %d', $name, $mask->width(), $mask->height(), $picture->width(), $picture->height()));
        }
        $pixels = new Pixels($size->pixels($mask), $mask->bits());
        [$red, $green, $blue] = $pixels->channels();
        $alpha = [];
        foreach ($pixels->alpha() as $at => $value) {
            $alpha[] = $value * Luma::of($red[$at], $green[$at], $blue[$at]);
        }

        return $alpha;
    }

    public static function help(): string
    {
        return <<<'TEXT'
            aumbrel bearing PICTURE [--mask PICTURE]

            Where the light of a cut-out picture comes from, by its outline. The cut-out is
            the picture's own alpha, or the brightness of the mask.

            Prints {"azimuth", "elevation", "heightAngle", "spread", "confidence", "method"};
            the angles are null, and "why" says what is missing, when there is too little to
            go on.
            TEXT;
    }
}
