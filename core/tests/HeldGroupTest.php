<?php

declare(strict_types=1);

use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Scene\Scene;
use Tests\Support\HeldScenes;
use Tests\Support\Rendering;

/* Groups whose yield is worked out once and kept. */

/** @param  array<string, mixed>  $group */
function heldIn(array $group, array $above = [], array $below = []): Scene
{
    $strips = [Rendering::plate('ground', ['id' => 'ground']), ...$below, ['id' => 'group', 'kind' => 'group', ...$group], ...$above];

    return Scene::read(['aumbrel' => 2, 'title' => 'Held', 'size' => [64, 48], 'strips' => $strips], Registry::kinds());
}

/** @return list<int> */
function seenIn(Scene $scene, $renderer, ?Window $window = null): array
{
    return array_values(unpack('n*', $renderer->picture($scene, $window ?? Window::whole(64, 48), 16)->bytes));
}

function heldLights(): array
{
    return [
        ['id' => 'spot', 'kind' => 'spot', 'level' => 1.5, 'mode' => 'airlight', 'values' => ['origin' => [50, 3], 'target' => [22, 38], 'beam' => 30, 'field' => 52, 'colour' => ['kelvin' => 3200]]],
        ['id' => 'veil', 'kind' => 'fill', 'mode' => 'screen', 'amount' => 40, 'values' => ['colour' => '#405080']],
        ['id' => 'glow', 'kind' => 'glow', 'values' => ['centre' => [20, 20], 'size' => 9]],
    ];
}

it('looks the same held as it goes', function (array $group, array $around): void {
    $renderer = Rendering::renderer(HeldScenes::pictures());
    $above = [['id' => 'last', 'kind' => 'spot', 'mode' => 'screen', 'values' => ['origin' => [4, 4], 'target' => [40, 40]]]];
    foreach ([Window::whole(64, 48), new Window(8, 6, 30, 20), Window::whole(64, 48, 0.5)] as $window) {
        $live = seenIn(heldIn($group, $above, $around), $renderer, $window);
        $held = seenIn(heldIn([...$group, 'held' => true], $above, $around), $renderer, $window);
        // eight thousand steps to white
        expect(max(array_map(static fn (int $one, int $other): int => abs($one - $other), $live, $held)) / 257)->toBeLessThan(0.2);
    }
})->with([
    'open' => [['amount' => 70, 'strips' => heldLights()]],
    'open, masked and over more' => [['strips' => heldLights(), 'masks' => [['id' => 'm', 'kind' => 'linear', 'values' => ['from' => [5, 0], 'to' => [60, 40]]]]]],
    'closed' => [['closed' => true, 'amount' => 80, 'mode' => 'screen', 'strips' => heldLights()]],
    'closed, with a plate in it' => [['closed' => true, 'strips' => [Rendering::plate('figure', ['id' => 'figure', 'values' => ['place' => [14, 5]]]), ...heldLights()]]],
    'open, with a plate in it, which is not held' => [['strips' => [Rendering::plate('figure', ['id' => 'figure', 'values' => ['place' => [14, 5]]]), ...heldLights()]]],
])->with(['over a plate' => [[]], 'over a light' => [[['id' => 'low', 'kind' => 'fill', 'mode' => 'multiply', 'values' => ['colour' => '#a0b0c0']]]]]);

it('is worked out once, whatever is done around it', function (bool $isClosed): void {
    $renderer = Rendering::renderer(HeldScenes::pictures());
    // a group that would take long: as many soft lights as a stack may have
    $heavy = array_map(static fn (int $k): array => ['id' => "s{$k}", 'kind' => 'spot', 'mode' => 'soft light', 'values' => ['origin' => [$k, 3], 'target' => [22, 38], 'softness' => 3 + $k / 10]], range(1, 40));
    $scene = static fn (float $level, bool $held): Scene => heldIn(['closed' => $isClosed, 'held' => $held, 'strips' => $heavy], [['id' => 'last', 'kind' => 'spot', 'level' => $level, 'values' => ['origin' => [4, 4], 'target' => [40, 40]]]]);
    $spent = static function (bool $held) use ($renderer, $scene): float {
        seenIn($scene(0.1, $held), $renderer);
        $begun = hrtime(true);
        foreach ([0.2, 0.3, 0.4] as $level) {
            seenIn($scene($level, $held), $renderer);
        }

        return hrtime(true) - $begun;
    };
    $spent(false);
    [$live, $held] = [$spent(false), $spent(true)];
    expect($live / $held)->toBeGreaterThan(3.0);
})->with(['open' => [false], 'closed' => [true]]);

it('is worked out anew when something in it changes', function (): void {
    $renderer = Rendering::renderer(HeldScenes::pictures());
    $lights = heldLights();
    $dim = [...$lights];
    $dim[0]['level'] = -2;
    $bright = seenIn(heldIn(['held' => true, 'strips' => $lights]), $renderer);
    expect(seenIn(heldIn(['held' => true, 'strips' => $dim]), $renderer))->not->toBe($bright)->and(seenIn(heldIn(['held' => true, 'strips' => $lights]), $renderer))->toBe($bright);
});
