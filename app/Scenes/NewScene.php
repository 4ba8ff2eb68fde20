<?php

declare(strict_types=1);

namespace App\Scenes;

use App\Codecs\UnreadablePicture;
use App\Http\Controllers\Upload;
use App\Models\Picture;
use App\Models\Scene;
use Aumbrel\Core\Scene\Scene as Document;

/** A picture that is dropped on the scenes wall becomes a scene of its size, with the picture as its backdrop. */
final readonly class NewScene
{
    public function __construct(private SceneStore $store, private PictureLibrary $library)
    {
    }

    /** @throws UnreadablePicture */
    public function fromUpload(Upload $upload): Scene
    {
        $picture = $this->library->take($upload->path, $upload->name);
        $name = self::fileName($upload->name, $picture);

        return $this->store->create(Document::read([
            'aumbrel' => Document::VERSION,
            'title' => $upload->title(),
            'size' => [$picture->width, $picture->height],
            'strips' => [['id' => StripEdits::newId(), 'kind' => 'plate', 'name' => 'Backdrop', 'values' => ['picture' => $name]]],
        ]), [$name => $picture]);
    }

    /** A plain name for a picture in a scene file, with the ending that its content has. */
    public static function fileName(string $name, Picture $picture): string
    {
        $stem = (string) preg_replace('/^[^\w]+|[^\w .()+-]+/u', '', pathinfo($name, PATHINFO_FILENAME));

        return mb_substr($stem === '' ? 'picture' : $stem, 0, 100).($picture->format === 'png' ? '.png' : '.jpg');
    }
}
