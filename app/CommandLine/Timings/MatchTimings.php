<?php

declare(strict_types=1);

namespace App\CommandLine\Timings;

use App\CommandLine\FilePictures;
use App\CommandLine\NamedScene;
use Aumbrel\Core\CutOut\Segmentation;
use Aumbrel\Core\Geometry\Frame;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KernelStore;
use Aumbrel\Core\Plate\PlateStudy;
use Aumbrel\Core\Render\Renderer;
use Aumbrel\Core\Stroke\Brush;
use Aumbrel\Core\Stroke\Stroke;

/** Bearings, cut-outs and strokes, on the demo's plates. Milliseconds in one process, compiled. */
final class MatchTimings
{
    private const ROUNDS = 3;

    /** @return array<string, mixed> */
    public function measure(): array
    {
        $pictures = new FilePictures(dirname(SceneTimings::file()), NamedScene::root().'/storage/pictures');
        [$heron, $boardwalk] = [$pictures->picture('heron.png'), $pictures->picture('boardwalk.jpg')];
        $renderer = new Renderer(new KernelStore(NamedScene::root().'/storage/kernels'), $pictures);
        $study = new PlateStudy($renderer->planes, $heron);
        $line = static fn (int $x, bool $letsIn): Stroke => Stroke::read(['size' => 24, 'hardness' => 100, 'letsIn' => $letsIn, 'points' => [[$x, 420], [$x + 90, 760]]], 'stroke');
        $strokes = [$line(1100, true), $line(300, false)];
        $long = Stroke::read(['size' => 120, 'points' => [[200, 200], [900, 350], [1400, 800]]], 'stroke');
        $window = Window::whole($boardwalk->width(), $boardwalk->height(), 0.49);
        $paint = static function () use ($window, $long): void {
            $plane = array_fill(0, $window->columns * $window->rows, 0.0);
            (new Brush(Frame::scene($window)))->paint($plane, $long);
        };
        $study->bearing();

        return [
            'unit' => 'ms, one process',
            'bearing' => ['megapixels' => round($heron->width() * $heron->height() / 1e6, 1), ...Stopwatch::inTurn(['estimate' => static fn () => $study->bearing()], self::ROUNDS)],
            'paintedCut' => ['megapixels' => round($boardwalk->width() * $boardwalk->height() / 1e6, 1), ...Stopwatch::inTurn(['whole' => static fn () => Segmentation::of($boardwalk, $strokes)], self::ROUNDS)],
            'stroke' => ['columns' => $window->columns, 'rows' => $window->rows, ...Stopwatch::inTurn(['paint' => $paint], self::ROUNDS)],
        ];
    }
}
