<?php

declare(strict_types=1);

namespace Tests\Support;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Picture\PictureSource;
use Aumbrel\Core\Render\Picture;
use Aumbrel\Core\Render\Renderer;

/**
 * Small scenes of every kind, mode, mask and cut-out whose pictures are held: what was rendered once is rendered ever after.
 * `core/tests/reference/held.php` writes the pictures down; that is done again only when a definition changes.
 */
final class HeldScenes
{
    private const WIDTH = 64;

    private const HEIGHT = 48;

    /** Of the pixels of a picture every so many is held. */
    private const EVERY = 7;

    /** @return array<string, PictureSource> */
    public static function pictures(): array
    {
        return [
            'ground' => new Flat(self::WIDTH, self::HEIGHT, static fn (int $x, int $y): array => [40 + 3 * $x, 30 + 4 * $y, 200 - 2 * $x - $y]),
            'figure' => new Flat(40, 40, static fn (int $x, int $y): array => [220 - 4 * $x, 90 + 3 * $y, 40 + 2 * $x,
                (int) round(255 * max(0, min(1, 16.5 - hypot($x - 19.5, ($y - 19.5) * 0.8))))]),
            'deep' => new Flat(48, 36, static fn (int $x, int $y): array => [65535 - 900 * $x, 12000 + 1100 * $y, 700 * $x + 500 * $y], 16),
            // a dark figure with a fringe on a light ground, to be cut out
            'uncut' => new Flat(64, 64, static function (int $x, int $y): array {
                $inside = max(0.0, min(1.0, (22 - hypot($x - 32, $y - 30) + 2 * sin($x * 1.3) + 1.5) / 3));

                return [(int) (40 * $inside + (225 - $y / 2) * (1 - $inside)), (int) ((60 + $x / 2) * $inside + 215 * (1 - $inside)), (int) (90 * $inside + (180 + $y / 3) * (1 - $inside))];
            }),
        ];
    }

    /** @return array<string, array{list<array<string, mixed>>, array<string, mixed>}> strips, and how they are looked at */
    public static function all(): array
    {
        $ground = Rendering::plate('ground', ['id' => 'ground']);
        $figure = Rendering::plate('figure', ['id' => 'figure', 'values' => ['place' => [14, 5]]]);
        $linear = ['id' => 'm', 'kind' => 'linear', 'values' => ['from' => [10, 4], 'to' => [54, 40], 'smooth' => true]];
        $outlineInScene = ['id' => 'e', 'kind' => 'outline', 'values' => ['path' => [['at' => [30, 10], 'out' => [10, -4]], ['at' => [48, 18]], ['at' => [40, 34], 'in' => [8, 0]]]]];
        $scenes = [];
        foreach (BlendMode::cases() as $mode) {
            $three = [
                self::spot(['mode' => $mode->value, 'level' => 0.7]),
                ['kind' => 'fill', 'mode' => $mode->value, 'amount' => 60, 'values' => ['colour' => '#c08a3c'], 'masks' => [$linear]],
                Rendering::plate('figure', ['mode' => $mode->value, 'amount' => 80, 'values' => ['place' => [20, 4], 'scale' => 0.9]]),
            ];
            $scenes["{$mode->value} over a plate"] = [[$ground, ...$three], []];
            $scenes["{$mode->value} over nothing"] = [$three, []];
        }
        $cut = static fn (array $masks, array $values = []): array => [$ground, Rendering::plate('uncut', [
            'id' => 'cut', 'values' => ['place' => [2, -6], ...$values], 'masks' => $masks,
        ])];
        $outline = ['id' => 'o', 'kind' => 'outline', 'on' => 'plate', 'values' => ['path' => [
            ['at' => [12, 30], 'out' => [0, -18]], ['at' => [32, 8], 'in' => [-12, 0], 'out' => [12, 0]], ['at' => [52, 30]], ['at' => [32, 54], 'in' => [14, 0], 'out' => [-10, 0]],
        ]]];
        $stroke = static fn (float $size, bool $letsIn, array ...$points): array => ['size' => $size, 'hardness' => 40, 'opacity' => 90, 'flow' => 80, 'spacing' => 25, 'letsIn' => $letsIn, 'pressure' => 'size', 'points' => $points];
        $onBody = $stroke(8, true, [24, 30, 1, 0], [40, 34, 1, 90]);
        $onGround = $stroke(8, false, [4, 4, 1, 0], [60, 4, 1, 90], [60, 60, 1, 200], [4, 60, 1, 300]);
        $strokes = ['id' => 's', 'kind' => 'strokes', 'values' => ['start' => 'hidden', 'strokes' => [
            $stroke(20, true, [5, 10, 0.4, 0], [40, 30, 1, 80], [60, 12, 0.6, 160]), $stroke(9, false, [20, 20, 1, 0], [50, 25, 1, 50]),
        ]]];
        $radial = ['id' => 'r', 'kind' => 'radial', 'join' => 'add', 'inverted' => true, 'values' => ['centre' => [30, 22], 'radius' => 24, 'secondRadius' => 14, 'turn' => 25, 'inner' => 6,
            'stops' => [['offset' => 0, 'value' => 1, 'midpoint' => 0.3], ['offset' => 0.5, 'value' => 0.4, 'midpoint' => 0.5], ['offset' => 0.5, 'value' => 0.2, 'midpoint' => 0.7], ['offset' => 1, 'value' => 0, 'midpoint' => 0.5]]]];
        $away = ['id' => 'a', 'kind' => 'outline', 'join' => 'take away', 'values' => ['feather' => 2.5, 'grow' => 1.5, 'path' => [['at' => [30, 5]], ['at' => [60, 20]], ['at' => [34, 44]]]]];
        $stack = [$ground, $figure, self::spot(['confinedTo' => 'figure', 'mode' => 'illuminate', 'level' => 1.5]), self::spot([]), self::spot(['mode' => 'screen', 'level' => -1, 'masks' => [$radial]]),
            ['kind' => 'base', 'amount' => 70, 'values' => ['exposure' => -1, 'drained' => 40, 'blacksStartAt' => 5, 'whitesHeldAt' => 90], 'masks' => [$linear]]];
        $group = ['id' => 'group', 'kind' => 'group', 'amount' => 65, 'masks' => [$linear], 'strips' => [self::spot(['id' => 'in', 'mode' => 'illuminate', 'level' => 2]), ['id' => 'fill', 'kind' => 'fill', 'amount' => 40]]];

        return [
            ...$scenes,
            'cut by an outline' => [$cut([$outline]), []],
            'cut by strokes' => [$cut([['on' => 'plate', ...$strokes]]), []],
            'painted cut' => [$cut([['id' => 'p', 'kind' => 'painted cut', 'on' => 'plate', 'values' => ['strokes' => [$onBody, $onGround]]]]), []],
            'colour area' => [$cut([['id' => 'c', 'kind' => 'colour area', 'on' => 'plate', 'values' => ['at' => [30, 30], 'tolerance' => 20, 'reach' => 'touching', 'patch' => 5]]]), []],
            'edge shrunk, softened and unstained' => [$cut([$outline], ['grow' => -1.5, 'soften' => 1.2, 'unstain' => 80]), []],
            'edge with hair' => [$cut([$outline], ['hairBand' => 6]), []],
            'a figure in front of another, turned and mirrored' => [[$ground, Rendering::plate('deep', ['values' => ['place' => [50, 10], 'pivot' => [10, 5], 'turn' => 23, 'mirrored' => true, 'scale' => 0.8]]), $figure], []],
            'in perspective' => [[$ground, Rendering::plate('figure', ['values' => ['fit' => [[2, 3], [38, 0], [33, 40], [6, 36]], 'place' => [10, 4]]])], []],
            'exposed' => [[Rendering::plate('ground', ['values' => ['exposure' => 1.3, 'drained' => 30]]), Rendering::plate('figure', ['values' => ['exposure' => -1, 'whitesHeldAt' => 80, 'blacksStartAt' => 6, 'place' => [12, 2]]])], []],
            'masks joined' => [[$ground, self::spot(['mode' => 'airlight', 'level' => 1, 'masks' => [$strokes, $radial, $away]])], []],
            'taken away first' => [[$ground, ['kind' => 'fill', 'mode' => 'normal', 'values' => ['colour' => '#ff8800'], 'masks' => [$away, $linear]]], []],
            'soft, inverse square' => [[$ground, self::spot(['values' => ['softness' => 6, 'reachLaw' => 'inverse square', 'reach' => 60]]), self::spot(['mode' => 'screen', 'values' => ['reachLaw' => 'inverse square', 'size' => 8]])], []],
            'long linear run' => [[$ground, ...array_map(static fn (int $k): array => self::spot(['mode' => $k % 2 === 0 ? 'illuminate' : 'airlight', 'level' => $k / 3 - 1, 'values' => ['origin' => [4 + 9 * $k, 2], 'colour' => ['kelvin' => 2200 + 900 * $k]]]), range(0, 5))], []],
            'stack' => [$stack, []],
            'stack at half scale' => [$stack, ['scale' => 0.5]],
            'stack through a window' => [$stack, ['window' => [7.5, 3, 40, 30], 'scale' => 1.4]],
            'group' => [[$ground, $group, $figure], []],
            'group over nothing' => [[$figure, $group], []],
            'up to a strip in a group' => [[$ground, $group, $figure], ['until' => 'in']],
            'contribution of a light in a group' => [[$ground, $group, $figure], ['strip' => 'in']],
            'contribution of a muted plate' => [[$ground, ['muted' => true, ...$figure]], ['strip' => 'figure']],
            'rims' => [[$ground, $figure, self::rim(30), self::rim(-150, ['mode' => 'screen', 'values' => ['width' => 2, 'elevation' => -30, 'wrap' => 20]])], []],
            'a rim on a cut-out, turned and mirrored' => [[...$cut([$outline], ['turn' => 20, 'mirrored' => true, 'pivot' => [32, 32], 'place' => [34, 24], 'scale' => 0.7]), self::rim(60, ['values' => ['of' => 'cut']])], []],
            'washes' => [[$ground, ['kind' => 'wash', 'level' => 0.5, 'values' => ['colour' => ['swatch' => '#ff6a3c']], 'masks' => [$linear]],
                ['kind' => 'wash', 'mode' => 'hard light', 'level' => -0.3, 'values' => ['keyed' => 'by tones', 'colour' => ['kelvin' => 9000]]]], []],
            'pools' => [[$ground, self::pool([]), self::pool(['mode' => 'overlay', 'level' => 0.4, 'values' => ['lamp' => [12, 30], 'softness' => 3, 'reach' => 60, 'cuts' => [['from' => [4, 40], 'to' => [60, 34], 'softness' => 3], ['from' => [20, 0], 'to' => [22, 40]]]]])], []],
            'pools at half scale' => [[$ground, self::pool([])], ['scale' => 0.5]],
            'paint and torch' => [[$ground, ['kind' => 'paint', 'level' => 1.5, 'masks' => [$strokes]], ['kind' => 'paint', 'level' => -2, 'values' => ['tones' => 'mids', 'colour' => ['swatch' => '#ffd0a0']], 'masks' => [$linear]],
                ['kind' => 'torch', 'level' => 2, 'masks' => [['id' => 't', 'kind' => 'strokes', 'values' => ['strokes' => [['tip' => 'lamp', 'size' => 12, 'stretch' => 2, 'flow' => 30, 'dapples' => 70, 'seed' => 3, 'points' => [[10, 12, 1, 0], [50, 30, 1, 200]]]]]]]]], []],
            'a split pair' => [[$ground, ['id' => 'one', 'kind' => 'wash', 'mode' => 'hard light', 'level' => -0.15, 'values' => ['keyed' => 'by tones', 'colour' => ['swatch' => '#ff4a24']], 'masks' => [$linear, $away, ['join' => 'add', ...$strokes]]],
                ['kind' => 'wash', 'mode' => 'hard light', 'level' => -0.15, 'complements' => 'one', 'values' => ['keyed' => 'by tones', 'colour' => ['swatch' => '#2a7bff']]]], []],
            'gels, tint and contrast' => [[$ground, self::spot(['level' => 1, 'contrast' => 60, 'values' => ['colour' => ['kelvin' => 3200, 'shift' => -70, 'gel' => 'rose', 'loses' => true]]]),
                self::spot(['mode' => 'screen', 'contrast' => -50, 'values' => ['origin' => [4, 44], 'colour' => ['swatch' => '#40a0ff', 'saturation' => 60, 'tint' => '#ffffff', 'tinted' => 30]]])], []],
            'glow of what is drawn' => [[$ground, ['kind' => 'glow', 'values' => ['from' => 'what is drawn', 'spill' => true, 'spillRadius' => 9, 'between' => true, 'colour' => ['kelvin' => 2600], 'shells' => [
                ['part' => 'core', 'radius' => 2, 'level' => 0.5, 'pale' => 80], ['part' => 'fog', 'radius' => 2.5], ['part' => 'halo', 'radius' => 9, 'mode' => 'screen', 'ramp' => [['offset' => 0, 'colour' => '#ffffff'], ['offset' => 1, 'colour' => '#ff4020', 'opacity' => 0.2]]],
            ]], 'masks' => [['on' => 'emitter', ...$outlineInScene], ['on' => 'emitter', 'join' => 'add', ...$strokes]]]], []],
            'glow of a plate' => [[$ground, $figure, ['kind' => 'glow', 'level' => -1, 'values' => ['from' => "a plate's outline", 'of' => 'figure', 'keptInside' => true]], ['kind' => 'glow', 'mode' => 'screen', 'values' => ['from' => "a plate's bright tones", 'of' => 'ground', 'threshold' => 60, 'reach' => 20]]], []],
            'halo' => [[$ground, $figure, ['kind' => 'halo', 'values' => ['of' => 'figure', 'spread' => 5, 'shift' => 4, 'pull' => 9, 'pullTo' => 160]]], []],
            'lines of light' => [[$ground, $figure, ['kind' => 'line', 'values' => ['width' => 2, 'blur' => 4], 'masks' => [['on' => 'emitter', ...$outlineInScene]]], ['kind' => 'line', 'mode' => 'add', 'values' => ['along' => "a plate's outline", 'of' => 'figure', 'width' => 1.5, 'blur' => 3]]], []],
            'sun' => [[$ground, $figure, ['kind' => 'sun', 'values' => ['centre' => [36, 12], 'radius' => 9, 'softness' => 2, 'bloom' => 12, 'behind' => 'figure']]], []],
            'beam' => [[$ground, ['kind' => 'beam', 'values' => ['origin' => [50, 2], 'target' => [20, 44], 'softness' => 1.5, 'smokeSize' => 24, 'specks' => 12000, 'speckSize' => 3]]], []],
            'patterns' => [[$ground, ['kind' => 'pattern', 'level' => 1, 'values' => ['corners' => [[4, 4], [36, 8], [34, 42], [2, 38]], 'tight' => 1.2]], ['kind' => 'pattern', 'mode' => 'screen', 'values' => ['through' => 'leaves', 'corners' => [[34, 6], [62, 4], [60, 44], [36, 40]], 'tight' => 1.5]],
                ['kind' => 'pattern', 'mode' => 'airlight', 'values' => ['through' => 'a picture', 'picture' => 'figure', 'corners' => [[10, 30], [30, 28], [32, 46], [8, 46]], 'tight' => 1]]], []],
            'leaks' => [[$ground, ['kind' => 'leak', 'values' => ['middle' => [32, 24], 'width' => 64, 'height' => 48, 'turn' => 20]], ['kind' => 'leak', 'mode' => 'airlight', 'values' => ['texture' => 'a picture', 'picture' => 'uncut', 'colours' => 'its own', 'middle' => [40, 20], 'width' => 50, 'height' => 40, 'turn' => -15, 'blacks' => 30]],
                ['kind' => 'fill', 'values' => ['colour' => '#203050'], 'masks' => [['id' => 'x', 'kind' => 'texture', 'values' => ['texture' => 'smoke', 'middle' => [32, 24], 'width' => 200, 'height' => 150]]]]], []],
            'lights that are seen, at half scale' => [[$ground, $figure, ['kind' => 'halo', 'values' => ['of' => 'figure', 'spread' => 5]], ['kind' => 'glow', 'values' => ['centre' => [50, 10], 'size' => 8]], ['kind' => 'beam', 'values' => ['origin' => [10, 2], 'target' => [20, 44]]]], ['scale' => 0.5]],
            'contribution of a group' => [[$ground, $group], ['strip' => 'group']],
        ];
    }

    /**
     * @param  array<string, mixed>  $more
     * @return array<string, mixed>
     */
    private static function spot(array $more): array
    {
        return ['kind' => 'spot', ...$more, 'values' => ['origin' => [50, 3], 'target' => [22, 38], 'beam' => 30, 'field' => 52, 'colour' => ['kelvin' => 3200], ...($more['values'] ?? [])]];
    }

    /**
     * @param  array<string, mixed>  $more
     * @return array<string, mixed>
     */
    private static function rim(float $azimuth, array $more = []): array
    {
        return ['kind' => 'rim', 'level' => 1.5, ...$more, 'values' => ['of' => 'figure', 'width' => 4, 'azimuth' => $azimuth, 'elevation' => 10, ...($more['values'] ?? [])]];
    }

    /**
     * @param  array<string, mixed>  $more
     * @return array<string, mixed>
     */
    private static function pool(array $more): array
    {
        return ['kind' => 'spot-onto', 'level' => 1, ...$more, 'values' => ['lamp' => [40, 20], 'height' => 30, 'target' => [34, 26], 'beam' => 50, 'field' => 80, 'colour' => ['kelvin' => 3000], ...($more['values'] ?? [])]];
    }

    /** @return list<int> of every so many pixels the four 16-bit values, one after the other */
    public static function rendered(string $name): array
    {
        $picture = self::picture($name, Rendering::renderer(self::pictures()));
        $values = array_values(unpack('n*', $picture->bytes) ?: []);
        $held = [];
        for ($pixel = 0; $pixel < $picture->columns * $picture->rows; $pixel += self::EVERY) {
            array_push($held, ...array_slice($values, 4 * $pixel, 4));
        }

        return $held;
    }

    /** @param  Renderer  $renderer  of these pictures */
    public static function picture(string $name, Renderer $renderer): Picture
    {
        [$strips, $look] = self::all()[$name];
        $scene = Rendering::scene(self::WIDTH, self::HEIGHT, $strips);
        $window = isset($look['window']) ? new Window(...[...$look['window'], $look['scale']]) : Window::whole(self::WIDTH, self::HEIGHT, $look['scale'] ?? 1.0);

        return isset($look['strip']) ? $renderer->contributions($scene, $window, [$look['strip']], 16)[$look['strip']]
            : $renderer->picture($scene, $window, 16, $look['until'] ?? null);
    }
}
