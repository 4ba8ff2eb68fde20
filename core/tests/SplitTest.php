<?php

declare(strict_types=1);

use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Scene\Scene;
use Tests\Support\Rendering;

/**
 * @param  list<array<string, mixed>>  $masks  of the first
 * @return Scene black, and over it two whites that share a line, added
 */
function splitWhites(array $masks, array $more = []): Scene
{
    foreach ($masks as $at => $mask) {
        $masks[$at] = ['id' => "m{$at}", ...$mask];
    }

    return Rendering::scene(60, 40, [
        ['id' => 'black', 'kind' => 'fill', 'mode' => 'normal', 'values' => ['colour' => '#000000']],
        ['id' => 'one', 'kind' => 'fill', 'mode' => 'add', 'values' => ['colour' => '#ffffff'], 'masks' => $masks],
        ['id' => 'other', 'kind' => 'fill', 'mode' => 'add', 'complements' => 'one', 'values' => ['colour' => '#ffffff'], ...$more],
    ]);
}

/** @return list<int> the red of every pixel, 16 bits */
function reds(string $bytes): array
{
    $all = array_values(unpack('n*', $bytes));

    return array_map(static fn (int $at): int => $all[4 * $at], range(0, intdiv(count($all), 4) - 1));
}

/**
 * @param  list<array<string, mixed>>  $masks
 * @return list<int> how much of one of the two there is at each pixel, 16 bits
 */
function splitAlone(array $masks, string $which): array
{
    $raw = json_decode(splitWhites($masks)->toJson(), true);
    $raw['strips'] = array_map(static fn (array $strip): array => [...$strip, 'muted' => ! in_array($strip['id'], ['black', $which], true)], $raw['strips']);

    return reds(Rendering::renderer([])->picture(Scene::read($raw, Registry::kinds()), Window::whole(60, 40), 16)->bytes);
}

it('adds up to one however the line is moved, feathered, joined and painted', function (int $seed): void {
    mt_srand($seed);
    $between = static fn (float $low, float $high): float => $low + ($high - $low) * mt_rand() / mt_getrandmax();
    $kinds = [
        static fn (): array => ['kind' => 'linear', 'values' => ['from' => [$between(0, 60), $between(0, 40)], 'to' => [$between(0, 60), $between(0, 40)], 'smooth' => mt_rand(0, 1) === 1]],
        static fn (): array => ['kind' => 'radial', 'values' => ['centre' => [$between(0, 60), $between(0, 40)], 'radius' => $between(5, 40), 'secondRadius' => $between(5, 40), 'turn' => $between(-90, 90)]],
        static fn (): array => ['kind' => 'outline', 'values' => ['path' => [['at' => [$between(0, 30), 3]], ['at' => [$between(30, 60), 10]], ['at' => [30, $between(20, 40)]]], 'feather' => $between(0, 6)]],
        static fn (): array => ['kind' => 'strokes', 'values' => ['start' => ['hidden', 'shown'][mt_rand(0, 1)], 'strokes' => array_map(static fn (): array => ['size' => $between(4, 20), 'flow' => $between(20, 100), 'letsIn' => mt_rand(0, 1) === 1, 'points' => [[$between(0, 60), $between(0, 40)], [$between(0, 60), $between(0, 40)]]], range(0, mt_rand(0, 3)))]],
    ];
    $masks = [];
    for ($k = mt_rand(0, 3); $k >= 0; $k--) {
        $least = $between(0, 60);
        $later = mt_rand(0, 1) === 1 ? [] : ['feather' => $between(0, 8), 'lets' => [$least, $between($least, 100)]];
        $masks[] = [...$kinds[mt_rand(0, 3)](), 'join' => ['intersect', 'add', 'take away'][mt_rand(0, 2)], 'inverted' => mt_rand(0, 1) === 1, ...$later];
    }
    // each for itself on black: over the other one a sum above one would not be seen
    [$one, $other] = [splitAlone($masks, 'one'), splitAlone($masks, 'other')];
    $most = 0.0;
    foreach ($one as $at => $value) {
        $most = max($most, abs($value + $other[$at] - 65535) / 257);
    }
    expect($most)->toBeLessThan(0.02);
})->with(range(1, 30));

it('leaves nothing to the other one where the first has no falloff', function (): void {
    expect(min(splitAlone([], 'one')))->toBe(65535)->and(max(splitAlone([], 'other')))->toBe(0);
    // a mask that is off is none
    expect(max(splitAlone([['kind' => 'linear', 'off' => true, 'values' => ['from' => [0, 0], 'to' => [60, 0]]]], 'other')))->toBe(0);
});

it('refuses pairs that are none', function (array $more, string $field): void {
    expect(fn () => splitWhites([], $more))->toThrow(SceneError::class, $field);
})->with([
    'a falloff of its own' => [['masks' => [['id' => 'x', 'kind' => 'radial', 'values' => ['centre' => [3, 3]]]]], 'no falloff of its own'],
    'with itself' => [['complements' => 'other'], 'no strip of this scene'],
    'with nobody' => [['complements' => 'gone'], 'no strip of this scene'],
]);

it('agrees with a split of two gels rendered by an independent implementation', function (): void {
    $folder = __DIR__.'/reference/washes';
    $given = json_decode((string) file_get_contents("{$folder}/scene.json"), true);
    $mask = $given['strips'][2]['masks'][0];
    expect([...$given['strips'][3]['masks'][0], 'invert' => null])->toEqual([...$mask, 'invert' => null])->and($given['strips'][3]['masks'][0]['invert'])->toBeTrue();
    // the same scene with two masks, and with one line that both share, is the same picture
    $wash = static fn (string $id, string $colour): array => ['id' => $id, 'kind' => 'wash', 'mode' => 'hard light', 'level' => -0.15, 'values' => ['colour' => ['swatch' => $colour], 'keyed' => 'by tones']];
    $line = static fn (string $id, bool $inverted): array => ['id' => $id, 'kind' => 'linear', 'inverted' => $inverted, 'values' => ['from' => $mask['start'], 'to' => $mask['end'], 'smooth' => true]];
    $ground = ['id' => 'ground', 'kind' => 'fill', 'mode' => 'normal', 'values' => ['colour' => '#7090a8']];
    $two = Rendering::scene(96, 72, [$ground, [...$wash('left', '#ff3380'), 'masks' => [$line('a', false)]], [...$wash('right', '#1a80ff'), 'masks' => [$line('b', true)]]]);
    $pair = Rendering::scene(96, 72, [$ground, [...$wash('left', '#ff3380'), 'masks' => [$line('a', false)]], [...$wash('right', '#1a80ff'), 'complements' => 'left']]);
    expect(Rendering::renderer([])->picture($pair, Window::whole(96, 72), 16)->bytes)->toBe(Rendering::renderer([])->picture($two, Window::whole(96, 72), 16)->bytes);
    expect(Scene::fromJson($pair->toJson(), Registry::kinds())->strips[2]->complements)->toBe('left');
});
