<?php

declare(strict_types=1);

use App\Gestures\ChangeStrip;
use App\Scenes\FlatScene;
use App\Scenes\UsedMasks;
use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Reading\Pictures;
use Tests\Support\Gestured;

/** One strip with two masks, and two that use the first of them. */
function usedScene(): FlatScene
{
    return FlatScene::fromDocument(['aumbrel' => 2, 'title' => 'U', 'size' => [40, 30], 'strips' => [
        ['id' => 'a', 'kind' => 'fill', 'name' => 'A', 'masks' => [['id' => 'm1', 'kind' => 'linear', 'feather' => 4, 'values' => ['from' => [0, 0], 'to' => [40, 0]]], ['id' => 'm2', 'kind' => 'strokes', 'join' => 'add', 'values' => []]]],
        ['id' => 'g', 'kind' => 'group', 'name' => 'G', 'strips' => [['id' => 'b', 'kind' => 'fill', 'name' => 'B', 'masks' => [['id' => 'u1', 'uses' => 'm1', 'inverted' => true]]]]],
        ['id' => 'c', 'kind' => 'fill', 'name' => 'C', 'masks' => [['id' => 'u2', 'uses' => 'm1', 'lets' => [20, 100]]]],
    ]])->normalised();
}

/** @return array<string, mixed> */
function maskNamed(FlatScene $scene, string $id): array
{
    return UsedMasks::find($scene, $id)[1];
}

$changed = static fn (FlatScene $scene, string $strip, array $masks): FlatScene => ChangeStrip::changed($scene, $strip, ['masks' => $masks], static fn (): Pictures => new Pictures([], []))->normalised();

it('finds nothing in common in masks that only bear the same name', function (): void {
    $own = fn (string $id): array => ['id' => $id, 'kind' => 'fill', 'name' => $id, 'masks' => [['id' => 'm', 'kind' => 'linear', 'values' => ['from' => [0, 0], 'to' => [40, 0]]]]];
    $scene = FlatScene::fromDocument(['aumbrel' => 2, 'title' => 'U', 'size' => [40, 30], 'strips' => [$own('a'), $own('b')]]);
    // as files from elsewhere may have them: each has a shape of its own
    expect(UsedMasks::users($scene, 'a'))->toBe(['a'])->and(UsedMasks::users($scene, 'b'))->toBe(['b']);
});

it('changes a shape wherever the hand takes hold of it, and what is its own there only', function () use ($changed): void {
    $scene = $changed(usedScene(), 'b', ['u1' => ['values' => ['to' => [20, 5]], 'feather' => 9, 'grow' => 3, 'inverted' => false, 'lets' => [0, 80]]]);
    expect(maskNamed($scene, 'm1'))->toMatchArray(['feather' => 9, 'grow' => 3, 'inverted' => false])->not->toHaveKey('lets')
        ->and(maskNamed($scene, 'm1')['values']['to'])->toEqual([20, 5])
        ->and(maskNamed($scene, 'u1'))->toMatchArray(['uses' => 'm1', 'inverted' => false, 'lets' => [0, 80]])->not->toHaveKey('values')
        ->and(maskNamed($scene, 'u2'))->toMatchArray(['lets' => [20, 100]]);
    expect(static fn () => $changed(usedScene(), 'b', ['m1' => ['inverted' => true]]))->toThrow(SceneError::class, 'no mask "m1" on this strip');
});

it('is on its own again with the shape that it had', function () use ($changed): void {
    $scene = $changed(usedScene(), 'c', ['u2' => ['uses' => null]]);
    expect(maskNamed($scene, 'u2'))->toMatchArray(['kind' => 'linear', 'feather' => 4, 'lets' => [20, 100]])->not->toHaveKey('uses');
    $after = $changed($scene, 'c', ['u2' => ['feather' => 1]]);
    expect(maskNamed($after, 'm1')['feather'])->toEqual(4)->and(maskNamed($after, 'u1')['uses'])->toBe('m1');
});

it('loses nothing when it is deleted in one place', function (string $gesture, array $asked): void {
    $before = usedScene();
    $after = UsedMasks::inherited($before, Gestured::onto($before, $gesture, $asked))->normalised();
    expect(maskNamed($after, 'u1'))->toMatchArray(['kind' => 'linear', 'feather' => 4, 'inverted' => true])->not->toHaveKey('uses')
        ->and(maskNamed($after, 'u2'))->toMatchArray(['uses' => 'u1', 'lets' => [20, 100]]);
})->with([
    'the mask' => ['remove-mask', ['strip' => 'a', 'mask' => 'm1']], 'its strip' => ['remove-strip', ['strip' => 'a']], 'replaced by other ones' => ['take-masks', ['strip' => 'a', 'from' => 'c', 'complement' => true]],
]);

it('leaves the others alone when one that uses it goes', function (): void {
    $before = usedScene();
    $after = UsedMasks::inherited($before, Gestured::onto($before, 'remove-strip', ['strip' => 'g']))->normalised();
    expect(maskNamed($after, 'm1')['feather'])->toEqual(4)->and(maskNamed($after, 'u2')['uses'])->toBe('m1')->and(UsedMasks::users($after, 'c'))->toBe(['a', 'c'])->and(UsedMasks::users(usedScene(), 'a'))->toBe(['a', 'b', 'c']);
});

it('is put on another strip too, or copied with a shape of its own', function (): void {
    $same = Gestured::onto(usedScene(), 'take-masks', ['strip' => 'c', 'from' => 'a', 'same' => true])->normalised()->strip('c')['masks'];
    expect(array_column($same, 'uses'))->toBe(['m1', 'm2'])->and($same[1]['join'])->toBe('add');
    // of one that uses another itself, the other one's
    $on = Gestured::onto(usedScene(), 'take-masks', ['strip' => 'c', 'from' => 'b', 'same' => true])->normalised()->strip('c')['masks'];
    expect($on[0])->toMatchArray(['uses' => 'm1', 'inverted' => true]);
    $copied = Gestured::onto(usedScene(), 'take-masks', ['strip' => 'c', 'from' => 'b'])->normalised()->strip('c')['masks'];
    expect($copied[0])->toMatchArray(['kind' => 'linear', 'inverted' => true, 'feather' => 4])->not->toHaveKey('uses');
});

it('is shared among copies where both are copied, and with the first where one is', function (): void {
    $one = Gestured::onto(usedScene(), 'duplicate', ['strip' => 'c'])->normalised();
    expect(array_values(array_filter($one->strips, static fn (array $strip): bool => $strip['name'] === 'C 2'))[0]['masks'][0]['uses'])->toBe('m1');
    $held = Gestured::onto(usedScene(), 'hold-together', ['strips' => ['a', 'c']])->normalised();
    $group = array_key_first(array_filter($held->strips, static fn (array $strip): bool => $strip['name'] === 'Group'));
    $both = Gestured::onto($held, 'duplicate', ['strip' => $group])->normalised();
    $named = array_column($both->strips, null, 'name');
    expect($named['C 2']['masks'][0]['uses'])->toBe($named['A 2']['masks'][0]['id'])->and($named['C']['masks'][0]['uses'])->toBe('m1');
});

it('names the copy of a strip whose brightness it takes', function (): void {
    $scene = FlatScene::fromDocument(['aumbrel' => 2, 'title' => 'U', 'size' => [40, 30], 'strips' => [['id' => 'g', 'kind' => 'group', 'name' => 'G', 'strips' => [
        ['id' => 'lamp', 'kind' => 'fill', 'name' => 'Lamp'], ['id' => 'lit', 'kind' => 'fill', 'name' => 'Lit', 'masks' => [['id' => 'm', 'kind' => 'brightness', 'values' => ['of' => 'lamp']]]],
    ]]]])->normalised();
    $named = array_column(Gestured::onto($scene, 'duplicate', ['strip' => 'g'])->normalised()->strips, null, 'name');
    expect($named['Lit 2']['masks'][0]['values']['of'])->toBe($named['Lamp 2']['id']);
});
