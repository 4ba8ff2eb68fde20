<?php

declare(strict_types=1);

namespace App\CommandLine;

use App\Faults\DatabaseFault;
use App\Scenes\NoPackedScene;
use App\Scenes\SceneImport;
use Aumbrel\Core\Fault\SceneError;
use PDOException;

/** Takes a scene file with the pictures beside it, or a packed scene, in among the stored ones. */
final class StoreCommand implements Command
{
    public function run(array $words): void
    {
        $arguments = Arguments::read($words, [], []);
        $file = count($arguments->plain) === 1 ? $arguments->plain[0] : throw new Problem('which scene? aumbrel store SCENE');
        if (! is_file($file)) {
            throw new Problem("there is no scene file {$file}");
        }
        $import = NamedScene::application()->make(SceneImport::class);
        try {
            echo $import->fromFile($file)->id, "\n";
        } catch (SceneError $error) {
            throw new Problem("{$file}: {$error->getMessage()}");
        } catch (NoPackedScene $error) {
            throw new Problem("{$file} {$error->getMessage()}");
        } catch (PDOException $error) {
            throw DatabaseFault::of($error);
        }
    }

    public static function help(): string
    {
        return <<<'TEXT'
            aumbrel store SCENE

            Takes a scene file with its pictures beside it, or a packed scene (a ZIP of
            the two), in among the stored scenes, and prints the id that it has there.
            TEXT;
    }
}
