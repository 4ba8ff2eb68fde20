<?php

declare(strict_types=1);

use App\Scenes\FlatScene;
use Aumbrel\Core\Fault\SceneError;
use Tests\Support\Gestured;

/** A backdrop, a group of two, and three strips above it. */
function groupScene(): FlatScene
{
    return FlatScene::fromDocument(['aumbrel' => 2, 'title' => 'G', 'size' => [40, 30], 'strips' => [
        ['id' => 'ground', 'kind' => 'fill', 'name' => 'Ground'],
        ['id' => 'g', 'kind' => 'group', 'name' => 'Two', 'amount' => 60, 'strips' => [
            ['id' => 'plate', 'kind' => 'plate', 'name' => 'Plate', 'values' => ['picture' => 'p']], ['id' => 'rim', 'kind' => 'rim', 'name' => 'Rim', 'confinedTo' => 'plate', 'values' => ['of' => 'plate'], 'masks' => [['id' => 'm', 'kind' => 'linear', 'values' => ['from' => [0, 0], 'to' => [9, 9]]]]],
        ]],
        ['id' => 'a', 'kind' => 'fill', 'name' => 'A'], ['id' => '7', 'kind' => 'fill', 'name' => 'B'], ['id' => 'c', 'kind' => 'fill', 'name' => 'C'],
    ]])->normalised();
}

/** @return list<mixed> names, those that a group holds in a list behind its name */
function namesOnDesk(FlatScene $scene): array
{
    $walk = static function (array $strips) use (&$walk): array {
        $names = [];
        foreach ($strips as $strip) {
            $names[] = $strip['name'];
            $names = isset($strip['strips']) ? [...$names, $walk($strip['strips'])] : $names;
        }

        return $names;
    };

    return $walk($scene->normalised()->toDocument()['strips']);
}

it('holds strips together where the foremost of them is, groups in groups too', function (): void {
    expect(namesOnDesk(Gestured::onto(groupScene(), 'hold-together', ['strips' => ['7', 'ground']])))->toBe(['Two', ['Plate', 'Rim'], 'A', 'Group', ['Ground', 'B'], 'C']);
    $both = Gestured::onto(groupScene(), 'hold-together', ['strips' => ['a', 'g', 'rim']]);
    // what a chosen group holds comes along with that
    expect(namesOnDesk($both))->toBe(['Ground', 'Group', ['Two', ['Plate', 'Rim'], 'A'], 'B', 'C']);
    // in a group: the new one stays in it
    expect(namesOnDesk(Gestured::onto(groupScene(), 'hold-together', ['strips' => ['rim']])))->toBe(['Ground', 'Two', ['Plate', 'Group', ['Rim']], 'A', 'B', 'C']);
    expect(fn () => Gestured::onto(groupScene(), 'hold-together', ['strips' => ['gone']]))->toThrow(SceneError::class, 'no strip');
});

it('takes a group apart, and what it held stays where it was', function (): void {
    $both = Gestured::onto(groupScene(), 'hold-together', ['strips' => ['a', 'g']]);
    expect(namesOnDesk(Gestured::onto($both, 'take-apart', ['strip' => 'g'])))->toBe(['Ground', 'Group', ['Plate', 'Rim', 'A'], 'B', 'C']);
    expect(namesOnDesk(Gestured::onto(groupScene(), 'take-apart', ['strip' => 'g'])))->toBe(['Ground', 'Plate', 'Rim', 'A', 'B', 'C']);
    expect(fn () => Gestured::onto(groupScene(), 'take-apart', ['strip' => 'a']))->toThrow(SceneError::class, 'only a group');
});

it('carries strips into groups and out of them, but none into itself', function (): void {
    $carried = static fn (array $order, string $strip, ?string $into): array => namesOnDesk(Gestured::onto(groupScene(), 'reorder', ['strips' => $order, 'carried' => $strip, 'into' => $into]));
    expect($carried(['ground', 'g', 'plate', 'c', 'rim', 'a', '7'], 'c', 'g'))->toBe(['Ground', 'Two', ['Plate', 'C', 'Rim'], 'A', 'B'])
        ->and($carried(['ground', 'g', 'plate', 'a', 'rim', '7', 'c'], 'rim', null))->toBe(['Ground', 'Two', ['Plate'], 'A', 'Rim', 'B', 'C']);
    expect(fn () => $carried(['ground', 'g', 'plate', 'rim', 'a', '7', 'c'], 'g', 'g'))->toThrow(SceneError::class, 'held by itself');
    $both = Gestured::onto(groupScene(), 'hold-together', ['strips' => ['a', 'g']]);
    $outer = array_key_last($both->strips);
    expect(fn () => Gestured::onto($both, 'reorder', ['strips' => array_column($both->order, 0), 'carried' => (string) $outer, 'into' => 'g']))->toThrow(SceneError::class, 'held by itself');
    expect(fn () => $carried(['ground', 'g', 'plate', 'rim', 'a', '7', 'c'], 'c', 'a'))->toThrow(SceneError::class, 'only a group');
});

it('duplicates a group with all that it holds, which then belongs together', function (): void {
    $shadow = groupScene()->insertedInto(['id' => 'shadow', 'kind' => 'cast', 'name' => 'Shadow', 'values' => ['of' => ['plate', 'ground']]], 'g');
    $twice = Gestured::onto($shadow, 'duplicate', ['strip' => 'g']);
    expect(namesOnDesk($twice))->toBe(['Ground', 'Two', ['Plate', 'Rim', 'Shadow'], 'Two 2', ['Plate 2', 'Rim 2', 'Shadow 2'], 'A', 'B', 'C']);
    $byName = array_column($twice->strips, null, 'name');
    expect($byName['Rim 2']['confinedTo'])->toBe($byName['Plate 2']['id'])->and($byName['Rim 2']['values']['of'])->toBe($byName['Plate 2']['id'])->and($byName['Shadow 2']['values']['of'])->toBe([$byName['Plate 2']['id'], 'ground'])->and($byName['Rim']['confinedTo'])->toBe('plate')->and($byName['Two 2']['amount'])->toEqual(60)
        ->and($byName['Rim 2']['masks'][0]['id'])->not->toBe('m');
});

it('holds what a group yields until something in it is touched', function (): void {
    $scene = $this->postJson('/api/scenes', ['file' => Tests\Support\PictureFile::png(60, 40)])->assertCreated()->json();
    $url = "/api/scenes/{$scene['id']}";
    $state = $this->postJson("{$url}/gestures/add-strip", ['kind' => 'spot', 'centre' => [30, 20], 'span' => 30])->assertOk()->json();
    $spot = $state['strips'][1]['id'];
    $state = $this->postJson("{$url}/gestures/hold-together", ['strips' => [$spot]])->assertOk()->json();
    $group = $state['strips'][1];
    $change = fn (array $strip, array $fields): array => test()->postJson("{$url}/gestures/change-strip", ['strip' => $strip['id'], 'revision' => $strip['revision'], ...$fields])->assertOk()->json();
    $held = $change($group, ['held' => true]);
    expect($held['strips'][1]['held'])->toBeTrue();
    // its own fader is not what it holds
    $faded = $change($held['strips'][1], ['amount' => 50]);
    expect($faded['strips'][1]['held'])->toBeTrue();
    $touched = $change($faded['strips'][1]['strips'][0], ['level' => 1]);
    expect($touched['strips'][1])->not->toHaveKey('held')->and($this->postJson("{$url}/undo")->json('strips.1.held'))->toBeTrue();
    // what is not in it may be touched
    $plate = $this->getJson($url)->json('strips.0');
    expect($change($plate, ['values' => ['exposure' => 0.5]])['strips'][1]['held'])->toBeTrue();
});
