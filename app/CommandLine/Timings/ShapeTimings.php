<?php

declare(strict_types=1);

namespace App\CommandLine\Timings;

use App\CommandLine\FilePictures;
use App\CommandLine\NamedScene;
use Aumbrel\Core\CutOut\EdgePath;
use Aumbrel\Core\CutOut\FirstGuess;
use Aumbrel\Core\CutOut\Segmentation;
use Aumbrel\Core\Geometry\Bounds;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KernelStore;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Render\Renderer;
use Aumbrel\Core\Scene\Scene;
use Aumbrel\Core\Stroke\Stroke;

/** What shaping costs: tone limits beside one more strip, masks that are made of pictures, groups, strokes, and cuts. */
final class ShapeTimings
{
    private const ROUNDS = 7;

    /** What a draft is rendered at, of what is looked at. */
    private const DRAFT = 0.5;

    /** A histogram is counted on so many pixels at most. */
    private const COUNTED = 0.19;

    private readonly FilePictures $pictures;

    private readonly Renderer $renderer;

    public function __construct()
    {
        $this->pictures = new FilePictures(NamedScene::root().'/demo/night-market', NamedScene::root().'/storage/pictures');
        $this->renderer = new Renderer(new KernelStore(NamedScene::root().'/storage/kernels'), $this->pictures);
    }

    /** @return array<string, float|int|string> */
    public function measure(): array
    {
        $view = new Window(0, 0, 1600, 1000, 0.58);
        $draft = new Window(0, 0, 1600, 1000, 0.58 * self::DRAFT);
        $fill = static fn (array $more): array => ['kind' => 'fill', 'mode' => 'overlay', 'values' => ['colour' => '#705030'], 'masks' => [['id' => 'slope', 'kind' => 'linear', 'values' => ['from' => [0, 0], 'to' => [0, 900]]]], ...$more];
        $limits = ['tones' => ['darks' => [0.2, 0.4], 'brights' => [0.6, 0.8]]];
        $scenes = array_map(self::scene(...), [
            'one' => [$fill(['id' => 'a'])], 'two' => [$fill(['id' => 'a']), $fill(['id' => 'b'])], 'limited' => [$fill(['id' => 'a', ...$limits])],
            'open' => [['id' => 'g', 'kind' => 'group', 'strips' => [$fill(['id' => 'a']), $fill(['id' => 'b'])]]], 'closed' => [['id' => 'g', 'kind' => 'group', 'closed' => true, 'strips' => [$fill(['id' => 'a']), $fill(['id' => 'b'])]]],
        ]);
        $times = Stopwatch::inTurn(array_map(fn (Scene $scene) => fn () => $this->renderer->picture($scene, $view), $scenes), self::ROUNDS, 2);
        $n = 0;
        $dragged = static function (array $values, array $mask) use ($fill, &$n): Scene {
            $n++;

            return self::scene([$fill(['id' => 'a', 'masks' => [['id' => 'm', ...$values, ...array_map(static fn (float $from): float => $from + 0.1 * $n, $mask)]]])]);
        };
        $strokes = static function (array $more) use ($fill, &$n): Scene {
            $n++;
            $points = [[300, 500], [700, 420], [900 + $n % 40, 600]];

            return self::scene([$fill(['id' => 'a', 'masks' => [['id' => 'm', 'kind' => 'strokes', 'values' => ['start' => 'hidden', 'strokes' => [['size' => 140, 'flow' => 40, 'points' => $points] + $more]]]]])]);
        };
        $drafts = Stopwatch::inTurn([
            'feather' => fn () => $this->renderer->picture($dragged(['kind' => 'brightness', 'values' => ['of' => null]], ['feather' => 20.0]), $draft, below: 'a'),
            'grow' => fn () => $this->renderer->picture($dragged(['kind' => 'brightness', 'values' => ['of' => null]], ['grow' => 20.0]), $draft, below: 'a'),
            'stroke' => fn () => $this->renderer->picture($strokes([]), $draft, below: 'a'),
            'chalk' => fn () => $this->renderer->picture($strokes(['tip' => 'chalk']), $draft, below: 'a'),
            'alike' => fn () => $this->renderer->picture($strokes(['alike' => 60]), $draft, below: 'a'),
        ], self::ROUNDS, 2);
        $picture = $this->pictures->picture('boardwalk.jpg');
        $once = Stopwatch::inTurn([
            'histogram' => fn () => $this->renderer->tones($scenes['two'], new Window(0, 0, 1600, 1000, self::COUNTED), 'b', false),
            'edgePath' => static fn () => EdgePath::between($picture, new Point(1010, 560), new Point(1370, 250)),
            'guess' => static fn () => (new FirstGuess($picture))->inBox(new Bounds(980, 200, 1600, 720)),
            'guessAndCut' => static fn () => Segmentation::of($picture, array_map(
                static fn (array $stroke): Stroke => Stroke::read($stroke, 'stroke'), (new FirstGuess($picture))->inBox(new Bounds(980, 200, 1600, 720)),
            )),
        ], 3, 1);
        $tenths = static fn (float $milliseconds): float => round($milliseconds, 1);

        return [
            'unit' => 'ms; drafts at '.self::DRAFT.' of the view',
            'toneLimits' => $tenths($times['limited'] - $times['one']), 'oneMoreStrip' => $tenths($times['two'] - $times['one']),
            'openGroup' => $tenths($times['open'] - $times['two']), 'closedGroup' => $tenths($times['closed'] - $times['two']),
            ...array_combine(array_map(static fn (string $name): string => "{$name}Draft", array_keys($drafts)), array_map($tenths, $drafts)),
            ...array_map($tenths, $once),
        ];
    }

    /** @param  list<array<string, mixed>>  $strips */
    private static function scene(array $strips): Scene
    {
        return Scene::read(['aumbrel' => 2, 'title' => 'Shape', 'size' => [1600, 1000], 'strips' => [['id' => 'below', 'kind' => 'plate', 'values' => ['picture' => 'boardwalk.jpg']], ...$strips]], Registry::kinds());
    }
}
