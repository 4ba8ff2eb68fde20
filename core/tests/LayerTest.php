<?php

declare(strict_types=1);

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Color\Rgb;
use Aumbrel\Core\Geometry\Extent;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\Amount;
use Aumbrel\Core\Kind\Everywhere;
use Aumbrel\Core\Kind\Family;
use Aumbrel\Core\Kind\Field;
use Aumbrel\Core\Kind\Kinds;
use Aumbrel\Core\Kind\Layer;
use Aumbrel\Core\Kind\Level;
use Aumbrel\Core\Kind\OneColour;
use Aumbrel\Core\Kind\Plain;
use Aumbrel\Core\Kind\Site;
use Aumbrel\Core\Kind\StripKind;
use Aumbrel\Core\Kind\Tint;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Render\Picture;
use Aumbrel\Core\Scene\Scene;
use Aumbrel\Core\Value\NumberValue;
use Aumbrel\Core\Value\Unit;
use Aumbrel\Core\Value\Values;
use Tests\Support\Flat;
use Tests\Support\Plainly;
use Tests\Support\Rendering;

/*
 * What kinds to come need of the contracts, held by two kinds that exist only here: several layers in several modes, a field
 * and a tint that read what lies below, and what is kept while something is dragged.
 */

/** Where the picture below is bright: its red above a threshold, as a field. */
final readonly class WhereBright implements Field
{
    public function __construct(private float $above)
    {
    }

    public function write(KernelWriter $kernel, Window $window): string
    {
        $bright = $kernel->variable('bright');
        $kernel->line("{$bright} = ({$kernel->stored('r')} - {$kernel->number($this->above)}) * 4.0; if ({$bright} > 1.0) { {$bright} = 1.0; }");

        return $bright;
    }

    public function extent(): ?Extent
    {
        return null;
    }

    public function largest(): float
    {
        return 1.0;
    }

    public function identity(): string
    {
        return "bright {$this->above}";
    }

    public function readsBelow(): bool
    {
        return true;
    }
}

/** The colour below with red and blue exchanged. */
final readonly class Exchanged implements Tint
{
    public function write(KernelWriter $kernel, BlendMode $mode): array
    {
        return [$kernel->stored('b'), $kernel->stored('g'), $kernel->stored('r')];
    }

    public function isDirect(): bool
    {
        return false;
    }

    public function isLight(BlendMode $mode): bool
    {
        return false;
    }

    public function readsBelow(): bool
    {
        return true;
    }

    public function mayExceed(): bool
    {
        return false;
    }
}

/** Three layers: light added in the air, a tint in the strip's mode, and what is bright exchanged. */
final readonly class ThreeLayers implements StripKind
{
    use Plain;

    private function __construct(private float $above)
    {
    }

    public static function key(): string
    {
        return 'three';
    }

    public static function label(): string
    {
        return 'Three';
    }

    public static function hint(): string
    {
        return 'Three layers';
    }

    public static function family(): Family
    {
        return Family::Flat;
    }

    public static function parameters(): array
    {
        return [NumberValue::named('above', 'Above', 'light', Unit::None, 0, 1, 0.4, 0.1)];
    }

    public static function from(Values $values): self
    {
        return new self($values->number('above'));
    }

    public function defaultMode(): BlendMode
    {
        return BlendMode::Screen;
    }

    public function layers(Site $site): array
    {
        return [
            new Layer(BlendMode::Airlight, new Everywhere, OneColour::ofLight(new Rgb(1, 0.5, 0.25)), new Level(-3)),
            new Layer($site->mode(), new Everywhere, OneColour::flat(new Rgb(0.2, 0.4, 0.6)), new Amount($site->amount())),
            new Layer(BlendMode::Normal, new WhereBright($this->above), new Exchanged, new Amount(0.5)),
        ];
    }
}

function layeredScene(array $strips): Scene
{
    $kinds = new Kinds([...Registry::kinds()->strips, ThreeLayers::class], Registry::kinds()->masks);
    foreach ($strips as $at => $strip) {
        $strips[$at] = ['id' => "s{$at}", ...$strip];
    }

    return Scene::read(['aumbrel' => Scene::VERSION, 'size' => [32, 4], 'strips' => $strips], $kinds);
}

/** @return list<array<string, mixed>> */
function layeredStrips(float $above = 0.4, float $level = 0): array
{
    return [
        Rendering::plate('ground'),
        ['kind' => 'three', 'amount' => 70, 'values' => ['above' => $above], 'masks' => [['id' => 'm', 'kind' => 'linear', 'values' => ['from' => [0, 0], 'to' => [32, 0]]]]],
        ['kind' => 'spot', 'level' => $level, 'values' => ['origin' => [16, -10], 'target' => [16, 20], 'beam' => 60, 'field' => 90]],
    ];
}

function layeredGround(): Flat
{
    return new Flat(32, 4, static fn (int $x, int $y): array => [8 * $x, 120, 255 - 6 * $x - 3 * $y]);
}

/** @return list<float> */
function layeredPixel(Picture $picture, int $x, int $y): array
{
    return array_map(static fn (int $value): float => $value / 65535, array_slice(array_values(unpack('n4', $picture->bytes, 8 * ($y * $picture->columns + $x))), 0, 3));
}

it('lays several layers in several modes one over the other, through the same masks', function (): void {
    $picture = Rendering::renderer(['ground' => layeredGround()])->picture(layeredScene(array_slice(layeredStrips(), 0, 2)), Window::whole(32, 4), 16);
    $decode = static fn (float $v): float => $v <= 0.04045 ? $v / 12.92 : (($v + 0.055) / 1.055) ** 2.4;
    $encode = static fn (float $v): float => $v <= 0.0031308 ? 12.92 * $v : 1.055 * $v ** (1 / 2.4) - 0.055;
    foreach ([[3, 0], [12, 1], [20, 2], [30, 3]] as [$x, $y]) {
        $mask = 1 - ($x + 0.5) / 32;
        $below = [8 * $x / 255, 120 / 255, (255 - 6 * $x - 3 * $y) / 255];
        $lit = array_map(static fn (float $v, float $c): float => $encode($decode($v) + $mask * 2 ** -3 * $c), $below, [1, 0.5, 0.25]);
        $tinted = array_map(static fn (float $v, float $s): float => $v + 0.7 * $mask * (Plainly::blend('screen', min(1, $v), $s) - $v), $lit, [0.2, 0.4, 0.6]);
        $bright = max(0, min(1, ($tinted[0] - 0.4) * 4)) * 0.5 * $mask;
        $wanted = array_map(static fn (float $v, float $s): float => $v + $bright * ($s - $v), $tinted, array_reverse($tinted));
        foreach (layeredPixel($picture, $x, $y) as $k => $value) {
            expect($value)->toEqualWithDelta(min(1, $wanted[$k]), 0.1 / 255, "channel {$k} at {$x}");
        }
    }
});

it('shows the same with what is kept of a drag as without it, whichever strip is dragged', function (string $dragged): void {
    $renderer = Rendering::renderer(['ground' => layeredGround()]);
    foreach ([[0.4, 0.0], [0.4, 0.5], [0.6, 0.5], [0.3, -1.0]] as [$above, $level]) {
        $scene = layeredScene(layeredStrips($above, $level));
        $fresh = Rendering::renderer(['ground' => layeredGround()])->picture($scene, Window::whole(32, 4), 16);
        expect($renderer->picture($scene, Window::whole(32, 4), 16, below: $dragged)->bytes)->toBe($fresh->bytes, "at {$above}, {$level}");
    }
})->with(['s0', 's1', 's2']);

it('tells what such a strip contributes', function (): void {
    $renderer = Rendering::renderer(['ground' => layeredGround()]);
    $scene = layeredScene(layeredStrips());
    $with = $renderer->picture(layeredScene(array_slice(layeredStrips(), 0, 2)), Window::whole(32, 4), 16);
    $without = $renderer->picture(layeredScene(array_slice(layeredStrips(), 0, 1)), Window::whole(32, 4), 16);
    $alone = $renderer->contributions($scene, Window::whole(32, 4), ['s1'], 16)['s1'];
    foreach ([[2, 0], [15, 2], [28, 3]] as [$x, $y]) {
        foreach (layeredPixel($alone, $x, $y) as $k => $value) {
            expect($value)->toEqualWithDelta(abs(layeredPixel($with, $x, $y)[$k] - layeredPixel($without, $x, $y)[$k]), 2 / 65535);
        }
    }
});

it('lets a flat colour that hides everything be the ground', function (): void {
    $picture = Rendering::picture(['ground' => layeredGround()], 32, 4, [
        ['kind' => 'fill', 'mode' => 'normal', 'values' => ['colour' => '#336699']], ['kind' => 'spot', 'mode' => 'illuminate', 'values' => ['origin' => [16, -10], 'target' => [16, 20]]],
    ]);
    expect(unpack('n', $picture->bytes, 6)[1])->toBe(65535)->and(layeredPixel($picture, 31, 0))->toBe([0x33 / 255, 0x66 / 255, 0x99 / 255]);
});

it('makes a level above 0 as many copies in the standard\'s modes', function (): void {
    foreach ([0.0, 0.2, 0.7, 1.0] as $shape) {
        expect(Level::copies($shape, 1.0))->toEqualWithDelta($shape, 1e-12)->and(Level::copies($shape, 4.0))->toEqualWithDelta(1 - (1 - $shape) ** 4, 1e-12);
    }
    // two copies one over the other are the same light one stop up
    $spot = static fn (float $level): array => ['kind' => 'spot', 'mode' => 'normal', 'level' => $level, 'values' => ['origin' => [16, -10], 'target' => [16, 20], 'beam' => 60, 'field' => 90]];
    $once = Rendering::picture(['ground' => layeredGround()], 32, 4, [Rendering::plate('ground'), $spot(1)]);
    $twice = Rendering::picture(['ground' => layeredGround()], 32, 4, [Rendering::plate('ground'), $spot(0), $spot(0)]);
    foreach ([[8, 1], [16, 2], [25, 3]] as [$x, $y]) {
        foreach (layeredPixel($once, $x, $y) as $k => $value) {
            expect($value)->toEqualWithDelta(layeredPixel($twice, $x, $y)[$k], 0.05 / 255);
        }
    }
});
