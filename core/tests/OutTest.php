<?php

declare(strict_types=1);

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Color\HalfFloat;
use Aumbrel\Core\Color\Srgb;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Out\LayerStack;
use Aumbrel\Core\Out\Linear;
use Aumbrel\Core\Out\Operation;
use Aumbrel\Core\Out\OutLayer;
use Aumbrel\Core\Render\Picture;
use Tests\Support\HeldScenes;
use Tests\Support\Rendering;

/* What leaves for elsewhere: scenes as layers. */

/** What the imaging library calls the operations; its formulas are its own (SVG Compositing). */
const THEIRS = [
    'svg:src-over' => Imagick::COMPOSITE_OVER, 'svg:src-atop' => Imagick::COMPOSITE_ATOP, 'svg:multiply' => Imagick::COMPOSITE_MULTIPLY, 'svg:screen' => Imagick::COMPOSITE_SCREEN, 'svg:overlay' => Imagick::COMPOSITE_OVERLAY,
    'svg:darken' => Imagick::COMPOSITE_DARKEN, 'svg:lighten' => Imagick::COMPOSITE_LIGHTEN, 'svg:color-dodge' => Imagick::COMPOSITE_COLORDODGE, 'svg:color-burn' => Imagick::COMPOSITE_COLORBURN,
    'svg:hard-light' => Imagick::COMPOSITE_HARDLIGHT, 'svg:soft-light' => Imagick::COMPOSITE_SOFTLIGHT, 'svg:difference' => Imagick::COMPOSITE_DIFFERENCE, 'svg:plus' => Imagick::COMPOSITE_PLUS,
];

function asImage(Picture $picture): Imagick
{
    $image = new Imagick;
    $image->setSize($picture->columns, $picture->rows);
    $image->setOption('depth', '16');
    $image->setOption('endian', 'MSB');
    $image->setFormat('RGBA');
    $image->readImageBlob($picture->bytes);
    $image->setImageColorspace(Imagick::COLORSPACE_SRGB);

    return $image;
}

/** @param  list<OutLayer>  $layers */
function stacked(array $layers, Window $window, ?Imagick $under = null): Imagick
{
    $canvas = $under;
    if ($canvas === null) {
        $canvas = new Imagick;
        $canvas->newImage($window->columns, $window->rows, 'transparent');
        $canvas->setImageColorspace(Imagick::COLORSPACE_SRGB);
    }
    foreach ($layers as $layer) {
        if ($layer->picture === null) {
            stacked($layer->layers, $window, $canvas);

            continue;
        }
        $image = asImage(($layer->picture)($window));
        $image->evaluateImage(Imagick::EVALUATE_MULTIPLY, $layer->opacity, Imagick::CHANNEL_ALPHA);
        $canvas->compositeImage($image, THEIRS[$layer->operation], 0, 0);
    }

    return $canvas;
}

it('stacks to the picture by the formulas of an imaging library', function (string $name): void {
    [$strips, $look] = HeldScenes::all()[$name];
    $scene = Rendering::scene(64, 48, $strips);
    $renderer = Rendering::renderer(HeldScenes::pictures());
    $window = Window::whole(64, 48);
    $layers = (new LayerStack($scene, $renderer))->layers();
    $theirs = stacked($layers, $window)->exportImagePixels(0, 0, 64, 48, 'RGBA', Imagick::PIXEL_DOUBLE);
    $ours = array_values(unpack('n*', $renderer->picture($scene, $window, 16)->bytes));
    $most = 0.0;
    foreach ($theirs as $at => $value) {
        $alpha = $ours[$at - $at % 4 + 3] / 65535;
        // of what is hardly there the colour is not told
        $most = max($most, abs($at % 4 === 3 ? $value - $alpha : ($value * $theirs[$at - $at % 4 + 3] - $ours[$at] / 65535 * $alpha)));
    }
    expect($most * 255)->toBeLessThan(1.0, $name);
})->with(array_keys(array_filter(HeldScenes::all(), static function (array $held, string $name): bool {
    // the library mixes whole colours in a space of its own; what is brighter than white is cut off between layers, and so is light in the air over nothing
    return $held[1] === [] && ! preg_match('/^(hue|saturation|color|luminosity) over|^airlight over nothing$|^exposed$|^leaks$/', $name);
}, ARRAY_FILTER_USE_BOTH)));

it('says what is baked, and why', function (): void {
    $strips = HeldScenes::all()['stack'][0];
    $layers = (new LayerStack(Rendering::scene(64, 48, $strips), Rendering::renderer(HeldScenes::pictures())))->layers();
    expect(array_map(static fn (OutLayer $layer): array => [$layer->name, $layer->operation, $layer->baked !== null], $layers))->toBe([
        ['Plate', 'svg:src-over', false], ['Plate', 'svg:src-over', false], ['Spot', 'svg:src-atop', true], ['Spot', 'svg:src-over', true], ['Spot', 'svg:screen', false], ['Base', 'svg:src-atop', true],
    ])->and($layers[2]->baked)->toBe('illuminate is a mode of its own');
});

it('has a word for each mode of the standard but one, and knows them back', function (): void {
    $known = array_filter(BlendMode::cases(), static fn (BlendMode $mode): bool => Operation::of($mode) !== null);
    expect(array_values(array_filter(BlendMode::cases(), static fn (BlendMode $mode): bool => Operation::of($mode) === null)))->toBe([BlendMode::Exclusion, BlendMode::Kindle, BlendMode::Illuminate, BlendMode::Airlight]);
    foreach ($known as $mode) {
        expect(Operation::mode((string) Operation::of($mode)))->toBe($mode);
    }
    expect(Operation::mode('svg:dst-out'))->toBeNull();
});

it('tells in linear light what each strip adds; together that is the picture, brighter than white too', function (): void {
    $strips = [...HeldScenes::all()['stack'][0], ['kind' => 'spot', 'level' => 3, 'mode' => 'airlight', 'values' => ['origin' => [5, 5], 'target' => [30, 30], 'beam' => 40, 'field' => 60]]];
    $scene = Rendering::scene(64, 48, $strips);
    $renderer = Rendering::renderer(HeldScenes::pictures());
    $window = new Window(8, 6, 40, 30);
    $linear = new Linear($scene, $renderer);
    $floats = static fn (Picture $picture): array => HalfFloat::all(array_values(unpack('n*', $picture->bytes)));
    $sum = array_fill(0, 4 * 40 * 30, 0.0);
    $takes = false;
    foreach ($scene->strips as $strip) {
        $own = $floats($linear->added($window, $strip->id));
        $sum = array_map(static fn (float $one, float $other): float => $one + $other, $sum, $own);
        $takes = $takes || min($own) < -0.05;
    }
    $whole = $floats($linear->picture($window));
    $eight = array_values(unpack('n*', $renderer->picture($scene, $window, 16)->bytes));
    foreach ($whole as $at => $value) {
        expect($sum[$at])->toEqualWithDelta($value, 0.002 + 0.002 * abs($value));
        if ($at % 4 < 3) {
            expect(Srgb::encode(min(1.0, $value)))->toEqualWithDelta($eight[$at] / 65535, 0.0015);
        }
    }
    expect(max($whole))->toBeGreaterThan(1.5)->and($takes)->toBeTrue();
});

it('rounds to halves as IEEE 754-2008 says', function (): void {
    // worked examples of the format: one, two, the largest, beyond it, the smallest with a full fraction, the smallest, half of that, a third, and a tie to even
    expect(HalfFloat::bits([1.0, -2.0, 65504.0, 1e9, 2.0 ** -14, 2.0 ** -24, 2.0 ** -25, 1 / 3, 1 + 2.0 ** -11, 1 + 3 * 2.0 ** -11, 0.0, -1e-12]))
        ->toBe([0x3C00, 0xC000, 0x7BFF, 0x7BFF, 0x0400, 0x0001, 0x0000, 0x3555, 0x3C00, 0x3C02, 0x0000, 0x8000]);
    $all = array_values(array_filter(range(0, 0x7BFF), static fn (int $bits): bool => true));
    expect(HalfFloat::bits(HalfFloat::all($all)))->toBe($all);
});
