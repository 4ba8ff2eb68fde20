<?php

declare(strict_types=1);

use App\Scenes\FlatScene;
use Aumbrel\Core\Fault\SceneError;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Tests\Support\Gestured;

uses(RefreshDatabase::class);

const KEPT = [['offset' => 0, 'colour' => '#ff8000', 'opacity' => 1, 'midpoint' => 0.4, 'smooth' => true], ['offset' => 1, 'colour' => '#102030', 'opacity' => 0, 'midpoint' => 0.5]];

it('keeps ramps by name for every scene, and lets them go', function (): void {
    $before = $this->getJson('/api/ramps')->assertOk()->json('ramps');
    expect($before)->not->toBe([])->and(array_filter(array_column($before, 'id')))->toBe([]);
    $after = $this->postJson('/api/ramps', ['name' => '  Lantern ', 'stops' => KEPT])->assertOk()->json('ramps');
    $kept = $after[count($after) - 1];
    expect($kept)->toMatchArray(['name' => 'Lantern'])->and($kept['stops'][0])->toMatchArray(['colour' => '#ff8000', 'midpoint' => 0.4, 'smooth' => true])->and($kept['mask'][1]['value'])->toEqual(0);
    expect($this->deleteJson("/api/ramps/{$kept['id']}")->assertOk()->json('ramps'))->toEqual($before);
});

it('keeps the ramp of a mask as white that comes and goes', function (): void {
    $ramps = $this->postJson('/api/ramps', ['name' => 'Edge', 'stops' => [['offset' => 0, 'value' => 0.25], ['offset' => 1, 'value' => 1]]])->assertOk()->json('ramps');
    $kept = $ramps[count($ramps) - 1];
    expect($kept['stops'][0])->toMatchArray(['colour' => '#ffffff', 'opacity' => 0.25])->and($kept['mask'][0]['value'])->toEqual(0.25);
});

it('says what is wrong, and keeps nothing of it', function (array $asked, string $says): void {
    $this->postJson('/api/ramps', ['name' => 'Lantern', 'stops' => KEPT])->assertOk();
    $this->postJson('/api/ramps', $asked + ['name' => 'Other', 'stops' => KEPT])->assertStatus(422)->assertJsonPath('message', static fn (string $message): bool => str_contains($message, $says));
    expect(array_column($this->getJson('/api/ramps')->json('ramps'), 'name'))->not->toContain('Other');
})->with([
    'taken' => [['name' => 'Lantern'], 'already'], 'one of ours' => [['name' => 'Embers'], 'already'], 'no name' => [['name' => ' '], 'name'], 'a long name' => [['name' => str_repeat('a', 61)], 'name'],
    'no stops' => [['stops' => []], 'stops'], 'a stop without a colour' => [['stops' => [['offset' => 0]]], 'colour'], 'crossed' => [['stops' => array_reverse(KEPT)], 'offset'],
]);

it('exchanges a mask in place, where its shape stands', function (): void {
    $scene = FlatScene::fromDocument(['aumbrel' => 2, 'title' => 'E', 'size' => [40, 30], 'strips' => [
        ['id' => 'a', 'kind' => 'fill', 'masks' => [['id' => 'm', 'kind' => 'linear', 'feather' => 3, 'inverted' => true, 'values' => ['from' => [5, 5], 'to' => [15, 5]]], ['id' => 's', 'kind' => 'strokes', 'values' => []]]],
        ['id' => 'b', 'kind' => 'fill', 'masks' => [['id' => 'u', 'uses' => 'm']]],
    ]])->normalised();
    foreach ([['a', 'm'], ['b', 'u']] as [$strip, $mask]) {
        $masks = Gestured::onto($scene, 'exchange-mask', ['strip' => $strip, 'mask' => $mask])->normalised()->strip('a')['masks'];
        expect($masks[0])->toMatchArray(['id' => 'm', 'kind' => 'radial', 'feather' => 3, 'inverted' => true])->and($masks[0]['values'])->toMatchArray(['centre' => [5, 5], 'radius' => 10]);
    }
    expect(static fn () => Gestured::onto($scene, 'exchange-mask', ['strip' => 'a', 'mask' => 's']))->toThrow(SceneError::class, 'only linear and radial');
});
