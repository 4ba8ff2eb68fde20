<?php

declare(strict_types=1);

use App\Models\Scene;
use App\Scenes\FlatScene;
use App\Scenes\SceneImport;
use App\Scenes\SceneStore;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Registry;
use Tests\Support\Folder;
use Tests\Support\Gestured;
use Tests\Support\PictureFile;

/*
 * Whatever id the scene file allows (1 to 40 letters, digits, - or _) survives every edit, undo and redo. PHP turns keys
 * that look like whole numbers into integers, which is where such ids were lost.
 */

/** Ids that PHP takes for numbers, and others; the same ones at every run. */
function oddIds(): array
{
    $ids = ['1', '123', '-1', '0', '00', '-0', '1e3', 'true', 'null', '_', '-', '9223372036854775807', '9223372036854775808', '-9223372036854775808'];
    mt_srand(7);
    $letters = 'abzAZ09_-';
    for ($k = 0; $k < 40; $k++) {
        $digitsOnly = $k % 2 === 0;
        $id = '';
        for ($at = mt_rand(1, 12); $at > 0; $at--) {
            $id .= $digitsOnly ? (string) mt_rand(0, 9) : $letters[mt_rand(0, 8)];
        }
        $ids[] = $id;
    }

    return array_values(array_unique($ids));
}

/** @param  list<string>  $ids */
function sceneWithIds(array $ids): Scene
{
    $folder = Folder::of('odd-ids');
    copy(PictureFile::png(64, 40)->getPathname(), "{$folder}/1.png");
    $strips = [['id' => $ids[0], 'kind' => 'plate', 'name' => 'P', 'values' => ['picture' => '1.png']]];
    foreach (array_slice($ids, 1) as $at => $id) {
        $kind = $at % 2 ? 'fill' : 'spot';
        $placed = fn (string $class): array => $class::placed(new Point(32, 20), 40);
        $strips[] = ['id' => $id, 'kind' => $kind, 'name' => "S {$at}", 'confinedTo' => $ids[0], '7' => 'kept', 'values' => $placed(Registry::kinds()->strip($kind, 'kind')),
            'masks' => [['id' => $id, 'kind' => 'linear', '3' => ['kept'], 'values' => $placed(Registry::kinds()->mask('linear', 'kind'))]]];
    }
    file_put_contents("{$folder}/scene.json", json_encode(['aumbrel' => 1, 'title' => 'Odd', 'size' => [64, 40], '5' => 'kept', 'strips' => $strips]));

    return app(SceneImport::class)->fromFile("{$folder}/scene.json");
}

function stripOf(array $strips, string $id): array
{
    return array_values(array_filter($strips, fn (array $strip): bool => $strip['id'] === $id))[0];
}

/** @return list<string> */
function idsOf(array $strips): array
{
    return array_merge(...array_map(fn (array $strip): array => [$strip['id'], ...idsOf($strip['strips'] ?? [])], $strips) ?: [[]]);
}

it('keeps strips of every id through every gesture, undo and redo', function (): void {
    $ids = oddIds();
    $scene = sceneWithIds($ids);
    $at = "/api/scenes/{$scene->id}";
    $state = fn (): array => $this->getJson($at)->json();
    $unknown = function () use ($scene): void {
        $flat = app(SceneStore::class)->flat($scene->refresh());
        expect($flat->scene)->toHaveKey('5', 'kept');
        foreach ($flat->strips as $strip) {
            expect($strip['kind'] === 'plate' || ! str_starts_with($strip['name'], 'S ') || $strip[7] === 'kept' && $strip['masks'][0][3] === ['kept'])->toBeTrue();
        }
    };
    expect(idsOf($state()['strips']))->toBe($ids);
    $revision = fn (string $id): int => stripOf($state()['strips'], $id)['revision'];
    foreach (array_slice($ids, 1, 16) as $id) {
        $before = $state()['strips'];
        $this->postJson("{$at}/gestures/change-strip", ['strip' => $id, 'revision' => $revision($id), 'name' => "Now {$id}", 'masks' => [$id => ['inverted' => true]]])->assertOk();
        $changed = $state()['strips'];
        expect(idsOf($changed))->toBe($ids)->and(stripOf($changed, $id)['masks'][0]['inverted'])->toBeTrue();
        $this->postJson("{$at}/undo")->assertOk();
        expect(array_map(fn (array $strip): array => array_diff_key($strip, ['revision' => 0]), $state()['strips']))->toBe(array_map(fn (array $strip): array => array_diff_key($strip, ['revision' => 0]), $before));
        $this->postJson("{$at}/redo")->assertOk();
        expect(stripOf($state()['strips'], $id)['name'])->toBe("Now {$id}");
        $this->postJson("{$at}/undo")->assertOk();
    }
    // several at once, all of which look like a list to PHP when their ids are 0 and 1
    $both = ['0' => ['muted' => true], '1' => ['muted' => true]];
    $this->postJson("{$at}/gestures/change-strips", ['revisions' => (object) ['0' => $revision('0'), '1' => $revision('1')], 'changes' => (object) $both])->assertOk();
    expect([stripOf($state()['strips'], '0')['muted'], stripOf($state()['strips'], '1')['muted']])->toBe([true, true])->and(idsOf($state()['strips']))->toBe($ids);
    // taken out and brought back, at its place
    foreach (['0', '-1', '123', '00'] as $id) {
        $this->postJson("{$at}/gestures/remove-strip", ['strip' => $id, 'revision' => $revision($id)])->assertOk();
        expect(idsOf($state()['strips']))->toBe(array_values(array_diff($ids, [$id])));
        $this->postJson("{$at}/undo")->assertOk();
        expect(idsOf($state()['strips']))->toBe($ids);
    }
    $this->postJson("{$at}/gestures/reorder", ['strips' => array_reverse($ids)])->assertOk();
    expect(idsOf($state()['strips']))->toBe(array_reverse($ids));
    $this->postJson("{$at}/undo")->assertOk();
    expect(idsOf($state()['strips']))->toBe($ids);
    $copy = $this->postJson("{$at}/gestures/duplicate", ['strip' => '123'])->assertOk()->json('strips');
    expect(array_values(array_intersect(idsOf($copy), $ids)))->toBe($ids);
    $unknown();
});

it('draws drafts, solos and contributions of strips whose ids are digits', function (): void {
    $scene = sceneWithIds(['0', '1', '-1', '22']);
    $at = "/api/scenes/{$scene->id}";
    $asked = ['view' => 'ids', 'number' => 1, 'draft' => true, 'window' => [0, 0, 64, 40], 'scale' => 1];
    foreach ([['changes' => (object) ['0' => ['muted' => false], '1' => ['level' => 2]]], ['solo' => ['1']], ['mask' => '22'], ['tint' => '0'], ['below' => '-1']] as $number => $more) {
        $this->postJson("{$at}/picture", [...$asked, 'number' => $number + 1, ...$more])->assertOk();
    }
    $head = framesOf($this->post("{$at}/contributions")->assertOk()->getContent())[0]['head'];
    expect($head['strips'])->toBe(['0', '1', '-1', '22']);
});

it('takes parts with integer keys into a flat scene as they are', function (string $id): void {
    $scene = new FlatScene(['title' => 'x'], [['a', null], [$id, null]], ['a' => ['id' => 'a', 'kind' => 'fill'], $id => ['id' => $id, 'kind' => 'fill']]);
    $muted = Gestured::onto($scene, 'change-strip', ['strip' => $id, 'muted' => true]);
    expect(array_column($muted->toDocument()['strips'], 'id'))->toBe(['a', $id])->and($muted->strips[$id]['muted'])->toBeTrue();
    $difference = $scene->differenceTo($muted);
    $stored = json_decode(json_encode($difference), true);
    expect($muted->with($stored['before']))->toEqual($scene)->and($scene->with($stored['after']))->toEqual($muted);
})->with(['0', '1', '-1', '123', 'b']);
