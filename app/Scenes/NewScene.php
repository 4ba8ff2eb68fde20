<?php

declare(strict_types=1);

namespace App\Scenes;

use App\Codecs\UnreadablePicture;
use App\Models\Scene;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Scene\Scene as Document;

/** A picture that is dropped on the scenes wall becomes a scene of its size, with the picture as its backdrop, and what it brings along besides its colours. */
final readonly class NewScene
{
    public function __construct(private SceneStore $store, private PictureLibrary $library, private BringPasses $passes)
    {
    }

    /** @throws UnreadablePicture */
    public function of(IncomingPicture $file): Scene
    {
        $picture = $this->library->take($file->path, $file->name);
        $name = $file->fileName($picture);
        $pictures = [$name => $picture];
        $brought = $this->passes->of($picture, $file, function (IncomingPicture $pass) use (&$pictures): string {
            $taken = $this->library->take($pass->path, $pass->name);
            $pictures[$named = $pass->fileName($taken)] = $taken;

            return $named;
        });

        return $this->store->create(Document::read([
            'aumbrel' => Document::VERSION,
            'title' => $file->title(),
            'size' => [$picture->width, $picture->height],
            'strips' => [['id' => FlatScene::newId(), 'kind' => 'plate', 'name' => 'Backdrop', 'locked' => true, 'values' => ['picture' => $name, ...$brought]]],
        ], Registry::kinds()), $pictures);
    }
}
