<?php

declare(strict_types=1);

namespace Tests\Support;

use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Kind\Begun;
use Aumbrel\Core\Kind\ForPlate;
use Aumbrel\Core\Kind\Painted;
use Aumbrel\Core\Kind\StripKind;
use Aumbrel\Core\Picture\PictureSource;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Scene\Scene;
use Aumbrel\Core\Value\Parameter;

/** A scene of each kind of strip as it is placed, over plates with all tones from none to far above white; and each of its values changed in turn. */
final class EveryKind
{
    public const WIDTH = 120;

    public const HEIGHT = 90;

    private const OUTLINE = [['at' => [30, 10], 'out' => [10, -4]], ['at' => [78, 18]], ['at' => [60, 64], 'in' => [8, 0]]];

    /** @return array<string, PictureSource> */
    public static function pictures(): array
    {
        // a third of it black, some of it a hair above, the rest anything
        $random = static fn (int $x, int $y, int $k): int => ($h = crc32("{$x} {$y} {$k}")) % 3 === 0 ? 0 : ($h % 7 === 0 ? 1 : $h % 65536);

        return [
            'rough' => new Flat(self::WIDTH, self::HEIGHT, static fn (int $x, int $y): array => [$random($x, $y, 1), $random($x, $y, 2), $random($x, $y, 3)], 16),
            'figure' => new Flat(40, 44, static fn (int $x, int $y): array => [220 - 4 * $x, 90 + 3 * $y, 40 + 2 * $x, (int) round(255 * max(0, min(1, 16.5 - hypot($x - 19.5, ($y - 21.5) * 0.75))))]),
            'uneven' => new Flat(50, 40, static fn (int $x, int $y): array => [5 * $x, 6 * $y, 250 - 2 * $x - 2 * $y]),
        ];
    }

    /** @return list<class-string<StripKind>> */
    public static function kinds(): array
    {
        return Registry::kinds()->strips;
    }

    /**
     * A strip as it is placed.
     *
     * @param  class-string<StripKind>  $kind
     * @return array<string, mixed>
     */
    public static function strip(string $kind): array
    {
        $placed = $kind::placed(new Point(64, 50), 90.0, 'figure');
        $names = array_map(static fn (Parameter $parameter): string => $parameter->name, $kind::parameters());
        $masks = is_subclass_of($kind, Begun::class) ? $kind::begun(new Point(64, 50), 90.0) : [];
        if (is_subclass_of($kind, Painted::class)) {
            $masks[] = ['kind' => 'strokes', 'values' => ['start' => 'hidden', 'strokes' => [self::stroke()]]];
        }
        if ($kind::key() === 'line') {
            $masks[] = ['kind' => 'outline', 'on' => 'emitter', 'values' => ['path' => self::OUTLINE]];
        }
        if ($kind::key() === 'group') {
            return ['id' => 'strip', 'kind' => 'group', 'strips' => [['id' => 'in', 'kind' => 'wash', 'level' => 1, 'values' => ['colour' => ['swatch' => '#ff8040']]]]];
        }

        return [
            'id' => 'strip', 'kind' => $kind::key(), ...($kind::family()->fadesInStops() ? ['level' => $kind::placedLevel()] : ['amount' => $kind::placedAmount()]),
            ...(is_subclass_of($kind, ForPlate::class) ? ['confinedTo' => 'figure'] : []),
            'masks' => array_map(static fn (array $mask, int $at): array => ['id' => "m{$at}", ...$mask], $masks, array_keys($masks)),
            'values' => [...(in_array('picture', $names, true) && ! isset($placed['picture']) ? ['picture' => 'uneven'] : []), ...(in_array('of', $names, true) && ! isset($placed['of']) && str_starts_with($kind::parameters()[array_search('of', $names, true)]->describe()['type'], 'plate') ? ['of' => is_array($kind::parameters()[array_search('of', $names, true)]->default) ? ['figure'] : 'figure'] : []), ...$placed],
        ];
    }

    /**
     * The strip with each of its values changed in turn, by the name of the value; those that are set on the picture only are left out.
     *
     * @param  class-string<StripKind>  $kind
     * @param  bool  $most  to its ends, or to something in between
     * @return iterable<string, array<string, mixed>>
     */
    public static function changed(string $kind, bool $most = false): iterable
    {
        $strip = self::strip($kind);
        foreach ($kind::parameters() as $parameter) {
            foreach (self::others($parameter, $strip['values'][$parameter->name] ?? $parameter->describe()['default'], $most) as $at => $other) {
                yield "{$parameter->name} {$at}" => [...$strip, 'values' => [...$strip['values'] ?? [], $parameter->name => $other]];
            }
        }
    }

    /** @param  list<array<string, mixed>>  $strips  over the plates */
    public static function scene(array $strips, int $width = self::WIDTH, int $height = self::HEIGHT, int $white = 6500): Scene
    {
        return Scene::read([
            'aumbrel' => 2, 'title' => 'Every kind', 'size' => [$width, $height], 'white' => $white,
            'stage' => ['floor' => ['horizon' => 30, 'contact' => [[0, 76], [120, 76]]], 'walls' => [['id' => 'wall', 'name' => 'Wall', 'corners' => [[4, 4], [60, 12], [60, 60], [4, 70]]]]],
            'sources' => [['id' => 'lamp', 'name' => 'Lamp', 'kind' => 'lamp', 'values' => ['place' => [30, 10], 'depth' => 40]]],
            'strips' => [
                Rendering::plate('rough', ['id' => 'rough']),
                // as much above white as a light makes it
                ['id' => 'hot', 'kind' => 'spot', 'mode' => 'illuminate', 'level' => 6, 'values' => ['origin' => [100, 4], 'target' => [96, 40], 'beam' => 40, 'field' => 60, 'colour' => ['swatch' => '#ffffff']]],
                Rendering::plate('figure', ['id' => 'figure', 'values' => ['place' => [46, 32], 'stance' => 'stands', 'exposure' => -2, 'bearing' => ['by' => 'sphere', 'azimuth' => 140, 'elevation' => 30]]]),
                ...$strips,
            ],
        ], Registry::kinds());
    }

    /** @return list<mixed> other raw values of a parameter */
    private static function others(Parameter $parameter, mixed $value, bool $most): array
    {
        $described = $parameter->describe();
        [$least, $largest] = [$described['least'], min($described['most'], 400)];

        return match ($described['type']) {
            'number' => $most ? [$least, $largest] : [is_numeric($value) && $value + 0.37 * ($largest - $least) <= $largest ? $value + 0.37 * ($largest - $least) : $least + 0.21 * ($largest - $least)],
            'choice' => array_values(array_filter($described['choices'], static fn (string $choice): bool => $choice !== $value)),
            'switch' => [! $value],
            'point' => [is_array($value) ? [$value[0] + 9, $value[1] + 6] : [70, 44]],
            'light colour' => [['kelvin' => 8200, 'tint' => '#4060ff', 'tinted' => 30], ['swatch' => '#30ff80']],
            'flat colour' => ['#30a0e0'],
            'surface' => ['wall'],
            'picture' => ['uneven'],
            'plate' => ['rough'],
            'plates' => [['rough']],
            'strip' => ['hot'],
            'bands' => [[['hues' => [0, 30, 200, 260], 'turn' => -20, 'chroma' => 1.6, 'light' => 30]]],
            'shifts' => [['darks' => [60, -20, -40], 'mids' => [-30, 10, 20], 'lights' => [-100, -100, -100]]],
            'curve' => [[[0, 0.1], [0.4, 0.9], [1, 0]]],
            'tone ramp' => [[['offset' => 0, 'colour' => '#000000'], ['offset' => 0.6, 'colour' => '#ff2000'], ['offset' => 1, 'colour' => '#ffffff']]],
            'colour ramp' => [[['offset' => 0, 'colour' => '#ffffff'], ['offset' => 1, 'colour' => '#ff4020', 'opacity' => 0.2]]],
            'corners' => [[[10, 6], [52, 10], [50, 60], [6, 54]]],
            'cuts' => [[['from' => [20, 40], 'to' => [90, 70], 'softness' => 3]]],
            'bends' => [[['at' => [0.5, 0.7], 'by' => [0.2, 0.1]]]],
            'feet' => [[[12, 40], [28, 40]]],
            'stance' => ['hangs'],
            'line' => [[[4, 30], [36, 32]]],
            default => [],
        };
    }

    /** @return array<string, mixed> */
    private static function stroke(): array
    {
        return ['size' => 22, 'hardness' => 30, 'opacity' => 90, 'flow' => 70, 'spacing' => 25, 'letsIn' => true, 'pressure' => 'size', 'points' => [[20, 20, 0.4, 0], [70, 60, 1, 80], [100, 30, 0.6, 160]]];
    }
}
