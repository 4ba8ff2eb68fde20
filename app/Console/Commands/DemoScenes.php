<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\Scene as SceneRow;
use App\Scenes\SceneImport;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Scene\Scene;
use Illuminate\Console\Command;

/** Stores the scenes of the demo folder, each once; a scene that was deleted is not brought back. */
final class DemoScenes extends Command
{
    protected $signature = 'aumbrel:demo-scenes';

    protected $description = 'Stores the demo scenes that are not there yet';

    /** Where scenes lie on the wall, by what their files are called: whole jobs as they came in, and finished. */
    private const FOLDERS = ['/\/journey-\d+-before\./' => 'Journeys, as they came in', '/\/journey-\d+\./' => 'Journeys, finished'];

    public function handle(SceneImport $import): int
    {
        foreach (glob(base_path('demo/*/{scene,*.scene}.json'), GLOB_BRACE) ?: [] as $file) {
            $title = Scene::fromJson((string) file_get_contents($file), Registry::kinds())->title;
            if (! SceneRow::withTrashed()->where('title', $title)->exists()) {
                $import->fromFile($file)->update(['folder' => self::folder($file)]);
            }
        }

        return self::SUCCESS;
    }

    private static function folder(string $file): ?string
    {
        foreach (self::FOLDERS as $pattern => $folder) {
            if (preg_match($pattern, $file) === 1) {
                return $folder;
            }
        }

        return null;
    }
}
