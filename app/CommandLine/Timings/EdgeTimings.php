<?php

declare(strict_types=1);

namespace App\CommandLine\Timings;

use App\CommandLine\NamedScene;
use App\Files\Folder;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KernelStore;
use Aumbrel\Core\Picture\ShapeStore;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Render\Renderer;
use Aumbrel\Core\Scene\Scene;

/** The demo's heron, cut by an outline, at full size: with a plain cut, with a hair band for the first time, and once more. Milliseconds in one process. */
final class EdgeTimings
{
    private const BANDS = [8, 40];

    /** @return array<string, mixed> */
    public function measure(): array
    {
        $folder = sys_get_temp_dir().'/aumbrel-timings-edge-'.getmypid();
        $named = NamedScene::open(SceneTimings::file());
        $picture = $named->pictures->picture('heron.png');
        [$width, $height] = [$picture->width(), $picture->height()];
        $path = array_map(static fn (int $k): array => ['at' => [$width * (0.5 + 0.42 * cos($k * M_PI / 18)), $height * (0.5 + 0.45 * sin($k * M_PI / 18))]], range(0, 35));
        $scene = static fn (float $band): Scene => Scene::read(['aumbrel' => Scene::VERSION, 'title' => 'Edge', 'size' => [$width, $height], 'strips' => [
            ['id' => 'ground', 'kind' => 'fill', 'values' => ['colour' => '#406050']],
            ['id' => 'plate', 'kind' => 'plate', 'values' => ['picture' => 'heron.png', 'hairBand' => $band], 'masks' => [['id' => 'cut', 'kind' => 'outline', 'on' => 'plate', 'values' => ['path' => $path]]]],
        ]], Registry::kinds());
        // a process that remembers nothing each time; kernels and what was found lie on the disk
        $render = static fn (float $band): float => Stopwatch::once(static fn () => (new Renderer(new KernelStore("{$folder}/kernels"), $named->pictures, new ShapeStore("{$folder}/shapes")))->picture($scene($band), Window::whole($width, $height)));
        try {
            $render(4);
            $plain = Stopwatch::median([$render(0), $render(0), $render(0)]);
            $times = ['pixels' => [$width, $height], 'unit' => 'ms', 'plainCut' => $plain];
            foreach (self::BANDS as $band) {
                $times["band{$band}First"] = round($render($band), 1);
                $times["band{$band}"] = Stopwatch::median([$render($band), $render($band), $render($band)]);
            }

            return $times;
        } finally {
            Folder::remove($folder);
        }
    }
}
