<?php

declare(strict_types=1);

use Aumbrel\Core\Fault\Withdrawn;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KernelStore;
use Aumbrel\Core\Picture\ShapeStore;
use Aumbrel\Core\Render\Memory;
use Aumbrel\Core\Render\Renderer;
use Aumbrel\Core\Render\Watch;
use Tests\Support\Folder;
use Tests\Support\Rendering;
use Tests\Support\Shelf;

/* A render that is watched: it says how far it is, ends when it is told to, and leaves nothing half done behind. */

function watched(Watch $watch, ?Memory $memory = null): Renderer
{
    return new Renderer(new KernelStore(Folder::of('core-kernels')), new Shelf([]), new ShapeStore(Folder::of('watched-shapes')), $memory ?? new Memory, $watch);
}

/** Ends the render after so many steps. */
function ending(int $after): Watch
{
    return new class($after) implements Watch
    {
        public int $rows = 0;

        public function __construct(public int $left)
        {
        }

        public function step(): void
        {
            if ($this->left-- <= 0) {
                throw new Withdrawn;
            }
        }

        public function row(): void
        {
            $this->rows++;
        }
    };
}

function softScene(): Aumbrel\Core\Scene\Scene
{
    $spot = fn (array $more): array => ['kind' => 'spot', 'level' => 1, 'values' => ['origin' => [20, 5], 'target' => [40, 50], 'beam' => 30, 'field' => 50, 'reach' => 80, ...$more]];

    return Rendering::scene(80, 60, [
        ['kind' => 'fill', 'values' => ['colour' => '#304050']], $spot(['softness' => 6]), $spot(['origin' => [60, 5]]),
        [...$spot(['softness' => 3]), 'mode' => 'screen', 'masks' => [['id' => 'm', 'kind' => 'strokes', 'values' => ['start' => 'hidden', 'strokes' => [['size' => 20, 'points' => [[5, 5], [70, 50]]]]]]]],
    ]);
}

it('says of each row of the picture that it is done, once', function (): void {
    $watch = ending(PHP_INT_MAX);
    watched($watch)->picture(softScene(), Window::whole(80, 60));
    expect($watch->rows)->toBe(60);
    watched($watch)->contributions(softScene(), Window::whole(80, 60, 0.5), ['s1', 's2']);
    expect($watch->rows)->toBe(90);
});

it('ends wherever it is told to, and renders the same afterwards', function (): void {
    $whole = watched(ending(PHP_INT_MAX))->picture(softScene(), Window::whole(80, 60), below: 's2');
    $counting = ending(PHP_INT_MAX);
    watched($counting)->picture(softScene(), Window::whole(80, 60), below: 's2');
    $steps = PHP_INT_MAX - $counting->left;
    foreach ([0, 1, 2, 3, 5, 9, intdiv($steps, 3), intdiv($steps, 2), $steps - 1] as $after) {
        $watch = ending($after);
        $renderer = watched($watch);
        expect(fn () => $renderer->picture(softScene(), Window::whole(80, 60), below: 's2'))->toThrow(Withdrawn::class);
        // the same renderer, with all that it has kept so far
        $watch->left = PHP_INT_MAX;
        expect($renderer->picture(softScene(), Window::whole(80, 60), below: 's2')->bytes)->toBe($whole->bytes);
    }
});

it('renders the same however little it may keep', function (): void {
    $whole = watched(ending(PHP_INT_MAX))->picture(softScene(), Window::whole(80, 60));
    $renderer = watched(ending(PHP_INT_MAX), new Memory(1));
    foreach ([1, 2] as $again) {
        expect($renderer->picture(softScene(), Window::whole(80, 60), below: 's3')->bytes)->toBe($whole->bytes);
    }
    $renderer->tidy();
    expect($renderer->picture(softScene(), Window::whole(80, 60))->bytes)->toBe($whole->bytes);
});

it('keeps things in the order of their use, and lets the oldest go', function (): void {
    $memory = new Memory(PHP_INT_MAX);
    foreach (['a', 'b', 'c'] as $key) {
        $memory->put($key, [$key]);
    }
    expect($memory->get('a'))->toBe(['a'])->and($memory->holds('b'))->toBeTrue()->and($memory->get('z'))->toBeNull();
    $memory->put('b', ['newer']);
    expect($memory->get('b'))->toBe(['newer']);
    $none = new Memory(1);
    $none->put('a', [1]);
    $none->put('b', [2]);
    // the one that was just kept stays until there is another one
    expect($none->holds('a'))->toBeFalse()->and($none->holds('b'))->toBeTrue();
    $none->tidy();
    expect($none->holds('b'))->toBeFalse();
});
