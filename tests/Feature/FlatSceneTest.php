<?php

declare(strict_types=1);

use App\Scenes\FlatScene;
use Aumbrel\Core\Fault\SceneError;
use Tests\Support\Gestured;

/** A group with two fills in it, between a fill below and one above. */
function nested(): FlatScene
{
    $fill = fn (string $id): array => ['id' => $id, 'kind' => 'fill', 'name' => strtoupper($id)];

    return FlatScene::fromDocument(['aumbrel' => 1, 'title' => 'Nested', 'size' => [10, 10], 'strips' => [
        $fill('low'), ['id' => 'held', 'kind' => 'group', 'name' => 'Held', 'strips' => [$fill('one'), $fill('two')]], $fill('high'),
    ]])->normalised();
}

/** @return list<string> */
function order(FlatScene $scene): array
{
    return array_map(fn (array $place): string => $place[0].($place[1] === null ? '' : " in {$place[1]}"), $scene->order);
}

it('lays a scene out flat and nests it again', function (): void {
    $flat = nested();
    expect(order($flat))->toBe(['low', 'held', 'one in held', 'two in held', 'high'])->and(array_keys($flat->strips))->toBe(['low', 'held', 'one', 'two', 'high']);
    expect(FlatScene::fromDocument($flat->toDocument()))->toEqual($flat);
    expect(array_column($flat->toDocument()['strips'][1]['strips'], 'id'))->toBe(['one', 'two']);
});

it('tells the difference of two scenes, and goes along it both ways', function (Closure $change): void {
    $before = nested();
    $after = $change($before)->normalised();
    $difference = $before->differenceTo($after);
    expect($before->with($difference['after']))->toEqual($after)->and($after->with($difference['before']))->toEqual($before);
})->with([
    'a title' => [fn (FlatScene $scene) => $scene->with(['scene' => ['title' => 'Other']])],
    'a fader' => [fn (FlatScene $scene) => Gestured::onto($scene, 'change-strip', ['strip' => 'two', 'amount' => 40])],
    'an order' => [fn (FlatScene $scene) => Gestured::onto($scene, 'reorder', ['strips' => ['high', 'low', 'held', 'two', 'one']])],
    'a new strip' => [fn (FlatScene $scene) => Gestured::onto($scene, 'add-strip', ['kind' => 'spot', 'centre' => [5, 5], 'span' => 10, 'above' => 'low'])],
    'a strip less' => [fn (FlatScene $scene) => Gestured::onto($scene, 'remove-strip', ['strip' => 'one'])],
    'a group less' => [fn (FlatScene $scene) => Gestured::onto($scene, 'remove-strip', ['strip' => 'held'])],
    'a mask' => [fn (FlatScene $scene) => Gestured::onto($scene, 'add-mask', ['strip' => 'high', 'kind' => 'radial', 'centre' => [5, 5], 'span' => 10])],
]);

it('sees no difference where there is none', function (): void {
    expect(nested()->differenceTo(nested()))->toBeNull()->and(nested()->differenceTo(Gestured::onto(nested(), 'change-strip', ['strip' => 'low', 'amount' => 100])->normalised()))->toBeNull();
});

it('names only what has changed', function (): void {
    $difference = nested()->differenceTo(Gestured::onto(nested(), 'change-strip', ['strip' => 'two', 'name' => 'Second', 'mode' => 'screen'])->normalised());
    expect(array_keys($difference['after']))->toBe(['strips'])->and(array_keys($difference['after']['strips']))->toBe(['two'])->and($difference['before']['strips']['two']['name'])->toBe('TWO');
});

it('inserts beside its neighbour, in the same group', function (): void {
    $scene = nested()->inserted(['id' => 'new', 'kind' => 'fill'], 'one');
    expect(order($scene))->toBe(['low', 'held', 'one in held', 'new in held', 'two in held', 'high']);
    expect(order(nested()->inserted(['id' => 'new', 'kind' => 'fill'], null)))->toBe(['low', 'held', 'one in held', 'two in held', 'high', 'new']);
});

it('takes a group out with what it holds', function (): void {
    expect(order(Gestured::onto(nested(), 'remove-strip', ['strip' => 'held'])))->toBe(['low', 'high']);
});

it('finds free names', function (): void {
    $scene = nested();
    expect($scene->freeName('LOW'))->toBe('LOW 2')->and($scene->freeName('Lamp'))->toBe('Lamp');
    $scene = $scene->inserted(['id' => 'x', 'kind' => 'fill', 'name' => 'LOW 2'], null);
    expect($scene->freeName('LOW 2'))->toBe('LOW 3');
});

it('refuses edits of what is not there', function (Closure $edit): void {
    expect(fn () => $edit(nested()))->toThrow(SceneError::class);
})->with([
    [fn (FlatScene $scene) => Gestured::onto($scene, 'change-strip', ['strip' => 'gone', 'amount' => 1])], [fn (FlatScene $scene) => Gestured::onto($scene, 'change-strip', ['strip' => 'low', 'masks' => ['gone' => []]])],
    [fn (FlatScene $scene) => Gestured::onto($scene, 'change-strip', ['strip' => 'low', 'values' => 'blue'])], [fn (FlatScene $scene) => Gestured::onto($scene, 'duplicate', ['strip' => 'gone'])],
    [fn (FlatScene $scene) => Gestured::onto($scene, 'add-mask', ['strip' => 'low', 'kind' => 'square', 'centre' => [0, 0], 'span' => 1])],
    [fn (FlatScene $scene) => Gestured::onto($scene, 'reorder', ['strips' => ['low', 'held', 'one', 'two', 'two']])], [fn (FlatScene $scene) => Gestured::onto($scene, 'add-strip', ['kind' => 'candle', 'centre' => [0, 0], 'span' => 1, 'above' => null])],
]);
