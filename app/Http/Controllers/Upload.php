<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Codecs\UnreadablePicture;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;

/** The one picture file of a request. */
final readonly class Upload
{
    private function __construct(public string $path, public string $name)
    {
    }

    /** @throws UnreadablePicture when none came in whole */
    public static function of(Request $request): self
    {
        $file = $request->file('file');
        if (! $file instanceof UploadedFile) {
            throw new UnreadablePicture('No picture came in. Files of up to 200 MB are taken.');
        }
        $name = mb_substr((string) preg_replace('/[^\w .()+-]+/u', '_', basename($file->getClientOriginalName())), 0, 120);
        if (! $file->isValid()) {
            $reason = in_array($file->getError(), [UPLOAD_ERR_INI_SIZE, UPLOAD_ERR_FORM_SIZE], true) ? 'it is larger than 200 MB' : 'it did not come in whole';
            throw new UnreadablePicture("{$name} was not taken: {$reason}.");
        }

        return new self($file->getPathname(), $name === '' ? 'picture' : $name);
    }

    /** The name without its ending, for titles. */
    public function title(): string
    {
        $stem = trim(str_replace(['_', '-'], ' ', pathinfo($this->name, PATHINFO_FILENAME)));

        return $stem === '' ? 'Untitled' : mb_strtoupper(mb_substr($stem, 0, 1)).mb_substr($stem, 1, 79);
    }
}
