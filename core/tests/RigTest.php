<?php

declare(strict_types=1);

use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Geometry\Carry;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kind\Family;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Rig\Rig;
use Aumbrel\Core\Rig\RigMaking;
use Aumbrel\Core\Scene\Scene;
use Aumbrel\Core\Scene\Strip;
use Tests\Support\Flat;
use Tests\Support\HeldScenes;
use Tests\Support\Rendering;

/* Looks kept for the next picture. */

/** @param  list<array<string, mixed>>  $strips */
function rigScene(int $width, int $height, array $strips, array $more = []): Scene
{
    foreach ($strips as $at => $strip) {
        $strips[$at] = ['id' => "s{$at}", ...$strip];
    }

    return Scene::read(['aumbrel' => 2, 'title' => 'Rig', 'size' => [$width, $height], ...$more, 'strips' => $strips], Registry::kinds());
}

/** All strips of a scene that are no plates. */
function litBy(Scene $scene): array
{
    return array_values(array_map(static fn (Strip $strip): string => $strip->id, array_filter($scene->strips, static fn (Strip $strip): bool => $strip->kind::family() !== Family::Plate)));
}

/** The plates of a scene with a rig used on them: what lies under its plate goes there, the rest on top. */
function rigged(Scene $plates, Rig $rig, ?string $chosen, $measures): Scene
{
    $made = $rig->onto($plates, $chosen, $measures, static function (): string {
        static $next = 0;

        return 'n'.$next++;
    });
    $document = json_decode($plates->toJson(), true);
    $about = $rig->about($plates, $chosen);
    $strips = [];
    foreach ($document['strips'] as $strip) {
        array_push($strips, ...($strip['id'] === $about ? $made['under'] : []), ...[$strip]);
    }

    return Scene::read(['sources' => $made['sources'], 'strips' => [...$strips, ...$made['strips']]] + $document, Registry::kinds());
}

/** @return list<int> */
function shownValues(Scene $scene, array $pictures, float $scale = 1.0): array
{
    return array_values(unpack('n*', Rendering::renderer($pictures)->picture($scene, Window::whole($scene->width, $scene->height, $scale), 16)->bytes));
}

function largestOff(array $one, array $other): float
{
    return max(array_map(static fn (int $a, int $b): int => abs($a - $b), $one, $other)) / 257;
}

/** Scenes in which all that is no plate lies on top of the plates. */
function litOnTop(): array
{
    return array_keys(array_filter(HeldScenes::all(), static function (array $held): bool {
        $isLight = array_map(static fn (array $strip): bool => $strip['kind'] !== 'plate', $held[0]);
        $lights = count(array_filter($isLight));

        return $lights > 0 && array_slice($isLight, -$lights) === array_fill(0, $lights, true);
    }));
}

it('makes the same picture of a scene of the same size, whatever its strips are', function (string $name): void {
    [$strips] = HeldScenes::all()[$name];
    [$pictures, $kinds] = [HeldScenes::pictures(), Registry::kinds()];
    $measures = Rendering::renderer($pictures)->measures();
    $scene = rigScene(64, 48, $strips);
    // as it goes through a file
    $rig = Rig::fromJson((new RigMaking($scene, litBy($scene), null, $measures, $kinds))->rig('Look')->toJson(), $kinds);
    $plates = rigScene(64, 48, array_values(array_filter($strips, static fn (array $strip): bool => $strip['kind'] === 'plate')));
    $again = rigged($plates, $rig, null, $measures);
    expect(count($again->strips))->toBe(count($scene->strips))->and(largestOff(shownValues($scene, $pictures), shownValues($again, $pictures)))->toBeLessThan(1.0)
        ->and(array_intersect(array_map(static fn (Strip $strip): string => $strip->id, $again->everyStrip()), litBy($scene)))->toBe([]);
})->with(litOnTop());

it('is tried on many of them', function (): void {
    expect(count(litOnTop()))->toBeGreaterThan(20);
});

/** A wall with soft tones, and a soft disc on it whose middle is the box's. */
function rigPictures(): array
{
    return [
        'wall' => new Flat(320, 200, static fn (int $x, int $y): array => [60 + (int) ($x / 4), 70 + (int) ($y / 5), 110 - (int) ($x / 8)]),
        'disc' => new Flat(100, 100, static fn (int $x, int $y): array => [120, 130, 90, (int) round(255 * max(0, min(1, (44 - hypot($x - 49.5, $y - 49.5)) / 8)))]),
    ];
}

/** @return list<array<string, mixed>> at a size of 320 x 200 times a factor */
function rigPlates(float $factor, array $discAt): array
{
    return [
        Rendering::plate('wall', ['id' => 'wall', 'name' => 'Wall', 'values' => ['scale' => $factor]]),
        Rendering::plate('disc', ['id' => 'disc', 'name' => 'Disc', 'values' => ['place' => $discAt, 'pivot' => [50, 50], 'scale' => $factor]]),
    ];
}

/** Every length and every way of lying somewhere that strips have. */
function rigLights(): array
{
    return [
        ['id' => 'pool', 'kind' => 'spot-onto', 'level' => 1, 'name' => 'Pool', 'values' => ['lamp' => [90, 90], 'height' => 120, 'target' => [100, 110], 'beam' => 60, 'field' => 90, 'softness' => 6, 'cuts' => [['from' => [20, 160], 'to' => [300, 170], 'softness' => 12]]]],
        ['id' => 'lamp-light', 'kind' => 'spot', 'source' => 'lamp', 'level' => 0, 'values' => ['origin' => [0, 0], 'target' => [220, 150], 'beam' => 40, 'field' => 60, 'softness' => 5, 'reach' => 260]],
        ['id' => 'rim', 'kind' => 'rim', 'level' => 1, 'values' => ['of' => 'disc', 'width' => 10, 'azimuth' => 40, 'elevation' => 10]],
        ['id' => 'key', 'kind' => 'key light', 'level' => 0.5, 'source' => 'lamp', 'values' => ['of' => 'disc', 'size' => 60]],
        ['id' => 'halo', 'kind' => 'halo', 'values' => ['of' => 'disc', 'spread' => 14, 'shift' => 6, 'pull' => 20, 'pullTo' => 120]],
        ['id' => 'glow', 'kind' => 'glow', 'values' => ['centre' => [260, 40], 'size' => 26, 'shells' => [['part' => 'fog', 'radius' => 9], ['part' => 'halo', 'radius' => 30]]]],
        ['id' => 'haze', 'kind' => 'haze', 'amount' => 60, 'values' => ['from' => [0, 200], 'to' => [0, 60]], 'masks' => [['id' => 'hole', 'kind' => 'radial', 'inverted' => true, 'feather' => 8, 'values' => ['centre' => [160, 120], 'radius' => 70, 'secondRadius' => 40]]]],
        ['id' => 'group', 'kind' => 'group', 'amount' => 80, 'keptOff' => ['plates' => ['disc'], 'grow' => 4, 'feather' => 6], 'strips' => [
            ['id' => 'wash', 'kind' => 'wash', 'level' => 0.5, 'values' => ['colour' => ['swatch' => '#ff7a3c']], 'masks' => [['id' => 'painted', 'kind' => 'strokes', 'feather' => 5, 'values' => ['start' => 'hidden', 'strokes' => [['size' => 90, 'hardness' => 0, 'opacity' => 90, 'flow' => 60, 'spacing' => 20, 'letsIn' => true, 'points' => [[60, 60, 1, 0], [240, 140, 1, 300]]]]]]]],
        ]],
        ['id' => 'drawn', 'kind' => 'fill', 'mode' => 'multiply', 'amount' => 40, 'values' => ['colour' => '#405070'], 'masks' => [['id' => 'path', 'kind' => 'outline', 'values' => ['feather' => 9, 'grow' => 3, 'path' => [['at' => [20, 20], 'out' => [60, -10]], ['at' => [180, 40]], ['at' => [120, 180], 'in' => [20, 0]]]]]]],
    ];
}

/** Under the disc: its shadow, by the lamp. */
function rigShadow(): array
{
    return ['id' => 'contact', 'kind' => 'contact', 'amount' => 60, 'values' => ['of' => ['disc'], 'width' => 12, 'softness' => 5, 'offset' => 4]];
}

const RIG_LAMP = ['id' => 'lamp', 'kind' => 'lamp', 'name' => 'Lamp', 'level' => 0.5, 'values' => ['place' => [40, 30], 'depth' => 60, 'width' => 20, 'colour' => ['kelvin' => 2900]]];

function rigOf(?string $plate): array
{
    [$wall, $disc] = rigPlates(1.0, [200, 120]);
    $scene = rigScene(320, 200, [$wall, rigShadow(), $disc, ...rigLights()], ['sources' => [RIG_LAMP]]);
    $measures = Rendering::renderer(rigPictures())->measures();

    return [$scene, (new RigMaking($scene, litBy($scene), $plate, $measures, Registry::kinds()))->rig('Lantern light'), $measures];
}

it('makes of half the size the picture that the reduced one is', function (?string $plate): void {
    [$scene, $rig, $measures] = rigOf($plate);
    $pictures = rigPictures();
    $same = rigged(rigScene(320, 200, rigPlates(1.0, [200, 120])), $rig, $plate, $measures);
    $whole = shownValues($scene, $pictures);
    if ($plate === null) {
        // about no plate, what lay under the disc comes on top: it is tried without
        $whole = shownValues(rigScene(320, 200, [...rigPlates(1.0, [200, 120]), rigShadow(), ...rigLights()], ['sources' => [RIG_LAMP]]), $pictures);
    }
    expect(largestOff($whole, shownValues($same, $pictures)))->toBeLessThan(1.0);
    $half = shownValues(rigged(rigScene(160, 100, rigPlates(0.5, [100, 60])), $rig, $plate, $measures), $pictures);
    [$most, $sum] = [0.0, 0.0];
    for ($y = 0; $y < 100; $y++) {
        for ($x = 0; $x < 160; $x++) {
            for ($channel = 0; $channel < 3; $channel++) {
                $at = static fn (int $dx, int $dy): int => $whole[4 * ((2 * $y + $dy) * 320 + 2 * $x + $dx) + $channel];
                $off = abs(($at(0, 0) + $at(1, 0) + $at(0, 1) + $at(1, 1)) / 4 - $half[4 * ($y * 160 + $x) + $channel]) / 257;
                // a rim ends sharply at the outline, and a cone is a point at its lamp: hard edges in the sense of the definitions
                $isHard = abs(hypot($x - 99.5, $y - 59.5) - 20) < 3 || hypot($x - 20, $y - 15) < 3;
                [$most, $sum] = [$isHard ? $most : max($most, $off), $sum + $off];
            }
        }
    }
    expect($most)->toBeLessThan(2.0)->and($sum / 48000)->toBeLessThan(0.4);
})->with(['about the scene' => [null], 'about a plate' => ['disc']]);

it('goes where its plate is, and keeps what lay under it there', function (): void {
    [$scene, $rig, $measures] = rigOf('disc');
    // the disc stands elsewhere, and is called otherwise
    [$wall, $disc] = rigPlates(1.0, [140, 90]);
    $there = rigScene(320, 200, [$wall, ['id' => 'urn', 'name' => 'Urn'] + $disc]);
    $made = rigged($there, $rig, 'urn', $measures);
    $kinds = array_map(static fn (Strip $strip): string => $strip->kind::key(), $made->strips);
    expect(array_slice($kinds, 0, 3))->toBe(['plate', 'contact', 'plate'])->and($rig->subject()->name)->toBe('Disc');
    $find = static fn (string $name) => array_values(array_filter($made->everyStrip(), static fn (Strip $strip): bool => $strip->name === $name))[0];
    expect($find('Pool')->values->toArray()['lamp'])->toBe([30.0, 60.0])->and($find('Rim')->values->toArray()['of'])->toBe('urn')
        ->and($made->sources[0]->values->toArray()['place'])->toBe([-20.0, 0.0])->and($find('Spot')->source)->toBe($made->sources[0]->id)->and($made->sources[0]->id)->not->toBe('lamp')
        ->and(array_values(array_filter($made->strips, static fn (Strip $strip): bool => $strip->isGroup()))[0]->keptOff->plates)->toBe(['urn']);
});

it('says which plate it needs', function (array $strips, string $about, string $says): void {
    [$scene, , $measures] = rigOf(null);
    $lit = rigScene(320, 200, [...rigPlates(1.0, [200, 120]), Rendering::plate('disc', ['id' => 'urn', 'name' => 'Urn']), ['id' => 'rim', 'kind' => 'rim', 'values' => ['of' => 'urn']]]);
    $rig = (new RigMaking($lit, ['rim'], $about === '' ? null : $about, $measures, Registry::kinds()))->rig('Rim');
    expect(fn () => $rig->onto(rigScene(320, 200, $strips), null, $measures, static fn (): string => 'x'))->toThrow(SceneError::class, $says);
})->with([
    'about a plate, of which there is none' => [[Rendering::plate('wall', ['id' => 'wall'])], 'urn', 'choose the plate that it is for'],
    'one of a name' => [rigPlates(1.0, [10, 10]), '', 'needs a plate called Urn'],
]);

it('takes what its strips look at along, and gives masks that stay behind their shape', function (): void {
    $measures = Rendering::renderer(rigPictures())->measures();
    $shape = ['id' => 'shape', 'kind' => 'radial', 'feather' => 3, 'values' => ['centre' => [160, 100], 'radius' => 60, 'secondRadius' => 60]];
    $scene = rigScene(320, 200, [...rigPlates(1.0, [200, 120]),
        ['id' => 'spot', 'kind' => 'spot', 'values' => ['origin' => [10, 10], 'target' => [100, 100]]],
        ['id' => 'one', 'kind' => 'wash', 'masks' => [$shape]],
        ['id' => 'two', 'kind' => 'wash', 'masks' => [['id' => 'used', 'kind' => 'radial', 'uses' => 'shape']], 'level' => 1],
        ['id' => 'dim', 'kind' => 'fill', 'values' => ['colour' => '#000000'], 'masks' => [['id' => 'bright', 'kind' => 'brightness', 'values' => ['of' => 'spot']]]],
    ]);
    $make = static fn (array $chosen): array => (new RigMaking($scene, $chosen, null, $measures, Registry::kinds()))->rig('Look')->toArray();
    expect(array_column($make(['dim'])['strips'], 'id'))->toBe(['spot', 'dim']);
    $alone = $make(['two'])['strips'][0]['masks'][0];
    expect($alone)->not->toHaveKey('uses')->and($alone['values']['radius'])->toEqualWithDelta(0.3, 1e-9)->and($alone['feather'])->toEqualWithDelta(0.015, 1e-9);
    $both = $make(['one', 'two'])['strips'];
    expect($both[1]['masks'][0]['uses'])->toBe('shape');
    $again = rigged(rigScene(320, 200, rigPlates(1.0, [200, 120])), Rig::read(['aumbrelRig' => 1, 'name' => 'Look', 'strips' => $both], Registry::kinds()), null, $measures);
    expect($again->strips[3]->masks[0]->uses)->toBe($again->strips[2]->masks[0]->id);
});

it('leaves out what has no picture, and keeps what it does not know', function (): void {
    [$scene, $rig, $measures] = rigOf(null);
    $leak = ['id' => 'leak', 'kind' => 'leak', 'values' => ['texture' => 'a picture', 'picture' => 'dust.png', 'middle' => [0, 0], 'width' => 1, 'height' => 1]];
    $read = Rig::read(['aumbrelRig' => 1, 'name' => 'Dust', 'made' => 'by hand', 'strips' => [$leak, Rendering::plate('smoke.png', ['id' => 'p', 'values' => ['scale' => 0.001]])]], Registry::kinds());
    expect($read->pictures())->toBe(['dust.png', 'smoke.png'])->and($read->toArray()['made'])->toBe('by hand');
    $left = $read->showing(static fn (string $name): ?string => null)->toArray()['strips'];
    expect($left)->toHaveCount(1)->and($left[0]['values']['picture'])->toBeNull();
    expect($read->showing(static fn (string $name): string => "2-{$name}")->pictures())->toBe(['2-dust.png', '2-smoke.png']);
});

it('refuses files that are no looks in a sentence', function (mixed $raw, string $says): void {
    expect(fn () => is_string($raw) ? Rig::fromJson($raw, Registry::kinds()) : Rig::read($raw, Registry::kinds()))->toThrow(SceneError::class, $says);
})->with([
    'no JSON' => ['{', 'this is no JSON'],
    'a scene' => [['aumbrel' => 2, 'strips' => []], 'this is no rig'],
    'an unknown kind' => [['aumbrelRig' => 1, 'strips' => [['id' => 'a', 'kind' => 'laser']]], 'kind'],
    'a length that is none' => [['aumbrelRig' => 1, 'strips' => [['id' => 'a', 'kind' => 'rim', 'values' => ['width' => 'wide']]]], 'width'],
    'no ids' => [['aumbrelRig' => 1, 'strips' => [['kind' => 'rim']]], 'id'],
    'a strip that is none' => [['aumbrelRig' => 1, 'strips' => ['rim']], 'strips[0]'],
]);

it('keeps lengths in their range where they get too small, and leaves what is none alone', function (): void {
    $there = Carry::toShares(new Point(160, 100), 200);
    $back = Carry::toPixels(new Point(8, 5), 10);
    expect($back->length($there->length(4.0), 0.5, 100.0))->toBe(0.5)->and($back->point($there->point([180, 100])))->toBe([9.0, 5.0])
        ->and($there->point(['x', 3]))->toBe(['x', 3])->and($there->length(null))->toBeNull()->and($there->length(NAN))->toBeNan();
});
