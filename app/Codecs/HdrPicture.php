<?php

declare(strict_types=1);

namespace App\Codecs;

use Aumbrel\Core\Picture\PackedWriter;
use Closure;

/** A Radiance picture as packed rows. */
final class HdrPicture
{
    private const BAND = 16;

    /**
     * @param  Closure(float): void  $progress
     *
     * @throws UnreadablePicture
     */
    public static function write(string $bytes, string $name, string $folder, Closure $progress): void
    {
        $file = HdrFile::read($bytes, $name);
        $most = 0.0;
        foreach ($file->rows() as $y => $row) {
            $most = max($most, ...array_map(max(...), $row));
            $progress(0.4 * ($y + 1) / $file->height);
        }
        $white = LinearRows::white($most);
        $writer = new PackedWriter($folder, $file->width, $file->height, 16, $white);
        $band = '';
        foreach ($file->rows() as $y => [$red, $green, $blue]) {
            $packed = [];
            foreach ($red as $x => $value) {
                $packed[] = 0xFFFF << 48 | LinearRows::stored($value, $white) << 32 | LinearRows::stored($green[$x], $white) << 16 | LinearRows::stored($blue[$x], $white);
            }
            $band .= pack('P*', ...$packed);
            if ($y % self::BAND === self::BAND - 1 || $y === $file->height - 1) {
                $writer->band($band);
                $band = '';
            }
            $progress(0.4 + 0.6 * ($y + 1) / $file->height);
        }
        $writer->finish();
    }
}
