<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\Scene as SceneRow;
use App\Scenes\PictureLibrary;
use App\Scenes\SceneStore;
use Aumbrel\Core\Scene\Scene;
use Illuminate\Console\Command;

/** Stores the scenes of the demo folder, each once; a scene that was deleted is not brought back. */
final class DemoScenes extends Command
{
    protected $signature = 'aumbrel:demo-scenes';

    protected $description = 'Stores the demo scenes';

    public function handle(SceneStore $store, PictureLibrary $library): int
    {
        foreach (glob(base_path('demo/scenes/*.json')) ?: [] as $file) {
            $scene = Scene::fromJson((string) file_get_contents($file));
            if (SceneRow::withTrashed()->where('title', $scene->title)->exists()) {
                continue;
            }
            $pictures = [];
            foreach ($scene->everyStrip() as $strip) {
                if ($strip->kind instanceof \Aumbrel\Core\Plate\Plate) {
                    $name = $strip->kind->picture;
                    $pictures[$name] ??= $library->take(base_path("demo/plates/{$name}"), $name);
                }
            }
            $store->create($scene, $pictures);
        }

        return self::SUCCESS;
    }
}
