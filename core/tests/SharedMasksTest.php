<?php

declare(strict_types=1);

use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Scene\Scene;
use Tests\Support\Rendering;

const SLOPE = ['id' => 'slope', 'kind' => 'linear', 'feather' => 2, 'values' => ['from' => [0, 0], 'to' => [20, 0]]];

function sharedStrips(array $use, array $slope = SLOPE): array
{
    return [
        ['id' => 'black', 'kind' => 'fill', 'mode' => 'normal', 'values' => ['colour' => '#000000']],
        // who uses a mask may stand before who has it
        ['id' => 'g', 'kind' => 'group', 'strips' => [['id' => 'user', 'kind' => 'fill', 'mode' => 'add', 'values' => ['colour' => '#ff0000'], 'masks' => [['id' => 'use', 'uses' => 'slope', ...$use]]]]],
        ['id' => 'holder', 'kind' => 'fill', 'mode' => 'add', 'values' => ['colour' => '#00ff00'], 'masks' => [$slope]],
    ];
}

it('has the shape of another mask, and its own inversion, join and density', function (array $use, Closure $expected): void {
    $values = array_values(unpack('n*', Rendering::picture([], 20, 4, sharedStrips($use))->bytes));
    foreach ([1, 7, 13, 18] as $x) {
        [$red, $green] = [$values[4 * (20 + $x)] / 65535, $values[4 * (20 + $x) + 1] / 65535];
        expect($red)->toEqualWithDelta($expected($green), 0.001, (string) $x);
    }
})->with([
    'as it is' => [[], static fn (float $m): float => $m], 'inverted' => [['inverted' => true], static fn (float $m): float => 1 - $m],
    'taken away' => [['join' => 'take away'], static fn (float $m): float => 1 - $m], 'at most half' => [['lets' => [50, 100]], static fn (float $m): float => 0.5 + 0.5 * $m],
]);

it('stands in the file once', function (): void {
    $scene = Rendering::scene(20, 4, sharedStrips(['inverted' => true]));
    $written = json_decode($scene->toJson(), true);
    expect($written['strips'][1]['strips'][0]['masks'][0])->toEqual(['id' => 'use', 'kind' => 'linear', 'on' => 'scene', 'join' => 'intersect', 'inverted' => true, 'off' => false, 'uses' => 'slope'])
        ->and($scene->find('user')?->masks[0]->whole())->toMatchArray(['feather' => 2.0])
        // changed once
        ->and(Scene::read(array_replace($written, ['strips' => sharedStrips([], [...SLOPE, 'feather' => 5])]), Registry::kinds())->find('user')?->masks[0]->feather)->toBe(5.0);
});

it('refuses what has no shape', function (array $use, array $slope): void {
    expect(static fn () => Rendering::scene(20, 4, sharedStrips($use, $slope)))->toThrow(SceneError::class, 'uses');
})->with([
    'no such mask' => [['uses' => 'nowhere'], SLOPE], 'itself' => [['uses' => 'use'], SLOPE], 'one that uses another' => [[], ['id' => 'slope', 'uses' => 'use']],
    'a cut-out' => [[], [...SLOPE, 'kind' => 'strokes', 'on' => 'emitter', 'feather' => 0, 'values' => []]], 'no id' => [['uses' => 7], SLOPE],
]);
