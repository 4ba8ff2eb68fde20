<?php

declare(strict_types=1);

use App\Scenes\FlatScene;

/* What an edit keeps are two differences: laid over the one state each gives the other, whatever the states are. */

/** Ids of all sorts, those among them that PHP takes for numbers. */
const SOME_IDS = ['a', 'b', '0', '1', '-1', '77', '007', 'true', 'lamp', '9223372036854775807', 'x_y-z'];

function randomFields(int $depth = 2): array
{
    $fields = [];
    for ($k = mt_rand(0, 4); $k > 0; $k--) {
        $name = ['level', 'name', '5', 'values', 'masks', '0', 'deep'][mt_rand(0, 6)];
        $fields[$name] = match (mt_rand(0, 6)) {
            0 => mt_rand(-9, 9), 1 => mt_rand(-9, 9) / 4, 2 => 'text '.mt_rand(0, 3), 3 => mt_rand(0, 1) === 1, 4 => [1, 2, mt_rand(0, 3)],
            default => $depth > 0 ? randomFields($depth - 1) : [],
        };
    }

    return $fields;
}

function randomFlat(): FlatScene
{
    $ids = SOME_IDS;
    shuffle($ids);
    $ids = array_slice($ids, 0, mt_rand(0, count($ids)));
    $order = $strips = [];
    $groups = [];
    foreach ($ids as $id) {
        $isGroup = mt_rand(0, 3) === 0;
        $order[] = [$id, $groups !== [] && mt_rand(0, 2) === 0 ? $groups[array_rand($groups)] : null];
        $strips[$id] = ['id' => $id, 'kind' => $isGroup ? 'group' : 'fill'] + randomFields();
        $groups = $isGroup ? [...$groups, $id] : $groups;
    }

    return new FlatScene(['title' => 'T '.mt_rand(0, 2), 'white' => mt_rand(3000, 3002)] + randomFields(1), $order, $strips);
}

/** Equal as the store compares: fields in any order, empty ones as none. */
function sameFlat(FlatScene $one, FlatScene $other): bool
{
    $sorted = function (array $fields) use (&$sorted): array {
        array_is_list($fields) ?: ksort($fields);

        return array_map(fn (mixed $value): mixed => is_array($value) ? $sorted($value) : $value, $fields);
    };

    return $one->order === $other->order && $sorted($one->scene) === $sorted($other->scene) && $sorted($one->strips) === $sorted($other->strips);
}

it('leads from any scene to any other and back, through the database\'s JSON', function (int $seed): void {
    mt_srand($seed);
    for ($k = 0; $k < 120; $k++) {
        [$one, $other] = [randomFlat(), randomFlat()];
        $difference = $one->differenceTo($other);
        if ($difference === null) {
            expect(sameFlat($one, $other))->toBeTrue();

            continue;
        }
        $stored = json_decode(json_encode($difference, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION), true);
        expect(sameFlat($one->with($stored['after']), $other))->toBeTrue()->and(sameFlat($other->with($stored['before']), $one))->toBeTrue();
    }
})->with(range(1, 5));

it('names only what differs', function (): void {
    mt_srand(3);
    for ($k = 0; $k < 60; $k++) {
        $one = randomFlat();
        if ($one->strips === []) {
            continue;
        }
        $id = (string) array_rand($one->strips);
        $other = $one->with(['strips' => [$id => [...$one->strips[$id], 'name' => 'Another '.$k]]]);
        $difference = $one->differenceTo($other);
        expect(array_keys($difference['after']))->toBe(['strips'])->and(array_map(strval(...), array_keys($difference['after']['strips'])))->toBe([$id])
            ->and(array_map(strval(...), array_keys($difference['before']['strips'])))->toBe([$id]);
        expect($one->differenceTo($one))->toBeNull();
    }
});

it('lays a scene out flat and nests it again', function (): void {
    mt_srand(8);
    for ($k = 0; $k < 60; $k++) {
        $flat = randomFlat();
        $document = $flat->toDocument();
        $again = FlatScene::fromDocument($document);
        expect(array_column($again->order, 0))->toEqualCanonicalizing(array_column($flat->order, 0))->and($again->toDocument())->toEqual($document);
    }
});
