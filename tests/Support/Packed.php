<?php

declare(strict_types=1);

namespace Tests\Support;

use Aumbrel\Core\Picture\PackedPicture;
use Aumbrel\Core\Picture\PackedWriter;
use Closure;

/** Pictures in packed rows with all their halvings, like uploaded ones. */
final class Packed
{
    /** @param  Closure(float, float): array<int, int>  $colour  0..255, of a pixel's middle */
    public static function picture(int $width, int $height, Closure $colour): PackedPicture
    {
        $folder = Folder::of('packed').'/'.bin2hex(random_bytes(6));
        $writer = new PackedWriter($folder, $width, $height, 8);
        for ($y = 0; $y < $height; $y++) {
            $row = [];
            for ($x = 0; $x < $width; $x++) {
                [$r, $g, $b] = $c = $colour($x + 0.5, $y + 0.5);
                $row[] = ($c[3] ?? 255) << 24 | $r << 16 | $g << 8 | $b;
            }
            $writer->band(pack('V*', ...$row));
        }
        $writer->finish();

        return PackedPicture::open($folder);
    }
}
