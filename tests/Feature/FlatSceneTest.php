<?php

declare(strict_types=1);

use App\Scenes\FlatScene;
use App\Scenes\StripEdits;
use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Geometry\Point;

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
    'a fader' => [fn (FlatScene $scene) => StripEdits::change($scene, 'two', ['amount' => 40])],
    'an order' => [fn (FlatScene $scene) => StripEdits::reorder($scene, ['high', 'low', 'held', 'two', 'one'])],
    'a new strip' => [fn (FlatScene $scene) => StripEdits::fresh($scene, 'spot', new Point(5, 5), 10, 'low')],
    'a strip less' => [fn (FlatScene $scene) => StripEdits::remove($scene, 'one')],
    'a group less' => [fn (FlatScene $scene) => StripEdits::remove($scene, 'held')],
    'a mask' => [fn (FlatScene $scene) => StripEdits::addMask($scene, 'high', 'radial', new Point(5, 5), 10)],
]);

it('sees no difference where there is none', function (): void {
    expect(nested()->differenceTo(nested()))->toBeNull()->and(nested()->differenceTo(StripEdits::change(nested(), 'low', ['amount' => 100])->normalised()))->toBeNull();
});

it('names only what has changed', function (): void {
    $difference = nested()->differenceTo(StripEdits::change(nested(), 'two', ['name' => 'Second', 'mode' => 'screen'])->normalised());
    expect(array_keys($difference['after']))->toBe(['strips'])->and(array_keys($difference['after']['strips']))->toBe(['two'])->and($difference['before']['strips']['two']['name'])->toBe('TWO');
});

it('inserts beside its neighbour, in the same group', function (): void {
    $scene = StripEdits::insert(nested(), ['id' => 'new', 'kind' => 'fill'], 'one');
    expect(order($scene))->toBe(['low', 'held', 'one in held', 'new in held', 'two in held', 'high']);
    expect(order(StripEdits::insert(nested(), ['id' => 'new', 'kind' => 'fill'], null)))->toBe(['low', 'held', 'one in held', 'two in held', 'high', 'new']);
});

it('takes a group out with what it holds', function (): void {
    expect(order(StripEdits::remove(nested(), 'held')))->toBe(['low', 'high']);
});

it('finds free names', function (): void {
    $scene = nested();
    expect(StripEdits::freeName($scene, 'LOW'))->toBe('LOW 2')->and(StripEdits::freeName($scene, 'Lamp'))->toBe('Lamp');
    $scene = StripEdits::insert($scene, ['id' => 'x', 'kind' => 'fill', 'name' => 'LOW 2'], null);
    expect(StripEdits::freeName($scene, 'LOW 2'))->toBe('LOW 3');
});

it('refuses edits of what is not there', function (Closure $edit): void {
    expect(fn () => $edit(nested()))->toThrow(SceneError::class);
})->with([
    [fn (FlatScene $scene) => StripEdits::change($scene, 'gone', ['amount' => 1])], [fn (FlatScene $scene) => StripEdits::change($scene, 'low', ['masks' => ['gone' => []]])],
    [fn (FlatScene $scene) => StripEdits::change($scene, 'low', ['values' => 'blue'])], [fn (FlatScene $scene) => StripEdits::duplicate($scene, 'gone')],
    [fn (FlatScene $scene) => StripEdits::duplicate($scene, 'held')], [fn (FlatScene $scene) => StripEdits::addMask($scene, 'low', 'square', new Point(0, 0), 1)],
    [fn (FlatScene $scene) => StripEdits::reorder($scene, ['low', 'held', 'one', 'two', 'two'])], [fn (FlatScene $scene) => StripEdits::fresh($scene, 'torch', new Point(0, 0), 1, null)],
]);
