<?php

declare(strict_types=1);

use Aumbrel\Core\Color\Difference;
use Aumbrel\Core\Color\Rgb;
use Aumbrel\Core\Color\Srgb;
use Aumbrel\Core\Geometry\Bounds;
use Aumbrel\Core\Raster\EdgeWidth;
use Aumbrel\Core\Raster\Gaussian;
use Aumbrel\Core\Raster\Noise;
use Aumbrel\Core\Raster\Surrounding;
use Aumbrel\Core\Reading\Mend;
use Aumbrel\Core\Reading\Reading;
use Aumbrel\Core\Reading\SceneFacts;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Render\Beside;
use Aumbrel\Core\Render\Remembered;
use Aumbrel\Core\Render\SceneStudy;
use Aumbrel\Core\Scene\Scene;
use Tests\Support\Flat;
use Tests\Support\Noticed;
use Tests\Support\Rendering;
use Tests\Support\Shelf;

/* Plates beside what lies around them, and the picture as a whole: each reading with its number, and a mend that ends it. */

/** A disc of 36 px with a soft border of one. */
function discAlpha(int $x, int $y): int
{
    return (int) round(255 * max(0, min(1, 36.5 - hypot($x - 47.5, $y - 47.5))));
}

/**
 * @param  callable(int, int): list<int>  $ground
 * @param  callable(int, int): list<int>  $disc
 * @param  list<array<string, mixed>>  $strips
 * @return array{Scene, array<string, Flat>}
 */
function discOn(callable $ground, callable $disc, array $strips = []): array
{
    $pictures = ['ground' => new Flat(260, 200, $ground), 'disc' => new Flat(96, 96, fn (int $x, int $y): array => [...$disc($x, $y), discAlpha($x, $y)])];
    $scene = Scene::read(['aumbrel' => 2, 'title' => 'Test', 'size' => [260, 200], 'strips' => [
        Rendering::plate('ground', ['id' => 'ground', 'name' => 'Ground']), Rendering::plate('disc', ['id' => 'disc', 'name' => 'Disc', 'values' => ['place' => [82, 52]]]), ...$strips,
    ]], Registry::kinds());

    return [$scene, $pictures];
}

/** Grain of a deviation, the same each time. */
function grainAt(int $x, int $y, float $sigma, int $seed): float
{
    $unit = fn (int $of): float => (Noise::at($x, $y, $of) % 65536 + 0.5) / 65536;

    // Box and Muller, A note on the generation of random normal deviates (1958)
    return $sigma * sqrt(-2 * log($unit($seed))) * cos(2 * M_PI * $unit($seed + 1));
}

/** @return list<int> */
function greyWith(float $value): array
{
    return array_fill(0, 3, (int) round(max(0, min(255, $value))));
}

/** @return array{Scene, array<string, Flat>} */
function wrongScene(string $what): array
{
    $lit = [['id' => 'light', 'kind' => 'spot', 'name' => 'Spot', 'level' => -1, 'values' => ['origin' => [130, 0], 'target' => [130, 150], 'reach' => 200]]];
    $form = fn (float $low, float $high): callable => fn (int $x): array => greyWith(255 * Srgb::encode($low * ($high / $low) ** ($x / 95)));

    return match ($what) {
        'clean on grain' => discOn(fn (int $x, int $y): array => greyWith(110 + grainAt($x, $y, 9, 5)), fn (): array => greyWith(115)),
        'grain on clean' => discOn(fn (int $x, int $y): array => greyWith(110 + $x / 40), fn (int $x, int $y): array => greyWith(118 + grainAt($x, $y, 9, 5))),
        'white rim' => discOn(fn (): array => [60, 64, 70], fn (int $x, int $y): array => hypot($x - 47.5, $y - 47.5) > 35.2 ? [210, 214, 220] : [70, 74, 78]),
        'sharp' => discOn(fn (int $x): array => greyWith(145 + 55 * tanh(4 * sin(2 * M_PI * $x / 65))), fn (): array => greyWith(40)),
        'colours' => discOn(fn (): array => [90, 100, 120], fn (): array => [150, 90, 60]),
        'clipped' => discOn(fn (): array => [120, 120, 130], fn (): array => [130, 130, 135], [[...$lit[0], 'level' => 4, 'mode' => 'illuminate']]),
        'elsewhere' => discOn(fn (int $x, int $y): array => hypot($x - 40, $y - 40) < 14 ? [250, 250, 240] : [80, 84, 90], fn (): array => [90, 92, 95], [[...$lit[0], 'confinedTo' => 'disc']]),
        'grey burn' => discOn(fn (): array => [220, 150, 90], fn (): array => [225, 155, 95], [['id' => 'burn', 'kind' => 'fill', 'name' => 'Burn', 'mode' => 'normal', 'amount' => 60, 'values' => ['colour' => '#606060']]]),
        'too bright' => discOn(fn (): array => greyWith(170), fn (int $x, int $y): array => greyWith(120 + $x * 0.8)),
        'too flat' => discOn(fn (): array => greyWith(120), $form(0.15, 0.2)),
        'modelled' => discOn(fn (): array => greyWith(90), $form(0.01, 0.6)),
    };
}

it('notices of a plate and of the picture what is wrong, with its number, and its mend ends it', function (string $what, string $id, string $says, float $least, float $most): void {
    [$scene, $pictures] = wrongScene($what);
    $reading = Noticed::in($scene, $pictures)[$id] ?? null;
    expect($reading)->not->toBeNull()->and($reading->seen)->toContain($says)->and($reading->number)->toBeGreaterThanOrEqual($least)->toBeLessThanOrEqual($most);
    for ($taken = 0; $reading !== null && $taken < 4; $taken++) {
        $scene = Noticed::mended($scene, $reading);
        $reading = Noticed::in($scene, $pictures)[$id] ?? null;
    }
    // one click, but for a light that is turned down stop by stop
    expect($reading)->toBeNull()->and($taken)->toBe(in_array($what, ['clipped', 'elsewhere'], true) ? $taken : 1);
})->with([
    // a tenth of the 9 that it was made with is what a measurement is off by
    'clean on grain' => ['clean on grain', 'grain disc', 'around it', 0, 1.5],
    'grain on clean' => ['grain on clean', 'grain disc', 'has grain of', 8, 10],
    'white rim' => ['white rim', 'fringe disc', 'a bright rim', 60, 100],
    'sharp' => ['sharp', 'sharp disc', 'more sharply', 1, 2],
    'colours' => ['colours', 'colours disc', 'apart in colour', 12, 60],
    'clipped' => ['clipped', 'clipped', 'most of it by Spot', 1, 60],
    'elsewhere' => ['elsewhere', 'elsewhere', 'not on Disc', 8, 70],
    'grey burn' => ['grey burn', 'drains burn', 'takes', 25, 90],
    'too bright' => ['too bright', 'too bright', 'Too bright for beams', 46, 80],
    // 0.8 of what it was made with lies between a tenth and nine tenths of a level ramp over a disc
    'too flat' => ['too flat', 'form disc', 'too flat for two gels', 0.1, 0.42],
    'modelled' => ['modelled', 'form disc', 'modelled already', 3, 5.9],
]);

it('measures the same whether or not it remembers: plates and lights changed in turn', function (): void {
    [$scene, $pictures] = wrongScene('white rim');
    $shelf = new Shelf($pictures);
    $study = new SceneStudy(Rendering::renderer($pictures), $shelf, $remembered = new Remembered);
    $light = ['id' => 'light', 'kind' => 'spot', 'name' => 'Spot', 'values' => ['origin' => [130, 0], 'target' => [130, 150], 'reach' => 200]];
    $changes = [
        static fn (array $raw): array => $raw,
        static fn (array $raw): array => [...$raw, 'strips' => [...$raw['strips'], ['level' => -1, ...$light]]],
        static fn (array $raw): array => [...$raw, 'strips' => [...$raw['strips'], ['level' => 2, ...$light]]],
        static fn (array $raw): array => array_replace_recursive($raw, ['strips' => [1 => ['values' => ['place' => [110, 70]]]]]),
        static fn (array $raw): array => array_replace_recursive($raw, ['strips' => [1 => ['values' => ['unstain' => 60]]]]),
        static fn (array $raw): array => array_replace_recursive($raw, ['strips' => [0 => ['muted' => true]]]),
        static fn (array $raw): array => $raw,
    ];
    foreach ($changes as $at => $change) {
        $changed = Scene::read($change(json_decode($scene->toJson(), true)), Registry::kinds());
        $fresh = (new SceneStudy(Rendering::renderer($pictures), $shelf))->of($changed)->toArray();
        expect($study->of($changed)->toArray())->toBe($fresh, "change {$at}");
    }
    // another picture under the same name
    $pictures['disc'] = new Flat(96, 96, static fn (int $x, int $y): array => [70, 74, 78, discAlpha($x, $y)]);
    $clean = new Shelf($pictures);
    $fringe = static fn (SceneStudy $study): float => $study->of($scene)->toArray()['plates'][0]['fringe'];
    expect($fringe(new SceneStudy(Rendering::renderer($pictures), $clean, $remembered)))->toBe($fringe(new SceneStudy(Rendering::renderer($pictures), $clean)));
});

it('remembers what was asked for last', function (): void {
    $remembered = new Remembered;
    $measured = [];
    $ask = static function (string $key) use ($remembered, &$measured): string {
        return $remembered->of($key, static function () use ($key, &$measured): string {
            $measured[] = $key;

            return "of {$key}";
        });
    };
    foreach (['a', 'b', 'a', 'b', 'a'] as $key) {
        expect($ask($key))->toBe("of {$key}");
    }
    expect($measured)->toBe(['a', 'b']);
    // nothing is worth remembering as well
    $times = 0;
    $nothing = static function () use (&$times): ?string {
        $times++;

        return null;
    };
    expect([$remembered->of('none', $nothing), $remembered->of('none', $nothing), $times])->toBe([null, null, 1]);
    foreach (range(1, 40) as $n) {
        $ask("other {$n}");
        $ask('a');
    }
    expect(array_count_values($measured)['a'])->toBe(1);
    $ask('b');
    expect(array_count_values($measured)['b'])->toBe(2);
});

it('says how far colours are apart as the standard does', function (): void {
    [$scene, $pictures] = wrongScene('colours');
    $of = fn (array $bytes): Rgb => new Rgb(...array_map(fn (int $byte): float => Srgb::decode($byte / 255), $bytes));
    // CIEDE2000 itself is checked against its published pairs in MatchTest
    expect(Noticed::in($scene, $pictures)['colours disc']->number)->toEqualWithDelta(Difference::of($of([150, 90, 60]), $of([90, 100, 120])), 0.6);
});

it('has nothing to say of plates that belong together', function (): void {
    [$scene, $pictures] = discOn(fn (int $x, int $y): array => greyWith(96 + 24 * ($x % 65 > 32) + grainAt($x, $y, 5, 3)), fn (int $x, int $y): array => greyWith(70 + $x * 0.7 + grainAt($x, $y, 5, 8)), [
        ['id' => 'light', 'kind' => 'spot', 'level' => -1, 'values' => ['origin' => [130, 0], 'target' => [130, 150], 'reach' => 200]],
    ]);
    expect(array_keys(Noticed::in($scene, $pictures)))->toBe([]);
});

it('offers what to know before work begins only then, as hints that may be meant', function (): void {
    [$scene, $pictures] = wrongScene('too flat');
    $reading = Noticed::in($scene, $pictures)['form disc'];
    expect($reading->isHint)->toBeTrue()->and(array_map(fn (Mend $mend): string => $mend->key, $reading->mends))->toBe(['form', Mend::ACCEPT]);
    $begun = Scene::read(array_replace(json_decode($scene->toJson(), true), ['strips' => [...json_decode($scene->toJson(), true)['strips'], ['id' => 'w', 'kind' => 'haze']]]), Registry::kinds());
    expect(Noticed::in($begun, $pictures))->not->toHaveKey('form disc');
});

it('measures how wide edges are', function (float $sigma): void {
    $step = array_map(fn (int $at): float => $at % 64 < 32 ? 0.2 : 0.8, range(0, 64 * 64 - 1));
    $blurred = $sigma > 0 ? Gaussian::blur($step, 64, 64, $sigma) : $step;
    // the slope in the middle of a blurred step is its rise over sigma times the square root of 2 pi; pixels are never narrower than one
    $width = EdgeWidth::at($blurred, 64, 64, 31, 32, 1, 0);
    expect($width)->toEqualWithDelta(max(1.0, $sigma * sqrt(2 * M_PI)), max(0.05, 0.08 * $sigma))
        ->and(EdgeWidth::blur(1.0, hypot(1.0, $sigma * sqrt(2 * M_PI))))->toEqualWithDelta($sigma, 1e-9)
        ->and(EdgeWidth::at(array_fill(0, 64 * 64, 0.5), 64, 64, 31, 32, 1, 0))->toBeNull()
        ->and(EdgeWidth::at($blurred, 64, 64, 3, 32, 1, 0))->toBeNull();
})->with([0.0, 1.0, 1.5, 2.2]);

it('looks around a plate, at all of it or at each of its sides', function (): void {
    $scene = Scene::read(['aumbrel' => 2, 'title' => 'Test', 'size' => [3000, 2000], 'strips' => []], Registry::kinds());
    expect(Beside::windows(new Bounds(100, 100, 160, 180), $scene, 144.0))->toHaveCount(1)
        ->and(Beside::windows(new Bounds(500, 300, 2500, 1900), $scene, 144.0))->toHaveCount(4);
    foreach (Beside::windows(new Bounds(0, 0, 3000, 2000), $scene, 144.0) as $window) {
        expect($window->x)->toBeGreaterThanOrEqual(0.0)->and($window->y + $window->height)->toBeLessThanOrEqual(2000.0)->and($window->columns)->toBe(144);
    }
    $covers = array_fill(0, 100, 0.0);
    [$covers[44], $covers[45], $covers[54], $covers[55]] = [1.0, 1.0, 1.0, 0.75];
    $around = Surrounding::of($covers, array_fill(0, 100, 1.0), 10);
    expect(Surrounding::box($covers, 10))->toBe([3, 3, 7, 7])->and(array_sum($around))->toEqualWithDelta(16 - 3.75, 1e-9)->and($around[55])->toBe(0.25)
        ->and(Surrounding::of(array_fill(0, 4, 0.0), array_fill(0, 4, 1.0), 2))->toBe([0.0, 0.0, 0.0, 0.0]);
});

it('hands on what it measured, and takes nothing for nothing', function (): void {
    [$scene, $pictures] = wrongScene('elsewhere');
    $facts = (new SceneStudy(Rendering::renderer($pictures), $pictures['ground']))->of($scene);
    expect(json_decode(json_encode(SceneFacts::read(json_decode(json_encode($facts->toArray()), true))->toArray()), true))->toEqual(json_decode(json_encode($facts->toArray()), true))
        ->and(SceneFacts::read(['plates' => 'no', 'picture' => 4, 'strips' => [3]])->plates)->toBe([]);
});
