<?php

declare(strict_types=1);

use Tests\Support\PictureFile;

/** @return array{head: array<string, mixed>, pixels: string} */
function unframed(string $reply): array
{
    return framesOf($reply)[0];
}

function look(array $scene, array $more = []): Illuminate\Testing\TestResponse
{
    return test()->postJson("/api/scenes/{$scene['id']}/picture", ['view' => 'v', 'number' => 1, 'draft' => false, 'window' => [0, 0, 64, 40], 'scale' => 1, ...$more]);
}

it('renders what is looked at, without render processes too', function (): void {
    $scene = aScene();
    $reply = unframed(look($scene)->assertOk()->getContent());
    expect($reply['head'])->toMatchArray(['columns' => 64, 'rows' => 40])->and(strlen($reply['pixels']))->toBe(64 * 40 * 4)
        ->and(array_values(unpack('C4', $reply['pixels'])))->toBe(PictureFile::colour(0, 0));
    $half = unframed(look($scene, ['scale' => 0.5, 'window' => [16, 8, 32, 16]])->getContent());
    expect($half['head'])->toMatchArray(['columns' => 16, 'rows' => 8]);
});

it('shows a change before it is written, with the lines that belong to it', function (): void {
    $scene = addSpot(aScene());
    $spot = $scene['strips'][1]['id'];
    $was = unframed(look($scene)->getContent());
    $draft = unframed(look($scene, ['draft' => true, 'changes' => [$spot => ['level' => 3, 'values' => ['beam' => 40]]], 'below' => $spot])->getContent());
    expect($draft['pixels'])->not->toBe($was['pixels'])->and($draft['head']['outlines'][$spot]['beam'])->not->toEqual($scene['strips'][1]['outlines']['beam']);
    expect($this->getJson("/api/scenes/{$scene['id']}")->json('strips.1.level'))->toBe(0);
});

it('looks at the scene before it was lit, and at one light alone', function (): void {
    $plain = aScene();
    $bare = unframed(look($plain)->getContent())['pixels'];
    $scene = addSpot(addSpot($plain));
    expect(unframed(look($scene, ['before' => true])->getContent())['pixels'])->toBe($bare);
    $one = unframed(look($scene, ['solo' => [$scene['strips'][1]['id']]])->getContent())['pixels'];
    expect($one)->not->toBe($bare)->not->toBe(unframed(look($scene)->getContent())['pixels']);
});

it('looks at a mask alone, in grey', function (): void {
    $scene = addSpot(aScene());
    $scene = $this->postJson("/api/scenes/{$scene['id']}/gestures/add-mask", ['strip' => $scene['strips'][1]['id'], 'kind' => 'linear', 'centre' => [32, 20], 'span' => 80])->json();
    $mask = $scene['strips'][1]['masks'][0]['id'];
    $pixels = unframed(look($scene, ['mask' => $mask])->assertOk()->getContent())['pixels'];
    $at = fn (int $row): array => array_values(unpack('C3', substr($pixels, $row * 64 * 4, 3)));
    // from 0 at the top to 40 at the bottom
    expect($at(0))->toBe([252, 252, 252])->and($at(39))->toBe([3, 3, 3]);
    look($scene, ['mask' => 'none'])->assertStatus(422)->assertJsonPath('field', 'mask');
});

it('gives the contribution of every strip', function (): void {
    $scene = addSpot(aScene());
    $reply = unframed($this->postJson("/api/scenes/{$scene['id']}/contributions")->assertOk()->getContent());
    expect($reply['head']['strips'])->toBe(array_column($scene['strips'], 'id'))->and(strlen($reply['pixels']))->toBe(2 * $reply['head']['columns'] * $reply['head']['rows'] * 4);
});

it('refuses windows that cannot be', function (array $look, string $field): void {
    look(aScene(), $look)->assertStatus(422)->assertJsonValidationErrorFor($field);
})->with([
    [['window' => [0, 0, 0, 40]], 'window'], [['window' => [0, 0, 64]], 'window'], [['window' => [0, 0, 100000, 100000]], 'window'],
    [['scale' => 0], 'scale'], [['scale' => 'large'], 'scale'], [['number' => -1], 'number'], [['view' => str_repeat('x', 99)], 'view'],
]);

it('says which change cannot be shown', function (): void {
    $scene = addSpot(aScene());
    look($scene, ['changes' => [$scene['strips'][1]['id'] => ['level' => 9]]])->assertStatus(422)->assertJsonPath('field', 'strips[1].level');
    look($scene, ['changes' => ['gone' => ['level' => 1]]])->assertStatus(422)->assertJsonPath('field', 'strip');
});
