<?php

declare(strict_types=1);

namespace App\Scenes;

use App\Models\Scene;
use Aumbrel\Core\Plate\Plate;
use Aumbrel\Core\Scene\Scene as Document;

/** Stores a scene file with the pictures that lie beside it. */
final readonly class SceneImport
{
    public function __construct(private SceneStore $store, private PictureLibrary $library)
    {
    }

    public function fromFile(string $file): Scene
    {
        $document = Document::fromJson((string) file_get_contents($file));
        $pictures = [];
        foreach ($document->everyStrip() as $strip) {
            if ($strip->kind instanceof Plate) {
                $name = $strip->kind->picture;
                $pictures[$name] ??= $this->library->take(dirname($file)."/{$name}", $name);
            }
        }

        return $this->store->create($document, $pictures);
    }
}
