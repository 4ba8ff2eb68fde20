<?php

declare(strict_types=1);

use App\Render\Look;
use App\Scenes\FlatScene;
use Aumbrel\Core\Fault\SceneError;

/* Ways of looking at a scene without changing it: which strips are seen, which are left out. */

/** Two plates, a light on each, a group with a light and a grade in it, a fill above all; ids of digits among them. */
function lookedAt(): FlatScene
{
    $strip = fn (string $id, string $kind, array $more = []): array => ['id' => $id, 'kind' => $kind, 'name' => $id, ...$more];

    return new FlatScene(['title' => 'x', 'size' => [10, 10]], [['ground', null], ['1', null], ['g', null], ['in', 'g'], ['22', 'g'], ['heron', null], ['fill', null]], [
        'ground' => $strip('ground', 'plate', ['masks' => [['id' => 'cut', 'kind' => 'outline', 'on' => 'plate'], ['id' => 'fall', 'kind' => 'linear', 'on' => 'scene', 'off' => true, 'inverted' => true]]]),
        '1' => $strip('1', 'spot'), 'g' => $strip('g', 'group'), 'in' => $strip('in', 'spot', ['muted' => true]), '22' => $strip('22', 'base'),
        'heron' => $strip('heron', 'plate', ['confinedTo' => 'ground', 'amount' => 40, 'values' => ['picture' => 'h.png', 'grow' => 3, 'unstain' => 50]]), 'fill' => $strip('fill', 'fill'),
    ]);
}

/** @return list<string> the strips that can be seen */
function seenIn(FlatScene $scene): array
{
    return array_values(array_map(strval(...), array_keys(array_filter($scene->strips, fn (array $strip): bool => ($strip['muted'] ?? false) === false))));
}

it('shows the scene as it is when nothing is asked', function (): void {
    $scene = lookedAt();
    expect((new Look(false, []))->at($scene))->toBe($scene);
});

it('shows the plates alone before anything was lit, and leaves what is muted out', function (): void {
    expect(seenIn((new Look(true, []))->at(lookedAt())))->toBe(['ground', 'g', 'heron']);
});

it('shows one light over the plates', function (string $id, array $seen): void {
    expect(seenIn((new Look(false, [$id]))->at(lookedAt())))->toBe($seen);
})->with([['1', ['ground', '1', 'heron']], ['fill', ['ground', 'heron', 'fill']], ['22', ['ground', 'g', '22', 'heron']], ['g', ['ground', 'g', '22', 'heron']]]);

it('shows a plate alone when it is one of those asked for', function (): void {
    expect(seenIn((new Look(false, ['heron']))->at(lookedAt())))->toBe(['heron'])->and(seenIn((new Look(false, ['heron', '1']))->at(lookedAt())))->toBe(['1', 'heron']);
    // one that is gone shows nothing but the plates
    expect(seenIn((new Look(false, ['gone']))->at(lookedAt())))->toBe(['ground', 'heron']);
});

it('lays a tint over what a cut-out takes away', function (): void {
    $tinted = (new Look(false, [], tint: 'heron'))->at(lookedAt());
    expect(array_column($tinted->order, 0))->toBe(['whole', 'tint', 'hatching', 'cut'])->and($tinted->strips['whole']['values'])->toMatchArray(['grow' => 0, 'unstain' => 0, 'picture' => 'h.png'])
        ->and($tinted->strips['whole'])->not->toHaveKey('confinedTo')->toMatchArray(['amount' => 100, 'masks' => []])->and($tinted->strips['cut']['values'])->toMatchArray(['grow' => 3, 'unstain' => 50])
        ->and($tinted->strips['tint']['confinedTo'])->toBe('whole');
    // only what cuts it out, not what shapes its falloff
    expect(array_column((new Look(false, [], tint: 'ground'))->at(lookedAt())->strips['cut']['masks'], 'id'))->toBe(['cut']);
    foreach (['1', 'g', 'gone'] as $none) {
        expect(fn () => (new Look(false, [], tint: $none))->at(lookedAt()))->toThrow(SceneError::class, 'only a plate');
    }
});
