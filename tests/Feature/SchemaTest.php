<?php

declare(strict_types=1);

use App\SceneSchema;
use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Scene\Scene;
use JsonSchema\Validator;

/** @return list<string> what a general-purpose validator has against a scene */
function against(string $scene): array
{
    $plain = json_decode($scene);
    $validator = new Validator;
    $validator->validate($plain, json_decode(SceneSchema::text()));

    return array_map(fn (array $error): string => "{$error['property']}: {$error['message']}", $validator->getErrors());
}

it('is written down as it is', function (): void {
    expect(file_get_contents(SceneSchema::path()))->toBe(SceneSchema::text(), 'run `php artisan aumbrel:catalogue`');
});

it('takes the demo scenes and what the core writes', function (): void {
    foreach (glob(base_path('demo/*/*.json')) as $file) {
        if (! str_ends_with($file, '.light.json')) {
            $scene = file_get_contents($file);
            expect(against($scene))->toBe([])->and(against(Scene::fromJson($scene, Registry::kinds())->toJson()))->toBe([]);
        }
    }
});

it('refuses what the core refuses', function (Closure $spoil): void {
    $scene = json_decode(file_get_contents(base_path('demo/night-market/scene.json')), true);
    $spoil($scene);
    expect(against(json_encode($scene)))->not->toBe([])->and(fn () => Scene::read($scene, Registry::kinds()))->toThrow(SceneError::class);
})->with([
    [function (array &$scene): void {
        $scene['aumbrel'] = 3;
    }],
    [function (array &$scene): void {
        $scene['sources'] = [['id' => 'lamp']];
    }],
    [function (array &$scene): void {
        $scene['strips'][] = ['id' => 'g', 'kind' => 'group', 'closed' => 'half'];
    }],
    [function (array &$scene): void {
        $scene['size'] = [0, 5];
    }],
    [function (array &$scene): void {
        $scene['strips'][2]['mode'] = 'glue';
    }],
    [function (array &$scene): void {
        $scene['strips'][2]['level'] = 6.5;
    }],
    [function (array &$scene): void {
        $scene['strips'][2]['values']['beam'] = 'wide';
    }],
    [function (array &$scene): void {
        unset($scene['strips'][2]['values']['origin']);
    }],
    [function (array &$scene): void {
        $scene['strips'][2]['masks'][0]['values']['stops'][0]['value'] = 3;
    }],
    [function (array &$scene): void {
        $scene['strips'][1]['values']['colour'] = 'blue';
    }],
]);
