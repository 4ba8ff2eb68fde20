<?php

declare(strict_types=1);

namespace App\CommandLine\Timings;

use App\CommandLine\NamedScene;
use App\CommandLine\Problem;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KernelStore;
use Aumbrel\Core\Picture\ShapeStore;
use Aumbrel\Core\Render\Renderer;
use Aumbrel\Core\Scene\Scene;

/** The committed benchmark scene: 12 strips, with caches cold once and warm after. Milliseconds in one process. */
final class SceneTimings
{
    /** What the view of the work screen shows of it at 1280 x 800. */
    private const REST = 0.49;

    private const ROUNDS = 5;

    public static function file(): string
    {
        return NamedScene::root().'/demo/night-market/benchmark.json';
    }

    /** @return array<string, mixed> */
    public function measure(): array
    {
        $named = NamedScene::open(self::file());
        $kernels = sys_get_temp_dir().'/aumbrel-timings-'.getmypid();
        try {
            $renderer = new Renderer(new KernelStore($kernels), $named->pictures, new ShapeStore(NamedScene::root().'/storage/shapes'));

            return [
                'strips' => count($named->scene->everyStrip()),
                'unit' => 'ms, one process',
                'draft' => $this->both($renderer, $named->scene, self::REST / 2),
                'settled' => $this->both($renderer, $named->scene, self::REST),
            ];
        } finally {
            array_map('unlink', glob("{$kernels}/*") ?: []);
            @rmdir($kernels);
        }
    }

    /** @return array<string, float> */
    private function both(Renderer $renderer, Scene $scene, float $scale): array
    {
        $window = Window::whole($scene->width, $scene->height, $scale);
        $top = $scene->strips[count($scene->strips) - 1]->id;

        return [
            'cold' => round(Stopwatch::once(static fn () => $renderer->picture($scene, $window)), 1),
            ...Stopwatch::inTurn([
                'warm' => static fn () => $renderer->picture($scene, $window),
                'warmTopStripMoving' => static fn () => $renderer->picture($scene, $window, below: $top),
            ], self::ROUNDS),
        ];
    }

    /** @return array<string, mixed> the export of the same scene at 24 megapixels, by the command that exports use */
    public function export(): array
    {
        $named = NamedScene::open(self::file());
        $scale = sqrt(24e6 / ($named->scene->width * $named->scene->height));
        $out = sys_get_temp_dir().'/aumbrel-timings-'.getmypid().'.png';
        $started = hrtime(true);
        exec(sprintf('%s render %s --out %s --scale %F 2>&1', escapeshellarg(NamedScene::root().'/bin/aumbrel'), escapeshellarg(self::file()), escapeshellarg($out), $scale), $said, $status);
        @unlink($out);
        if ($status !== 0) {
            throw new Problem('the export failed: '.implode(' ', $said));
        }

        return ['megapixels' => 24, 'seconds' => round((hrtime(true) - $started) / 1e9, 1)];
    }
}
