<?php

declare(strict_types=1);

use Aumbrel\Core\Bearing\Bearing;
use Aumbrel\Core\Color\Rgb;
use Aumbrel\Core\Geometry\Bounds;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kind\Stance;
use Aumbrel\Core\Reading\Compass;
use Aumbrel\Core\Reading\Pictures;
use Aumbrel\Core\Reading\Readings;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Scene\Consequence;
use Aumbrel\Core\Scene\Footings;
use Aumbrel\Core\Scene\Hanging;
use Aumbrel\Core\Scene\Scene;
use Aumbrel\Core\Stage\Footing;
use Aumbrel\Core\Stage\SceneSource;
use Aumbrel\Core\Stage\Stage;
use Tests\Support\Flat;
use Tests\Support\Rendering;

/** A market stall of 400 x 300: a backdrop, two figures at different depths, a floor from row 100 down. */
function stall(array $strips = [], array $sources = [], array $more = []): Scene
{
    return Scene::read(['aumbrel' => 2, 'title' => 'Stall', 'size' => [400, 300], 'sources' => $sources, 'stage' => ['floor' => ['horizon' => 100, 'contact' => [[0, 250], [400, 250]]]], ...$more, 'strips' => [
        ['id' => 'ground', ...Rendering::plate('ground')],
        ['id' => 'near', 'name' => 'Near', ...Rendering::plate('figure', ['values' => ['place' => [40, 200]]])],
        ['id' => 'far', 'name' => 'Far', ...Rendering::plate('figure', ['values' => ['place' => [260, 120]]])],
        ...$strips,
    ]], Registry::kinds());
}

/** A figure of 60 x 80 of which the columns 10..49 and the rows 20..69 are there. */
function aFigure(): Flat
{
    return new Flat(60, 80, static fn (int $x, int $y): array => [150, 140, 130, $x >= 10 && $x < 50 && $y >= 20 && $y < 70 ? 255 : 0]);
}

/** @return array<string, Flat> */
function stallPictures(): array
{
    return ['ground' => new Flat(400, 300, static fn (int $x, int $y): array => [70 + $x % 40, 80, 90 + $y % 30]), 'figure' => aFigure()];
}

function stallMeasures(): Pictures
{
    return new Pictures(['ground' => [400, 300, true], 'figure' => [60, 80, false]], ['near' => new Bounds(10, 20, 50, 70), 'far' => new Bounds(10, 20, 50, 70)]);
}

function aLamp(array $values = [], array $more = []): array
{
    return ['id' => 'lamp', 'kind' => 'lamp', ...$more, 'values' => ['place' => [220, 60], 'depth' => 30, 'colour' => ['swatch' => '#ff8040'], ...$values]];
}

function bearingOf(float $x, float $y, float $z): array
{
    return [rad2deg(atan2($y, $x)), rad2deg(atan2($z, hypot($x, $y)))];
}

it('sees a lamp from plates at two depths as the definition says', function (): void {
    $f = 480.0;
    foreach ([['near', [70, 245], 270], ['far', [290, 165], 190]] as [$plate, [$px, $py], $feet]) {
        $rim = ['id' => 'rim', 'kind' => 'rim', 'source' => 'lamp', 'values' => ['of' => $plate]];
        $scene = stall([$rim], [aLamp()]);
        $hanging = new Hanging($scene, stallMeasures());
        // the plate stands: wp from its feet, and so its depth
        $wp = (250 - 100) / ($feet - 100);
        $w = 1 - 30 / $f;
        [$azimuth, $elevation] = bearingOf((220 - $px) * $w, -(60 - $py) * $w, 30 - $f * (1 - $wp));
        $given = $hanging->inForce($scene->find('rim'));
        expect($given['azimuth'])->toEqualWithDelta($azimuth, 1e-6, $plate)->and($given['elevation'])->toEqualWithDelta($elevation, 1e-6)->and($given['colour'])->toBe(['swatch' => '#ff8040']);
        // one that is not seen stands where it says, and the plate where it stands in space
        $scene = stall([$rim], [aLamp(['unseen' => true, 'place' => [-300, 40], 'depth' => 700])]);
        [$azimuth, $elevation] = bearingOf(-300 - (200 + ($px - 200) * $wp), -(40 - (100 + ($py - 100) * $wp)), 700 - $f * (1 - $wp));
        $given = (new Hanging($scene, stallMeasures()))->inForce($scene->find('rim'));
        expect($given['azimuth'])->toEqualWithDelta($azimuth, 1e-6)->and($given['elevation'])->toEqualWithDelta($elevation, 1e-6);
    }
});

it('measures the box of a plate on its picture, cut out as it is', function (): void {
    $scene = stall();
    $measures = Rendering::renderer(stallPictures())->measures();
    expect($measures->box($scene->find('near'))?->toArray())->toBe([10.0, 20.0, 50.0, 70.0])->and($measures->box($scene->find('ground'))?->toArray())->toBe([0.0, 0.0, 400.0, 300.0])
        ->and($measures->isCutOut($scene->find('near')))->toBeTrue()->and($measures->isCutOut($scene->find('ground')))->toBeFalse();
    $mask = ['id' => 'm', 'kind' => 'outline', 'on' => 'plate', 'values' => ['path' => [['at' => [50, 60]], ['at' => [120, 60]], ['at' => [120, 200]], ['at' => [50, 200]]], 'feather' => 0]];
    $cut = Rendering::scene(400, 300, [Rendering::plate('ground', ['masks' => [$mask]])]);
    expect($measures->box($cut->strips[0])?->toArray())->toBe([50.0, 60.0, 120.0, 200.0])->and($measures->isCutOut($cut->strips[0]))->toBeTrue();
});

it('guesses how plates are in the scene, and believes what is said', function (): void {
    $stances = static fn (Scene $scene): array => array_map(static fn (string $id): Stance => (new Footings($scene, stallMeasures()))->stance($scene->find($id)), ['ground', 'near', 'far']);
    expect($stances(stall()))->toBe([Stance::Free, Stance::Stands, Stance::Stands]);
    $hut = ['floor' => ['horizon' => 100, 'contact' => [[0, 250], [400, 250]]], 'walls' => [['id' => 'hut', 'corners' => [[240, 40], [390, 40], [390, 260], [240, 260]]]]];
    expect($stances(stall(more: ['stage' => $hut])))->toBe([Stance::Free, Stance::Stands, Stance::Hangs])->and($stances(stall(more: ['stage' => []])))->toBe([Stance::Free, Stance::Free, Stance::Free]);
    // said, and marked: two feet on a plate whose picture begins at (260, 120)
    $scene = Rendering::scene(400, 300, [Rendering::plate('ground'), Rendering::plate('figure', ['id' => 'near', 'values' => ['stance' => 'hangs', 'place' => [260, 120], 'feet' => [[20, 60], [40, 70]]]])]);
    $footings = new Footings($scene, stallMeasures());
    expect($footings->stance($scene->find('near')))->toBe(Stance::Hangs)->and($footings->feet($scene->find('near')))->toEqual([new Point(280, 180), new Point(300, 190)]);
});

it('says when a plate is said to stand where there is no floor', function (): void {
    $scene = static fn (array $values): Scene => Scene::read([...json_decode(stall()->toJson(), true), 'strips' => [['id' => 'ground', ...Rendering::plate('ground')], ['id' => 'near', 'name' => 'Near', ...Rendering::plate('figure', ['values' => $values])]]], Registry::kinds());
    $kinds = static fn (array $values): array => array_column((new Readings($scene($values), stallMeasures()))->all(), 'kind');
    expect($kinds(['stance' => 'stands', 'place' => [40, 10]]))->toBe(['stance'])->and($kinds(['place' => [40, 10]]))->toBe([])->and($kinds(['stance' => 'stands', 'place' => [40, 200]]))->toBe([])->and($kinds(['stance' => 'stands', 'place' => [40, 200], 'feet' => [[30, -150]]]))->toBe(['stance']);
});

it('gives a sun that is placed low a redder light than a high one', function (): void {
    // common practice, no source: about 2000 to 2500 K at sunset, 3500 an hour before, 5500 at noon
    $stage = Stage::read(['floor' => ['horizon' => 200, 'contact' => [[0, 280], [400, 280]]]], 'stage', 400, 300);
    $kelvin = static fn (float $y): float => Aumbrel\Core\Stage\Sun::placed(new Point(200, $y), $stage)['colour']['kelvin'];
    expect($kelvin(200))->toEqual(2200)->and($kelvin(260))->toEqual(2200)
        ->and($kelvin(130))->toBeGreaterThan(3000)->toBeLessThan(4200)
        ->and($kelvin(0))->toBeGreaterThan(4000)->toBeLessThan(5500);
});

it('places a lamp before the wall where it is seen, before what it lights where there is no floor, and on the contact row else', function (): void {
    $depth = static fn (array $stage, float $x): float => Aumbrel\Core\Stage\Lamp::placed(new Point($x, 100), Stage::read($stage, 'stage', 400, 300))['depth'];
    // f is 1.2 widths; a wall straight on stands over the contact row, one that is turned lies deeper at its small end
    expect($depth([], 200))->toEqual(96.0)
        ->and($depth(['walls' => [['id' => 'w', 'corners' => [[0, 0], [400, 0], [400, 300], [0, 300]]]]], 200))->toEqual(96.0)
        ->and($depth(['floor' => ['horizon' => 120, 'contact' => [[0, 280], [400, 280]]]], 200))->toEqual(0.0);
    $turned = ['walls' => [['id' => 'w', 'corners' => [[0, 0], [400, 60], [400, 240], [0, 300]]]]];
    expect($depth($turned, 380))->toBeLessThan($depth($turned, 20) - 50);
});

it('lets a sun that is seen rim the side on which it is seen', function (): void {
    $camera = stall()->stage->camera;
    $read = static fn (array $values): SceneSource => SceneSource::read(['id' => 'sun', 'kind' => 'sun', 'values' => $values], 'sources[0]');
    // where it is seen, and back
    foreach ([[320.0, 40.0], [30.0, 90.0], [200.0, 250.0], [500.0, -80.0]] as [$x, $y]) {
        $sun = $read(Aumbrel\Core\Stage\Sun::movedTo(new Point($x, $y), $camera));
        expect($sun->kind->seenAt($camera)?->toArray())->toEqualWithDelta([$x, $y], 0.2);
        [$lx, $ly, $lz] = $sun->kind->bearingFrom(new Footing(new Point(200, 100)), $camera)->vector();
        expect($lz)->toBeLessThan(0)->and([200 + 480 * $lx / -$lz, 100 - 480 * $ly / -$lz])->toEqualWithDelta([$x, $y], 0.2);
        // from a plate beside it the light comes from where the sun is seen
        foreach ([[60.0, 200.0], [350.0, 150.0]] as [$px, $py]) {
            $seen = $sun->kind->bearingFrom(new Footing(new Point($px, $py)), $camera);
            expect(abs(fmod($seen->azimuth - rad2deg(atan2($py - $y, $x - $px)) + 540, 360) - 180))->toBeLessThan(0.1)->and($seen->elevation)->toBeLessThan(0);
        }
    }
    expect($read(['azimuth' => 40, 'elevation' => 20])->kind->seenAt($camera))->toBeNull();
    // (lx + lz (px - cx)/f, ly - lz (py - yh)/f, lz), written plainly
    $sun = $read(['azimuth' => 120, 'elevation' => -35]);
    [$lx, $ly, $lz] = (new Bearing(120, -35))->vector();
    [$azimuth, $elevation] = bearingOf($lx + $lz * (90 - 200) / 480, $ly - $lz * (240 - 100) / 480, $lz);
    $seen = $sun->kind->bearingFrom(new Footing(new Point(90, 240)), $camera);
    expect($seen->azimuth)->toEqualWithDelta($azimuth, 1e-9)->and($seen->elevation)->toEqualWithDelta($elevation, 1e-9);
});

it('turns a source to where it is told, as seen from a plate', function (): void {
    $camera = stall()->stage->camera;
    mt_srand(7);
    $between = static fn (float $low, float $high): float => $low + ($high - $low) * mt_rand() / mt_getrandmax();
    for ($k = 0; $k < 60; $k++) {
        $from = new Footing(new Point($between(0, 400), $between(0, 300)), $between(-200, 150));
        $wanted = new Bearing($between(-179, 180), $between(-80, 80));
        $values = [['kind' => 'sun', 'values' => []], ['kind' => 'lamp', 'values' => ['place' => [$between(0, 400), $between(0, 300)], 'depth' => $between(-200, 200)]], ['kind' => 'lamp', 'values' => ['place' => [10, 10], 'depth' => $between(-900, 900), 'unseen' => true]]][$k % 3];
        $source = SceneSource::read(['id' => 's', ...$values], 'sources[0]');
        $turned = SceneSource::read(['id' => 's', 'kind' => $values['kind'], 'values' => [...$values['values'], ...$source->kind->turnedTo($wanted, $from, $camera)]], 'sources[0]');
        // a lamp that is seen cannot pass the camera
        if ($turned->kind->place($camera)?->z > 0.89 * 480) {
            continue;
        }
        expect($turned->kind->bearingFrom($from, $camera)->angleTo($wanted))->toBeLessThan(0.5, "{$values['kind']} {$k}");
    }
});

it('adds levels, says where they end, and goes out with its source', function (): void {
    $spot = static fn (float $level): array => ['id' => 'spot', 'kind' => 'spot', 'level' => $level, 'source' => 'lamp', 'values' => ['origin' => [0, 0], 'target' => [200, 200]]];
    $lit = static fn (Scene $scene): Scene => (new Hanging($scene, stallMeasures()))->resolved();
    expect($lit(stall([$spot(1.5)], [aLamp(more: ['level' => -0.5])]))->find('spot')?->level)->toBe(1.0);
    $scene = stall([$spot(5)], [aLamp(more: ['level' => 3])]);
    $hanging = new Hanging($scene, stallMeasures());
    $drive = $hanging->drive($scene->find('spot'));
    expect($lit($scene)->find('spot')?->level)->toBe(6.0)->and(Hanging::isClamped($scene->find('spot'), $drive))->toBeTrue();
    expect($lit(stall([$spot(0)], [aLamp(more: ['muted' => true])]))->find('spot')?->muted)->toBeTrue()->and(stall([$spot(0)], [aLamp(more: ['muted' => true])])->find('spot')?->muted)->toBeFalse();
    // what is not driven stays as it is
    expect($lit(stall([$spot(0)], [aLamp()]))->find('near'))->toEqual(stall([$spot(0)], [aLamp()])->find('near'));
    // and a picture with what hangs on a lamp is that with the same values written down
    $renderer = Rendering::renderer(stallPictures());
    $hung = stall([$spot(1), ['id' => 'rim', 'kind' => 'rim', 'source' => 'lamp', 'level' => 2, 'values' => ['of' => 'near', 'width' => 6]], ['id' => 'pool', 'kind' => 'spot-onto', 'source' => 'lamp', 'confinedTo' => 'ground', 'values' => ['surface' => 'floor', 'lamp' => [0, 0], 'target' => [200, 220]]]], [aLamp(more: ['level' => 0.5])]);
    $hanging = new Hanging($hung, $renderer->measures());
    $plain = json_decode($hung->toJson(), true);
    unset($plain['sources']);
    foreach (array_keys($plain['strips']) as $at) {
        $strip = $hung->find($plain['strips'][$at]['id']);
        if ($strip->source !== null) {
            $plain['strips'][$at] = [...array_diff_key($plain['strips'][$at], ['source' => 0]), 'level' => Hanging::level($strip, $hanging->drive($strip)), 'values' => [...(array) $plain['strips'][$at]['values'], ...$hanging->inForce($strip)]];
        }
    }
    $window = Window::whole(400, 300);
    [$one, $other] = [$renderer->picture($hung, $window, 16), $renderer->picture(Scene::read($plain, Registry::kinds()), $window, 16)];
    $most = 0;
    foreach (unpack('n*', $one->bytes) as $at => $value) {
        $most = max($most, abs($value - unpack('n', $other->bytes, 2 * $at - 2)[1]));
    }
    expect($most / 257)->toBeLessThan(0.02)->and($one->bytes)->not->toBe($renderer->picture(stall(), $window, 16)->bytes);
});

it('shows while a source is dragged what it shows afresh', function (): void {
    $renderer = Rendering::renderer(stallPictures());
    $strips = [
        ['id' => 'pool', 'kind' => 'spot-onto', 'source' => 'lamp', 'confinedTo' => 'ground', 'values' => ['surface' => 'floor', 'lamp' => [0, 0], 'target' => [200, 220]]],
        ['id' => 'wash', 'kind' => 'wash', 'level' => -2, 'masks' => [['id' => 'm', 'kind' => 'radial', 'values' => ['centre' => [200, 150]]]]],
        ['id' => 'rim', 'kind' => 'rim', 'source' => 'lamp', 'level' => 2, 'values' => ['of' => 'near', 'width' => 6]],
        ['id' => 'spot', 'kind' => 'spot', 'source' => 'lamp', 'mode' => 'screen', 'values' => ['origin' => [0, 0], 'target' => [120, 260], 'softness' => 3]],
    ];
    foreach ([[220, 60, 30], [180, 70, 60], [180, 70, -90], [60, 40, 0], [350, 130, 200]] as [$x, $y, $depth]) {
        $scene = stall($strips, [aLamp(['place' => [$x, $y], 'depth' => $depth])]);
        $window = Window::whole(400, 300, 0.5);
        expect($renderer->picture($scene, $window, below: 'pool')->bytes === Rendering::renderer(stallPictures())->picture($scene, $window)->bytes)->toBeTrue("lamp at {$x}, {$y}, {$depth}");
        $renderer->tidy();
    }
});

it('tells the camera from a square on the floor', function (): void {
    // a square of 100 on the floor, turned by 25 degrees, seen by a camera 90 over it with a focal length of 700: by the pinhole's formulas
    $corners = [];
    foreach ([[0, 0], [0, 100], [100, 100], [100, 0]] as [$u, $v]) {
        [$right, $away] = [$u * cos(0.436) - $v * sin(0.436) - 20, 520 + $u * sin(0.436) + $v * cos(0.436)];
        $corners[] = [400 + 700 * $right / $away, 210 + 700 * 90 / $away];
    }
    usort($corners, static fn (array $a, array $b): int => atan2($a[1] - 330, $a[0] - 380) <=> atan2($b[1] - 330, $b[0] - 380));
    $stage = Stage::read(['floor' => ['corners' => $corners]], 'stage', 800, 600);
    expect($stage->camera->horizon)->toEqualWithDelta(210.0, 0.01)->and($stage->camera->focal)->toEqualWithDelta(700.0, 0.1);
    // one that is seen straight on has one vanishing point: its horizon is known, its focal length is not
    $straight = Stage::read(['floor' => ['corners' => [[350, 300], [450, 300], [500, 400], [300, 400]]]], 'stage', 800, 600);
    expect($straight->camera->horizon)->toEqualWithDelta(200.0, 1e-6)->and($straight->camera->focal)->toBe(960.0);
    expect(Stage::read(['focal' => 500], 'stage', 800, 600)->camera->focal)->toBe(500.0);
});

it('lets a wall stand on its foot line', function (): void {
    $stage = Stage::read(['floor' => ['horizon' => 100, 'contact' => [[0, 250], [400, 250]]], 'walls' => [['id' => 'w', 'name' => 'Hut', 'foot' => [[300, 175], [100, 250]], 'height' => 80]]], 'stage', 400, 300);
    // at the contact row as high as it says, at half of the way to the horizon half as high
    expect($stage->walls[0]->corners($stage->camera))->toEqualWithDelta([[100, 170], [300, 135], [300, 175], [100, 250]], 1e-9)->and($stage->toArray()['walls'][0]['foot'])->toBe([[300.0, 175.0], [100.0, 250.0]]);
});

it('keeps the stage, the ambient and the sources in the scene file', function (): void {
    $scene = stall([['id' => 'rim', 'kind' => 'rim', 'source' => 'lamp']], [aLamp(more: ['mood' => 'calm'])], ['ambient' => ['level' => -3, 'colour' => ['kelvin' => 8000], 'wind' => 2], 'stage' => ['floor' => ['horizon' => 90, 'contact' => [[0, 200], [10, 210]]], 'sky' => 'grey']]);
    $again = Scene::fromJson($scene->toJson(), Registry::kinds());
    $raw = json_decode($again->toJson(), true);
    expect($again->toJson())->toBe($scene->toJson())->and($raw['sources'][0]['mood'])->toBe('calm')->and($raw['ambient'])->toEqual(['level' => -3.0, 'colour' => ['kelvin' => 8000.0], 'wind' => 2])->and($raw['stage']['sky'])->toBe('grey')->and($raw['strips'][3]['source'])->toBe('lamp');
});

it('puts sources on the compass, and lets a disagreement be mended by turning them', function (): void {
    $raw = json_decode(stall([['id' => 'rim', 'kind' => 'rim', 'source' => 'lamp', 'values' => ['of' => 'near']]], [aLamp()])->toJson(), true);
    $raw['strips'][1]['values'] = [...(array) $raw['strips'][1]['values'], 'bearing' => ['by' => 'sphere', 'azimuth' => -150, 'elevation' => 10]];
    $scene = Scene::read($raw, Registry::kinds());
    $readings = new Readings($scene, stallMeasures());
    $sight = $readings->compass->sight('source:lamp');
    expect($sight?->of)->toBe('near')->and($readings->compass->sight('rim')?->source)->toBe('lamp');
    $mend = collect(collect($readings->all())->firstWhere('kind', 'direction')->mends)->firstWhere('key', 'turn the source');
    expect($mend->strip)->toBe('source:lamp');
    $raw['sources'][0]['values'] = [...(array) $raw['sources'][0]['values'], ...$mend->values];
    $after = new Compass(Scene::read($raw, Registry::kinds()), stallMeasures());
    expect($after->sight('rim')?->bearing->angleTo(new Bearing(-150, 10)))->toBeLessThan(0.5);
});

it('offers what belongs to a lamp, by how the plates stand', function (): void {
    $scene = stall([], [aLamp(['place' => [220, 60], 'depth' => 30])]);
    $offered = (new Consequence($scene, stallMeasures(), Registry::kinds()))->of($scene->source('lamp'), static fn (Point $at): float => 0.05);
    $keys = array_column($offered, 'key');
    expect($keys)->toBe(['room', 'cast', 'pool floor', 'close pool floor', 'rim near', 'rim far', 'key near', 'key far', 'beam', 'glow']);
    [$room, $cast, $pool, $close] = $offered;
    // the shadow of all that stands, as dense as the lamp's share of the light there
    expect($cast->values['of'])->toBe(['near', 'far'])->and($cast->amount)->toBeGreaterThan(20.0)->and($cast->amount)->toBeLessThan(100.0);
    expect($room->values)->toBe(['exposure' => -1.5, 'drained' => 20])->and($pool->ticked)->toBeTrue()->and($close->ticked)->toBeFalse()->and($pool->confinedTo)->toBe('ground');
    // two stops over what is there: 1 + E = 4 where E without a level is 1; the close one half as much
    expect($pool->level)->toEqualWithDelta(log(3, 2), 0.01)->and($close->level)->toEqualWithDelta(0.0, 0.01);
    // where it is bright already it does not burn out
    $bright = (new Consequence($scene, stallMeasures(), Registry::kinds()))->of($scene->source('lamp'), static fn (Point $at): float => 0.4);
    expect(1 + 2 ** $bright[2]->level)->toEqualWithDelta(0.85 / 0.4, 0.02);
    // a sun has no pool and lowers no room
    $scene = stall([], [['id' => 'sun', 'kind' => 'sun', 'values' => []]]);
    expect(array_column((new Consequence($scene, stallMeasures(), Registry::kinds()))->of($scene->source('sun'), static fn (): float => 0.1), 'key'))->toBe(['cast', 'sun', 'rim near', 'rim far', 'key near', 'key far']);
});

it('lets a plate keep its height in space as it comes nearer', function (): void {
    $plate = stall()->find('near')->kind;
    // feet from row 270 to 355: half as far from the camera, twice as high over the horizon's distance
    $values = $plate->walkedTo(new Point(70, 270), new Point(100, 440), 100.0);
    expect($values['scale'])->toBe(2.0)->and($values['place'])->toEqual([100 - 2 * 30, 440 - 2 * 70]);
    expect($plate->walkedTo(new Point(70, 270), new Point(90, 250), null))->toEqual(['place' => [60.0, 180.0], 'scale' => 1.0]);
});

it('works out no plane anew while a source is dragged', function (): void {
    $watch = new class implements Aumbrel\Core\Render\Watch
    {
        public int $steps = 0;

        public int $rows = 0;

        public function step(): void
        {
            $this->steps++;
        }

        public function row(): void
        {
            $this->rows++;
        }
    };
    $pictures = stallPictures();
    $shelf = new class($pictures) implements Aumbrel\Core\Picture\PictureShelf
    {
        /** @param  array<string, Flat>  $pictures */
        public function __construct(private array $pictures)
        {
        }

        public function picture(string $name): Aumbrel\Core\Picture\PictureSource
        {
            return $this->pictures[$name];
        }
    };
    $renderer = new Aumbrel\Core\Render\Renderer(new Aumbrel\Core\Kernel\KernelStore(Tests\Support\Folder::of('core-kernels')), $shelf, new Aumbrel\Core\Picture\ShapeStore(Tests\Support\Folder::of('source-shapes')), new Aumbrel\Core\Render\Memory(PHP_INT_MAX), $watch);
    $strips = [
        ['id' => 'pool', 'kind' => 'spot-onto', 'source' => 'lamp', 'confinedTo' => 'ground', 'values' => ['surface' => 'floor', 'lamp' => [0, 0]]],
        ['id' => 'paint', 'kind' => 'paint', 'level' => 1, 'masks' => [['id' => 'm', 'kind' => 'strokes', 'values' => ['strokes' => [['size' => 30, 'points' => [[50, 50], [90, 120]]]]]]]],
        ['id' => 'free', 'kind' => 'spot', 'values' => ['origin' => [300, 20], 'target' => [280, 200], 'softness' => 6]],
        ['id' => 'rim', 'kind' => 'rim', 'source' => 'lamp', 'level' => 2, 'values' => ['of' => 'near', 'width' => 6]],
        ['id' => 'cone', 'kind' => 'spot', 'source' => 'lamp', 'values' => ['origin' => [0, 0], 'target' => [120, 260]]],
    ];
    $planes = [];
    foreach ([200, 215, 230, 245] as $x) {
        [$steps, $rows] = [$watch->steps, $watch->rows];
        $renderer->picture(stall($strips, [aLamp(['place' => [$x, 60]])]), Window::whole(400, 300, 0.5), below: 'pool');
        $planes[] = $watch->steps - $steps - ($watch->rows - $rows);
        $renderer->tidy();
    }
    // at first the plates, the strokes, the soft shape and the outline's sight; then nothing: only their light turns
    expect($planes[0])->toBeGreaterThan(4)->and([$planes[1], $planes[2], $planes[3]])->toBe([0, 0, 0]);
});

it('burns from white over its source\'s colour to a deeper one, in linear light', function (): void {
    $document = Scene::read(['aumbrel' => 2, 'title' => 'T', 'size' => [200, 150], 'sources' => [['id' => 's', 'kind' => 'sun', 'values' => ['azimuth' => 90, 'elevation' => -60, 'colour' => ['swatch' => '#ff9a40']]]], 'strips' => [
        ['id' => 'sun', 'kind' => 'sun', 'source' => 's', 'values' => ['stops' => [['offset' => 0, 'colour' => '#000000', 'opacity' => 1], ['offset' => 0.5, 'colour' => '#000000', 'opacity' => 1], ['offset' => 1, 'colour' => '#000000', 'opacity' => 0.5]]]],
    ]], Registry::kinds());
    $stops = (new Hanging($document, new Pictures([], [])))->inForce($document->strips[0])['stops'];
    $own = Rgb::fromHex('#ff9a40')->decoded();
    expect($stops[0]['colour'])->toBe('#ffffff')->and($stops[1]['colour'])->toBe('#ff9a40')
        ->and($stops[2]['colour'])->toBe((new Rgb($own->red ** 2, $own->green ** 2, $own->blue ** 2))->encoded()->toHex())
        ->and(array_column($stops, 'opacity'))->toEqual([1, 1, 0.5]);
});
