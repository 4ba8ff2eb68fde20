<?php

declare(strict_types=1);

namespace App\Http;

use App\Codecs\UnreadablePicture;
use App\Scenes\IncomingPicture;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;

/** The one picture file of a request. */
final class Upload
{
    /** @throws UnreadablePicture when none came in whole */
    public static function of(Request $request): IncomingPicture
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

        return new IncomingPicture($file->getPathname(), $name === '' ? 'picture' : $name);
    }
}
