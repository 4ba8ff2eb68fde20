<?php

declare(strict_types=1);

use App\Scenes\FlatScene;
use Aumbrel\Core\Fault\SceneError;
use Tests\Support\Gestured;

/** One strip with three masks of which one is off, one that falls where it does not, one with a cut of its own, and one without any. */
function maskedScene(): FlatScene
{
    $across = ['kind' => 'linear', 'values' => ['from' => [0, 0], 'to' => [40, 0]]];

    return FlatScene::fromDocument(['aumbrel' => 2, 'title' => 'M', 'size' => [40, 30], 'strips' => [
        ['id' => 'lit', 'kind' => 'fill', 'name' => 'Lit', 'masks' => [
            ['id' => 'm1', ...$across, 'feather' => 3, 'lets' => [20, 100]], ['id' => 'm2', ...$across, 'off' => true], ['id' => 'm3', 'kind' => 'strokes', 'join' => 'add', 'values' => ['start' => 'hidden']],
        ]],
        ['id' => 'rest', 'kind' => 'fill', 'name' => 'Rest', 'complements' => 'lit'],
        ['id' => 'plate', 'kind' => 'plate', 'name' => 'Plate', 'values' => ['picture' => 'p'], 'masks' => [['id' => 'cut', 'kind' => 'strokes', 'on' => 'plate', 'values' => []], ['id' => 'own', ...$across]]],
        ['id' => 'plain', 'kind' => 'fill', 'name' => 'Plain'],
    ]])->normalised();
}

/** @return list<array<string, mixed>> the masks of a strip, without their ids */
function masksAfter(array $asked, string $strip): array
{
    return array_map(static fn (array $mask): array => array_intersect_key($mask, array_flip(['kind', 'on', 'join', 'inverted', 'off', 'feather', 'lets'])), Gestured::onto(maskedScene(), 'take-masks', $asked)->normalised()->strip($strip)['masks']);
}

it('copies a falloff in place of another one, and leaves cut-outs alone', function (): void {
    $masks = masksAfter(['strip' => 'plate', 'from' => 'lit'], 'plate');
    expect(array_column($masks, 'on'))->toBe(['plate', 'scene', 'scene', 'scene'])->and($masks[1]['feather'])->toEqual(3)->and($masks[2]['off'])->toBeTrue();
    $scene = Gestured::onto(maskedScene(), 'take-masks', ['strip' => 'plate', 'from' => 'lit']);
    $ids = array_merge(array_column($scene->strip('plate')['masks'], 'id'), array_column($scene->strip('lit')['masks'], 'id'));
    expect(array_unique($ids))->toBe($ids)->and($ids[0])->toBe('cut')->and(in_array('own', $ids, true))->toBeFalse();
});

it('turns a falloff into what it leaves, density and all; twice is once back', function (): void {
    $left = masksAfter(['strip' => 'lit', 'from' => 'lit', 'complement' => true], 'lit');
    expect($left[0])->toMatchArray(['join' => 'intersect', 'inverted' => true, 'feather' => 3, 'lets' => [0, 80]])
        ->and($left[1])->toMatchArray(['off' => true, 'inverted' => false])
        ->and($left[2])->toMatchArray(['join' => 'intersect', 'inverted' => true]);
    $once = Gestured::onto(maskedScene(), 'take-masks', ['strip' => 'lit', 'from' => 'lit', 'complement' => true])->normalised();
    expect(array_column($once->strip('lit')['masks'], 'id'))->toBe(['m1', 'm2', 'm3']);
    $back = Gestured::onto($once, 'take-masks', ['strip' => 'lit', 'from' => 'lit', 'complement' => true])->normalised();
    expect($back->strip('lit')['masks'])->toEqual(maskedScene()->strip('lit')['masks']);
    // of another strip: what that one leaves, as a copy
    expect(masksAfter(['strip' => 'plain', 'from' => 'lit', 'complement' => true], 'plain'))->toEqual($left);
});

it('takes what falls on the other side of a line as masks, and lets go of a line', function (): void {
    expect(masksAfter(['strip' => 'plain', 'from' => 'rest'], 'plain')[0])->toMatchArray(['inverted' => true, 'lets' => [0, 80]]);
    $scene = Gestured::onto(maskedScene(), 'take-masks', ['strip' => 'rest', 'from' => 'plate']);
    expect($scene->strip('rest'))->not->toHaveKey('complements')->and($scene->strip('rest')['masks'])->toHaveCount(1);
});

it('says what cannot be taken', function (array $asked, string $why): void {
    expect(fn () => Gestured::onto(maskedScene(), 'take-masks', $asked))->toThrow(SceneError::class, $why);
})->with([
    'nothing there' => [['strip' => 'lit', 'from' => 'plain'], '"Plain" has no falloff'],
    'nothing to turn' => [['strip' => 'plain', 'from' => 'plain', 'complement' => true], '"Plain" has no falloff'],
    'of itself' => [['strip' => 'lit', 'from' => 'lit'], 'its own falloff already'],
    'of nobody' => [['strip' => 'lit', 'from' => 'gone'], 'no strip'],
]);
