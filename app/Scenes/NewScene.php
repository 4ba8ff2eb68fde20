<?php

declare(strict_types=1);

namespace App\Scenes;

use App\Codecs\UnreadablePicture;
use App\Models\Scene;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Scene\Scene as Document;

/** A picture that is dropped on the scenes wall becomes a scene of its size, with the picture as its backdrop. */
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

        return $this->store->create(Document::read([
            'aumbrel' => Document::VERSION,
            'title' => $file->title(),
            'size' => [$picture->width, $picture->height],
            'strips' => [['id' => FlatScene::newId(), 'kind' => 'plate', 'name' => 'Backdrop', 'locked' => true, 'values' => ['picture' => $name, ...$this->passes->light($picture)]]],
        ], Registry::kinds()), [$name => $picture]);
    }
}
