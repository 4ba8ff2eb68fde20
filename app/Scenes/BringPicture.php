<?php

declare(strict_types=1);

namespace App\Scenes;

use App\Codecs\UnreadablePicture;
use App\Models\Picture;
use App\Models\Scene;
use Illuminate\Support\Str;

/** Brings a picture to a scene, under a name that no other picture of it has; nothing shows it yet. */
final readonly class BringPicture
{
    public function __construct(private SceneStore $store, private PictureLibrary $library)
    {
    }

    /**
     * @return array{string, Picture} its plain name in the scene
     *
     * @throws UnreadablePicture
     */
    public function to(Scene $scene, IncomingPicture $file): array
    {
        $picture = $this->library->take($file->path, $file->name);
        $name = $file->fileName($picture);

        return [$this->called($scene, $name, $picture), $picture];
    }

    /** Brings a picture that is stored already; says under which name it is in the scene. */
    public function called(Scene $scene, string $name, Picture $picture): string
    {
        $known = $this->store->pictures($scene);
        if (isset($known[$name]) && $known[$name]->id !== $picture->id) {
            $name = Str::beforeLast($name, '.').'-'.substr($picture->id, 0, 6).'.'.Str::afterLast($name, '.');
        }
        $this->store->addPictures($scene, [$name => $picture]);

        return $name;
    }
}
