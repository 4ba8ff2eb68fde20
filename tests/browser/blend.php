<?php

declare(strict_types=1);

// php tests/browser/blend.php MODE SIDE opaque|alpha: two made-up pictures and what our renderer makes of them, as
// base64 of their pixels one after the other (red, green, blue, alpha). With alpha both are what a canvas would have kept.

use Tests\Support\Flat;
use Tests\Support\Rendering;

require dirname(__DIR__, 2).'/vendor/autoload.php';

[, $mode, $side, $kind] = $argv;
$side = (int) $side;
mt_srand(7);
// premultiplied bytes, as a canvas keeps them
$colour = static function () use ($kind): array {
    $alpha = $kind === 'opaque' ? 255 : ([0, 255, 128][mt_rand(0, 5)] ?? mt_rand(1, 255));
    $pixel = array_map(static fn (): int => (int) round(([0, 255, 128][mt_rand(0, 9)] ?? mt_rand(0, 255)) * $alpha / 255), range(0, 2));

    return [...(mt_rand(0, 5) === 0 ? array_fill(0, 3, $pixel[0]) : $pixel), $alpha];
};
$unpremultiplied = static fn (array $pixel, int $most): array => [
    ...array_map(static fn (int $value): int => $pixel[3] === 0 ? 0 : (int) round($value * $most / $pixel[3]), array_slice($pixel, 0, 3)), intdiv($pixel[3] * $most, 255),
];
$pictures = $bytes = [];
foreach (['below', 'above'] as $name) {
    $pixels = array_map($colour, range(1, $side * $side));
    $pictures[$name] = new Flat($side, $side, static fn (int $x, int $y): array => $unpremultiplied($pixels[$y * $side + $x], 65535), 16);
    $bytes[] = pack('C*', ...array_merge(...array_map(static fn (array $pixel): array => $unpremultiplied($pixel, 255), $pixels)));
}
$picture = Rendering::picture($pictures, $side, $side, [Rendering::plate('below'), Rendering::plate('above', ['mode' => $mode])], 8);
echo base64_encode(implode('', $bytes).$picture->bytes);
