<?php

declare(strict_types=1);

namespace App\CommandLine\Timings;

use App\CommandLine\FilePictures;
use App\CommandLine\NamedScene;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KernelStore;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Render\Renderer;
use Aumbrel\Core\Scene\Scene;

/** What grades cost beside one plain strip, a masked fill: one that mixes what is stored, and one that mixes in linear light as lights do; over a plate in a window of a million and a half pixels. */
final class GradeTimings
{
    private const ROUNDS = 5;

    private const WINDOW = [1600, 1000];

    /** Grades as they are used: every one does something. */
    private const GRADES = [
        'levels' => ['levels', ['inBlack' => 4, 'inWhite' => 94, 'middle' => 1.2]],
        'contrast' => ['contrast', ['contrast' => 20]],
        'saturation' => ['saturation', ['saturation' => 70]],
        'tint' => ['tint', ['colour' => '#c98a52']],
        'vignette' => ['vignette', ['stops' => -1.5]],
        'curve' => ['curve', ['all' => [[0, 0], [0.25, 0.2], [0.7, 0.75], [1, 1]]]],
        'curves of each' => ['curve', ['all' => [[0, 0], [0.25, 0.2], [0.7, 0.75], [1, 1]], 'red' => [[0, 0], [0.5, 0.55], [1, 1]], 'blue' => [[0, 0], [0.5, 0.45], [1, 1]]]],
        'balance' => ['balance', ['shifts' => ['darks' => [-8, 0, 12], 'mids' => [4, 0, 0], 'lights' => [14, 3, -16]]]],
        'bands' => ['bands', ['bands' => ['orange' => ['turn' => 8, 'chroma' => 0.7], 'blue' => ['light' => -20]]]],
        'monochrome' => ['monochrome', []],
        'tone ramp' => ['tone ramp', []],
        'toward a light' => ['warmth', ['pull' => 40]],
    ];

    /** Those that are made of linear light: what they cost beside three spots, where nothing has to be converted for them. */
    private const AMONG_LIGHTS = ['saturation', 'tint'];

    /** What a draft is rendered at. */
    private const DRAFT = 0.5;

    /** Kind, the value that is dragged, where it begins, by how much it goes on, and the rest of the strip. */
    private const PLANES = ['bloom' => ['bloom', 'near', 20, 0.5, []], 'grain' => ['grain', 'strength', 30, 0.5, []], 'match' => ['match', 'colourBy', 50, 0.5, ['confinedTo' => 'heron']]];

    /** @return array<string, mixed> */
    public function measure(): array
    {
        $renderer = new Renderer(new KernelStore(NamedScene::root().'/storage/kernels'), new FilePictures(NamedScene::root().'/demo/night-market', NamedScene::root().'/storage/pictures'));
        $window = new Window(0, 0, self::WINDOW[0], self::WINDOW[1]);
        $mask = ['id' => 'm', 'kind' => 'linear', 'values' => ['from' => [0, 0], 'to' => [0, 900]]];
        $plain = ['kind' => 'fill', 'mode' => 'overlay', 'values' => ['colour' => '#705030'], 'masks' => [$mask]];
        $scenes = ['none' => self::scene([]), 'plain' => self::scene([['id' => 'a', ...$plain]]), 'linear' => self::scene([['id' => 'a', ...$plain, 'mode' => 'airlight']])];
        foreach (self::GRADES as $name => [$kind, $values]) {
            $scenes[$name] = self::scene([['id' => 'a', 'kind' => $kind, 'values' => $values, 'masks' => $kind === 'vignette' ? [$mask] : []]]);
        }
        $scenes['lit'] = self::scene(self::spots());
        foreach (self::AMONG_LIGHTS as $name) {
            $scenes["lit {$name}"] = self::scene([...self::spots(), ['id' => 'a', 'kind' => $name, 'values' => self::GRADES[$name][1]]]);
        }
        $times = Stopwatch::inTurn(array_map(static fn (Scene $scene) => static fn () => $renderer->picture($scene, $window), $scenes), self::ROUNDS, 2);
        [$plain, $linear] = [max(0.1, $times['plain'] - $times['none']), max(0.1, $times['linear'] - $times['none'])];
        $grades = [];
        foreach (array_keys(self::GRADES) as $name) {
            $cost = $times[$name] - $times['none'];
            $among = isset($times["lit {$name}"]) ? ['plainStripsAmongLights' => round(($times["lit {$name}"] - $times['lit']) / $plain, 2)] : [];
            $grades[$name] = ['ms' => round($cost, 1), 'plainStrips' => round($cost / $plain, 2), 'plainLights' => round($cost / $linear, 2), 'nsPerPixel' => round($cost * 1e6 / (self::WINDOW[0] * self::WINDOW[1])), ...$among];
        }

        return ['unit' => 'ms at 1600 x 1000, beside one plain strip', 'plainStrip' => round($plain, 1), 'plainLight' => round($linear, 1), ...$grades, 'planes' => $this->planes($renderer)];
    }

    /** @return list<array<string, mixed>> */
    private static function spots(): array
    {
        return array_map(static fn (int $k): array => ['id' => "spot-{$k}", 'kind' => 'spot', 'values' => ['origin' => [300 + 400 * $k, 40], 'target' => [400 + 300 * $k, 900], 'reach' => 900, 'colour' => ['kelvin' => 2800 + 900 * $k]]], [0, 1, 2]);
    }

    /**
     * One step of a drag on a value of which a plane is worked out, as a draft, which keeps what lies below, and settled.
     *
     * @return array<string, array{draft: float, settled: float}>
     */
    private function planes(Renderer $renderer): array
    {
        $planes = [];
        foreach (self::PLANES as $name => [$kind, $value, $from, $step, $more]) {
            $n = 0;
            $dragged = static function (float $scale, ?string $below = null) use ($renderer, $kind, $value, $from, $step, $more, &$n): void {
                $n++;
                $renderer->picture(self::scene([['id' => 'heron', 'kind' => 'plate', 'values' => ['picture' => 'heron.png', 'place' => [500, 200]]], ['id' => 'a', 'kind' => $kind, ...$more, 'values' => [$value => $from + $n * $step]]]), new Window(0, 0, self::WINDOW[0], self::WINDOW[1], $scale), below: $below);
            };
            $times = Stopwatch::inTurn(['draft' => static fn () => $dragged(self::DRAFT, 'a'), 'settled' => static fn () => $dragged(1.0)], self::ROUNDS, 2);
            $planes[$name] = ['draft' => round($times['draft'], 1), 'settled' => round($times['settled'], 1)];
        }

        return $planes;
    }

    /** @param  list<array<string, mixed>>  $strips */
    private static function scene(array $strips): Scene
    {
        return Scene::read(['aumbrel' => 2, 'title' => 'Grades', 'size' => [1600, 1000], 'strips' => [['id' => 'below', 'kind' => 'plate', 'values' => ['picture' => 'boardwalk.jpg']], ...$strips]], Registry::kinds());
    }
}
