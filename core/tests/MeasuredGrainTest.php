<?php

declare(strict_types=1);

use Aumbrel\Core\Air\AlikeGrain;
use Aumbrel\Core\Air\GrainPlane;
use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Picture\MeasuredGrain;
use Aumbrel\Core\Render\BesideStudy;
use Tests\Support\Flat;
use Tests\Support\Rendering;

/** @return list<float> grain of a deviation and a size over a slow slope */
function grainySlope(float $sigma, float $size, int $side = 384, int $seed = 4): array
{
    $grain = Rendering::renderer([])->planes->numbers(new GrainPlane($seed, $size, Window::whole($side, $side)));

    return array_map(static fn (float $value, int $at): float => 0.3 + 0.3 * ($at % $side) / $side + $sigma * $value, $grain, array_keys($grain));
}

it('finds how strong and how coarse grain is', function (float $size): void {
    $sides = 384;
    $found = MeasuredGrain::of(grainySlope(0.03, $size), array_fill(0, $sides * $sides, 1.0), $sides, $sides);
    expect($found?->sigma)->toEqualWithDelta(0.03, 0.1 * 0.03)->and($found?->size)->toEqualWithDelta($size, max(0.12, 0.1 * $size))->and($found?->tone)->toEqualWithDelta(0.45, 0.05);
})->with([0.0, 0.4, 0.6, 0.8, 1.0, 1.5]);

it('sees of grain of each size what the table says', function (): void {
    // Immerkaer, Fast noise variance estimation (1996), by its formula on grain alone
    $seen = static function (array $plane, int $side): float {
        $sum = 0.0;
        for ($y = 1; $y < $side - 1; $y++) {
            for ($x = 1, $at = $y * $side + 1; $x < $side - 1; $x++, $at++) {
                $sum += abs(4 * $plane[$at] - 2 * ($plane[$at - 1] + $plane[$at + 1] + $plane[$at - $side] + $plane[$at + $side]) + $plane[$at - $side - 1] + $plane[$at - $side + 1] + $plane[$at + $side - 1] + $plane[$at + $side + 1]);
            }
        }

        return sqrt(M_PI / 2) * $sum / (6 * ($side - 2) ** 2);
    };
    foreach ([[0.0, 1.0], [0.4, 0.88], [0.6, 0.43], [0.8, 0.17], [1.0, 0.08], [1.5, 0.02]] as [$size, $share]) {
        expect($seen(Rendering::renderer([])->planes->numbers(new GrainPlane(9, $size, Window::whole(256, 256))), 256))->toEqualWithDelta($share, 0.03);
    }
});

it('goes by flat parts, and by what is there', function (): void {
    $side = 384;
    $plane = grainySlope(0.02, 0.0);
    // hard stripes over the left half are no grain
    foreach ($plane as $at => $value) {
        if ($at % $side < $side / 2) {
            $plane[$at] = $value + (intdiv($at % $side, 5) % 2 === 0 ? 0.15 : 0.0);
        }
    }
    $all = array_fill(0, $side * $side, 1.0);
    $right = array_map(static fn (int $at): float => $at % $side >= $side / 2 ? 1.0 : 0.0, range(0, $side * $side - 1));
    expect(MeasuredGrain::of($plane, $right, $side, $side)?->sigma)->toEqualWithDelta(0.02, 0.002)
        ->and(MeasuredGrain::of($plane, array_fill(0, $side * $side, 0.0), $side, $side))->toBeNull()
        ->and(MeasuredGrain::of(array_fill(0, $side * $side, 0.5), $all, $side, $side)?->sigma)->toBe(0.0)
        // what is cut off at white says nothing of grain
        ->and(MeasuredGrain::of(array_fill(0, $side * $side, 1.0), $all, $side, $side))->toBeNull();
});

it('brings a plate to the grain of what lies around it', function (): void {
    // a smooth subject on a grainy ground, and after that the grain that was found added to it
    $side = 320;
    $grain = Rendering::renderer([])->planes->numbers(new GrainPlane(4, 0.6, Window::whole($side, $side)));
    $pictures = [
        'ground' => new Flat($side, $side, static fn (int $x, int $y): array => array_fill(0, 3, (int) round(110 + 9 * $grain[$y * 320 + $x]))),
        'subject' => new Flat(140, 140, static fn (int $x, int $y): array => [150 + ($x + $y) % 2, 150, 150]),
    ];
    $strips = [Rendering::plate('ground', ['id' => 'g']), Rendering::plate('subject', ['id' => 's', 'values' => ['pivot' => [0, 0], 'place' => [90, 90]]])];
    $study = new BesideStudy(Rendering::renderer($pictures));
    ['own' => $own, 'around' => $around] = $study->grain(Rendering::scene($side, $side, $strips), 's');
    $of = static fn (MeasuredGrain $found): array => ['sigma' => $found->sigma, 'size' => $found->size, 'tone' => $found->tone];
    expect($around->sigma)->toEqualWithDelta(9 / 255, 0.1 * 9 / 255)->and($around->size)->toEqualWithDelta(0.6, 0.12)->and($own->sigma)->toBeLessThan(0.004);
    $strip = AlikeGrain::of($of($own), $of($around));
    $scene = Rendering::scene($side, $side, [...$strips, ['id' => 'n', 'confinedTo' => 's', ...$strip]]);
    $after = $study->grain($scene, 's')['own'];
    expect($after->sigma)->toEqualWithDelta($around->sigma, 0.12 * $around->sigma)->and($after->size)->toEqualWithDelta(0.6, 0.15)
        // it is not added twice, and a grainier plate is not smoothed
        ->and(AlikeGrain::of($of($around), $of($own)))->toBeNull();
    expect(static fn () => $study->grain($scene, 'nobody'))->toThrow(SceneError::class);
});
