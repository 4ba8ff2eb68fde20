<?php

declare(strict_types=1);

use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Scene\Scene;

function sceneArray(array $more = [], array $strip = []): array
{
    return [
        'aumbrel' => 1, 'title' => 'Night market', 'size' => [320, 200],
        'strips' => [['id' => 'b', 'kind' => 'plate', 'name' => 'Boardwalk', 'values' => ['picture' => 'boardwalk.png']], ['id' => 's', 'kind' => 'spot', 'values' => ['origin' => [1, 2], 'target' => [3, 40]], ...$strip]],
        ...$more,
    ];
}

it('comes back from its file as it went', function (): void {
    $scene = Scene::read(sceneArray(['white' => 5600], ['masks' => [['id' => 'm', 'kind' => 'linear', 'values' => ['from' => [0, 0], 'to' => [0, 10]]]]]), Registry::kinds());
    $again = Scene::fromJson($scene->toJson(), Registry::kinds());
    expect($again->toJson())->toBe($scene->toJson())->and($again->strips[1]->masks)->toHaveCount(1)->and($again->white)->toBe(5600.0);
});

it('keeps fields that it does not know', function (): void {
    $raw = sceneArray(['weather' => 'fog'], ['mood' => ['calm' => 1], 'values' => ['origin' => [1, 2], 'target' => [3, 40], 'flicker' => 0.2]]);
    $raw['strips'][1]['masks'] = [['id' => 'm', 'kind' => 'linear', 'hue' => 3, 'values' => ['from' => [0, 0], 'to' => [0, 10]]]];
    $back = json_decode(Scene::read($raw, Registry::kinds())->toJson(), true);
    expect($back['weather'])->toBe('fog')->and($back['strips'][1]['mood'])->toBe(['calm' => 1])
        ->and($back['strips'][1]['values']['flicker'])->toBe(0.2)->and($back['strips'][1]['masks'][0]['hue'])->toBe(3);
});

it('says what is wrong, and where', function (array $raw, string $field): void {
    try {
        Scene::read($raw, Registry::kinds());
        $this->fail('it was taken');
    } catch (SceneError $error) {
        expect($error->field)->toBe($field)->and($error->getMessage())->not->toContain('\\');
    }
})->with([
    'an unknown version' => [sceneArray(['aumbrel' => 3]), 'aumbrel'], 'a version that is no number' => [sceneArray(['aumbrel' => '1']), 'aumbrel'],
    'a source of no kind' => [sceneArray(['aumbrel' => 2, 'sources' => [['id' => 'lamp']]]), 'sources[0].kind'],
    'a source hung on itself' => [sceneArray(['aumbrel' => 2, 'sources' => [['id' => 'lamp', 'kind' => 'lamp', 'source' => 'lamp']]]), 'sources[0].source'],
    'two sources of one id' => [sceneArray(['aumbrel' => 2, 'sources' => [['id' => 'lamp', 'kind' => 'lamp'], ['id' => 'lamp', 'kind' => 'sun']]]), 'sources'],
    'a lamp that is not there' => [sceneArray(['aumbrel' => 2, 'strips' => [['id' => 'a', 'kind' => 'rim', 'source' => 'lamp']]]), 'strips'],
    'a spot on a sun' => [sceneArray(['aumbrel' => 2, 'sources' => [['id' => 'sun', 'kind' => 'sun']], 'strips' => [['id' => 'a', 'kind' => 'spot', 'source' => 'sun', 'values' => ['origin' => [0, 0], 'target' => [5, 5]]]]]), 'strips'],
    'a fill on a lamp' => [sceneArray(['aumbrel' => 2, 'sources' => [['id' => 'lamp', 'kind' => 'lamp']], 'strips' => [['id' => 'a', 'kind' => 'fill', 'source' => 'lamp']]]), 'strips[0].source'],
    'a floor above its horizon' => [sceneArray(['aumbrel' => 2, 'stage' => ['floor' => ['horizon' => 60, 'contact' => [[0, 40], [100, 40]]]]]), 'stage.floor.contact'],
    'a contact row that meets the horizon' => [sceneArray(['aumbrel' => 2, 'stage' => ['floor' => ['horizon' => 20, 'contact' => [[0, 80], [10, 60]]]]]), 'stage.floor.contact'],
    'a horizon that is no number' => [sceneArray(['aumbrel' => 2, 'stage' => ['floor' => ['horizon' => 'low', 'contact' => [[0, 80], [10, 80]]]]]), 'stage.floor.horizon'],
    'a square that folds over' => [sceneArray(['aumbrel' => 2, 'stage' => ['floor' => ['corners' => [[0, 50], [50, 90], [50, 50], [0, 90]]]]]), 'stage.floor.corners'],
    'a square seen from straight above' => [sceneArray(['aumbrel' => 2, 'stage' => ['floor' => ['corners' => [[10, 10], [50, 10], [50, 50], [10, 50]]]]]), 'stage.floor.corners'],
    'a wall in the sky' => [sceneArray(['aumbrel' => 2, 'stage' => ['floor' => ['horizon' => 20, 'contact' => [[0, 80], [10, 80]]], 'walls' => [['id' => 'w', 'foot' => [[0, 10], [50, 60]], 'height' => 30]]]]), 'stage.walls[0].foot'],
    'a foot line without a floor' => [sceneArray(['aumbrel' => 2, 'stage' => ['walls' => [['id' => 'w', 'foot' => [[0, 30], [50, 60]], 'height' => 30]]]]), 'stage.walls[0].foot'],
    'a focal length of nothing' => [sceneArray(['aumbrel' => 2, 'stage' => ['focal' => 0]]), 'stage.focal'],
    'cuts without end' => [sceneArray(['aumbrel' => 2, 'strips' => [['id' => 'a', 'kind' => 'spot-onto', 'values' => ['lamp' => [5, 5], 'target' => [5, 5], 'cuts' => array_fill(0, 5, ['from' => [0, 0], 'to' => [9, 9]])]]]]), 'strips[0].values.cuts'],
    'no version' => [['title' => 'x'], 'aumbrel'],
    'a size of zero' => [sceneArray(['size' => [0, 10]]), 'size'],
    'a huge size' => [sceneArray(['size' => [30000, 30000]]), 'size'],
    'a half pixel' => [sceneArray(['size' => [10.5, 10]]), 'size'],
    'an unknown kind' => [sceneArray([], ['kind' => 'candle']), 'strips[1].kind'],
    'an unknown mode' => [sceneArray([], ['mode' => 'glue']), 'strips[1].mode'],
    'a level in percent' => [sceneArray([], ['level' => 50]), 'strips[1].level'],
    'a level that is no number' => [sceneArray([], ['level' => NAN]), 'strips[1].level'],
    'an angle out of range' => [sceneArray([], ['values' => ['origin' => [0, 0], 'target' => [1, 1], 'beam' => 400]]), 'strips[1].values.beam'],
    'a missing point' => [sceneArray([], ['values' => ['origin' => [0, 0]]]), 'strips[1].values.target'],
    'a path instead of a name' => [sceneArray(['strips' => [['id' => 'b', 'kind' => 'plate', 'values' => ['picture' => '../secret.png']]]]), 'strips[0].values.picture'],
    'the same id twice' => [sceneArray(['strips' => [['id' => 'b', 'kind' => 'fill'], ['id' => 'b', 'kind' => 'fill']]]), 'strips'],
    'confined to a light' => [sceneArray([], ['confinedTo' => 's']), 'strips'],
    'a white too red' => [sceneArray(['white' => 1500]), 'white'],
    'a strip that is a word' => [sceneArray(['strips' => ['spot']]), 'strips[0]'],
]);

it('refuses what is no JSON', function (): void {
    expect(fn () => Scene::fromJson('{"aumbrel": 1,', Registry::kinds()))->toThrow(SceneError::class, 'JSON');
});

it('reads version 1 as before and writes version 2', function (): void {
    $raw = sceneArray([], ['values' => ['origin' => [10, 10], 'target' => [50, 50], 'reachLaw' => 'even']]);
    $written = json_decode(Scene::read($raw, Registry::kinds())->toJson(), true);
    expect($written['aumbrel'])->toBe(2)->and(json_encode($written))->toContain('"reachLaw":"constant"')->not->toContain('"even"');
    expect(json_decode(Scene::read($written, Registry::kinds())->toJson(), true))->toEqual($written);
});

it('keeps what a closed group says, of groups only', function (): void {
    $strips = Scene::read(sceneArray(['strips' => [['id' => 'g', 'kind' => 'group', 'closed' => true, 'mode' => 'multiply', 'strips' => []], ['id' => 'h', 'kind' => 'group', 'strips' => []]]]), Registry::kinds())->toArray()['strips'];
    expect($strips[0])->toMatchArray(['closed' => true, 'mode' => 'multiply'])->and($strips[1])->not->toHaveKey('closed');
});
