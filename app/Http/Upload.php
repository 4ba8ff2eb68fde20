<?php

declare(strict_types=1);

namespace App\Http;

use App\Codecs\UnreadablePicture;
use App\Faults\DiskFull;
use App\Scenes\IncomingPicture;
use App\Scenes\Intake;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;

/** The files of a request, or one that came in part by part before (`intake`). */
final class Upload
{
    /** @throws UnreadablePicture when none came in whole */
    public static function of(Request $request): IncomingPicture
    {
        $intake = $request->input('intake');
        if (is_string($intake)) {
            return (Intake::find($intake) ?? throw new UnreadablePicture('The file is no longer being taken in. Bring it again.'))->whole();
        }
        $file = $request->file('file');
        if (! $file instanceof UploadedFile) {
            throw new UnreadablePicture('No file came in. Files of up to 200 MB are taken.');
        }

        return self::whole($file);
    }

    /**
     * Pictures that come with a scene file.
     *
     * @return array<array-key, string> paths by name
     *
     * @throws UnreadablePicture when one did not come in whole
     */
    public static function beside(Request $request): array
    {
        $paths = [];
        /** @var mixed $files whatever the form holds */
        $files = $request->file('pictures');
        foreach (is_array($files) ? $files : [] as $file) {
            if ($file instanceof UploadedFile) {
                $paths[basename($file->getClientOriginalName())] = self::whole($file)->path;
            }
        }

        return $paths;
    }

    private static function whole(UploadedFile $file): IncomingPicture
    {
        $name = self::plainName($file->getClientOriginalName());
        if (! $file->isValid()) {
            throw match ($file->getError()) {
                UPLOAD_ERR_INI_SIZE, UPLOAD_ERR_FORM_SIZE => new UnreadablePicture("{$name} was not taken: it is larger than 200 MB."),
                UPLOAD_ERR_CANT_WRITE, UPLOAD_ERR_NO_TMP_DIR => DiskFull::writing($name),
                default => new UnreadablePicture("{$name} was not taken: it did not come in whole."),
            };
        }

        return new IncomingPicture($file->getPathname(), $name);
    }

    /** What a file is called, in letters that harm nobody. */
    public static function plainName(string $name): string
    {
        $plain = mb_substr((string) preg_replace('/[^\w .()+-]+/u', '_', basename($name)), 0, 120);

        return $plain === '' ? 'picture' : $plain;
    }
}
