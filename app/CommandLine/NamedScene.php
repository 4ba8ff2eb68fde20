<?php

declare(strict_types=1);

namespace App\CommandLine;

use App\Files\Folder;
use App\Models\Picture;
use App\Models\Scene as SceneRow;
use App\Render\StoredPictures;
use App\Scenes\NoPackedScene;
use App\Scenes\PackedScene;
use App\Scenes\PictureLibrary;
use App\Scenes\SceneStore;
use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Kernel\KernelStore;
use Aumbrel\Core\Kind\Pictured;
use Aumbrel\Core\Picture\PictureShelf;
use Aumbrel\Core\Picture\ShapeStore;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Render\Renderer;
use Aumbrel\Core\Scene\Scene;
use Closure;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Foundation\Application;

/** A scene as a command names it, a file or the id of a stored one, and where its pictures are. */
final readonly class NamedScene
{
    /** @param  Closure(string): ?string  $original  the file of a picture by its name */
    private function __construct(public Scene $scene, public PictureShelf $pictures, private Closure $original)
    {
    }

    /** @throws Problem when there is no such scene, or it is none */
    public static function open(string $name): self
    {
        if (is_file($name)) {
            return self::fromFile(PackedScene::isOne($name) ? self::unpacked($name) : $name);
        }
        if (preg_match('/^[0-9a-z]{26}$/D', $name) === 1) {
            return self::stored($name);
        }
        throw new Problem("there is no scene file {$name}");
    }

    private static function fromFile(string $path): self
    {
        if ((int) filesize($path) > PackedScene::LARGEST_SCENE) {
            throw new Problem("{$path} is too large for a scene file");
        }
        try {
            return new self(Scene::fromJson((string) file_get_contents($path), Registry::kinds()), new FilePictures(dirname($path), self::root().'/storage/pictures'), static fn (string $name): string => dirname($path)."/{$name}");
        } catch (SceneError $error) {
            throw new Problem("{$path}: {$error->getMessage()}");
        }
    }

    /** The scene file of a packed scene, laid out in a folder that goes with this process. */
    private static function unpacked(string $file): string
    {
        $folder = sys_get_temp_dir().'/aumbrel-'.bin2hex(random_bytes(8));
        mkdir($folder, 0o700);
        $owner = getmypid();
        register_shutdown_function(static function () use ($folder, $owner): void {
            if (getmypid() === $owner) {
                Folder::remove($folder);
            }
        });
        try {
            return PackedScene::unpack($file, $folder);
        } catch (NoPackedScene $problem) {
            throw new Problem("{$file} {$problem->getMessage()}");
        }
    }

    private static function stored(string $id): self
    {
        $application = self::application();
        $row = SceneRow::query()->find($id) ?? throw new Problem("there is no stored scene {$id}");
        $store = $application->make(SceneStore::class);

        $ids = array_map(static fn (Picture $picture): string => $picture->id, $store->pictures($row));
        $library = $application->make(PictureLibrary::class);

        return new self($store->whole($row), (new StoredPictures(config()->string('aumbrel.pictures')))->showing($ids), static fn (string $name): ?string => isset($ids[$name]) ? $library->path($ids[$name]).'/original' : null);
    }

    /**
     * Opens every picture, so that what is missing is said once, and before a process is started.
     *
     * @throws SceneError
     */
    public function checkPictures(): void
    {
        foreach ($this->scene->everyStrip() as $strip) {
            if ($strip->kind instanceof Pictured) {
                $this->pictures->picture($strip->kind->picture());
            }
        }
    }

    /** The file of a picture, as it came; null when there is none. */
    public function original(string $name): ?string
    {
        $file = ($this->original)($name);

        return $file !== null && is_file($file) ? $file : null;
    }

    /** Renders it, with what other runs have found out. */
    public function renderer(): Renderer
    {
        return new Renderer(new KernelStore(self::root().'/storage/kernels'), $this->pictures, new ShapeStore(self::root().'/storage/shapes'));
    }

    /** The application, started: for commands that work on what is stored. */
    public static function application(): Application
    {
        $application = require self::root().'/bootstrap/app.php';
        if (! $application instanceof Application) {
            throw new Problem('the application does not start');
        }
        $application->make(Kernel::class)->bootstrap();

        return $application;
    }

    public static function root(): string
    {
        return dirname(__DIR__, 2);
    }
}
