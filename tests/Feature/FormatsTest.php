<?php

declare(strict_types=1);

use App\Codecs\PictureEncoder;
use App\Codecs\PictureFormat;
use App\Codecs\PictureHead;
use App\Codecs\UnreadablePicture;
use Tests\Support\Folder;

/**
 * A TIFF file written by hand after its specification (TIFF 6.0, sections 2 to 6 and 18): uncompressed, one strip.
 *
 * @param  'II'|'MM'  $order  of bytes
 * @param  8|16  $bits
 * @param  list<list<int>>  $pixels  samples of each
 * @param  int|null  $extra  what a fourth sample is: 1 associated, 2 unassociated alpha
 */
function tiffOf(string $order, int $bits, int $width, int $height, array $pixels, ?int $extra = null, int $orientation = 1): string
{
    [$short, $long] = $order === 'II' ? ['v', 'V'] : ['n', 'N'];
    $samples = count($pixels[0]);
    $data = pack($bits === 16 ? "{$short}*" : 'C*', ...array_merge(...$pixels));
    $depths = pack("{$short}*", ...array_fill(0, $samples, $bits));
    $entries = [[256, 4, 1, $width], [257, 4, 1, $height], [258, 3, $samples, null], [259, 3, 1, 1], [262, 3, 1, 2], [273, 4, 1, null], [274, 3, 1, $orientation], [277, 3, 1, $samples], [278, 4, 1, $height], [279, 4, 1, strlen($data)], ...($extra === null ? [] : [[338, 3, 1, $extra]])];
    $after = 8 + 2 + 12 * count($entries) + 4;
    $places = [258 => $after, 273 => $after + strlen($depths)];
    $ifd = pack($short, count($entries));
    foreach ($entries as [$tag, $type, $count, $value]) {
        $value ??= $places[$tag];
        $ifd .= pack("{$short}{$short}{$long}", $tag, $type, $count).($type === 3 && $count === 1 ? pack($short, $value)."\0\0" : pack($long, $value));
    }

    return $order.pack($short, 42).pack($long, 8).$ifd.pack($long, 0).$depths.$data;
}

function fileOf(string $bytes, string $name): string
{
    file_put_contents($path = Folder::of('formats')."/{$name}", $bytes);

    return $path;
}

it('reads TIFF of 8 and 16 bits, of either byte order, with and without alpha', function (string $order, int $bits, bool $alpha): void {
    $most = 2 ** $bits - 1;
    $pixels = [];
    foreach (range(0, 11) as $k) {
        $pixels[] = [(int) ($k * $most / 13), $most - $k * 5, ($k * 37) % ($most + 1), ...($alpha ? [$k % 2 === 0 ? $most : (int) ($most / 3)] : [])];
    }
    $picture = decoded(fileOf(tiffOf($order, $bits, 4, 3, $pixels, $alpha ? 2 : null), 'hand.tif'));
    expect([$picture->width(), $picture->height(), $picture->bits(), $picture->opaque()])->toBe([4, 3, $bits, ! $alpha]);
    foreach ($picture->pixels(0, 0, 0, 4, 3) as $k => $pixel) {
        [$red, $green, $blue] = $pixels[$k];
        expect([$pixel >> 2 * $bits & $most, $pixel >> $bits & $most, $pixel & $most, $pixel >> 3 * $bits & $most])->toBe([$red, $green, $blue, $pixels[$k][3] ?? $most]);
    }
})->with(['II', 'MM'])->with([8, 16])->with([false, true]);

it('turns a TIFF upright as its own tag says', function (): void {
    // orientation 6: the first row is the right side of the scene
    $picture = decoded(fileOf(tiffOf('II', 8, 2, 1, [[250, 0, 0], [0, 0, 250]], orientation: 6), 'turned.tif'));
    expect([$picture->width(), $picture->height()])->toBe([1, 2])->and($picture->pixels(0, 0, 0, 1, 1)[0] & 0xFFFFFF)->toBe(0xFA0000);
});

it('reads WebP and AVIF that the other image extension wrote, with alpha', function (string $format, int $off): void {
    $image = imagecreatetruecolor(64, 48);
    imagealphablending($image, false);
    imagesavealpha($image, true);
    imagefilledrectangle($image, 0, 0, 63, 47, imagecolorallocatealpha($image, 200, 100, 50, 0));
    imagefilledrectangle($image, 0, 0, 31, 47, imagecolorallocatealpha($image, 40, 160, 90, 64));
    $path = Folder::of('formats')."/other.{$format}";
    $format === 'webp' ? imagewebp($image, $path, IMG_WEBP_LOSSLESS) : imageavif($image, $path, 95);
    expect(PictureHead::read($path, 'other')->format->value)->toBe($format);
    $picture = decoded($path);
    expect($picture->opaque())->toBeFalse();
    foreach ([[48, 24, [200, 100, 50, 255]], [16, 24, [40, 160, 90, (int) round(255 * 63 / 127)]]] as [$x, $y, $wanted]) {
        [$pixel] = $picture->pixels(0, $x, $y, 1, 1);
        foreach ([$pixel >> 16 & 255, $pixel >> 8 & 255, $pixel & 255, $pixel >> 24 & 255] as $channel => $value) {
            expect(abs($value - $wanted[$channel]))->toBeLessThanOrEqual($off);
        }
    }
})->with([['webp', 1], ['avif', 4]]);

it('reads HEIC, which is opaque to it', function (): void {
    $image = new Imagick;
    $image->newImage(64, 64, 'rgb(200,100,50)');
    $image->setImageFormat('heic');
    $image->setImageCompressionQuality(95);
    $image->writeImage('heic:'.$path = Folder::of('formats').'/phone.heic');
    $picture = decoded($path);
    [$pixel] = $picture->pixels(0, 20, 20, 1, 1);
    expect($picture->opaque())->toBeTrue()->and(abs(($pixel >> 16 & 255) - 200) + abs(($pixel >> 8 & 255) - 100) + abs(($pixel & 255) - 50))->toBeLessThan(9);
});

it('writes every format so that other decoders see what was rendered', function (PictureFormat $format, int $bits, int $quality, float $off): void {
    $rows = '';
    $wanted = [];
    foreach (range(0, 32 * 32 - 1) as $k) {
        $wanted[$k] = [120 + ($k % 32) * 3, 60 + intdiv($k, 32) * 5, 90, $format->keepsAlpha() && $k % 32 < 16 ? 128 : 255];
        $rows .= $bits === 8 ? pack('C4', ...$wanted[$k]) : pack('n4', ...array_map(static fn (int $value): int => 257 * $value, $wanted[$k]));
    }
    $path = Folder::of('formats').'/out.'.$format->ending();
    file_put_contents($raw = "{$path}.rows", $rows);
    (new PictureEncoder)->write($raw, 32, 32, $bits, $path, $format, $quality);
    expect(PictureFormat::ofContent((string) file_get_contents($path)))->toBe($format)->and(glob("{$path}.*"))->toBe([$raw]);
    $seen = match ($format) {
        PictureFormat::Png => imagecreatefrompng($path),
        PictureFormat::Jpeg => imagecreatefromjpeg($path),
        PictureFormat::WebP => imagecreatefromwebp($path),
        PictureFormat::Avif => imagecreatefromavif($path),
        default => null,
    };
    if ($seen === null) {
        // as TIFF 6.0 has it: bits a sample in tag 258, unassociated alpha as 2 in tag 338, deflated (Adobe's 8) in tag 259
        $file = (string) file_get_contents($path);
        [$short, $long] = str_starts_with($file, 'II') ? ['v', 'V'] : ['n', 'N'];
        $ifd = unpack($long, $file, 4)[1];
        $tags = [];
        for ($entry = 0; $entry < unpack($short, $file, $ifd)[1]; $entry++) {
            ['tag' => $tag, 'count' => $count, 'value' => $value, 'far' => $far] = unpack("{$short}tag/{$short}type/{$long}count", $file, $ifd + 2 + 12 * $entry) + ['value' => unpack($short, $file, $ifd + 10 + 12 * $entry)[1], 'far' => unpack($long, $file, $ifd + 10 + 12 * $entry)[1]];
            $tags[$tag] = $count > 2 && $tag === 258 ? unpack($short, $file, $far)[1] : $value;
        }
        expect([$tags[258], $tags[338], $tags[277]])->toBe([$bits, 2, 4])->and($tags[259])->toBeIn([8, 32946]);
        $read = new Imagick("tiff:{$path}");
        $read->setImageFormat('png32');
        $seen = imagecreatefromstring($read->getImageBlob());
    }
    foreach ([5, 200, 431, 700, 1010] as $k) {
        $pixel = imagecolorat($seen, $k % 32, intdiv($k, 32));
        foreach ([$pixel >> 16 & 255, $pixel >> 8 & 255, $pixel & 255] as $channel => $value) {
            expect(abs($value - $wanted[$k][$channel]))->toBeLessThanOrEqual($off, "{$format->value} {$bits}, pixel {$k}, channel {$channel}");
        }
        expect(abs((127 - ($pixel >> 24 & 127)) * 255 / 127 - $wanted[$k][3]))->toBeLessThanOrEqual(2.1);
    }
})->with([
    'PNG' => [PictureFormat::Png, 8, 92, 0], 'PNG of 16 bits' => [PictureFormat::Png, 16, 92, 0], 'JPEG' => [PictureFormat::Jpeg, 8, 95, 6], 'TIFF' => [PictureFormat::Tiff, 8, 92, 0],
    'TIFF of 16 bits' => [PictureFormat::Tiff, 16, 92, 0], 'WebP without loss' => [PictureFormat::WebP, 8, 100, 0], 'WebP' => [PictureFormat::WebP, 8, 95, 12], 'AVIF' => [PictureFormat::Avif, 8, 95, 8],
]);

it('refuses what is cut off or damaged, in a sentence', function (string $format): void {
    $image = new Imagick;
    $image->newPseudoImage(120, 90, 'plasma:fractal');
    $image->setImageFormat($format);
    $image->writeImage("{$format}:".$path = Folder::of('formats')."/whole.{$format}");
    $bytes = (string) file_get_contents($path);
    mt_srand(5);
    foreach (range(1, 30) as $try) {
        $damaged = $try % 2 === 0 ? substr($bytes, 0, mt_rand(16, strlen($bytes) - 20)) : substr_replace($bytes, chr(mt_rand(0, 255)), mt_rand(12, strlen($bytes) - 1), 1);
        try {
            $picture = decoded(fileOf($damaged, "damaged.{$format}"));
            expect($picture->width())->toBeGreaterThan(0);
        } catch (UnreadablePicture $problem) {
            expect($problem->getMessage())->toStartWith("damaged.{$format} ");
        }
    }
    // half of it never passes for the whole
    expect(fn () => decoded(fileOf(substr($bytes, 0, intdiv(strlen($bytes), 2)), "half.{$format}")))->toThrow(UnreadablePicture::class);
})->with(['tiff', 'webp', 'avif', 'heic']);

it('exports a scene to every format that it names, by the wall and by the command line', function (): void {
    $scene = aScene();
    foreach (PictureFormat::written() as $format) {
        $export = $this->postJson("/api/scenes/{$scene['id']}/exports", ['format' => $format->value, 'bits' => 16])->assertCreated()->json();
        expect($export['bits'])->toBe(max($format->bits()))->and($export['name'])->toEndWith('.'.$format->ending());
        $done = $this->getJson("/api/scenes/{$scene['id']}/exports")->json('exports.0');
        expect($done['state'])->toBe('done', (string) $done['problem']);
        $file = $this->get("/api/scenes/{$scene['id']}/exports/{$export['id']}/file")->assertOk()->baseResponse->getFile()->getPathname();
        $picture = decoded($file);
        expect([$picture->width(), $picture->height()])->toBe([64, 40]);
    }
    $this->postJson("/api/scenes/{$scene['id']}/exports", ['format' => 'heic'])->assertStatus(422);
});
