<?php

declare(strict_types=1);

namespace App\CommandLine\Timings;

use App\CommandLine\FilePictures;
use App\CommandLine\NamedScene;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KernelStore;
use Aumbrel\Core\Raster\Membrane;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Render\Renderer;
use Aumbrel\Core\Scene\Scene;

/** What bodies cost: a form of an outline, a plate's own light, and a key light that is walked around a plate of about two megapixels, as it is and relit. */
final class BodyTimings
{
    private const ROUNDS = 9;

    /** What is looked at of a plate that fills a view. */
    private const VIEW = 0.58;

    private const DRAFT = 0.5;

    /** @return array<string, float|string> */
    public function measure(): array
    {
        $renderer = new Renderer(new KernelStore(NamedScene::root().'/storage/kernels'), new FilePictures(NamedScene::root().'/demo/night-market', NamedScene::root().'/storage/pictures'));
        $turn = 0;
        $drag = static function (float $scale) use ($renderer, &$turn): void {
            $turn += 3;
            $renderer->picture(self::scene($turn), new Window(0, 0, 1280, 1600, $scale));
        };
        $times = Stopwatch::inTurn(['draft' => static fn () => $drag(self::VIEW * self::DRAFT), 'settled' => static fn () => $drag(self::VIEW)], self::ROUNDS, 3);
        [$columns, $rows] = [800, 625];
        $shape = [];
        for ($at = 0; $at < $columns * $rows; $at++) {
            $shape[] = (($at % $columns - 400) / 380) ** 2 + ((intdiv($at, $columns) - 312) / 300) ** 2 < 1 ? 1.0 : 0.0;
        }
        $form = Stopwatch::inTurn(['form' => static fn () => Membrane::over($shape, $columns, $rows)], 3, 1);

        $evened = static function (float $scale) use ($renderer, &$turn): void {
            $turn += 3;
            $renderer->picture(self::scene($turn, 100), new Window(0, 0, 1280, 1600, $scale));
        };
        $relit = Stopwatch::inTurn(['draft' => static fn () => $evened(self::VIEW * self::DRAFT), 'settled' => static fn () => $evened(self::VIEW)], self::ROUNDS, 3);
        // another share each time: nothing of it is kept
        $read = Stopwatch::inTurn(['once' => static function () use ($renderer): void {
            $renderer->ownLight(self::scene(0, 100, random_int(200, 9800) / 100), 'heron');
        }], 5, 1);

        return ['unit' => 'ms; a plate of two megapixels in a view', 'keyDraft' => round($times['draft'], 1), 'keySettled' => round($times['settled'], 1), 'formOfHalfAMegapixel' => round($form['form'], 1), 'relitDraft' => round($relit['draft'], 1), 'relitSettled' => round($relit['settled'], 1), 'ownLight' => round($read['once'], 1)];
    }

    private static function scene(float $azimuth, float $evened = 0.0, ?float $ambient = null): Scene
    {
        return Scene::read(['aumbrel' => 2, 'title' => 'Body', 'size' => [1280, 1600], 'strips' => [
            ['id' => 'ground', 'kind' => 'fill', 'mode' => 'normal', 'values' => ['colour' => '#202428']],
            ['id' => 'heron', 'kind' => 'plate', 'values' => ['picture' => 'heron.png', 'place' => [0, 0], 'scale' => 1.0, 'bearing' => ['by' => 'sphere', 'azimuth' => 150, 'elevation' => 29], 'evened' => $evened, 'evenedLevel' => 0, 'ambient' => $ambient]],
            ['id' => 'key', 'kind' => 'key light', 'values' => ['of' => 'heron', 'azimuth' => fmod($azimuth, 360) - 180, 'elevation' => 30]],
        ]], Registry::kinds());
    }
}
