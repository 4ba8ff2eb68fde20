<?php

declare(strict_types=1);

use Illuminate\Foundation\Testing\RefreshDatabase;
use Tests\Support\PictureFile;

uses(RefreshDatabase::class);

/** What of a scene's state the hand has made. */
function made(array $state): array
{
    return array_map(static fn (array $strip): array => array_diff_key($strip, array_flip(['revision', 'outlines', 'inForce', 'maps', 'standsOn', 'colours'])), $state['strips']);
}

it('takes each way of shaping back in one step, and forth again', function (): void {
    $scene = $this->postJson('/api/scenes', ['file' => PictureFile::png(64, 40)])->assertCreated()->json();
    $url = "/api/scenes/{$scene['id']}";
    $state = static fn (): array => test()->getJson($url)->json();
    $by = static function (string $gesture, array $asked) use ($url): array {
        return test()->postJson("{$url}/gestures/{$gesture}", $asked)->assertOk()->json();
    };
    $named = static fn (string $name): array => array_column($state()['strips'], null, 'name')[$name];
    foreach ([['fill', 'A'], ['fill', 'B']] as [$kind, $name]) {
        $strips = $by('add-strip', ['kind' => $kind, 'centre' => [30, 20], 'span' => 40])['strips'];
        $new = $strips[count($strips) - 1];
        $by('change-strip', ['strip' => $new['id'], 'revision' => $new['revision'], 'name' => $name]);
    }
    [$a, $b] = [$named('A')['id'], $named('B')['id']];
    $by('add-mask', ['strip' => $a, 'kind' => 'linear', 'centre' => [30, 20], 'span' => 40]);
    $mask = static fn (): string => array_column($state()['strips'], null, 'name')['A']['masks'][0]['id'];
    $change = static fn (string $id, array $change): Closure => static fn (): array => $by('change-strip', ['strip' => $id, 'revision' => array_column($state()['strips'], null, 'id')[$id]['revision'], ...$change]);
    $steps = [
        'grow' => $change($a, ['masks' => [$mask() => ['grow' => 6, 'feather' => 2]]]),
        'ramp' => $change($a, ['values' => ['filled' => 'a radial ramp', 'stops' => [['offset' => 0, 'colour' => '#ffffff', 'smooth' => true], ['offset' => 1, 'colour' => '#000000', 'opacity' => 0]]]]),
        'exchange' => static fn (): array => $by('exchange-mask', ['strip' => $a, 'mask' => $mask()]),
        'use' => static fn (): array => $by('take-masks', ['strip' => $b, 'from' => $a, 'same' => true]),
        'delete where it stands' => static fn (): array => $by('remove-mask', ['strip' => $a, 'mask' => $mask()]),
        'brightness' => static fn (): array => $by('add-mask', ['strip' => $a, 'kind' => 'brightness', 'centre' => [30, 20], 'span' => 40]),
        'group' => static fn (): array => $by('hold-together', ['strips' => [$a, $b]]),
    ];
    foreach ($steps as $what => $step) {
        $before = made($state());
        $step();
        $after = made($state());
        expect($after)->not->toEqual($before, $what);
        $this->postJson("{$url}/undo")->assertOk();
        expect(made($state()))->toEqual($before, "{$what}, back");
        $this->postJson("{$url}/redo")->assertOk();
        expect(made($state()))->toEqual($after, "{$what}, forth");
    }
    // a closed group that would have to be there before what it holds
    $group = array_values(array_filter($state()['strips'], static fn (array $strip): bool => $strip['kind'] === 'group'))[0];
    $held = array_column($group['strips'], null, 'id')[$a];
    $this->postJson("{$url}/gestures/change-strip", ['strip' => $a, 'revision' => $held['revision'], 'masks' => [$held['masks'][0]['id'] => ['values' => ['of' => $group['id']]]]])
        ->assertStatus(422)->assertJsonPath('message', static fn (string $message): bool => str_contains($message, 'before itself'));
    $this->postJson("{$url}/gestures/change-strip", ['strip' => $group['id'], 'revision' => $group['revision'], 'closed' => true, 'mode' => 'screen'])->assertOk();
    expect(array_column($state()['strips'], null, 'id')[$group['id']])->toMatchArray(['closed' => true, 'mode' => 'screen']);
});

it('sees masks in small, alone and over the picture, and the way along an edge', function (): void {
    $scene = $this->postJson('/api/scenes', ['file' => PictureFile::png(64, 40)])->assertCreated()->json();
    $url = "/api/scenes/{$scene['id']}";
    $plate = $scene['strips'][0]['id'];
    $this->postJson("{$url}/plates/{$plate}/edge", ['from' => [3, 4], 'to' => ['x', 9]])->assertStatus(422);
    $this->postJson("{$url}/gestures/cut-subject", ['strip' => $plate, 'where' => [1]])->assertStatus(422);
    expect($this->postJson("{$url}/masks", ['strip' => $plate])->status())->toBe(204)->and($this->postJson("{$url}/masks", ['strip' => 'nowhere'])->status())->toBe(204);
});
