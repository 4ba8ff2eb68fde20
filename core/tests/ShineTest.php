<?php

declare(strict_types=1);

use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KernelStore;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Light\Disc;
use Aumbrel\Core\Light\EmitterBlock;
use Aumbrel\Core\Light\EmitterLattice;
use Aumbrel\Core\Light\EmitterPlane;
use Aumbrel\Core\Picture\ShapeStore;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Render\Memory;
use Aumbrel\Core\Render\Renderer;
use Aumbrel\Core\Render\Watch;
use Tests\Support\CountedDisc;
use Tests\Support\Fields;
use Tests\Support\Flat;
use Tests\Support\Folder;
use Tests\Support\Plainly;
use Tests\Support\Rendering;
use Tests\Support\Shelf;

/* Lights that are seen: each kind's field against its definition, written plainly. */

const SEEN = [160, 120];

/** A black ground, and a light over it in normal, white at full: what is seen is its field. */
function fieldOf(array $strip, array $pictures = [], array $plates = []): string
{
    $black = new Flat(...SEEN, colour: fn () => [0, 0, 0]);
    $white = ['colour' => ['swatch' => '#ffffff']];

    return Rendering::picture(['black' => $black, ...$pictures], ...SEEN, strips: [Rendering::plate('black'), ...$plates, [...$strip, 'mode' => $strip['mode'] ?? 'normal', 'values' => [...$white, ...$strip['values']]]])->bytes;
}

/** A glow from a rectangle whose sides lie between pixels. */
function glowOf(array $shells, array $values = [], array $strip = []): array
{
    return [...$strip, 'kind' => 'glow', 'values' => ['from' => 'what is drawn', 'shells' => $shells, ...$values], 'masks' => [
        ['id' => 'e', 'kind' => 'outline', 'on' => 'emitter', 'values' => ['path' => [['at' => [60, 45]], ['at' => [96, 45]], ['at' => [96, 75]], ['at' => [60, 75]]]]],
    ]];
}

/** A round figure, cut out by its own transparency. */
function roundFigure(): Flat
{
    return new Flat(60, 60, fn (int $x, int $y): array => [90, 120, 200, (int) round(255 * max(0, min(1, 20.5 - hypot($x - 29.5, $y - 29.5))))]);
}

it('blurs what shines for a shell, and contracts it for the core', function (array $shell, Closure $wanted): void {
    $difference = Plainly::difference(fieldOf(glowOf([$shell])), ...SEEN, colour: fn (float $x, float $y): array => array_fill(0, 3, $wanted($x, $y)));
    expect($difference)->toBeLessThan(1.0);
})->with([
    'body' => [['part' => 'body', 'radius' => 0], fn (float $x, float $y): float => $x > 60 && $x < 96 && $y > 45 && $y < 75 ? 1.0 : 0.0],
    'fog' => [['part' => 'fog', 'radius' => 3], fn (float $x, float $y): float => Fields::softBox($x, $y, 60, 45, 96, 75, 3)],
    'halo' => [['part' => 'halo', 'radius' => 9.5], fn (float $x, float $y): float => Fields::softBox($x, $y, 60, 45, 96, 75, 9.5)],
    'wide halo' => [['part' => 'halo', 'radius' => 30], fn (float $x, float $y): float => Fields::softBox($x, $y, 60, 45, 96, 75, 30)],
    // inside a rectangle the distance is that to the nearest side
    'core' => [['part' => 'core', 'radius' => 6], fn (float $x, float $y): float => max(0, min(1, min($x - 60, 96 - $x, $y - 45, 75 - $y) - 6 + 0.5))],
]);

it('lays the shells one on the other, each with its level and colour', function (): void {
    $strip = glowOf([
        ['part' => 'core', 'radius' => 4, 'level' => 1.5, 'pale' => 80], ['part' => 'fog', 'radius' => 5, 'level' => -0.5], ['part' => 'halo', 'radius' => 20, 'level' => 0.25, 'colour' => ['swatch' => '#4080ff']],
    ], ['colour' => ['swatch' => '#ff8040'], 'reach' => 120], ['mode' => 'airlight', 'level' => -1]);
    $own = array_map(fn (int $byte): float => Plainly::decode($byte / 255), [255, 128, 64]);
    $blue = array_map(fn (int $byte): float => Plainly::decode($byte / 255), [64, 128, 255]);
    $difference = Plainly::difference(fieldOf($strip), ...SEEN, colour: function (float $x, float $y) use ($own, $blue): array {
        $core = max(0, min(1, min($x - 60, 96 - $x, $y - 45, 75 - $y) - 4.8 + 0.5)) * 2 ** 0.5;
        $fog = Fields::softBox($x, $y, 60, 45, 96, 75, 6) * 2 ** -1.5;
        $halo = Fields::softBox($x, $y, 60, 45, 96, 75, 24) * 2 ** -0.75;

        return array_map(fn (float $c, float $b): float => Plainly::encode($core * ($c + 0.8 * (1 - $c)) + $fog * $c + $halo * $b), $own, $blue);
    });
    expect($difference)->toBeLessThan(1.0);
});

it('falls outward from its middle with the set that a new one has, whatever shines', function (array $values, array $masks): void {
    $placed = Registry::kinds()->strip('glow', 'kind')::placed(new Aumbrel\Core\Geometry\Point(80, 60), 120.0);
    $bytes = fieldOf(['kind' => 'glow', 'mode' => 'airlight', 'level' => -1, 'values' => [...$placed, ...$values, 'colour' => ['swatch' => '#ff8040']], 'masks' => $masks]);
    $values = array_values(unpack('n*', $bytes));
    $green = array_map(fn (int $at): int => $values[4 * $at + 1], range(0, 160 * 120 - 1));
    foreach ([0, 40, 90, 135, 200, 310] as $degrees) {
        $last = PHP_INT_MAX;
        for ($far = 0; $far < 58; $far++) {
            $value = $green[(int) (60 + $far * sin(deg2rad($degrees))) * 160 + (int) (80 + $far * cos(deg2rad($degrees)))];
            expect($value)->toBeLessThanOrEqual($last + 80);
            $last = $value;
        }
    }
})->with([
    'a lamp' => [['from' => 'a round lamp', 'centre' => [80.5, 60.5], 'size' => 16], []],
    'a drawn diamond' => [['from' => 'what is drawn'], [['id' => 'e', 'kind' => 'outline', 'on' => 'emitter', 'values' => ['path' => [['at' => [80, 45]], ['at' => [95, 60]], ['at' => [80, 75]], ['at' => [65, 60]]]]]]],
    'a painted dab' => [['from' => 'what is drawn'], [['id' => 'e', 'kind' => 'strokes', 'on' => 'emitter', 'values' => ['strokes' => [['size' => 20, 'hardness' => 80, 'points' => [[80, 60]]]]]]]],
]);

it('shines from a plate: from its outline, from its bright tones, from an area of a colour', function (array $values, array $masks, Closure $shape): void {
    $plate = new Flat(60, 60, fn (int $x, int $y): array => $x < 30 ? [60, 60, 60, $y < 50 ? 255 : 0] : [230, 230, 230, $y < 50 ? 255 : 0]);
    $bytes = fieldOf(['kind' => 'glow', 'values' => ['of' => 'figure', 'shells' => [['part' => 'fog', 'radius' => 4]], ...$values], 'masks' => $masks], ['figure' => $plate],
        [Rendering::plate('figure', ['id' => 'figure', 'mode' => 'normal', 'amount' => 0, 'values' => ['place' => [50, 30]]])]);
    $soft = Fields::blurred(Fields::of(...SEEN, value: $shape), ...SEEN, sigma: 4);
    $difference = Plainly::difference($bytes, ...SEEN, colour: fn (float $x, float $y): array => array_fill(0, 3, $soft[(int) $y * 160 + (int) $x]));
    expect($difference)->toBeLessThan(1.0);
})->with([
    'outline' => [['from' => "a plate's outline"], [], fn (float $x, float $y): float => $x > 50 && $x < 110 && $y > 30 && $y < 80 ? 1.0 : 0.0],
    'bright tones' => [['from' => "a plate's bright tones", 'threshold' => 80, 'knee' => 5], [], fn (float $x, float $y): float => $x > 80 && $x < 110 && $y > 30 && $y < 80 ? 1.0 : 0.0],
    'within the knee' => [['from' => "a plate's bright tones", 'threshold' => 90, 'knee' => 10], [], function (float $x, float $y): float {
        $t = (230 / 255 - 0.8) / 0.2;

        return $x > 80 && $x < 110 && $y > 30 && $y < 80 ? $t * $t * (3 - 2 * $t) : 0.0;
    }],
    'colour area' => [['from' => 'what is drawn'], [['id' => 'e', 'kind' => 'colour area', 'on' => 'emitter', 'values' => ['at' => [45, 20], 'tolerance' => 10]]], fn (float $x, float $y): float => $x > 80 && $x < 110 && $y > 30 && $y < 80 ? 1.0 : 0.0],
]);

it('stays inside its shape, and lets dark and bright tones through, where that is asked for', function (): void {
    $inside = Plainly::difference(fieldOf(glowOf([['part' => 'halo', 'radius' => 12]], ['keptInside' => true])), ...SEEN,
        colour: fn (float $x, float $y): array => array_fill(0, 3, $x > 60 && $x < 96 && $y > 45 && $y < 75 ? Fields::softBox($x, $y, 60, 45, 96, 75, 12) : 0.0));
    expect($inside)->toBeLessThan(1.0);
    // three tones side by side: dark, middle, bright; two shells, of which the second must not see the first
    $tones = new Flat(...SEEN, colour: fn (int $x) => array_fill(0, 3, $x < 70 ? 10 : ($x < 85 ? 120 : 250)));
    $strip = [...glowOf([['part' => 'body', 'radius' => 0], ['part' => 'fog', 'radius' => 5]], ['between' => true, 'darks' => 20, 'brights' => 80, 'colour' => ['swatch' => '#ffffff']]), 'mode' => 'normal', 'level' => -1];
    $bytes = Rendering::picture(['tones' => $tones], ...SEEN, strips: [Rendering::plate('tones'), $strip])->bytes;
    $difference = Plainly::difference($bytes, ...SEEN, colour: function (float $x, float $y): array {
        $base = ($x < 70 ? 10 : ($x < 85 ? 120 : 250)) / 255;
        $share = $x > 70 && $x < 85 ? 1.0 : 0.0;
        foreach ([Fields::softBox($x, $y, 60, 45, 96, 75, 5), $x > 60 && $x < 96 && $y > 45 && $y < 75 ? 1.0 : 0.0] as $field) {
            $base += 0.5 * $field * $share * (1 - $base);
        }

        return array_fill(0, 3, $base);
    });
    expect($difference)->toBeLessThan(1.0);
});

it('spills on what is around it by illuminate', function (): void {
    $grey = new Flat(...SEEN, colour: fn () => [90, 90, 90]);
    $strip = [...glowOf([['part' => 'core', 'radius' => 40]], ['spill' => true, 'spillLevel' => 1, 'spillRadius' => 18, 'colour' => ['swatch' => '#ffffff']]), 'mode' => 'airlight'];
    $bytes = Rendering::picture(['grey' => $grey], ...SEEN, strips: [Rendering::plate('grey'), $strip])->bytes;
    $difference = Plainly::difference($bytes, ...SEEN, colour: fn (float $x, float $y): array => array_fill(0, 3, Plainly::encode(Plainly::decode(90 / 255) * (1 + 2 * Fields::softBox($x, $y, 60, 45, 96, 75, 18)))));
    expect($difference)->toBeLessThan(1.0);
});

it('lays a halo behind a plate and faintly over its front, coloured by how far out it is', function (array $more, array $by, float $pull): void {
    $stops = [[0.0, [255, 240, 200], 1.0], [0.6, [255, 120, 40], 0.9], [1.0, [80, 20, 120], 0.0]];
    $ramp = array_map(fn (array $stop): array => ['offset' => $stop[0], 'colour' => sprintf('#%02x%02x%02x', ...$stop[1]), 'opacity' => $stop[2]], $stops);
    $bytes = fieldOf(['kind' => 'halo', 'mode' => 'screen', 'values' => ['of' => 'figure', 'spread' => 7, 'ramp' => $ramp, 'front' => 30, 'frontMode' => 'screen', ...$more]], ['figure' => roundFigure()],
        [Rendering::plate('figure', ['id' => 'figure', 'values' => ['place' => [50, 30]]])]);
    $alpha = Fields::of(...SEEN, value: fn (float $x, float $y): float => round(255 * max(0, min(1, 20.5 - hypot($x - 80, $y - 60)))) / 255);
    $at = fn (float $x, float $y): float => round(255 * max(0, min(1, 20.5 - hypot($x - 80 - $by[0], $y - 60 - $by[1])))) / 255;
    // pulled: the largest of what lies on the way, fading
    $shape = Fields::of(...SEEN, value: fn (float $x, float $y): float => $pull <= 0 ? $at($x, $y) : max(array_map(fn (int $k): float => (1 - $k / 60) * $at($x - $pull * $k / 60, $y), range(0, 60))));
    $soft = Fields::blurred($shape, ...SEEN, sigma: 7);
    $difference = Plainly::difference($bytes, ...SEEN, colour: function (float $x, float $y) use ($alpha, $soft, $stops): array {
        $i = (int) $y * 160 + (int) $x;
        [$r, $g, $b, $o] = Fields::colourRamp($stops, 1 - $soft[$i]);
        $below = array_map(fn (int $byte): float => $alpha[$i] * $byte / 255, [90, 120, 200]);
        foreach ([$soft[$i] * $o * (1 - $alpha[$i]), 0.3 * $soft[$i] * $o * $alpha[$i]] as $cover) {
            $below = array_map(fn (float $under, float $colour): float => $under + $cover * $colour * (1 - $under), $below, [$r, $g, $b]);
        }

        return $below;
    });
    expect($difference)->toBeLessThan($pull > 0 ? 2.0 : 1.0);
})->with([
    'plain' => [[], [0, 0], 0.0],
    'shifted up and to the right' => [['shift' => 12, 'shiftTo' => 60], [12 * cos(deg2rad(60)), -12 * sin(deg2rad(60))], 0.0],
    'pulled to the right' => [['pull' => 25, 'pullTo' => 0], [0, 0], 25.0],
]);

it('draws a line of its width, faded along its way, over its blurred twin', function (array $path, bool $closed, Closure $distance): void {
    $strip = ['kind' => 'line', 'mode' => 'airlight', 'values' => ['width' => 5, 'blur' => 6, 'twin' => -1, 'pale' => 0, 'closed' => $closed, 'fade' => [['offset' => 0, 'value' => 1], ['offset' => 1, 'value' => 0.2]]],
        'masks' => [['id' => 'e', 'kind' => 'outline', 'on' => 'emitter', 'values' => ['path' => array_map(fn (array $at): array => ['at' => $at], $path)]]]];
    $line = Fields::of(...SEEN, value: function (float $x, float $y) use ($distance): float {
        [$d, $along] = $distance($x, $y);

        return max(0, min(1, min(2.5, $d + 0.5) - max(-2.5, $d - 0.5))) * (1 - 0.8 * $along);
    });
    $twin = Fields::blurred($line, ...SEEN, sigma: 6);
    $difference = Plainly::difference(fieldOf($strip), ...SEEN, colour: fn (float $x, float $y): array => array_fill(0, 3, Plainly::encode($line[(int) $y * 160 + (int) $x] + 0.5 * $twin[(int) $y * 160 + (int) $x])));
    expect($difference)->toBeLessThan(1.2);
})->with([
    'straight and level' => [[[30, 60], [130, 60]], false, fn (float $x, float $y): array => [hypot($x - max(30, min(130, $x)), $y - 60), (max(30, min(130, $x)) - 30) / 100]],
    'aslant' => [[[40, 30], [120, 90]], false, function (float $x, float $y): array {
        $t = max(0, min(1, (($x - 40) * 80 + ($y - 30) * 60) / 10000));

        return [hypot($x - 40 - 80 * $t, $y - 30 - 60 * $t), $t];
    }],
]);

it('closes a ring, and follows the outline of a plate', function (): void {
    $corner = fn (float $x, float $y): array => ['at' => [$x, $y]];
    $ring = fn (bool $closed): array => ['kind' => 'line', 'values' => ['width' => 4, 'blur' => 0.5, 'twin' => -6, 'pale' => 0, 'closed' => $closed], 'masks' => [['id' => 'e', 'kind' => 'outline', 'on' => 'emitter', 'values' => ['path' => [$corner(40, 30), $corner(120, 30), $corner(120, 90), $corner(40, 90)]]]]];
    $red = fn (string $bytes, int $x, int $y): float => array_values(unpack('n*', $bytes))[4 * ($y * 160 + $x)] / 65535;
    expect($red(fieldOf($ring(true)), 40, 60))->toBeGreaterThan(0.9)->and($red(fieldOf($ring(false)), 40, 60))->toBeLessThan(0.02)->and($red(fieldOf($ring(false)), 120, 60))->toBeGreaterThan(0.9);
    $band = fieldOf(['kind' => 'line', 'mode' => 'airlight', 'values' => ['along' => "a plate's outline", 'of' => 'figure', 'width' => 4, 'blur' => 0.5, 'twin' => -6, 'pale' => 0]], ['figure' => roundFigure()],
        [Rendering::plate('figure', ['id' => 'figure', 'amount' => 0, 'values' => ['place' => [50, 30]]])]);
    $difference = Plainly::difference($band, ...SEEN, colour: function (float $x, float $y): array {
        $d = abs(hypot($x - 80, $y - 60) - 20);

        return array_fill(0, 3, Plainly::encode((1 + 2 ** -6) * max(0, min(1, min(2, $d + 0.5) - max(-2, $d - 0.5)))));
        // at the band's own edges a hundredth of a pixel is much; and the twin reaches a little beyond
    }, counts: fn (float $x, float $y): bool => abs(abs(hypot($x - 80, $y - 60) - 20) - 2) > 1.2);
    expect($difference)->toBeLessThan(3);
    expect($red($band, 100, 60))->toBeGreaterThan(0.97)->and($red($band, 80, 60))->toBeLessThan(0.01);
});

it('shows the stops of a sun over its disc, blurred as a whole', function (float $softness): void {
    $stops = [[0.0, [255, 255, 255], 1.0], [0.5, [255, 220, 120], 1.0], [1.0, [255, 60, 30], 0.6]];
    $ramp = array_map(fn (array $stop): array => ['offset' => $stop[0], 'colour' => sprintf('#%02x%02x%02x', ...$stop[1]), 'opacity' => $stop[2]], $stops);
    $bytes = fieldOf(['kind' => 'sun', 'mode' => 'airlight', 'level' => 0, 'values' => ['centre' => [80, 60], 'radius' => 24, 'stops' => $ramp, 'softness' => $softness, 'bloom' => 30, 'bloomLevel' => -6]]);
    $channel = fn (int $k): array => Fields::of(...SEEN, value: function (float $x, float $y) use ($k, $stops): float {
        $d = hypot($x - 80, $y - 60);
        $colour = Fields::colourRamp($stops, $d / 24);

        return max(0, min(1, 24 - $d + 0.5)) * ($k === 3 ? $colour[3] : $colour[$k] * $colour[3]);
    });
    $planes = array_map(fn (int $k): array => $softness > 0 ? Fields::blurred($channel($k), ...SEEN, sigma: $softness) : $channel($k), range(0, 3));
    $bloom = array_map(fn (int $k): array => Fields::blurred($channel($k), ...SEEN, sigma: 30), range(0, 3));
    $difference = Plainly::difference($bytes, ...SEEN, colour: function (float $x, float $y) use ($planes, $bloom): array {
        $at = (int) $y * 160 + (int) $x;
        $out = [];
        foreach ([0, 1, 2] as $k) {
            $linear = 0.0;
            foreach ([[$planes, 1.0], [$bloom, 2 ** -6]] as [$of, $strength]) {
                $linear += $of[3][$at] > 1e-6 ? Plainly::decode(min(1, $of[$k][$at] / $of[3][$at])) * $of[3][$at] * $strength : 0.0;
            }
            $out[] = Plainly::encode($linear);
        }

        return $out;
    });
    expect($difference)->toBeLessThan(1.5);
})->with([0.0, 3.0, 9.0]);

it('hides a sun behind a plate and lets it spill over', function (): void {
    $sun = fn (?string $behind): string => fieldOf(['kind' => 'sun', 'mode' => 'normal', 'values' => ['centre' => [100, 60], 'radius' => 24, 'softness' => 6, 'bloom' => 30, 'bloomLevel' => -6, 'behind' => $behind]], ['figure' => roundFigure()],
        [Rendering::plate('figure', ['id' => 'figure', 'amount' => 0, 'values' => ['place' => [50, 30]]])]);
    $red = fn (string $bytes, int $x): float => array_values(unpack('n*', $bytes))[4 * (60 * 160 + $x)] / 65535;
    // the plate reaches to x = 100: well inside it nothing is left, beside it all, and at its edge some spills over
    expect($red($sun('figure'), 82))->toBeLessThan(0.06)->and($red($sun('figure'), 97))->toBeGreaterThan(0.2)->toBeLessThan(0.6)
        ->and($red($sun('figure'), 116))->toBeGreaterThan(0.75)->and($red($sun(null), 82))->toBeGreaterThan(0.6);
});

it('ends a beam softly before its reach', function (float $end): void {
    $values = ['origin' => [20, 60], 'target' => [120, 60], 'beam' => 40, 'field' => 70, 'reach' => 110];
    $bytes = fieldOf(['kind' => 'beam', 'values' => [...$values, 'end' => 100 * $end, 'softness' => 0, 'inSmoke' => 0, 'dust' => 0]]);
    $difference = Plainly::difference($bytes, ...SEEN, colour: function (float $x, float $y) use ($end): array {
        $t = $end > 0 ? max(0, min(1, (hypot($x - 20, $y - 60) / 110 - 1 + $end) / $end)) : 0.0;

        return array_fill(0, 3, Plainly::spot($x, $y, [20, 60], [120, 60], 40, 70, 'linear', 110) * (1 - $t * $t * (3 - 2 * $t)));
    }, counts: fn (float $x, float $y): bool => hypot($x - 20, $y - 60) > 3);
    expect($difference)->toBeLessThan(0.6);
})->with([0.0, 0.3, 1.0]);

it('fits a pattern to four corners, as a tight and a wide blur mixed five to one', function (): void {
    $corners = [[40, 20], [130, 34], [120, 100], [30, 90]];
    $bytes = fieldOf(['kind' => 'pattern', 'values' => ['corners' => $corners, 'across' => 2, 'down' => 2, 'bars' => 20, 'tight' => 2]]);
    // the way from the unit square by its own equations: Heckbert, Fundamentals of Texture Mapping and Image Warping (1989), 2.2.3
    [[$x0, $y0], [$x1, $y1], [$x2, $y2], [$x3, $y3]] = $corners;
    [$sx, $sy] = [$x0 - $x1 + $x2 - $x3, $y0 - $y1 + $y2 - $y3];
    [$dx1, $dx2, $dy1, $dy2] = [$x1 - $x2, $x3 - $x2, $y1 - $y2, $y3 - $y2];
    $g = ($sx * $dy2 - $dx2 * $sy) / ($dx1 * $dy2 - $dx2 * $dy1);
    $h = ($dx1 * $sy - $sx * $dy1) / ($dx1 * $dy2 - $dx2 * $dy1);
    [$a, $b, $c, $d, $e, $f] = [$x1 - $x0 + $g * $x1, $x3 - $x0 + $h * $x3, $x0, $y1 - $y0 + $g * $y1, $y3 - $y0 + $h * $y3, $y0];
    $open = function (float $x, float $y) use ($a, $b, $c, $d, $e, $f, $g, $h): float {
        // the inverse, by Cramer's rule for (a - g x) u + (b - h x) v = x - c and the same in y
        [$p, $q, $r, $s] = [$a - $g * $x, $b - $h * $x, $d - $g * $y, $e - $h * $y];
        [$u, $v] = [(($x - $c) * $s - $q * ($y - $f)) / ($p * $s - $q * $r), ($p * ($y - $f) - $r * ($x - $c)) / ($p * $s - $q * $r)];
        $lit = fn (float $t): bool => $t > 0 && $t < 1 && ($t < 0.4 || $t > 0.6);

        return $lit($u) && $lit($v) ? 1.0 : 0.0;
    };
    // each pixel the mean of 64 places in it
    $shape = Fields::of(...SEEN, value: function (float $x, float $y) use ($open): float {
        $sum = 0.0;
        for ($i = 0; $i < 64; $i++) {
            $sum += $open($x - 0.5 + (($i % 8) + 0.5) / 8, $y - 0.5 + (intdiv($i, 8) + 0.5) / 8);
        }

        return $sum / 64;
    });
    [$tight, $wide] = [Fields::blurred($shape, ...SEEN, sigma: 2), Fields::blurred($shape, ...SEEN, sigma: 10)];
    $difference = Plainly::difference($bytes, ...SEEN, colour: fn (float $x, float $y): array => array_fill(0, 3, (5 * $tight[(int) $y * 160 + (int) $x] + $wide[(int) $y * 160 + (int) $x]) / 6));
    expect($difference)->toBeLessThan(2.5);
});

it('takes any picture as a slide: its luma times its alpha', function (): void {
    $slide = new Flat(40, 30, fn (int $x, int $y): array => [255, $x < 20 ? 255 : 0, 0, $y < 15 ? 255 : 128]);
    $bytes = fieldOf(['kind' => 'pattern', 'values' => ['through' => 'a picture', 'picture' => 'slide', 'corners' => [[60, 45], [100, 45], [100, 75], [60, 75]], 'tight' => 0, 'share' => 0]], ['slide' => $slide]);
    $difference = Plainly::difference($bytes, ...SEEN, colour: function (float $x, float $y): array {
        $isIn = $x > 60 && $x < 100 && $y > 45 && $y < 75;

        return array_fill(0, 3, $isIn ? (0.2126 + ($x < 80 ? 0.7152 : 0)) * ($y < 60 ? 1 : 128 / 255) : 0.0);
    }, counts: fn (float $x, float $y): bool => min(abs($x - 60), abs($x - 80), abs($x - 100)) > 2 && min(abs($y - 45), abs($y - 60), abs($y - 75)) > 2);
    expect($difference)->toBeLessThan(1.0);
});

it('lights with a picture by screen as it is, and its black stays black under gain and contrast', function (array $more, Closure $tone): void {
    $leak = new Flat(160, 120, fn (int $x, int $y): array => [$x, 2 * $y, 255 - $x]);
    $ground = new Flat(...SEEN, colour: fn (int $x, int $y) => [40 + $y, 60, 90]);
    $strip = ['kind' => 'leak', 'mode' => 'screen', 'values' => ['texture' => 'a picture', 'picture' => 'leak', 'colours' => 'its own', 'middle' => [80, 60], 'width' => 160, 'height' => 120, ...($more['values'] ?? [])], ...array_diff_key($more, ['values' => 0])];
    $bytes = Rendering::picture(['leak' => $leak, 'ground' => $ground], ...SEEN, strips: [Rendering::plate('ground'), $strip])->bytes;
    $difference = Plainly::difference($bytes, ...SEEN, colour: function (float $x, float $y) use ($tone): array {
        $colour = array_map(fn (int $byte): float => $byte / 255, [(int) $x, 2 * (int) $y, 255 - (int) $x]);
        $most = max($colour);
        $p = min(1, $tone($most));
        $below = [(40 + (int) $y) / 255, 60 / 255, 90 / 255];

        return array_map(fn (float $b, float $c): float => $b + $p * ($c / $most) * (1 - $b), $below, $colour);
    });
    expect($difference)->toBeLessThan(1.0);
})->with([
    'as it is' => [[], fn (float $v): float => $v],
    'a stop more' => [['values' => ['gain' => 1]], fn (float $v): float => 2 * $v],
    'blacks start at a quarter' => [['values' => ['blacks' => 25]], fn (float $v): float => max(0, ($v - 0.25) / 0.75)],
    'harder' => [['contrast' => 50], fn (float $v): float => $v <= 0.5 ? 0.5 * (2 * $v) ** 2 : 1 - 0.5 * (2 - 2 * $v) ** 2],
]);

it('leaves what is black black, whatever is done to it', function (array $values, array $more): void {
    $ground = new Flat(...SEEN, colour: fn (int $x, int $y) => [40 + $y, 60, 90]);
    foreach (['screen', 'add', 'airlight', 'lighten'] as $mode) {
        $strip = ['kind' => 'leak', 'mode' => $mode, 'values' => ['texture' => 'a picture', 'picture' => 'leak', 'middle' => [80, 60], 'width' => 160, 'height' => 120, ...$values], ...$more];
        $bytes = Rendering::picture(['leak' => new Flat(160, 120, fn (): array => [0, 0, 0]), 'ground' => $ground], ...SEEN, strips: [Rendering::plate('ground'), $strip])->bytes;
        expect($bytes)->toBe(Rendering::picture(['ground' => $ground], ...SEEN, strips: [Rendering::plate('ground')])->bytes);
    }
})->with([
    [['colours' => 'its own', 'gain' => 4], ['level' => 6, 'contrast' => -100]], [['colours' => 'by brightness', 'gain' => 2], ['level' => 3, 'contrast' => 80]], [['colours' => 'one colour', 'softness' => 5], ['level' => 6]],
]);

it('masks with the brightness of a picture, and of a texture of the shelf', function (): void {
    $texture = new Flat(160, 120, fn (int $x): array => [$x, $x, $x]);
    $fill = fn (array $values): string => Rendering::picture(['black' => new Flat(...SEEN, colour: fn () => [0, 0, 0]), 'texture' => $texture], ...SEEN, strips: [
        Rendering::plate('black'), ['kind' => 'fill', 'mode' => 'normal', 'values' => ['colour' => '#ffffff'], 'masks' => [['id' => 'm', 'kind' => 'texture', 'values' => ['middle' => [80, 60], 'width' => 160, 'height' => 120, ...$values]]]],
    ])->bytes;
    $difference = Plainly::difference($fill(['texture' => 'a picture', 'picture' => 'texture', 'blacks' => 10, 'whites' => 50]), ...SEEN, colour: fn (float $x): array => array_fill(0, 3, max(0, min(1, ((int) $x / 255 - 0.1) / 0.4))));
    expect($difference)->toBeLessThan(0.6);
    // one that is gone masks nothing; one of the shelf is seen, and the same twice
    expect($fill(['texture' => 'a picture', 'picture' => 'gone']))->toBe(Rendering::picture(['white' => new Flat(...SEEN, colour: fn () => [255, 255, 255])], ...SEEN, strips: [Rendering::plate('white')])->bytes);
    expect($fill(['texture' => 'clouds', 'seed' => 4]))->toBe($fill(['texture' => 'clouds', 'seed' => 4]))->not->toBe($fill(['texture' => 'clouds', 'seed' => 5]));
});

/** One of each kind, well inside a scene of 320 x 240. */
function eachKind(): array
{
    return [
        'glow' => [['kind' => 'glow', 'values' => ['centre' => [150, 110], 'size' => 40, 'shells' => [['part' => 'core', 'radius' => 6, 'level' => 0.5], ['part' => 'fog', 'radius' => 8], ['part' => 'halo', 'radius' => 30]]]], 2.5],
        'glow of bright tones' => [['kind' => 'glow', 'values' => ['from' => "a plate's bright tones", 'of' => 'figure', 'threshold' => 50, 'knee' => 30, 'shells' => [['part' => 'halo', 'radius' => 16]]]], 4],
        'halo' => [['kind' => 'halo', 'values' => ['of' => 'figure', 'spread' => 14, 'pull' => 20]], 4],
        'line' => [['kind' => 'line', 'values' => ['width' => 9, 'blur' => 12], 'masks' => [['id' => 'e', 'kind' => 'outline', 'on' => 'emitter', 'values' => ['path' => [['at' => [60, 60], 'out' => [60, -40]], ['at' => [250, 150]]]]]]], 1e9],
        'sun' => [['kind' => 'sun', 'values' => ['centre' => [170, 100], 'radius' => 30, 'softness' => 12, 'bloom' => 40, 'behind' => 'figure']], 4],
        'beam' => [['kind' => 'beam', 'values' => ['origin' => [200, 20], 'target' => [140, 210], 'softness' => 4, 'dust' => 0, 'smokeSize' => 60]], 4],
        'pattern' => [['kind' => 'pattern', 'mode' => 'airlight', 'level' => -1, 'values' => ['corners' => [[60, 40], [250, 60], [240, 200], [40, 190]], 'tight' => 4]], 4],
        'leaves' => [['kind' => 'pattern', 'mode' => 'airlight', 'level' => -1, 'values' => ['through' => 'leaves', 'corners' => [[60, 40], [250, 60], [240, 200], [40, 190]], 'tight' => 5]], 4],
        'leak' => [['kind' => 'leak', 'values' => ['middle' => [160, 120], 'width' => 320, 'height' => 240]], 4],
        'smoke' => [['kind' => 'leak', 'values' => ['texture' => 'smoke', 'middle' => [160, 120], 'width' => 960, 'height' => 720]], 4],
        'dust' => [['kind' => 'leak', 'values' => ['texture' => 'dust', 'middle' => [160, 120], 'width' => 640, 'height' => 480]], 1e9],
    ];
}

it('is the same at half scale as the full picture averaged, and in any window', function (array $strip, float $allowed): void {
    $figure = new Flat(120, 120, fn (int $x, int $y): array => [90 + $x, 120, 200 - $y, (int) round(255 * max(0, min(1, 40.5 - hypot($x - 59.5, $y - 59.5))))]);
    $ground = new Flat(320, 240, fn (int $x, int $y): array => [30 + intdiv($x, 8), 40, 50 + intdiv($y, 6)]);
    $scene = Rendering::scene(320, 240, [Rendering::plate('ground'), Rendering::plate('figure', ['id' => 'figure', 'values' => ['place' => [100, 60]]]), $strip]);
    $renderer = Rendering::renderer(['figure' => $figure, 'ground' => $ground]);
    $whole = array_values(unpack('n*', $renderer->picture($scene, Window::whole(320, 240), 16)->bytes));
    $half = array_values(unpack('n*', $renderer->picture($scene, Window::whole(320, 240, 0.5), 16)->bytes));
    [$sum, $most] = [0.0, 0.0];
    foreach ($half as $at => $value) {
        [$row, $column, $k] = [intdiv($at, 640), intdiv($at % 640, 4), $at % 4];
        $from = (2 * $row * 320 + 2 * $column) * 4 + $k;
        $mean = ($whole[$from] + $whole[$from + 4] + $whole[$from + 1280] + $whole[$from + 1284]) / 4;
        $sum += abs($value - $mean);
        // a plate's edge and a core's are hard
        $isHard = abs(hypot($column * 2 + 1 - 160, $row * 2 + 1 - 120) - 40) < 4 || abs(hypot($column * 2 + 1 - 150, $row * 2 + 1 - 110) - 14) < 3;
        $most = $isHard ? $most : max($most, abs($value - $mean));
    }
    expect($sum / count($half) / 257)->toBeLessThan(1.0)->and($most / 257)->toBeLessThan($allowed);
    $part = array_values(unpack('n*', $renderer->picture($scene, new Window(96, 64, 128, 96), 16)->bytes));
    $worst = 0;
    foreach ($part as $at => $value) {
        $worst = max($worst, abs($value - $whole[((intdiv($at, 512) + 64) * 320 + intdiv($at % 512, 4) + 96) * 4 + $at % 4]));
    }
    expect($worst / 257)->toBeLessThan(0.7);
})->with(eachKind());

it('works out no plane anew that did not change', function (array $strip, array $free, array $dear): void {
    $watch = new class implements Watch
    {
        public int $steps = 0;

        public function step(): void
        {
            $this->steps++;
        }

        public function row(): void
        {
        }
    };
    $black = new Flat(...SEEN, colour: fn () => [0, 0, 0]);
    // what the tests before this one hold must not make it let go of anything
    $memory = new Memory(PHP_INT_MAX);
    $renderer = new Renderer(new KernelStore(Folder::of('core-kernels')), new Shelf(['black' => $black]), new ShapeStore(Folder::of('core-shapes')), memory: $memory, watch: $watch);
    $planes = function (array $strip) use ($renderer, $watch): int {
        $watch->steps = 0;
        $renderer->picture(Rendering::scene(...SEEN, strips: [Rendering::plate('black'), $strip]), Window::whole(...SEEN));

        // told before each row of the picture and of what is sampled for planes, and before each plane
        return $watch->steps - 120;
    };
    expect($planes($strip))->toBeGreaterThan(0);
    foreach ($free as $change) {
        expect($planes(array_replace_recursive($strip, $change)))->toBe(0);
    }
    foreach ($dear as $change) {
        expect($planes(array_replace_recursive($strip, $change)))->toBeGreaterThan(0);
    }
})->with([
    'glow' => [['kind' => 'glow', 'values' => ['centre' => [80, 60], 'size' => 20]], [['level' => 1], ['values' => ['colour' => ['kelvin' => 5000]]], ['mode' => 'screen']], [['values' => ['size' => 24]], ['values' => ['reach' => 110]]]],
    'sun' => [['kind' => 'sun', 'values' => ['centre' => [80, 60], 'radius' => 20]], [['level' => 1], ['mode' => 'screen'], ['values' => ['bloomLevel' => 1]]], [['values' => ['radius' => 22]]]],
    'beam' => [['kind' => 'beam', 'values' => ['origin' => [80, 10], 'target' => [80, 100], 'softness' => 3]], [['level' => 1], ['values' => ['inSmoke' => 20]], ['values' => ['colour' => ['kelvin' => 5000]]]], [['values' => ['smokeSize' => 50]], ['values' => ['target' => [90, 100]]]]],
    'pattern' => [['kind' => 'pattern', 'values' => ['corners' => [[40, 20], [130, 34], [120, 100], [30, 90]]]], [['level' => 1], ['values' => ['share' => 40]]], [['values' => ['tight' => 8]]]],
    'leak' => [['kind' => 'leak', 'values' => ['middle' => [80, 60], 'width' => 160, 'height' => 120]], [['level' => 1], ['values' => ['gain' => 1]], ['values' => ['blacks' => 10]]], [['values' => ['seed' => 9]]]],
]);

it('makes every shell, however wide, of the same finest pixels', function (float $finest): void {
    $emitter = new CountedDisc(new Point(-37.3, 190.4), 150.2);
    $planes = Rendering::renderer([])->planes;
    $window = new Window(-200, 20, 400, 330, 1 / $finest);
    $lattice = fn (int $level): Window => $window->lattice($finest * 2 ** $level)->padded(3);
    $planes->numbers(new EmitterLattice($emitter, $lattice(9), $finest));
    $first = $emitter->sampled;
    foreach ([0, 1, 2, 3, 5, 7, 8, 9] as $level) {
        $part = $lattice($level);
        $means = $planes->numbers(new EmitterLattice($emitter, $part, $finest));
        // the mean of the finest pixels in it, each sampled by itself
        foreach (array_unique([0, intdiv(count($means), 2), intdiv(count($means), 3), count($means) - 1]) as $at) {
            [$column, $row] = [$at % $part->columns, intdiv($at, $part->columns)];
            $one = new Window($part->xOf($column) - $part->step() / 2, $part->yOf($row) - $part->step() / 2, $part->step(), $part->step(), 1 / $finest);
            $fine = $planes->sample(fn (KernelWriter $kernel): string => (new Disc(new Point(-37.3, 190.4), 150.2))->write($kernel, $one), $one);
            expect($means[$at])->toEqualWithDelta(array_sum($fine) / count($fine), 1e-9);
        }
    }
    expect($first)->toBeGreaterThan(0)->and($emitter->sampled)->toBe($first);
})->with([1.0, 2.5]);

it('takes what shines in a window from the blocks on which it lies, and works it out by itself beside them', function (float $beside): void {
    $emitter = new CountedDisc(new Point(120.3, 90.4), 50.2);
    $planes = Rendering::renderer([])->planes;
    $planes->numbers(new EmitterLattice($emitter, new Window(0, 0, 512, 512), 1.0));
    $first = $emitter->sampled;
    $window = new Window(40 + $beside, 30, 140, 110);
    $shines = $planes->numbers(new EmitterPlane($emitter, $window));
    expect($emitter->sampled - $first)->toBe($beside === 0.0 ? 0 : 1);
    foreach ($planes->sample(fn (KernelWriter $kernel): string => (new Disc(new Point(120.3, 90.4), 50.2))->write($kernel, $window), $window) as $at => $value) {
        expect(abs($shines[$at] - $value))->toBeLessThan(1e-9);
    }
})->with([0.0, 0.37]);

it('keeps nothing of blocks in which nothing shines, and sees nothing there', function (): void {
    $emitter = new CountedDisc(new Point(256 - 40, 256 - 40), 40.0);
    $planes = Rendering::renderer([])->planes;
    // the corner of the fourth block is within the disc's bounds by a pixel, and not in the disc
    expect(array_map(fn (array $at): int => count($planes->numbers(new EmitterBlock($emitter, 1.0, 0, ...$at))), [[0, 0], [1, 0], [0, 1], [1, 1], [5, 5]]))->toBe([65536, 0, 0, 0, 0]);
    $around = new Window(0, 0, 1024, 1024, 1 / 4);
    $means = $planes->numbers(new EmitterLattice($emitter, $around, 1.0));
    expect(count($means))->toBe(256 * 256)->and(array_sum($means) * 16)->toEqualWithDelta(M_PI * 40 ** 2, 5.0);
    foreach ($means as $at => $mean) {
        if (hypot(($at % 256) * 4 + 2 - 216, intdiv($at, 256) * 4 + 2 - 216) > 44) {
            expect($mean)->toBe(0.0);
        }
    }
});

it('says what is missing, and refuses what makes no sense', function (array $strip, string $says): void {
    $scene = Rendering::scene(160, 120, [Rendering::plate('black'), $strip]);
    $readings = new Aumbrel\Core\Reading\Readings($scene, new Aumbrel\Core\Reading\Pictures(['black' => [160, 120, true]]));
    expect(implode(' ', array_map(fn ($reading): string => $reading->seen, $readings->all())))->toContain($says);
    // and renders as if it were not there
    $renderer = Rendering::renderer(['black' => new Flat(...SEEN, colour: fn () => [9, 9, 9])]);
    expect($renderer->picture($scene, Window::whole(...SEEN))->bytes)->toBe($renderer->picture(Rendering::scene(160, 120, [Rendering::plate('black')]), Window::whole(...SEEN))->bytes);
})->with([
    [['kind' => 'glow', 'values' => ['from' => 'what is drawn']], 'Nothing is drawn yet'],
    [['kind' => 'glow', 'values' => ['from' => "a plate's bright tones"]], 'choose which one'],
    [['kind' => 'glow', 'values' => ['from' => "a plate's outline", 'of' => 's0']], 'not cut out'],
    [['kind' => 'glow', 'values' => ['from' => "a plate's outline", 'of' => 'gone']], 'gone'],
    [['kind' => 'halo', 'values' => ['of' => 's0']], 'not cut out'],
    [['kind' => 'line', 'values' => []], 'No line is drawn'],
    [['kind' => 'pattern', 'values' => ['through' => 'a picture', 'picture' => 'gone.png', 'corners' => [[0, 0], [9, 0], [9, 9], [0, 9]]]], 'gone'],
    [['kind' => 'pattern', 'values' => []], 'no corners'],
    [['kind' => 'pattern', 'values' => ['surface' => 'floor']], 'floor is not marked'],
    [['kind' => 'leak', 'values' => ['texture' => 'a picture']], 'No picture is chosen'],
    [['kind' => 'leak', 'values' => ['texture' => 'a picture', 'picture' => 'gone.png']], 'gone'],
]);

it('refuses values that cannot be, naming them', function (array $strip, string $field): void {
    expect(fn () => Rendering::scene(160, 120, [$strip]))->toThrow(fn (SceneError $error) => expect($error->getMessage())->toContain($field));
})->with([
    'a ramp without stops' => [['kind' => 'halo', 'values' => ['ramp' => []]], 'ramp'],
    'stops out of order' => [['kind' => 'sun', 'values' => ['stops' => [['offset' => 1, 'colour' => '#ffffff'], ['offset' => 0, 'colour' => '#ffffff']]]], 'stops[1].offset'],
    'no opacity' => [['kind' => 'sun', 'values' => ['stops' => [['offset' => 0, 'colour' => '#ffffff', 'opacity' => NAN]]]], 'opacity'],
    'no shells' => [['kind' => 'glow', 'values' => ['shells' => []]], 'shells'],
    'a shell of no kind' => [['kind' => 'glow', 'values' => ['shells' => [['part' => 'rind']]]], 'shells[0].part'],
    'a radius below nothing' => [['kind' => 'glow', 'values' => ['shells' => [['part' => 'fog', 'radius' => -1]]]], 'shells[0].radius'],
    'corners that fold over' => [['kind' => 'pattern', 'values' => ['corners' => [[0, 0], [90, 90], [90, 0], [0, 90]]]], 'corners'],
    'a pattern without size' => [['kind' => 'pattern', 'values' => ['width' => 0]], 'width'],
    'an emitter on what does not shine' => [['kind' => 'wash', 'values' => [], 'masks' => [['id' => 'e', 'kind' => 'strokes', 'on' => 'emitter', 'values' => []]]], 'masks[0].on'],
    'a picture outside' => [['kind' => 'leak', 'values' => ['picture' => '../secret.png']], 'picture'],
]);
