<?php

declare(strict_types=1);

use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Scene\Scene;
use Aumbrel\Core\Scene\ToneLimits;
use Tests\Support\Flat;
use Tests\Support\Plainly;
use Tests\Support\Rendering;

/** Tones from black on the left to white on the right, a row of greys above a row of warm ones. */
function toneWedge(): Flat
{
    return new Flat(256, 4, static fn (int $x, int $y): array => $y < 2 ? [$x, $x, $x] : [$x, (int) ($x * 0.6), (int) ($x * 0.2)]);
}

/** @return list<float> red of each pixel of a row, 0..1 */
function toneRow(array $strips, int $row = 0): array
{
    $picture = Rendering::picture(['wedge' => toneWedge()], 256, 4, [Rendering::plate('wedge', ['id' => 'wedge']), ...$strips]);
    $values = array_values(unpack('n*', $picture->bytes));

    return array_map(static fn (int $x): float => $values[4 * ($row * 256 + $x)] / 65535, range(0, 255));
}

/** The definition, written plainly. */
function tonesPass(float $luma, float $lo0, float $lo1, float $hi0, float $hi1): float
{
    $step = static fn (float $t): float => ($t = max(0, min(1, $t))) ** 2 * (3 - 2 * $t);
    $low = $lo1 == 0 ? 1 : ($lo1 > $lo0 ? $step(($luma - $lo0) / ($lo1 - $lo0)) : ($luma >= $lo0 - 1e-6 ? 1 : 0));
    $high = $hi0 == 1 ? 1 : ($hi1 > $hi0 ? 1 - $step(($luma - $hi0) / ($hi1 - $hi0)) : ($luma <= $hi1 + 1e-6 ? 1 : 0));

    return $low * $high;
}

it('agrees with tone limits rendered by an independent implementation', function (): void {
    $folder = __DIR__.'/reference/tones';
    $given = json_decode((string) file_get_contents("{$folder}/scene.json"), true);
    [$width, $height] = $given['size'];
    $pictures = [];
    foreach (['photo', 'texture'] as $name) {
        $image = new Imagick("{$folder}/{$name}.png");
        [$columns, $rows] = [$image->getImageWidth(), $image->getImageHeight()];
        $bytes = $image->exportImagePixels(0, 0, $columns, $rows, 'RGBA', Imagick::PIXEL_CHAR);
        $pictures[$name] = new Flat($columns, $rows, static fn (int $x, int $y): array => array_slice($bytes, 4 * ($y * $columns + $x), 4));
    }
    $strips = array_map(static fn (array $strip): array => [
        'id' => $strip['id'], 'mode' => $strip['mode'], ...(isset($strip['level']) ? ['level' => $strip['level']] : ['amount' => 100 * $strip['amount']]),
        'kind' => $strip['kind'], 'values' => match ($strip['kind']) {
            'plate' => ['picture' => basename($strip['file'], '.png'), 'place' => $strip['at'] ?? [0, 0]],
            'wash' => ['colour' => $strip['light'], 'keyed' => 'plain'],
            'fill' => ['colour' => sprintf('#%02x%02x%02x', ...array_map(static fn (float $v): int => (int) round(255 * $v), $strip['colour']))],
        },
        ...(isset($strip['tones']) ? ['tones' => ['darks' => [$strip['tones']['lo0'], $strip['tones']['lo1']], 'brights' => [$strip['tones']['hi0'], $strip['tones']['hi1']], 'of' => ($strip['tones']['of'] ?? 'below') === 'self' ? 'itself' : 'below']] : []),
        'masks' => array_map(static fn (array $mask): array => ['id' => 'm', 'kind' => 'outline', 'values' => ['path' => array_map(static fn (array $at): array => ['at' => $at], $mask['polygon'])]], $strip['masks'] ?? []),
    ], $given['strips']);
    $picture = Rendering::picture($pictures, $width, $height, $strips);
    $ours = array_values(unpack('n*', $picture->bytes));
    [$sum, $most] = [0.0, 0.0];
    foreach (array_values(unpack('g*', (string) file_get_contents("{$folder}/expected.f32"))) as $k => $value) {
        $off = 255 * abs($ours[4 * intdiv($k, 3) + $k % 3] / 65535 - min(1.0, $value));
        [$sum, $most] = [$sum + $off, max($most, $off)];
    }
    expect($sum / (3 * $width * $height))->toBeLessThan(0.2)->and($most)->toBeLessThan(1.0);
});

it('lets tones of the picture below pass as the definition says', function (array $darks, array $brights): void {
    $limits = ['darks' => $darks, 'brights' => $brights];
    $shown = toneRow([['id' => 'f', 'kind' => 'fill', 'mode' => 'normal', 'amount' => 60, 'values' => ['colour' => '#ff0000'], 'tones' => $limits]]);
    $read = ToneLimits::read($limits, 'tones');
    foreach ($shown as $x => $red) {
        $pass = tonesPass($x / 255, ...$darks, ...$brights);
        expect($red)->toEqualWithDelta($x / 255 + 0.6 * $pass * (1 - $x / 255), 0.002, "tone {$x}")->and($read->at($x / 255))->toEqualWithDelta($pass, 1e-6);
    }
})->with([
    'between soft shoulders' => [[0.2, 0.4], [0.6, 0.9]], 'no lower limit' => [[0.0, 0.0], [0.3, 0.5]], 'no upper limit' => [[0.5, 0.7], [1.0, 1.0]],
    'steps that take their own tone in' => [[102 / 255, 102 / 255], [153 / 255, 153 / 255]], 'everything' => [[0.0, 0.0], [1.0, 1.0]],
]);

it('goes by luma, and by what lay below before any of its layers', function (): void {
    // warm tones: luma 0.2126 + 0.7152 x 0.6 + 0.0722 x 0.2 of red
    $shown = toneRow([['id' => 'f', 'kind' => 'fill', 'mode' => 'normal', 'amount' => 100, 'values' => ['colour' => '#ffffff'], 'tones' => ['darks' => [0.3, 0.3]]]], 3);
    foreach ([90, 110, 130, 140] as $x) {
        $luma = (0.2126 * $x + 0.7152 * (int) ($x * 0.6) + 0.0722 * (int) ($x * 0.2)) / 255;
        expect($shown[$x])->toEqualWithDelta($luma >= 0.3 ? 1.0 : $x / 255, 0.002);
    }
    // a glow of many shells is one strip: what the first shell brightens does not let the next one pass
    $glow = ['id' => 'g', 'kind' => 'glow', 'mode' => 'add', 'level' => 2, 'values' => ['centre' => [128, 2], 'size' => 200], 'tones' => ['darks' => [0.5, 0.5]]];
    $lit = toneRow([$glow]);
    expect($lit[120])->toEqualWithDelta(120 / 255, 0.001)->and($lit[129])->toBeGreaterThan(0.55);
});

it('limits a strip by its own tones', function (): void {
    // a plate by its own picture: only its bright half is laid over what is below
    $shown = toneRow([['id' => 'black', 'kind' => 'fill', 'mode' => 'normal', 'values' => ['colour' => '#000000']], Rendering::plate('wedge', ['id' => 'own', 'tones' => ['darks' => [0.5, 0.5], 'of' => 'itself']])]);
    expect($shown[120])->toEqualWithDelta(0.0, 0.001)->and($shown[140])->toEqualWithDelta(140 / 255, 0.001);
    // a light by the luma of its encoded colour, also mixed in linear light
    $wash = static fn (float $limit): float => toneRow([['id' => 'w', 'kind' => 'wash', 'mode' => 'illuminate', 'level' => 1, 'values' => ['colour' => ['swatch' => '#ff8040'], 'keyed' => 'plain'], 'tones' => ['darks' => [$limit, $limit], 'of' => 'itself']]])[100];
    $luma = (0.2126 * 255 + 0.7152 * 128 + 0.0722 * 64) / 255;
    expect($wash($luma - 0.01))->toBeGreaterThan(0.45)->and($wash($luma + 0.01))->toEqualWithDelta(100 / 255, 0.001);
});

it('limits a group by what lay below it, or by what it has made', function (string $of): void {
    $group = ['id' => 'g', 'kind' => 'group', 'amount' => 80, 'tones' => ['darks' => [0.4, 0.6], 'of' => $of], 'strips' => [
        ['id' => 'a', 'kind' => 'fill', 'mode' => 'screen', 'amount' => 50, 'values' => ['colour' => '#808080']], ['id' => 'b', 'kind' => 'base', 'values' => ['exposure' => 0.5]],
    ]];
    [$with, $without] = [toneRow([$group]), toneRow([[...array_diff_key($group, ['tones' => 0]), 'amount' => 100]])];
    foreach ([20, 80, 110, 128, 150, 200] as $x) {
        $pass = tonesPass($of === 'below' ? $x / 255 : $without[$x], 0.4, 0.6, 1, 1);
        expect($with[$x])->toEqualWithDelta($x / 255 + 0.8 * $pass * ($without[$x] - $x / 255), 0.003, "tone {$x}");
    }
})->with(['below', 'itself']);

it('joins tone limits with masks and confinement, in every window and where nothing lies below', function (): void {
    $strip = ['id' => 'f', 'kind' => 'fill', 'mode' => 'normal', 'values' => ['colour' => '#ff0000'], 'tones' => ['darks' => [0.4, 0.6]], 'masks' => [['id' => 'm', 'kind' => 'linear', 'values' => ['from' => [0, 0], 'to' => [256, 0], 'stops' => [['offset' => 0, 'value' => 0], ['offset' => 1, 'value' => 1]]]]]];
    $shown = toneRow([$strip]);
    foreach ([90, 128, 180, 250] as $x) {
        expect($shown[$x])->toEqualWithDelta($x / 255 + tonesPass($x / 255, 0.4, 0.6, 1, 1) * ($x + 0.5) / 256 * (1 - $x / 255), 0.003);
    }
    $scene = Rendering::scene(256, 4, [Rendering::plate('wedge', ['id' => 'wedge']), $strip]);
    $part = unpack('n*', Rendering::renderer(['wedge' => toneWedge()])->picture($scene, new Window(100, 0, 50, 2), 16)->bytes);
    expect($part[1 + 4 * 30] / 65535)->toEqualWithDelta($shown[130], 1e-4);
    // nothing below has luma 0
    $alone = Rendering::picture([], 4, 4, [[...$strip, 'masks' => []]]);
    expect(array_sum(unpack('n*', $alone->bytes)))->toBe(0);
});

it('refuses limits that are none', function (mixed $tones, string $says): void {
    expect(static fn () => Rendering::scene(4, 4, [['id' => 'f', 'kind' => 'fill', 'values' => [], 'tones' => $tones]]))->toThrow(SceneError::class, $says);
})->with([
    'crossing' => [['darks' => [0.5, 0.8], 'brights' => [0.6, 0.9]], 'cross'], 'turned round' => [['darks' => [0.5, 0.2]], 'lower one first'], 'beyond' => [['brights' => [0.5, 1.2]], '0 to 1'],
    'no numbers' => [['darks' => ['a', 1]], 'two lumas'], 'nan' => [['darks' => [NAN, 1]], 'two lumas'], 'of something else' => [['of' => 'above'], 'below or itself'], 'text' => ['soft', 'tones'],
]);

it('counts the tones that limits go by, as the imaging extension counts them', function (): void {
    $photo = static fn (): Imagick => new Imagick(__DIR__.'/reference/tones/photo.png');
    $image = $photo();
    [$columns, $rows] = [$image->getImageWidth(), $image->getImageHeight()];
    $bytes = $image->exportImagePixels(0, 0, $columns, $rows, 'RGBA', Imagick::PIXEL_CHAR);
    $flat = new Flat($columns, $rows, static fn (int $x, int $y): array => array_slice($bytes, 4 * ($y * $columns + $x), 4));
    $scene = Rendering::scene($columns, $rows, [Rendering::plate('photo', ['id' => 'photo']), ['id' => 'f', 'kind' => 'fill', 'values' => ['colour' => '#404040'], 'tones' => ['darks' => [0.3, 0.5]]]]);
    $renderer = Rendering::renderer(['photo' => $flat]);
    $counts = $renderer->tones($scene, Window::whole($columns, $rows), 'f', false);
    // the extension weighs the channels by a matrix of our choosing, rounds to 8 bits, and counts
    $grey = $photo();
    $row = [0.2126, 0.7152, 0.0722, 0.0, 0.0, 0.0];
    $grey->colorMatrixImage([...$row, ...$row, ...$row, 0, 0, 0, 1, 0, 0, 0, 0, 0, 0, 1, 0, 0, 0, 0, 0, 0, 1]);
    $theirs = array_fill(0, 256, 0);
    foreach ($grey->exportImagePixels(0, 0, $columns, $rows, 'R', Imagick::PIXEL_CHAR) as $tone) {
        $theirs[$tone]++;
    }
    // a luma in the middle between two tones may be rounded either way
    $off = 0;
    foreach ($theirs as $tone => $count) {
        $off += abs($count - $counts[$tone]);
    }
    expect(array_sum($counts))->toBe($columns * $rows)->and($off)->toBeLessThan(0.02 * $columns * $rows);
    // of itself: one colour has one tone; a window counts what is in it
    $own = $renderer->tones($scene, Window::whole($columns, $rows), 'f', true);
    expect($own[64])->toBe($columns * $rows)->and(array_sum($renderer->tones($scene, new Window(0, 0, 10, 8), 'f', false)))->toBe(80);
    // what passes is seen white
    $pass = array_values(unpack('C*', $renderer->passing($scene, Window::whole($columns, $rows), 'f')->bytes));
    foreach ([0, 500, 2000, 5000] as $k) {
        $luma = (0.2126 * $bytes[4 * $k] + 0.7152 * $bytes[4 * $k + 1] + 0.0722 * $bytes[4 * $k + 2]) / 255;
        expect($pass[4 * $k] / 255)->toEqualWithDelta(tonesPass($luma, 0.3, 0.5, 1, 1), 0.005);
    }
});

it('keeps its limits in the scene file', function (): void {
    $scene = Rendering::scene(4, 4, [['id' => 'f', 'kind' => 'fill', 'values' => [], 'tones' => ['darks' => [0.1, 0.3], 'of' => 'itself']]]);
    $again = Scene::fromJson($scene->toJson(), Registry::kinds());
    expect($again->strips[0]->tones?->toArray())->toBe(['darks' => [0.1, 0.3], 'brights' => [1.0, 1.0], 'of' => 'itself'])->and($again->strips[0]->activeTones())->not->toBeNull();
});
