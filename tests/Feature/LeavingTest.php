<?php

declare(strict_types=1);

use App\Codecs\ExrFile;
use App\Codecs\Finish;
use App\Codecs\OraReader;
use App\Codecs\PictureEncoder;
use App\Codecs\PictureFormat;
use App\Codecs\Primaries;
use App\Codecs\SrgbProfile;
use App\Export\Exports;
use App\Export\Ordered;
use App\Models\Export;
use App\Models\Scene;
use Aumbrel\Core\Color\Srgb;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Support\Facades\DB;
use Tests\Support\Folder;
use Tests\Support\PictureFile;

/* What leaves the house, in files that others open, and layered files that come in. */

/** A lit scene in a folder of its own, of an odd size; gives its file. */
function leaving(): string
{
    $folder = Folder::of('leaving-'.bin2hex(random_bytes(4)));
    copy(PictureFile::drawn('wall.png', 121, 80, fn (int $x, int $y): array => [50 + $x, 60 + $y, 90, 1.0])->getPathname(), "{$folder}/wall.png");
    copy(PictureFile::drawn('disc.png', 40, 40, fn (int $x, int $y): array => [130, 120, 90, max(0, min(1, (17 - hypot($x - 19.5, $y - 19.5)) / 3))])->getPathname(), "{$folder}/disc.png");
    file_put_contents("{$folder}/scene.json", json_encode(['aumbrel' => 2, 'title' => 'Stall & "wall"', 'size' => [121, 80], 'strips' => [
        ['id' => 'wall', 'kind' => 'plate', 'name' => 'Wall', 'values' => ['picture' => 'wall.png']],
        ['id' => 'disc', 'kind' => 'plate', 'name' => 'Disc', 'amount' => 70, 'values' => ['picture' => 'disc.png', 'place' => [60, 30]]],
        ['id' => 'blue', 'kind' => 'fill', 'name' => 'Blue', 'mode' => 'multiply', 'amount' => 60, 'values' => ['colour' => '#8090ff']],
        ['id' => 'group', 'kind' => 'group', 'name' => 'Lights', 'strips' => [
            ['id' => 'spot', 'kind' => 'spot', 'name' => 'Spot', 'level' => 1, 'mode' => 'airlight', 'values' => ['origin' => [100, 2], 'target' => [60, 60], 'beam' => 40, 'field' => 60]],
            ['id' => 'haze', 'kind' => 'fill', 'name' => 'Veil', 'mode' => 'screen', 'amount' => 20, 'values' => ['colour' => '#c0a080']],
        ]],
        ['id' => 'off', 'kind' => 'fill', 'name' => 'Off', 'muted' => true, 'values' => ['colour' => '#ff0000']],
    ]]));

    return "{$folder}/scene.json";
}

function ran(string $out, string ...$words): array
{
    $process = proc_open([base_path('bin/aumbrel'), ...$words, ...($out === '' ? [] : ['--out', $out])], [1 => ['pipe', 'w'], 2 => ['pipe', 'w']], $pipes);
    $said = [stream_get_contents($pipes[1]), stream_get_contents($pipes[2])];

    return [proc_close($process), (string) $said[0], (string) $said[1]];
}

/** @return list<float> red, green, blue, alpha of each pixel, 0..1 */
function values(Imagick $image): array
{
    return $image->exportImagePixels(0, 0, $image->getImageWidth(), $image->getImageHeight(), 'RGBA', Imagick::PIXEL_DOUBLE);
}

function apart(array $one, array $other): float
{
    return 255 * max(array_map(static fn (float $a, float $b): float => abs($a - $b), $one, $other));
}

it('writes an OpenRaster file as its specification has it, and its merged picture is the export', function (): void {
    $scene = leaving();
    $ora = dirname($scene).'/out.ora';
    [$status, $out] = ran($ora, 'layers', $scene);
    $said = json_decode($out, true);
    expect($status)->toBe(0)->and($said['layers'])->toBe(5)->and($said['baked'])->toBe([['layer' => 'Spot', 'why' => 'airlight is a mode of its own']]);
    // *OpenRaster File Format Baseline Specification*: the first entry is the media type, stored, so that it stands at byte 38
    $bytes = (string) file_get_contents($ora);
    expect(substr($bytes, 30, 8))->toBe('mimetype')->and(substr($bytes, 38, 16))->toBe('image/openraster')->and(unpack('v', $bytes, 8)[1])->toBe(0);
    $zip = new ZipArchive;
    expect($zip->open($ora, ZipArchive::CHECKCONS))->toBeTrue();
    $names = array_map(static fn (int $at): string => (string) $zip->getNameIndex($at), range(0, $zip->numFiles - 1));
    expect($names)->toContain('stack.xml', 'mergedimage.png', 'Thumbnails/thumbnail.png');
    $xml = simplexml_load_string((string) $zip->getFromName('stack.xml'));
    expect((string) $xml['w'])->toBe('121')->and((string) $xml['h'])->toBe('80')->and(version_compare((string) $xml['version'], '0.0.1'))->toBeGreaterThanOrEqual(0)->and((string) $xml['name'])->toBe('Stall & "wall"');
    // from the front to the back; a group is a stack
    $top = $xml->stack->children();
    expect(array_map(static fn ($one): string => $one->getName().' '.$one['name'], iterator_to_array($top, false)))->toBe(['stack Lights', 'layer Blue', 'layer Disc', 'layer Wall']);
    expect((string) $xml->stack->stack->layer[0]['composite-op'])->toBe('svg:screen')->and((string) $xml->stack->stack->layer[1]['name'])->toBe('Spot (baked)')->and((float) $xml->stack->layer[1]['opacity'])->toBe(0.7)->and((string) $xml->stack->layer[0]['composite-op'])->toBe('svg:multiply');
    $thumbnail = getimagesizefromstring((string) $zip->getFromName('Thumbnails/thumbnail.png'));
    expect(max($thumbnail[0], $thumbnail[1]))->toBeLessThanOrEqual(256);
    ran(dirname($scene).'/out.png', 'render', $scene);
    $merged = new Imagick;
    $merged->readImageBlob((string) $zip->getFromName('mergedimage.png'));
    $export = new Imagick(dirname($scene).'/out.png');
    expect(apart(values($merged), values($export)))->toBeLessThan(1e-6);
    // and the layers stack to it, by the formulas of the imaging library (SVG Compositing)
    $canvas = new Imagick;
    $canvas->newImage(121, 80, 'transparent');
    $canvas->setImageColorspace(Imagick::COLORSPACE_SRGB);
    foreach (array_reverse([...$xml->xpath('/image/stack/stack/layer'), ...$xml->xpath('/image/stack/layer')]) as $layer) {
        $image = new Imagick;
        $image->readImageBlob((string) $zip->getFromName((string) $layer['src']));
        expect($image->getImageAlphaChannel())->toBeTruthy();
        $image->evaluateImage(Imagick::EVALUATE_MULTIPLY, (float) $layer['opacity'], Imagick::CHANNEL_ALPHA);
        $canvas->compositeImage($image, ['svg:src-over' => Imagick::COMPOSITE_OVER, 'svg:multiply' => Imagick::COMPOSITE_MULTIPLY, 'svg:screen' => Imagick::COMPOSITE_SCREEN][(string) $layer['composite-op']], (int) $layer['x'], (int) $layer['y']);
    }
    expect(apart(values($canvas), values($export)))->toBeLessThan(2.6);
});

it('takes an OpenRaster file in as plates with place, opacity and mode, and groups', function (): void {
    $scene = leaving();
    $ora = dirname($scene).'/out.ora';
    ran($ora, 'layers', $scene);
    $taken = $this->postJson('/api/scenes', ['file' => PictureFile::of('market_stall.ora', (string) file_get_contents($ora))])->assertCreated()->json();
    expect($taken['title'])->toBe('Market stall')->and([$taken['width'], $taken['height']])->toBe([121, 80])->and($taken['notice'])->toBeNull();
    $strips = $taken['strips'];
    expect(array_column($strips, 'name'))->toBe(['Wall', 'Disc', 'Blue', 'Lights'])->and(array_column($strips, 'kind'))->toBe(['plate', 'plate', 'plate', 'group'])
        ->and($strips[0]['locked'])->toBeTrue()->and($strips[1]['amount'])->toEqual(70)->and($strips[2]['mode'])->toBe('multiply')->and(array_column($strips[3]['strips'], 'mode'))->toBe(['normal', 'screen'])
        // 3 px of the disc's border are clear: its layer begins further inside
        ->and($strips[1]['values']['place'][0])->toEqualWithDelta(80, 0.6);
    $file = "{$this->app->storagePath()}/leaving-".bin2hex(random_bytes(4)).'.png';
    $there = dirname($scene).'/back';
    mkdir($there);
    $zip = $this->get("/api/scenes/{$taken['id']}/packed")->assertOk()->baseResponse->getFile()->getPathname();
    copy($zip, "{$there}/scene.zip");
    ran("{$there}/back.png", 'render', "{$there}/scene.zip");
    ran("{$there}/out.png", 'render', $scene);
    expect(apart(values(new Imagick("{$there}/back.png")), values(new Imagick("{$there}/out.png"))))->toBeLessThan(2.6);
});

/** A layered file of one red pixel, whose stack says what it is given. */
function ora(string $stack, string $type = 'image/openraster', bool $layer = true): string
{
    $zip = new ZipArchive;
    $zip->open($file = tempnam(sys_get_temp_dir(), 'ora'), ZipArchive::OVERWRITE);
    $zip->addFromString('mimetype', $type);
    $zip->setCompressionName('mimetype', ZipArchive::CM_STORE);
    $layer && $zip->addFromString('data/a.png', (string) file_get_contents(PictureFile::drawn('a.png', 2, 2, fn (): array => [255, 0, 0, 1.0])->getPathname()));
    $zip->addFromString('stack.xml', $stack);
    $zip->close();

    return (string) file_get_contents($file);
}

it('refuses damaged and hostile layered files in a sentence', function (string $bytes, string $says): void {
    $this->postJson('/api/scenes', ['file' => PictureFile::of('a.ora', $bytes)])->assertStatus(422)->assertSee($says);
    expect(Scene::query()->count())->toBe(0);
})->with([
    'no XML' => fn (): array => [ora('hello'), 'damaged stack'],
    'entities that grow' => fn (): array => [ora('<!DOCTYPE image [<!ENTITY a "aaaa"><!ENTITY b "&a;&a;">]><image w="2" h="2"><stack><layer name="&b;" src="data/a.png"/></stack></image>'), 'damaged stack'],
    'a file of the machine' => fn (): array => [ora('<!DOCTYPE image [<!ENTITY a SYSTEM "file:///etc/hostname">]><image w="2" h="2"><stack><layer name="&a;" src="data/a.png"/></stack></image>'), 'damaged stack'],
    'no size' => fn (): array => [ora('<image><stack><layer src="data/a.png"/></stack></image>'), 'its size cannot be read'],
    'no layers' => fn (): array => [ora('<image w="2" h="2"><stack/></image>'), 'has no layers'],
    'a layer that is missing' => fn (): array => [ora('<image w="2" h="2"><stack><layer src="../../../etc/passwd"/></stack></image>'), 'is missing'],
    'stacks without end' => fn (): array => [ora('<image w="2" h="2">'.str_repeat('<stack>', 30).str_repeat('</stack>', 30).'</image>'), 'stacks within more than'],
]);

it('says which operations it does not know, and takes the rest', function (): void {
    $xml = '<image w="8" h="6"><stack><layer name="Erase" src="data/a.png" x="3" y="2" composite-op="svg:dst-out" opacity="0.5"/><layer name="Red" src="data/a.png" x="-1" composite-op="svg:overlay" visibility="hidden"/></stack></image>';
    $taken = $this->postJson('/api/scenes', ['file' => PictureFile::of('a.ora', ora($xml))])->assertCreated()->json();
    expect($taken['notice'])->toBe('Mixed in normal, as Aumbrel has no such mode: Erase (svg:dst-out).')->and($taken['strips'][0])->toMatchArray(['name' => 'Red', 'mode' => 'overlay', 'muted' => true])->and($taken['strips'][0]['values']['place'])->toEqual([0, 1])
        ->and($taken['strips'][1])->toMatchArray(['name' => 'Erase', 'mode' => 'normal', 'amount' => 50])->and($taken['strips'][1]['values']['place'])->toEqual([4, 3]);
});

it('writes passes that add up to the picture, as EXR, and how much each changes, as PNG', function (): void {
    $scene = leaving();
    $folder = dirname($scene);
    [$status, $out] = ran("{$folder}/p.zip", 'passes', $scene);
    expect($status)->toBe(0)->and(json_decode($out, true)['passes'])->toBe(['01-wall.exr', '02-disc.exr', '03-blue.exr', '04-lights.exr']);
    $zip = new ZipArchive;
    $zip->open("{$folder}/p.zip");
    $sum = array_fill(0, 121 * 80 * 3, 0.0);
    $takes = 0.0;
    for ($at = 0; $at < $zip->numFiles; $at++) {
        $exr = ExrFile::read((string) $zip->getFromIndex($at), (string) $zip->getNameIndex($at));
        expect([$exr->width(), $exr->height()])->toBe([121, 80]);
        foreach ($exr->rows(['R', 'G', 'B']) as $y => $row) {
            foreach (['R', 'G', 'B'] as $k => $channel) {
                foreach ($row[$channel] as $x => $value) {
                    $sum[3 * (121 * $y + $x) + $k] += $value;
                    $takes = min($takes, $value);
                }
            }
        }
    }
    ran("{$folder}/out.exr", 'render', $scene);
    ran("{$folder}/out.png", 'render', $scene, '--bits', '16');
    $png = values(new Imagick("{$folder}/out.png"));
    $most = $whole = 0.0;
    foreach (ExrFile::read((string) file_get_contents("{$folder}/out.exr"), 'out.exr')->rows(['R', 'G', 'B']) as $y => $row) {
        foreach (['R', 'G', 'B'] as $k => $channel) {
            foreach ($row[$channel] as $x => $value) {
                $at = 121 * $y + $x;
                [$most, $whole] = [max($most, abs(Srgb::encode(min(1.0, max(0.0, $sum[3 * $at + $k]))) - $png[4 * $at + $k])), max($whole, abs(Srgb::encode(min(1.0, $value)) - $png[4 * $at + $k]))];
            }
        }
    }
    expect(255 * $most)->toBeLessThan(1.0)->and(255 * $whole)->toBeLessThan(0.5)->and($takes)->toBeLessThan(-0.01);
    [, $out] = ran("{$folder}/png.zip", 'passes', $scene, '--format', 'png', '--bits', '8');
    expect(json_decode($out, true)['passes'])->toContain('04-lights.png');
    expect(ran("{$folder}/x.zip", 'passes', $scene, '--format', 'jpeg')[2])->toContain('expected exr or png')->and(ran("{$folder}/x.png", 'passes', $scene)[2])->toContain('ends in .zip');
});

it('lays the steps of a scene side by side', function (): void {
    $scene = leaving();
    $folder = dirname($scene);
    [$status, $out] = ran("{$folder}/steps.png", 'steps', $scene, '--long-side', '900');
    expect($status)->toBe(0)->and(json_decode($out, true)['steps'])->toBe(['As it came in', 'Blue, multiply', 'Lights', 'Finished']);
    $sheet = new Imagick("{$folder}/steps.png");
    expect($sheet->getImageWidth())->toBeGreaterThan($sheet->getImageHeight() / 2);
    [, $out] = ran("{$folder}/beside.jpg", 'steps', $scene, '--before');
    expect(json_decode($out, true)['steps'])->toBe(['As it came in', 'Finished']);
});

it('reduces to any size as a picture of the whole is reduced, and enlarges by rendering larger', function (array $words, array $size): void {
    $scene = leaving();
    $folder = dirname($scene);
    [$status, $out] = ran("{$folder}/small.png", 'render', $scene, ...$words);
    expect($status)->toBe(0)->and(json_decode($out, true))->toMatchArray(['columns' => $size[0], 'rows' => $size[1]])->and(array_slice(getimagesize("{$folder}/small.png"), 0, 2))->toBe($size);
    if ($words === ['--percent', '50']) {
        // the means of the whole are kept, as they are by every proper filter
        ran("{$folder}/whole.png", 'render', $scene);
        $mean = static fn (string $file): float => array_sum(values(new Imagick($file))) / count(values(new Imagick($file)));
        expect($mean("{$folder}/small.png"))->toEqualWithDelta($mean("{$folder}/whole.png"), 0.004);
    }
})->with([[['--long-side', '60'], [60, 40]], [['--percent', '50'], [61, 40]], [['--long-side', '242'], [242, 160]], [['--long-side', '60', '--sharpen', '120'], [60, 40]]]);

it('refuses sizes that do not go together', function (array $words, string $says): void {
    $scene = leaving();
    [$status, , $error] = ran(dirname($scene).'/x.png', 'render', $scene, ...$words);
    expect($status)->toBe(2)->and($error)->toContain($says)->and(is_file(dirname($scene).'/x.png'))->toBeFalse();
})->with([
    [['--long-side', '60', '--percent', '50'], 'do not go together'], [['--long-side', '60', '--scale', '0.5'], 'do not go with --scale'], [['--colours', 'cmyk'], 'expected srgb or p3'], [['--long-side', '0'], 'expected a number'],
]);

it('writes Display P3 by its primaries', function (): void {
    // ICC.1 and SMPTE EG 432-1: the primaries adapted to D50 by Bradford, worked out here from x and y
    $bradford = [[0.8951, 0.2664, -0.1614], [-0.7502, 1.7135, 0.0367], [0.0389, -0.0685, 1.0296]];
    $times = static fn (array $matrix, array $vector): array => array_map(static fn (array $row): float => $row[0] * $vector[0] + $row[1] * $vector[1] + $row[2] * $vector[2], $matrix);
    $inverse = static function (array $m): array {
        [[$a, $b, $c], [$d, $e, $f], [$g, $h, $i]] = $m;
        $det = $a * ($e * $i - $f * $h) - $b * ($d * $i - $f * $g) + $c * ($d * $h - $e * $g);

        return array_map(static fn (array $row): array => array_map(static fn (float $value): float => $value / $det, $row), [[$e * $i - $f * $h, $c * $h - $b * $i, $b * $f - $c * $e], [$f * $g - $d * $i, $a * $i - $c * $g, $c * $d - $a * $f], [$d * $h - $e * $g, $b * $g - $a * $h, $a * $e - $b * $d]]);
    };
    $xyz = static fn (float $x, float $y): array => [$x / $y, 1.0, (1 - $x - $y) / $y];
    $white = $xyz(0.3127, 0.3290);
    $primaries = [$xyz(0.680, 0.320), $xyz(0.265, 0.690), $xyz(0.150, 0.060)];
    $shares = $times($inverse([[$primaries[0][0], $primaries[1][0], $primaries[2][0]], [1.0, 1.0, 1.0], [$primaries[0][2], $primaries[1][2], $primaries[2][2]]]), $white);
    [$from, $to] = [$times($bradford, $white), $times($bradford, [0.96422, 1.0, 0.82521])];
    $profile = SrgbProfile::displayP3();
    foreach ($primaries as $k => $primary) {
        $cone = $times($bradford, array_map(static fn (float $value): float => $value * $shares[$k], $primary));
        $adapted = $times($inverse($bradford), array_map(static fn (float $value, float $was, float $is): float => $value * $is / $was, $cone, $from, $to));
        $at = strpos($profile, ['rXYZ', 'gXYZ', 'bXYZ'][$k]) + 4;
        $place = unpack('N', $profile, $at)[1] + 8;
        foreach ([0, 1, 2] as $axis) {
            $fixed = unpack('N', $profile, $place + 4 * $axis)[1];
            expect(($fixed > 0x7FFFFFFF ? $fixed - 0x100000000 : $fixed) / 65536)->toEqualWithDelta($adapted[$axis], 0.0003);
        }
    }
    // a red of sRGB is a duller one of the wider space: 0.9175, 0.2003, 0.1387 (a worked example, from memory)
    $raw = tempnam(sys_get_temp_dir(), 'raw');
    file_put_contents($raw, str_repeat("\xFF\xFF\0\0\0\0\xFF\xFF", 4));
    (new PictureEncoder)->write($raw, 2, 2, 16, $file = "{$raw}.png", PictureFormat::Png, 92, new Finish(colours: Primaries::P3));
    $image = new Imagick($file);
    expect(array_slice(values($image), 0, 3))->toEqualWithDelta([0.9175, 0.2003, 0.1387], 0.004)->and($image->getImageProfiles('icc', true)['icc'])->toBe($profile);
});

it('takes what the backdrop says of itself along only when it is asked to, and stands upright then', function (): void {
    $scene = leaving();
    $folder = dirname($scene);
    $photo = new Imagick("{$folder}/wall.png");
    $photo->setImageFormat('jpeg');
    // orientation 3, and a description
    $ifd = pack('v', 2).pack('vvVV', 0x010E, 2, 12, 38).pack('vvVvv', 0x0112, 3, 1, 3, 0).pack('V', 0);
    $photo->setImageProfile('exif', "Exif\0\0II*\0".pack('V', 8).$ifd."Salt marsh!\0");
    $photo->writeImage("{$folder}/wall.jpg");
    file_put_contents($scene, str_replace('wall.png', 'wall.jpg', (string) file_get_contents($scene)));
    ran("{$folder}/plain.jpg", 'render', $scene);
    ran("{$folder}/told.jpg", 'render', $scene, '--metadata');
    expect((string) file_get_contents("{$folder}/plain.jpg"))->not->toContain('Salt marsh!')->and((string) file_get_contents("{$folder}/told.jpg"))->toContain('Salt marsh!')
        ->and((new Imagick("{$folder}/told.jpg"))->getImageOrientation())->toBeIn([Imagick::ORIENTATION_TOPLEFT, Imagick::ORIENTATION_UNDEFINED]);
});

it('uses a rig on many pictures by the command line, each under its name', function (): void {
    $scene = leaving();
    $folder = dirname($scene);
    mkdir("{$folder}/out");
    $rig = ['aumbrelRig' => 1, 'name' => 'Mist', 'strips' => [['id' => 'v', 'kind' => 'fill', 'mode' => 'screen', 'amount' => 50, 'values' => ['colour' => '#808080']]]];
    file_put_contents("{$folder}/mist.rig.json", json_encode($rig));
    foreach (['one', 'two'] as $at => $name) {
        copy(PictureFile::drawn("{$name}.png", 40 + 10 * $at, 30, fn (): array => [100, 100, 100, 1.0])->getPathname(), "{$folder}/{$name}.png");
    }
    [$status, $out, $error] = ran("{$folder}/out", 'apply', "{$folder}/mist.rig.json", "{$folder}/one.png", "{$folder}/two.png");
    expect($status)->toBe(0, $error)->and(substr_count($out, "\n"))->toBe(2);
    $screened = 1 - (1 - 100 / 255) * (1 - 128 / 255);
    expect(values(new Imagick("{$folder}/out/one.png"))[0])->toEqualWithDelta((100 / 255 + $screened) / 2, 0.004)->and(getimagesize("{$folder}/out/two.png")[0])->toBe(50);
    // what is there stays, unless that is meant
    [$status, , $error] = ran("{$folder}/out", 'apply', "{$folder}/mist.rig.json", "{$folder}/one.png");
    expect($status)->toBe(2)->and($error)->toContain('is there already');
    expect(ran("{$folder}/out", 'apply', "{$folder}/mist.rig.json", "{$folder}/one.png", '--over')[0])->toBe(0);
    // one that cannot be read does not keep the others from being written
    file_put_contents("{$folder}/broken.png", 'no picture');
    [$status, , $error] = ran("{$folder}/out", 'apply', "{$folder}/mist.rig.json", "{$folder}/broken.png", "{$folder}/two.png", '--over');
    expect($status)->toBe(2)->and($error)->toContain('broken.png')->and(array_map(basename(...), glob("{$folder}/out/*")))->toBe(['one.png', 'two.png']);
    file_put_contents("{$folder}/edge.rig.json", json_encode(['aumbrelRig' => 1, 'plates' => [['id' => 'p', 'name' => 'Heron', 'is' => 'subject']], 'strips' => [['id' => 'r', 'kind' => 'rim', 'values' => ['of' => 'p']]]]));
    [$status, , $error] = ran("{$folder}/out", 'apply', "{$folder}/edge.rig.json", "{$folder}/one.png", '--over');
    expect($status)->toBe(2)->and($error)->toContain('lights a plate (Heron');
    expect(ran("{$folder}/out", 'apply', $scene, "{$folder}/one.png", '--over')[2])->toContain('no rig that Aumbrel knows');
});

it('orders exports of every kind, opens them, and throws them away', function (array $order, string $name): void {
    $scene = $this->postJson('/api/scenes', ['file' => PictureFile::png(60, 40)])->assertCreated()->json();
    $url = "/api/scenes/{$scene['id']}/exports";
    $export = $this->postJson($url, $order)->assertCreated()->json();
    expect($export['name'])->toBe($name)->and($this->getJson($url)->json('exports.0.state'))->toBe('done', $this->getJson($url)->json('exports.0.problem') ?? '');
    $path = app(Exports::class)->path(Export::query()->findOrFail($export['id']));
    expect(is_file($path))->toBeTrue();
    $this->get("{$url}/{$export['id']}/file")->assertOk()->assertDownload($name);
    expect($this->get("{$url}/{$export['id']}/file?open=1")->assertOk()->headers->get('Content-Disposition'))->toStartWith('inline');
    $this->deleteJson("{$url}/{$export['id']}")->assertOk()->assertJsonPath('gone', $export['id']);
    expect(is_file($path))->toBeFalse()->and($this->getJson($url)->json('exports'))->toBe([]);
})->with([
    [['format' => 'jpeg', 'longSide' => 30, 'sharpen' => 50, 'colours' => 'p3'], 'marsh-at-dusk-30px-p3.jpg'],
    [['format' => 'png', 'writes' => 'layers'], 'marsh-at-dusk.ora'],
    [['format' => 'exr', 'writes' => 'passes'], 'marsh-at-dusk-passes.zip'],
    [['format' => 'png', 'writes' => 'steps', 'longSide' => 400], 'marsh-at-dusk-steps.png'],
    [['format' => 'jpeg', 'writes' => 'before and after'], 'marsh-at-dusk-before-and-after.jpg'],
    [['format' => 'exr', 'percent' => 50], 'marsh-at-dusk.exr'],
]);

it('says that an export is done, or has failed, when nothing is left beside it: a worker may be killed right after', function (int $width, bool $isThere, string $state): void {
    $id = $this->postJson('/api/scenes', ['file' => PictureFile::png($width, 43)])->assertCreated()->json('id');
    if (! $isThere) {
        unlink(config('aumbrel.pictures').'/'.DB::table('scene_pictures')->where('scene_id', $id)->value('picture_id').'/original');
    }
    $left = null;
    DB::listen(function (QueryExecuted $query) use (&$left, $state): void {
        if (str_starts_with($query->sql, 'update "exports"') && in_array($state, $query->bindings, true)) {
            $left = array_map(basename(...), glob(config('aumbrel.exports').'/*.scene') ?: []);
        }
    });
    $export = $this->postJson("/api/scenes/{$id}/exports", ['format' => 'png'])->assertCreated()->json('id');
    expect(Export::query()->findOrFail($export)->state)->toBe($state)->and($left)->toBe([]);
})->with([
    'done' => [61, true, Export::DONE],
    'failed, as its picture is gone' => [67, false, Export::FAILED],
]);

it('refuses orders that make no sense', function (array $order): void {
    $scene = $this->postJson('/api/scenes', ['file' => PictureFile::png(60, 40)])->assertCreated()->json();
    $this->postJson("/api/scenes/{$scene['id']}/exports", $order)->assertStatus(422);
    expect(Export::query()->count())->toBe(0);
})->with([[['format' => 'heic']], [['format' => 'png', 'longSide' => 0]], [['format' => 'png', 'percent' => 'wide']], [['format' => 'png', 'writes' => 'movie']], [['format' => 'png', 'colours' => 'cmyk']]]);

it('knows how an order goes on as a command', function (): void {
    expect(Ordered::of(['format' => 'jpeg', 'longSide' => 800, 'sharpen' => 40, 'metadata' => true])->command())->toBe(['render', '--bits', '8', '--quality', '92', '--long-side', '800', '--sharpen', '40', '--metadata'])
        ->and(Ordered::of(['format' => 'exr', 'percent' => 50, 'colours' => 'p3'])->command())->toBe(['render'])
        ->and(Ordered::of(['format' => 'exr', 'writes' => 'passes', 'longSide' => 800])->command())->toBe(['passes', '--bits', '16', '--quality', '92', '--format', 'exr']);
    expect(OraReader::isOne(__FILE__))->toBeFalse();
});
