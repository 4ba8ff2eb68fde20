<?php

declare(strict_types=1);

use Aumbrel\Core\Geometry\Bounds;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\Inliner;
use Aumbrel\Core\Kernel\KernelSource;
use Aumbrel\Core\Kernel\KernelStore;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Picture\ShapeStore;
use Aumbrel\Core\Render\Memory;
use Aumbrel\Core\Render\Pass;
use Aumbrel\Core\Render\Plan;
use Aumbrel\Core\Render\Renderer;
use Aumbrel\Core\Render\RowRunner;
use Aumbrel\Core\Render\Watch;
use Tests\Support\Flat;
use Tests\Support\Folder;
use Tests\Support\Rendering;

/** Counts the rows that are rendered. */
function counting(): Watch
{
    return new class implements Watch
    {
        public int $rows = 0;

        public function step(): void
        {
        }

        public function row(): void
        {
            $this->rows++;
        }
    };
}

function drafting(Watch $watch, Flat $picture): Renderer
{
    return new Renderer(new KernelStore(Folder::of('core-kernels')), $picture, new ShapeStore(Folder::of('draft-shapes')), new Memory, $watch);
}

function bars(): Flat
{
    return new Flat(120, 90, fn (int $x, int $y): array => [90 + $x % 60, 70 + $y, 120]);
}

/** A spot that lies within a few rows around a place. */
function smallSpot(float $x, float $y, array $more = []): array
{
    return ['kind' => 'spot', ...$more, 'values' => ['origin' => [$x, $y], 'target' => [$x + 14, $y + 3], 'reach' => 16, ...($more['values'] ?? [])]];
}

it('renders only the rows that a dragged strip reaches, where it was and where it is', function (): void {
    $watch = counting();
    $renderer = drafting($watch, bars());
    $window = Window::whole(120, 90);
    $scene = fn (float $y): Aumbrel\Core\Scene\Scene => Rendering::scene(120, 90, [Rendering::plate('p'), smallSpot(40, $y, ['id' => 'spot']), smallSpot(80, 70, ['mode' => 'screen'])]);
    $rows = [];
    foreach ([20, 22, 24, 60, 60] as $y) {
        $before = $watch->rows;
        $draft = $renderer->picture($scene($y), $window, below: 'spot');
        $rows[] = $watch->rows - $before;
        $fresh = drafting(counting(), bars())->picture($scene($y), $window);
        expect($draft->bytes)->toBe($fresh->bytes)->and($draft->clipped)->toBe($fresh->clipped);
    }
    // all at first, and while covers of the others are worked out; then a part; nothing when nothing has changed
    expect($rows[0])->toBe(90)->and($rows[2])->toBeLessThan(50)->toBeGreaterThan(5)->and($rows[3])->toBeLessThan(85)->and($rows[4])->toBe(0);
});

it('makes of a row only the columns that a dragged strip reaches', function (): void {
    $made = [];
    $runner = fn (Memory $memory): RowRunner => new RowRunner(new KernelStore(Folder::of('core-kernels')), fn (): array => [], $memory, fn (): null => null);
    $window = Window::whole(60, 4);
    $plan = function (float $from, float $to, string $value): Plan {
        $kernel = fn (string $text): KernelSource => (function () use ($text): KernelSource {
            $kernel = new KernelWriter(new Inliner);
            $kernel->loop();
            $kernel->line("{$kernel->stored('r')} = {$text};");

            return $kernel->finish();
        })();

        return new Plan([new Pass($kernel('0.25')), new Pass($kernel($value), new Bounds($from, 0, $to, 2.6))], ['r'], 1);
    };
    $memory = new Memory;
    $run = function (Plan $plan) use ($runner, $memory, $window, &$made): array {
        $made = [];

        return $runner($memory)->run($plan, $window, function (array $lines, int $from, int $to) use (&$made): array {
            $made[] = [$from, $to];

            return array_slice($lines['r'], $from, $to - $from);
        }, fn (array $row, array $part, int $from): array => array_replace($row, array_combine(range($from, $from + count($part) - 1), $part)))[1];
    };
    $run($plan(10, 20, '0.5'));
    expect($made)->toBe(array_fill(0, 4, [0, 60]));
    $rows = $run($plan(16, 30, '0.75'));
    // from where it was to where it is, and not in the row that neither reaches
    expect($made)->toBe(array_fill(0, 3, [10, 30]))
        ->and($rows[0])->toBe([...array_fill(0, 16, 0.25), ...array_fill(0, 14, 0.75), ...array_fill(0, 30, 0.25)])->and($rows[3])->toBe(array_fill(0, 60, 0.25));
});

it('shows the same as without anything kept, whatever is dragged', function (int $seed): void {
    mt_srand($seed);
    $between = fn (float $low, float $high): float => $low + ($high - $low) * mt_rand() / mt_getrandmax();
    $modes = ['airlight', 'screen', 'illuminate', 'add', 'multiply', 'overlay', 'normal'];
    $mask = fn (): array => mt_rand(0, 2) > 0 ? [] : [['id' => 'm'.mt_rand(), 'kind' => 'radial', 'values' => ['centre' => [$between(20, 100), $between(20, 70)]]]];
    $strips = [Rendering::plate('p', ['id' => 'ground'])];
    for ($k = 0; $k < 5; $k++) {
        $strips[] = smallSpot($between(10, 100), $between(10, 80), ['id' => "spot{$k}", 'mode' => $modes[mt_rand(0, 6)], 'level' => $between(-1, 5), 'masks' => $mask(), 'values' => ['reach' => $between(8, 60), 'softness' => mt_rand(0, 1) * $between(0, 4)]]);
    }
    $strips[] = ['id' => 'plate', ...Rendering::plate('p', ['values' => ['place' => [60, 45], 'pivot' => [60, 45], 'scale' => 0.3]])];
    $strips[] = ['id' => 'wash', 'kind' => 'fill', 'mode' => 'multiply', 'amount' => 40, 'masks' => $mask(), 'values' => ['colour' => '#a0b0ff']];
    shuffle($strips);
    $renderer = drafting(counting(), bars());
    $window = mt_rand(0, 1) === 1 ? Window::whole(120, 90, 0.5) : (new Window(10, 5, 90, 80))->band(10, 50);
    for ($k = 0; $k < 14; $k++) {
        $at = $k % 7 === 0 ? mt_rand(0, count($strips) - 1) : $at;
        if ($strips[$at]['kind'] === 'spot') {
            $strips[$at]['values']['origin'][1] += $between(-9, 9);
            $strips[$at]['values']['target'] = [$strips[$at]['values']['origin'][0] + $between(5, 14), $strips[$at]['values']['origin'][1] + $between(-9, 9)];
        } elseif ($strips[$at]['kind'] === 'plate') {
            $strips[$at]['values']['place'] = [$between(20, 100), $between(10, 80)];
        } else {
            $strips[$at]['amount'] = $between(0, 100);
        }
        if (mt_rand(0, 4) === 0) {
            $strips[$at]['muted'] = ! ($strips[$at]['muted'] ?? false);
        }
        $scene = Rendering::scene(120, 90, $strips);
        $draft = $renderer->picture($scene, $window, below: $strips[$at]['id']);
        $fresh = drafting(counting(), bars())->picture($scene, $window);
        expect($draft->bytes === $fresh->bytes)->toBeTrue("step {$k}, {$strips[$at]['id']}")->and($draft->clipped)->toBe($fresh->clipped);
        $renderer->tidy();
    }
})->with(range(1, 24));

it('joins the lights above what is dragged, and shows the same', function (array $above): void {
    $renderer = drafting(counting(), bars());
    $glow = ['kind' => 'glow', 'level' => -1, 'values' => ['centre' => [80, 40], 'size' => 12]];
    $strips = fn (float $y): array => [
        Rendering::plate('p'), smallSpot(30, $y, ['id' => 'spot', 'level' => 2, 'mode' => 'airlight']), $glow, ...$above,
        ['kind' => 'fill', 'mode' => 'multiply', 'amount' => 40, 'values' => ['colour' => '#a0b0ff']], $glow,
    ];
    foreach ([Window::whole(120, 90), (new Window(10, 5, 90, 80, 0.5))->band(4, 30)] as $window) {
        foreach ([20, 24, 28, 60] as $y) {
            $scene = Rendering::scene(120, 90, $strips($y));
            $draft = $renderer->picture($scene, $window, below: 'spot');
            $fresh = drafting(counting(), bars())->picture($scene, $window);
            expect($draft->bytes)->toBe($fresh->bytes)->and($draft->clipped)->toBe($fresh->clipped);
        }
    }
})->with([
    'light that adds' => [[['kind' => 'sun', 'level' => -2, 'values' => ['centre' => [50, 20], 'radius' => 8]]]],
    'light that multiplies between it' => [[smallSpot(60, 50, ['level' => 3, 'mode' => 'illuminate', 'masks' => [['id' => 'm', 'kind' => 'radial', 'values' => ['centre' => [64, 50]]]]]), smallSpot(70, 40, ['level' => 1, 'mode' => 'airlight'])]],
    'what takes light away' => [[smallSpot(60, 50, ['level' => 0, 'mode' => 'illuminate', 'values' => ['field' => 60]]), ['kind' => 'wash', 'level' => -1, 'values' => []]]],
    'one that is muted, and one that is out' => [[smallSpot(60, 50, ['muted' => true, 'mode' => 'illuminate']), smallSpot(60, 50, ['amount' => 0, 'mode' => 'illuminate']), smallSpot(64, 50, ['mode' => 'illuminate'])]],
    'what breaks the run' => [[['kind' => 'fill', 'mode' => 'screen', 'amount' => 30, 'values' => ['colour' => '#405060']], smallSpot(60, 50, ['mode' => 'illuminate'])]],
]);

it('works joined lights out once', function (): void {
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
    $renderer = drafting($watch, bars());
    $window = Window::whole(120, 90);
    $scene = fn (float $y): Aumbrel\Core\Scene\Scene => Rendering::scene(120, 90, [Rendering::plate('p'), smallSpot(30, $y, ['id' => 'spot']), ['kind' => 'glow', 'values' => ['centre' => [80, 40], 'size' => 12]]]);
    $renderer->picture($scene(20), $window, below: 'spot');
    $kept = array_keys((new ReflectionProperty(Aumbrel\Core\Render\Memory::class, 'kept'))->getValue((new ReflectionProperty(Renderer::class, 'memory'))->getValue($renderer)));
    $watch->steps = 0;
    $renderer->picture($scene(24), $window, below: 'spot');
    // a step a row, and none for a plane
    expect($watch->steps)->toBe(90)->and(count(array_filter($kept, fn (string $key): bool => str_starts_with($key, 'cover '))))->toBe(1);
});
