<?php

declare(strict_types=1);

// Renders many small scenes 200 px wide in the order that is asked for, and writes all values down: php both-ways.php FILE EVERY ORDER
// EVERY: one of so many scenes; ORDER: `once`, or `twice`, the second time backwards, which must come to the same.

use Aumbrel\Core\Bearing\Bearing;
use Aumbrel\Core\Bearing\OutlineEstimate;
use Aumbrel\Core\Geometry\Window;
use Tests\Support\Bodies;
use Tests\Support\EveryKind;
use Tests\Support\HeldScenes;
use Tests\Support\Rendering;
use Tests\Support\Told;

require dirname(__DIR__, 2).'/vendor/autoload.php';

[, $file, $every, $order] = $argv;
$wide = 200;
$held = Rendering::renderer(HeldScenes::pictures());
$kinds = Rendering::renderer(EveryKind::pictures());
$scenes = [];
foreach (HeldScenes::all() as $name => [$strips]) {
    $scenes["held {$name}"] = static fn (): array => $held->linear(Rendering::scene(64, 48, $strips), new Window(0, 0, 64, 48, $wide / 64));
}
foreach (EveryKind::kinds() as $kind) {
    foreach (['placed' => EveryKind::strip($kind), ...iterator_to_array(EveryKind::changed($kind))] as $name => $strip) {
        $scenes["kind {$kind::key()} {$name}"] = static fn (): array => $kinds->linear(EveryKind::scene([$strip]), new Window(0, 0, EveryKind::WIDTH, EveryKind::HEIGHT, $wide / EveryKind::WIDTH));
    }
}
$reference = dirname(__DIR__, 2).'/core/tests/reference/told';
foreach (glob("{$reference}/[0-9]*") ?: [] as $case) {
    $scenes['told '.basename($case)] = static function () use ($case, $reference): array {
        $told = new Told($case, "{$reference}/plates");
        $scene = $told->scene();

        return $told->renderer()->linear($scene, Window::whole($scene->width, $scene->height));
    };
}
// where light comes from, found in bodies with texture, noise and gloss
foreach (['sphere', 'ellipsoid', 'blob'] as $k => $body) {
    $scenes["bearing {$body} placed"] = static function () use ($body, $k): array {
        $found = OutlineEstimate::of(Bodies::lit($body, new Bearing(-150 + 97.0 * $k, -20 + 31.0 * $k), 7 + $k, ['texture' => 0.25, 'noise' => 0.03, 'gloss' => 0.4, 'ambient' => 0.2], 110));

        return [[$found->bearing->azimuth ?? -999.0, $found->bearing->elevation ?? -999.0, $found->spread ?? -1.0, $found->confidence]];
    };
}
// what is always tried: every kind, every way to cut out, bearings, what an independent renderer made, and the plate whose turn went wrong
$always = static fn (string $name): bool => str_ends_with($name, ' placed') || preg_match('/^held (cut|painted cut|colour area|edge)/', $name) === 1 || str_starts_with($name, 'told') || str_contains($name, 'plate turn');
$names = array_values(array_filter(array_keys($scenes), static fn (string $name): bool => $always($name) || crc32($name) % (int) $every === 0));
$values = static function (string $name) use ($scenes): string {
    try {
        return implode('', array_map(static fn (array $plane): string => pack('g*', ...$plane), $scenes[$name]()));
    } catch (Aumbrel\Core\Fault\SceneError) {
        // a value that another one of its kind does not allow
        return '';
    }
};
$out = fopen($file, 'wb');
$first = [];
foreach ($names as $name) {
    $bytes = $values($name);
    $first[$name] = hash('xxh128', $bytes);
    fwrite($out, pack('V', strlen($name)).$name.pack('V', strlen($bytes)).$bytes);
}
$changed = [];
if ($order === 'twice') {
    foreach (array_reverse($names) as $name) {
        if (hash('xxh128', $values($name)) !== $first[$name]) {
            $changed[] = $name;
        }
    }
}
echo json_encode(['scenes' => count($names), 'changed' => $changed, 'compiles' => (opcache_get_status(false) ?: [])['jit']['on'] ?? false]), "\n";
