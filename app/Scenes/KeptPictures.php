<?php

declare(strict_types=1);

namespace App\Scenes;

use App\Faults\DiskFull;
use App\Models\Scene;

/** Of each scene one small JPEG, as it last looked: shown at once on the wall and while a scene opens. */
final readonly class KeptPictures
{
    public function __construct(private string $folder)
    {
    }

    /** The picture of the scene as it is; null when none is kept. */
    public function current(Scene $scene): ?string
    {
        return self::read($this->path($scene->id, $scene->revision));
    }

    /** The last picture, of whichever revision; null when none is kept. */
    public function last(Scene $scene): ?string
    {
        $files = $this->files($scene->id);

        return $files === [] ? null : self::read($files[array_key_last($files)]);
    }

    /** Keeps a picture in place of earlier ones. A full disk is no reason not to show it. */
    public function keep(Scene $scene, string $jpeg): void
    {
        $path = $this->path($scene->id, $scene->revision);
        $earlier = $this->files($scene->id);
        $aside = $path.'.'.bin2hex(random_bytes(6));
        if (! is_dir($this->folder)) {
            @mkdir($this->folder, 0o700, true);
        }
        if (@file_put_contents($aside, $jpeg) === strlen($jpeg) && @rename($aside, $path)) {
            array_map(static fn (string $file): bool => @unlink($file), array_diff($earlier, [$path]));
        } else {
            @unlink($aside);
            report(DiskFull::writing('The small picture of a scene'));
        }
    }

    public function forget(string $scene): void
    {
        array_map(static fn (string $file): bool => @unlink($file), $this->files($scene));
    }

    private function path(string $scene, int $revision): string
    {
        return sprintf('%s/%s-%010d.jpg', $this->folder, $scene, $revision);
    }

    /** @return list<string> the latest last */
    private function files(string $scene): array
    {
        return glob("{$this->folder}/{$scene}-*.jpg") ?: [];
    }

    private static function read(string $file): ?string
    {
        $bytes = @file_get_contents($file);

        return $bytes === false || $bytes === '' ? null : $bytes;
    }
}
