<?php

declare(strict_types=1);

use Tests\Support\PictureFile;

/* A plate's own light, from the routes on. */

/** A wall with a ball on it that is lit from the left; a lamp stands on the right. */
function litFromTheLeft(): array
{
    $scene = test()->postJson('/api/scenes', ['file' => PictureFile::drawn('wall.png', 300, 200, fn (int $x, int $y): array => [60, 60, 70, 1.0])])->assertCreated()->json();
    $ball = PictureFile::drawn('ball.png', 120, 120, function (int $x, int $y): array {
        [$u, $v] = [($x - 59.5) / 52, (59.5 - $y) / 52];
        $square = $u * $u + $v * $v;
        $grey = (int) round(255 * (0.1 + 0.6 * max(0.0, -0.8 * $u + 0.3 * $v + sqrt(0.27) * sqrt(max(0, 1 - $square)))) ** (1 / 2.2));

        return [$grey, $grey, $grey, $square < 1 ? 1.0 : 0.0];
    });

    return test()->postJson("/api/scenes/{$scene['id']}/plates", ['file' => $ball, 'x' => 120, 'y' => 100])->assertCreated()->json();
}

it('is read, exchanged in one step, and comes back', function (): void {
    $scene = litFromTheLeft();
    [$url, $id] = ["/api/scenes/{$scene['id']}", $scene['strips'][1]['id']];
    $this->getJson("{$url}/plates/{$id}/own-light")->assertOk()->assertJsonPath('found', null)->assertJsonPath('why', 'It is not known where its light comes from: estimate its bearing, or set it by hand.');
    $this->postJson("{$url}/gestures/relight", ['strip' => $id])->assertStatus(422);
    $this->postJson("{$url}/gestures/estimate-bearing", ['strip' => $id])->assertOk();
    // nothing says where the light is to come from
    $this->postJson("{$url}/gestures/relight", ['strip' => $id])->assertStatus(422)->assertSee('place a source');
    $this->postJson("{$url}/gestures/place-source", ['kind' => 'lamp', 'at' => [290, 60]])->assertOk();
    $found = $this->getJson("{$url}/plates/{$id}/own-light")->assertOk()->json('found');
    expect($found['isRead'])->toBeTrue()->and($found['ambient'])->toEqualWithDelta(0.15, 0.06)->and($found['explained'])->toBeGreaterThan(0.7)->and($found['clipped'])->toEqual(0.0)
        // mirrored it would do as well
        ->and($found['mirrored'])->toBeLessThan(25.0);
    $relit = $this->postJson("{$url}/gestures/relight", ['strip' => $id])->assertOk()->json();
    [$plate, $light] = [$relit['strips'][1], $relit['strips'][2]];
    expect($plate['values']['evened'])->toEqual(100)->and($plate['values']['evenedLevel'])->toEqual(0)->and($light['kind'])->toBe('key light')->and($light['values']['of'])->toBe($id)
        ->and($light['name'])->toBe('Key light on Ball')->and(abs($light['values']['azimuth']))->toBeLessThan(45)
        ->and($light['level'])->toEqualWithDelta(log((1 - $found['ambient']) / $found['ambient'], 2), 0.15)
        ->and(collect($relit['compass']['sights'])->firstWhere('strip', $id)['relitBy'])->toBe('Key light on Ball')
        ->and($relit['compass']['arcs'])->toBe([]);
    $back = $this->postJson("{$url}/undo")->assertOk()->json();
    expect($back['strips'])->toHaveCount(2)->and($back['strips'][1]['values']['evened'])->toEqual(0);
    expect($this->postJson("{$url}/redo")->assertOk()->json('strips'))->toHaveCount(3);
});

it('shows the form of a plate alone', function (): void {
    $scene = litFromTheLeft();
    [$url, $id] = ["/api/scenes/{$scene['id']}", $scene['strips'][1]['id']];
    $look = ['view' => 'v', 'number' => 1, 'draft' => false, 'window' => [0, 0, 300, 200], 'scale' => 1];
    $this->postJson("{$url}/picture", [...$look, 'form' => $id])->assertOk();
    $this->postJson("{$url}/picture", [...$look, 'number' => 2, 'form' => 'gone'])->assertStatus(422);
});

it('takes a file that is called a pass for one of the plate beneath it, where it has its proportions', function (): void {
    $scene = litFromTheLeft();
    $url = "/api/scenes/{$scene['id']}";
    $pass = fn (string $name, int $width, int $height, bool $upward = true) => PictureFile::drawn($name, $width, $height, fn (int $x, int $y): array => [(int) (255 * $x / $width), (int) (255 * ($upward ? 1 - $y / $height : $y / $height)), 230, 1.0]);
    $added = $this->postJson("{$url}/plates", ['file' => $pass('ball-normal.png', 60, 60, false), 'x' => 120, 'y' => 100])->assertCreated()->json();
    expect($added['strips'])->toHaveCount(2)->and($added['strips'][1]['values']['normals'])->toBe('ball-normal.png')->and($added['notice'])->toBe('ball-normal.png became the normals of Ball.')
        ->and($this->getJson("{$url}/plates/{$added['strips'][1]['id']}/own-light")->json('upward'))->toBeFalse();
    expect($this->postJson("{$url}/undo")->json('strips')[1]['values']['normals'])->toBeNull();
    // of other proportions, or elsewhere, it is a plate
    expect($this->postJson("{$url}/plates", ['file' => $pass('ball_normals.png', 60, 30), 'x' => 120, 'y' => 100])->json('strips'))->toHaveCount(3)
        ->and($this->postJson("{$url}/plates", ['file' => $pass('more.ao.png', 60, 60), 'x' => 290, 'y' => 100])->json('strips'))->toHaveCount(4);
});

it('turns the light that a plate is relit by, whether the plate is turned or relit again', function (): void {
    $scene = litFromTheLeft();
    [$url, $id] = ["/api/scenes/{$scene['id']}", $scene['strips'][1]['id']];
    $this->postJson("{$url}/gestures/estimate-bearing", ['strip' => $id])->assertOk();
    $this->postJson("{$url}/gestures/place-source", ['kind' => 'lamp', 'at' => [290, 60]])->assertOk();
    $relit = $this->postJson("{$url}/gestures/relight", ['strip' => $id])->assertOk()->json();
    $plate = $relit['strips'][1];
    $turned = $this->postJson("{$url}/gestures/change-strip", ['strip' => $id, 'revision' => $plate['revision'], 'turn' => ['azimuth' => 80, 'elevation' => 40]])->assertOk()->json();
    expect($turned['strips'][2]['values']['azimuth'])->toEqual(80)->and($turned['strips'][2]['values']['elevation'])->toEqual(40)->and($turned['strips'][1]['values'])->toEqual($plate['values'])
        ->and(collect($turned['compass']['sights'])->firstWhere('strip', $id)['azimuth'])->toEqualWithDelta(80, 0.1);
    $again = $this->postJson("{$url}/gestures/relight", ['strip' => $id])->assertOk()->json();
    expect($again['strips'])->toHaveCount(3)->and($again['strips'][2]['values'])->toEqual($relit['strips'][2]['values'])->and($again['strips'][2]['id'])->toBe($relit['strips'][2]['id']);
    expect($this->postJson("{$url}/undo")->assertOk()->json('strips')[2]['values']['azimuth'])->toEqual(80);
});
