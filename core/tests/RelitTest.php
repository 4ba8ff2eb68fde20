<?php

declare(strict_types=1);

use Aumbrel\Core\Bearing\Bearing;
use Aumbrel\Core\Body\OwnLight;
use Aumbrel\Core\Color\Srgb;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Reading\Compass;
use Aumbrel\Core\Reading\Reading;
use Aumbrel\Core\Reading\Readings;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Scene\Scene;
use Demo\Camera;
use Demo\Figurehead;
use Demo\Heron;
use Demo\LitFrom;
use Tests\Support\Flat;
use Tests\Support\LitBodies;
use Tests\Support\Relighting;
use Tests\Support\Rendering;

/* A plate's own light: read off it, taken down, and exchanged. */

const SKY = [0.16, 0.18, 0.22];

const KEY = [0.85, 0.8, 0.7];

/** From and to where: the old light, and the new one. */
const TURNS = [[[150, 30], [20, 25]], [[120, 40], [-10, 35]]];

it('comes nearer to the truth than the plate and than a key light over it', function (string $material, float $byDome, float $byNormals): void {
    $nearer = $toKey = ['dome' => [], 'normals' => []];
    foreach (LitBodies::SHAPES as $n => $shape) {
        foreach (TURNS as $k => [$from, $to]) {
            $body = LitBodies::of($shape, $material, 17 * $n + $k, 96);
            [$a, $b] = [new Bearing(...$from), new Bearing(...$to)];
            foreach (['dome' => null, 'normals' => $body->normals()] as $by => $normals) {
                $found = Relighting::of($body->picture($body->under($a, SKY, KEY)), $normals, $a, $b, $body->under($b, SKY, KEY));
                $nearer[$by][] = $found->nearer();
                $toKey[$by][] = $found->relit / $found->keyAlone;
            }
        }
    }
    $mean = static fn (array $values): float => array_sum($values) / count($values);
    expect($mean($nearer['dome']))->toBeGreaterThan($byDome)->and(min($nearer['dome']))->toBeGreaterThan(0.2)
        ->and($mean($nearer['normals']))->toBeGreaterThan($byNormals)->and(min($nearer['normals']))->toBeGreaterThan(0.6)
        ->and($mean($toKey['dome']))->toBeLessThan(2 / 3)->and($mean($toKey['normals']))->toBeLessThan(2 / 3);
})->with([['plain', 0.6, 0.85], ['two', 0.6, 0.85], ['textured', 0.5, 0.7]]);

it('brings subjects of the studio nearer, with their gloss and the shadows that they throw on themselves', function (string $subject): void {
    foreach (['Shapes', 'Subject', 'Camera', 'Heron', 'Figurehead', 'LitFrom'] as $class) {
        require_once dirname(__DIR__, 2)."/demo/studio/{$class}.php";
    }
    $what = $subject === 'heron' ? new Heron : new Figurehead;
    [$a, $b] = [new Bearing(150, 30), new Bearing(20, 25)];
    $rows = static fn (Camera $camera): array => array_merge(...array_map(static fn (int $row): array => $camera->row($row, 1), range(0, $camera->size()[1] - 1)));
    $camera = static fn (Bearing $light): Camera => new Camera(new LitFrom($what, $light->vector()), 0.06);
    [$width, $height] = $camera($a)->size();
    [$old, $new] = [$rows($camera($a)), $rows($camera($b))];
    $passes = array_merge(...array_map(static fn (int $row): array => $camera($a)->passes($row), range(0, $height - 1)));
    $plate = new Flat($width, $height, static fn (int $x, int $y): array => [...array_map(static fn (float $value): int => (int) round(255 * min(1.0, Srgb::encode($value))), array_slice($old[$y * $width + $x], 0, 3)), (int) (255 * $old[$y * $width + $x][3])]);
    $normals = new Flat($width, $height, static fn (int $x, int $y): array => array_map(static fn (float $part): int => (int) round(255 * (0.5 + 0.5 * $part)), array_slice($passes[$y * $width + $x], 0, 3)));
    $truth = array_map(static fn (array $pixel): ?array => $pixel[3] > 0 ? array_map(static fn (float $value): float => min(1.0, $value), array_slice($pixel, 0, 3)) : null, $new);
    [$dome, $known] = [Relighting::of($plate, null, $a, $b, $truth), Relighting::of($plate, $normals, $a, $b, $truth)];
    expect($dome->nearer())->toBeGreaterThan(0.4)->and($dome->relit / $dome->keyAlone)->toBeLessThan(0.8)
        ->and($known->nearer())->toBeGreaterThan(0.7)->and($known->relit / $known->keyAlone)->toBeLessThan(2 / 3);
})->with(['heron', 'figurehead']);

/** A ball of radius 70 on a picture of 160 x 160 under a light from the upper left, with its normals. */
function knownBall(float $ambient, array $sky, float $noise = 0.0): array
{
    $light = (new Bearing(150, 25))->vector();
    mt_srand(4);
    $normal = static fn (int $x, int $y): array => [($x + 0.5 - 80) / 70, (80 - $y - 0.5) / 70];
    $plate = new Flat(160, 160, static function (int $x, int $y) use ($normal, $light, $ambient, $sky, $noise): array {
        [$nx, $ny] = $normal($x, $y);
        $square = $nx ** 2 + $ny ** 2;
        $facing = max(0.0, $nx * $light[0] + $ny * $light[1] + sqrt(max(0.0, 1 - $square)) * $light[2]);
        $grain = $noise * (mt_rand() / mt_getrandmax() - 0.5);

        return [...array_map(static fn (float $part): int => (int) round(65535 * max(0.0, min(1.0, Srgb::encode(0.4 * ($ambient * $part + (1 - $ambient) * $facing)) + $grain))), $sky), $square < 1 ? 65535 : 0];
    }, 16);
    $normals = new Flat(160, 160, static function (int $x, int $y) use ($normal): array {
        [$nx, $ny] = $normal($x, $y);

        return array_map(static fn (float $part): int => (int) round(65535 * (0.5 + 0.5 * $part)), [$nx, $ny, sqrt(max(0.0, 1 - $nx ** 2 - $ny ** 2))]);
    }, 16);

    return ['plate' => $plate, 'normals' => $normals];
}

/** @param  array<string, mixed>  $values */
function ballScene(array $values, array $more = [], array $strips = []): Scene
{
    return Scene::read(['aumbrel' => 2, 'title' => 'Ball', 'size' => [160, 160], ...$more, 'strips' => [
        Rendering::plate('plate', ['id' => 'ball', 'name' => 'Ball', 'values' => ['bearing' => ['by' => 'sphere', 'azimuth' => 150, 'elevation' => 25], ...$values]]), ...$strips,
    ]], Registry::kinds());
}

it('reads the ambient share and its colour', function (array $with): void {
    $own = Rendering::renderer(knownBall(0.22, [0.8, 1.0, 1.3]))->ownLight(ballScene($with), 'ball');
    expect($own)->toBeInstanceOf(OwnLight::class)->and($own->ambient)->toEqualWithDelta(0.22, 0.02)
        ->and($own->red)->toEqualWithDelta(0.8, 0.04)->and($own->blue)->toEqualWithDelta(1.3, 0.05)
        ->and($own->explained)->toBeGreaterThan(0.9)->and($own->isRead())->toBeTrue()->and($own->clipped)->toBe(0.0);
})->with(['by its outline' => [[]], 'by its normals' => [['normals' => 'normals', 'normalsUp' => 'green is up']]]);

it('takes the light down as the formula says, by any amount, and holds what is fine', function (): void {
    $known = ['normals' => 'normals', 'normalsUp' => 'green is up', 'ambient' => 20];
    [$r, $window] = [Rendering::renderer(knownBall(0.2, [1.0, 1.0, 1.0])), Window::whole(160, 160)];
    $own = $r->ownLight(ballScene($known), 'ball');
    $shown = static fn ($renderer, array $values): array => array_values((array) unpack('n*', $renderer->picture(ballScene($known + $values), $window, 16)->bytes));
    $linear = static fn (array $values, int $x, int $y, int $k = 1): float => Srgb::decode($values[4 * ($y * 160 + $x) + $k] / 65535);
    $plain = $shown($r, []);
    $light = (new Bearing(150, 25))->vector();
    foreach ([[1.0, 0.0], [0.5, 0.0], [0.7, 1.0], [1.0, null]] as [$amount, $level]) {
        $evened = $shown($r, ['evened' => 100 * $amount, 'evenedLevel' => $level, 'hold' => 16]);
        $raise = $level === null ? ($own->mean / $own->ambient) ** $amount : 2 ** $level;
        for ($y = 20; $y < 140; $y += 11) {
            for ($x = 20; $x < 140; $x += 11) {
                [$nx, $ny] = [($x + 0.5 - 80) / 70, (80 - $y - 0.5) / 70];
                if ($nx ** 2 + $ny ** 2 > 0.9) {
                    continue;
                }
                $facing = max(0.0, $nx * $light[0] + $ny * $light[1] + sqrt(1 - $nx ** 2 - $ny ** 2) * $light[2]);
                foreach ([0, 1, 2] as $k) {
                    $sky = $own->ambient * [$own->red, 1.0, $own->blue][$k];
                    $wanted = $linear($plain, $x, $y, $k) * ($sky / ($sky + (1 - $own->ambient) * $facing)) ** $amount * $raise;
                    expect(255 * abs(Srgb::encode(min(1.0, $linear($evened, $x, $y, $k))) - Srgb::encode(min(1.0, $wanted))))->toBeLessThan(0.6);
                }
            }
        }
    }
    // grain of the dark side: raised four times by the level, by the hold no more than twice
    $grainy = Rendering::renderer(knownBall(0.2, [1.0, 1.0, 1.0], 0.02));
    $spread = static function (array $values) use ($linear): float {
        $apart = 0.0;
        for ($y = 100; $y < 130; $y++) {
            for ($x = 95; $x < 115; $x++) {
                $apart += ($linear($values, $x, $y) - ($linear($values, $x - 1, $y) + $linear($values, $x + 1, $y) + $linear($values, $x, $y - 1) + $linear($values, $x, $y + 1)) / 4) ** 2;
            }
        }

        return sqrt($apart);
    };
    $before = $spread($shown($grainy, []));
    [$free, $held] = [$spread($shown($grainy, ['evened' => 100, 'evenedLevel' => 2, 'hold' => 16])) / $before, $spread($shown($grainy, ['evened' => 100, 'evenedLevel' => 2, 'hold' => 2])) / $before];
    expect($free)->toEqualWithDelta(4.0, 0.3)->and($held)->toBeGreaterThan(1.6)->and($held)->toBeLessThan(2.6);
});

it('counts for less on the compass the more is taken down, and a relit plate carries its new light', function (): void {
    $lamp = ['sources' => [['id' => 'lamp', 'kind' => 'sun', 'name' => 'Sun', 'values' => ['azimuth' => 20, 'elevation' => 30]]]];
    $key = static fn (float $azimuth): array => ['id' => 'key', 'name' => 'Key', 'kind' => 'key light', 'level' => 2, 'values' => ['of' => 'ball', 'azimuth' => $azimuth, 'elevation' => 30]];
    $measures = Rendering::renderer(knownBall(0.2, [1.0, 1.0, 1.0]))->measures();
    $sight = static fn (array $values, array $strips = []) => (new Compass(ballScene($values, $lamp, $strips), $measures))->sight('ball');
    $plain = $sight([]);
    expect($plain->spread)->toBeLessThan(15.0)->and($sight(['evened' => 50])->spread)->toBeGreaterThan(80.0)->and($sight(['evened' => 50])->confidence)->toBeLessThan(0.6)
        ->and($sight(['evened' => 100], [$key(20)])->bearing->angleTo(new Bearing(20, 30)))->toBeLessThan(0.1)->and($sight(['evened' => 100], [$key(20)])->relitBy?->name)->toBe('Key')
        ->and($sight([], [$key(20)])->bearing->azimuth)->toEqualWithDelta(150.0, 0.1);
    // turned, it is its light that turns
    expect((new Compass(ballScene(['evened' => 100], $lamp, [$key(20)]), $measures))->turns('ball'))->toBe('key')->and((new Compass(ballScene([], $lamp, [$key(20)]), $measures))->turns('ball'))->toBe('ball');
    // a key light that comes from elsewhere than the source
    $said = static fn (float $azimuth): array => array_values(array_filter((new Readings(ballScene(['evened' => 100], $lamp, [$key($azimuth)]), $measures))->all(), static fn (Reading $reading): bool => $reading->kind === 'elsewhere'));
    expect($said(25))->toBe([])->and($said(80))->toHaveCount(1)->and($said(80)[0]->seen)->toContain('Key comes from elsewhere than Sun')
        ->and($said(80)[0]->mends[0]->values)->toMatchArray(['azimuth' => 20.0, 'elevation' => 30.0]);
});

it('says what is missing', function (): void {
    $measures = Rendering::renderer(knownBall(0.2, [1.0, 1.0, 1.0]))->measures();
    $said = static fn (array $values): array => array_map(static fn (Reading $reading): string => $reading->seen, (new Readings(ballScene(['evened' => 60, ...$values]), $measures))->all());
    expect($said([]))->toBe([])->and($said(['bearing' => null])[0])->toContain('not known where it comes from');
    $renderer = Rendering::renderer(knownBall(0.2, [1.0, 1.0, 1.0]));
    expect($renderer->ownLight(ballScene(['bearing' => null]), 'ball'))->toBe('It is not known where its light comes from: estimate its bearing, or set it by hand.');
    // and changes nothing
    expect($renderer->picture(ballScene(['bearing' => null, 'evened' => 60]), Window::whole(160, 160), 16)->bytes)->toBe($renderer->picture(ballScene(['bearing' => null]), Window::whole(160, 160), 16)->bytes);
});
