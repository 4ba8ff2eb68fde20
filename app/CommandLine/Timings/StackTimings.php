<?php

declare(strict_types=1);

namespace App\CommandLine\Timings;

use App\CommandLine\FilePictures;
use App\CommandLine\NamedScene;
use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KernelStore;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Render\Renderer;
use Aumbrel\Core\Scene\Scene;
use Closure;
use Imagick;

/**
 * Eight modes of one picture over another, 512 x 512: by the generated kernels, by a loop that calls a formula for every
 * sample, and by the imaging library's compose of the same two pictures. Nanoseconds for each sample and strip;
 * conversions between bytes and values are left out of the first three and reported apart.
 */
final class StackTimings
{
    private const SIDE = 512;

    private const MODES = ['multiply', 'screen', 'overlay', 'soft light', 'hard light', 'color dodge', 'add', 'normal'];

    private const AMOUNT = 0.5;

    private const ROUNDS = 9;

    /** @return array<string, float|int|string> */
    public function measure(): array
    {
        $folder = NamedScene::root().'/demo/night-market';
        $pictures = new FilePictures($folder, NamedScene::root().'/storage/pictures');
        $renderer = new Renderer(new KernelStore(NamedScene::root().'/storage/kernels'), $pictures);
        $window = new Window(400, 200, self::SIDE, self::SIDE);
        $stack = self::scene(self::MODES);
        $ground = self::scene([]);
        $below = $pictures->picture('boardwalk.jpg')->pixels(0, 400, 200, self::SIDE, self::SIDE);
        $above = $pictures->picture('boardwalk.jpg')->pixels(0, 700, 300, self::SIDE, self::SIDE);
        $times = Stopwatch::inTurn([
            'stack' => static fn () => $renderer->picture($stack, $window),
            'ground' => static fn () => $renderer->picture($ground, $window),
            'library' => $this->library($below, $above),
        ], self::ROUNDS, 3);
        $plain = Stopwatch::inTurn(['plain' => fn () => $this->plainly($below, $above)], 3, 1);
        $samples = self::SIDE * self::SIDE * 3 * count(self::MODES);
        $nanoseconds = static fn (float $milliseconds): float => round($milliseconds * 1e6 / $samples, 2);
        $generated = $times['stack'] - $times['ground'];

        return [
            'unit' => 'ns per sample and strip',
            'generated' => $nanoseconds($generated),
            'plainLoop' => $nanoseconds($plain['plain']),
            'imagingLibrary' => $nanoseconds($times['library']),
            'ratioToPlainLoop' => round($generated / $plain['plain'], 3),
            'ratioToImagingLibrary' => round($generated / $times['library'], 3),
            'conversionsNsPerPixel' => round($times['ground'] * 1e6 / self::SIDE ** 2, 1),
        ];
    }

    /** @param  list<string>  $modes */
    private static function scene(array $modes): Scene
    {
        $strips = [['id' => 'below', 'kind' => 'plate', 'values' => ['picture' => 'boardwalk.jpg']]];
        foreach ($modes as $mode) {
            $strips[] = ['id' => strtr($mode, ' ', '-'), 'kind' => 'plate', 'mode' => $mode, 'amount' => self::AMOUNT * 100, 'values' => ['picture' => 'boardwalk.jpg', 'place' => [-300, -100]]];
        }

        return Scene::read(['aumbrel' => 1, 'title' => 'Stack', 'size' => [1600, 1000], 'strips' => $strips], Registry::kinds());
    }

    /**
     * @param  list<int>  $below
     * @param  list<int>  $above
     */
    private function library(array $below, array $above): Closure
    {
        [$ground, $source] = array_map(static function (array $pixels): Imagick {
            $image = new Imagick;
            $image->setSize(self::SIDE, self::SIDE);
            $image->setOption('depth', '8');
            $image->setFormat('BGRA');
            $image->readImageBlob(pack('V*', ...$pixels));

            return $image;
        }, [$below, $above]);
        $modes = [
            Imagick::COMPOSITE_MULTIPLY, Imagick::COMPOSITE_SCREEN, Imagick::COMPOSITE_OVERLAY, Imagick::COMPOSITE_SOFTLIGHT,
            Imagick::COMPOSITE_HARDLIGHT, Imagick::COMPOSITE_COLORDODGE, Imagick::COMPOSITE_PLUS, Imagick::COMPOSITE_OVER,
        ];

        return static function () use ($ground, $source, $modes): void {
            $image = clone $ground;
            foreach ($modes as $mode) {
                $image->compositeImage($source, $mode, 0, 0);
            }
            $image->clear();
        };
    }

    /**
     * The same formulas, called for every sample: what a renderer without generated kernels would do.
     *
     * @param  list<int>  $below
     * @param  list<int>  $above
     */
    private function plainly(array $below, array $above): void
    {
        $formulas = array_map(static function (string $mode): Closure {
            $formula = BlendMode::from($mode)->perChannel();

            return match (true) {
                $formula !== null => Closure::fromCallable($formula),
                $mode === 'add' => static fn (float $b, float $s): float => min(1.0, $b + $s),
                default => static fn (float $b, float $s): float => $s,
            };
        }, self::MODES);
        $out = [];
        foreach ($below as $at => $pixel) {
            foreach ([16, 8, 0] as $shift) {
                $value = ($pixel >> $shift & 255) / 255;
                $source = ($above[$at] >> $shift & 255) / 255;
                foreach ($formulas as $formula) {
                    $value += self::AMOUNT * ($formula($value, $source) - $value);
                }
                $out[] = $value;
            }
        }
    }
}
