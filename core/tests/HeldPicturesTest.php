<?php

declare(strict_types=1);

use Tests\Support\HeldScenes;
use Tests\Support\Rendering;

/*
 * Pictures that were rendered once and must stay as they are: every mode over a plate and over nothing, every mask and
 * cut-out, groups, contributions, windows. Within 0.02/255.
 */
it('renders what it has always rendered', function (string $name): void {
    /** @var array<string, string> $all */
    $all = json_decode((string) file_get_contents(__DIR__.'/reference/held.json'), true);
    $held = array_values(unpack('n*', (string) gzinflate((string) base64_decode($all[$name]))) ?: []);
    $now = HeldScenes::rendered($name);
    expect(count($now))->toBe(count($held));
    $most = 0;
    for ($pixel = 0; $pixel < count($now); $pixel += 4) {
        // the colour of what is not there does not count
        $most = max($most, abs($now[$pixel + 3] - $held[$pixel + 3]));
        for ($k = 0; $k < 3; $k++) {
            $most = max($most, (int) (abs($now[$pixel + $k] - $held[$pixel + $k]) * $held[$pixel + 3] / 65535));
        }
    }
    expect($most)->toBeLessThanOrEqual(5); // of 65535: 0.02/255
})->with(array_keys(HeldScenes::all()));

it('holds a picture of every scene', function (): void {
    expect(array_keys(json_decode((string) file_get_contents(__DIR__.'/reference/held.json'), true)))->toBe(array_keys(HeldScenes::all()))
        ->and(count(HeldScenes::all()))->toBeGreaterThan(24);
});

// render processes do not look for circles while somebody waits: what renders must make none
it('leaves nothing in memory that would have to be looked for', function (): void {
    $renderer = Rendering::renderer(HeldScenes::pictures());
    gc_collect_cycles();
    foreach (array_keys(HeldScenes::all()) as $name) {
        HeldScenes::picture($name, $renderer);
        expect([$name, gc_collect_cycles()])->toBe([$name, 0]);
    }
});
