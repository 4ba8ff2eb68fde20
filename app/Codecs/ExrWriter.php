<?php

declare(strict_types=1);

namespace App\Codecs;

use App\Faults\DiskFull;

/**
 * Writes rows of halves as an OpenEXR file: scan lines, blocks of sixteen deflated (ZIP), channels A, B, G, R. *Technical
 * Introduction to OpenEXR*, *OpenEXR File Layout* (Academy Software Foundation). In linear light, Rec. 709 primaries.
 */
final class ExrWriter
{
    private const LINES = 16;

    private const ZIP = 3;

    private const HALF = 1;

    /** Of Rec. 709 with the white of D65: red, green, blue, white; x and y each. */
    private const PRIMARIES = [0.64, 0.33, 0.30, 0.60, 0.15, 0.06, 0.3127, 0.3290];

    /**
     * @param  string  $raw  a file of rows: red, green, blue, alpha as big-endian halves
     *
     * @throws DiskFull
     */
    public static function write(string $raw, int $columns, int $rows, string $file): void
    {
        $aside = $file.'.'.bin2hex(random_bytes(6));
        $from = fopen($raw, 'rb');
        $to = @fopen($aside, 'wb');
        if ($from === false || $to === false) {
            throw DiskFull::writing('The picture file');
        }
        try {
            $head = self::head($columns, $rows);
            $blocks = (int) ceil($rows / self::LINES);
            $at = strlen($head) + 8 * $blocks;
            $table = '';
            self::put($to, $head.str_repeat("\0", 8 * $blocks));
            for ($first = 0; $first < $rows; $first += self::LINES) {
                $lines = min(self::LINES, $rows - $first);
                $block = self::block((string) fread($from, 8 * $columns * $lines), $columns, $lines);
                self::put($to, pack('V2', $first, strlen($block)).$block);
                $table .= pack('P', $at);
                $at += 8 + strlen($block);
            }
            fseek($to, strlen($head));
            self::put($to, $table);
            if (! fclose($to) || ! @rename($aside, $file)) {
                throw DiskFull::writing('The picture file');
            }
        } finally {
            fclose($from);
            @unlink($aside);
        }
    }

    private static function head(int $columns, int $rows): string
    {
        $attribute = static fn (string $name, string $type, string $bytes): string => "{$name}\0{$type}\0".pack('V', strlen($bytes)).$bytes;
        $channels = implode('', array_map(static fn (string $name): string => "{$name}\0".pack('VCx3V2', self::HALF, 0, 1, 1), ['A', 'B', 'G', 'R']))."\0";
        $box = pack('V4', 0, 0, $columns - 1, $rows - 1);

        return ExrFile::MAGIC.pack('V', 2).$attribute('channels', 'chlist', $channels).$attribute('chromaticities', 'chromaticities', pack('g8', ...self::PRIMARIES)).$attribute('compression', 'compression', chr(self::ZIP))
            .$attribute('dataWindow', 'box2i', $box).$attribute('displayWindow', 'box2i', $box).$attribute('lineOrder', 'lineOrder', "\0")
            .$attribute('pixelAspectRatio', 'float', pack('g', 1.0)).$attribute('screenWindowCenter', 'v2f', pack('g2', 0, 0)).$attribute('screenWindowWidth', 'float', pack('g', 1.0))."\0";
    }

    /** Lines by channel, then deflated; what would not become smaller stays as it is. */
    private static function block(string $bytes, int $columns, int $lines): string
    {
        /** @var array<int, int> $halves */
        $halves = unpack('n*', $bytes) ?: [];
        $low = $high = '';
        for ($line = 0; $line < $lines; $line++) {
            foreach ([3, 2, 1, 0] as $channel) {
                $row = [];
                for ($at = 4 * $columns * $line + $channel + 1, $end = 4 * $columns * ($line + 1); $at <= $end; $at += 4) {
                    $row[] = $halves[$at];
                }
                // the even bytes first, then the odd ones
                $low .= pack('C*', ...array_map(static fn (int $half): int => $half & 255, $row));
                $high .= pack('C*', ...array_map(static fn (int $half): int => $half >> 8, $row));
            }
        }
        $sorted = array_values(unpack('C*', $low.$high) ?: []);
        $differences = [];
        $last = 0;
        foreach ($sorted as $at => $byte) {
            $differences[] = $at === 0 ? $byte : $byte - $last + 128 & 255;
            $last = $byte;
        }
        $deflated = (string) gzcompress(pack('C*', ...$differences), 4);
        $plain = '';
        if (strlen($deflated) >= strlen($low) + strlen($high)) {
            for ($at = 0, $end = strlen($low); $at < $end; $at++) {
                $plain .= $low[$at].$high[$at];
            }
        }

        return $plain === '' ? $deflated : $plain;
    }

    /**
     * @param  resource  $file
     *
     * @throws DiskFull
     */
    private static function put($file, string $bytes): void
    {
        if (@fwrite($file, $bytes) !== strlen($bytes)) {
            throw DiskFull::writing('The picture file');
        }
    }
}
