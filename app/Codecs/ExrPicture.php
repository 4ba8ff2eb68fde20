<?php

declare(strict_types=1);

namespace App\Codecs;

use Aumbrel\Core\Picture\PackedWriter;
use Closure;

/**
 * The colours of an EXR file as packed rows. Linear light (primaries of Rec. ITU-R BT.709) becomes encoded; what goes above 1 is
 * kept by storing everything darker, and saying by how much. Where there are numbers well below 0 they are normals, and where
 * there is no colour at all they are a depth: both are stored as tones, not as light.
 */
final class ExrPicture
{
    /** A channel that goes below this holds normals: light does not. */
    private const SIGNED = -0.05;

    /** Rows that are handed over at a time. */
    private const BAND = 16;

    /**
     * @param  Closure(float): void  $progress
     *
     * @throws UnreadablePicture
     */
    public static function write(string $bytes, string $name, string $folder, Closure $progress): void
    {
        $file = ExrFile::read($bytes, $name);
        $layers = ExrLayers::of($file);
        $colour = $layers->colour ?? [];
        $wanted = array_values(array_unique([...$colour, ...($layers->alpha === null ? [] : [$layers->alpha]), ...($layers->depth === null ? [] : [$layers->depth])]));
        [$least, $most, $rows] = [0.0, 0.0, 0];
        $passes = new ExrPasses($layers);
        foreach ($file->rows($wanted) as $row) {
            foreach ($colour as $channel) {
                [$least, $most] = [min($least, min($row[$channel])), max($most, max($row[$channel]))];
            }
            $passes->look($row);
            $progress(0.5 * ++$rows / $file->height());
        }
        $isTone = count(array_unique($colour)) === 1 && preg_match('/(^|[._])(z|depth|v)$/i', $colour[0]) === 1;
        $white = $least < self::SIGNED || $isTone ? 1.0 : LinearRows::white($most);
        $encode = match (true) {
            $least < self::SIGNED => static fn (float $value): int => (int) (65535 * max(0.0, min(1.0, 0.5 + 0.5 * $value)) + 0.5),
            $isTone => static fn (float $value): int => (int) (65535 * max(0.0, min(1.0, $value / max(1e-9, $most))) + 0.5),
            default => static fn (float $value): int => LinearRows::stored($value, $white),
        };
        $writer = new PackedWriter($folder, $file->width(), $file->height(), 16, $white);
        $band = '';
        foreach ($file->rows([...$wanted, ...$passes->channels()]) as $y => $row) {
            $passes->add($row);
            [$reds, $greens, $blues] = [$row[$colour[0]], $row[$colour[1]], $row[$colour[2]]];
            $alphas = $layers->alpha === null ? null : $row[$layers->alpha];
            $packed = [];
            foreach ($reds as $x => $red) {
                // colours are stored as they lie over black
                $alpha = $alphas === null ? 1.0 : max(0.0, min(1.0, $alphas[$x]));
                $over = $alpha > 0.0 ? 1 / $alpha : 0.0;
                $packed[] = (int) (65535 * $alpha + 0.5) << 48 | $encode($red * $over) << 32 | $encode($greens[$x] * $over) << 16 | $encode($blues[$x] * $over);
            }
            $band .= pack('P*', ...$packed);
            if ($y % self::BAND === self::BAND - 1 || $y === $file->height() - 1) {
                $writer->band($band);
                $band = '';
            }
            $progress(0.5 + 0.5 * ($y + 1) / $file->height());
        }
        $passes->write($folder, $file->width(), $file->height());
        $writer->finish();
    }
}
