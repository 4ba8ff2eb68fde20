<?php

declare(strict_types=1);

namespace App\Scenes;

use App\Codecs\PictureFormat;
use App\Models\Picture;

/** A picture file that somebody brings, and what they call it. */
final readonly class IncomingPicture
{
    public function __construct(public string $path, public string $name)
    {
    }

    /** The name without its ending, for titles. */
    public function title(): string
    {
        $stem = trim(str_replace(['_', '-'], ' ', pathinfo($this->name, PATHINFO_FILENAME)));

        return $stem === '' ? 'Untitled' : mb_strtoupper(mb_substr($stem, 0, 1)).mb_substr($stem, 1, 79);
    }

    /** A plain name for a scene file, with the ending that its content has. */
    public function fileName(Picture $picture): string
    {
        $stem = (string) preg_replace('/^[^\w]+|[^\w .()+-]+/u', '', pathinfo($this->name, PATHINFO_FILENAME));

        return mb_substr($stem === '' ? 'picture' : $stem, 0, 100).'.'.PictureFormat::from($picture->format)->ending();
    }
}
