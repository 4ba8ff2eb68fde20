<?php

declare(strict_types=1);

namespace Tests\Support;

use Illuminate\Http\UploadedFile;

/** EXR files as tests need them: channels by name, of half or whole floats, plain or deflated. */
final class Exr
{
    /**
     * @param  array<string, callable(int, int): float>  $channels  by name, of column and row
     * @param  array{compression?: int, version?: int, half?: bool, shown?: array{int, int, int, int}, sampling?: int}  $with
     */
    public static function bytes(int $width, int $height, array $channels, array $with = []): string
    {
        ksort($channels);
        [$compression, $half, $lines] = [$with['compression'] ?? 0, $with['half'] ?? true, ($with['compression'] ?? 0) === 3 ? 16 : 1];
        $list = '';
        foreach (array_keys($channels) as $name) {
            $list .= "{$name}\0".pack('VCx3VV', $half ? 1 : 2, 0, $with['sampling'] ?? 1, 1);
        }
        $attribute = static fn (string $name, string $type, string $bytes): string => "{$name}\0{$type}\0".pack('V', strlen($bytes)).$bytes;
        $head = "\x76\x2f\x31\x01".pack('V', $with['version'] ?? 2).$attribute('channels', 'chlist', "{$list}\0").$attribute('compression', 'compression', chr($compression))
            .$attribute('dataWindow', 'box2i', pack('V4', 0, 0, $width - 1, $height - 1)).$attribute('displayWindow', 'box2i', pack('V4', ...$with['shown'] ?? [0, 0, $width - 1, $height - 1]))
            .$attribute('lineOrder', 'lineOrder', "\0").$attribute('pixelAspectRatio', 'float', pack('g', 1.0)).$attribute('screenWindowCenter', 'v2f', pack('g2', 0, 0)).$attribute('screenWindowWidth', 'float', pack('g', 1.0))."\0";
        [$offsets, $blocks, $at] = ['', '', strlen($head) + 8 * (int) ceil($height / $lines)];
        for ($first = 0; $first < $height; $first += $lines) {
            $data = '';
            for ($y = $first; $y < min($height, $first + $lines); $y++) {
                foreach ($channels as $of) {
                    for ($x = 0; $x < $width; $x++) {
                        $data .= $half ? pack('v', self::half($of($x, $y))) : pack('g', $of($x, $y));
                    }
                }
            }
            $packed = $compression === 0 ? $data : self::deflated($data);
            $packed = strlen($packed) < strlen($data) ? $packed : $data;
            $offsets .= pack('P', $at + strlen($blocks));
            $blocks .= pack('V2', $first, strlen($packed)).$packed;
        }

        return $head.$offsets.$blocks;
    }

    /**
     * @param  array<string, callable(int, int): float>  $channels
     * @param  array{compression?: int, version?: int, half?: bool, shown?: array{int, int, int, int}, sampling?: int}  $with
     */
    public static function file(string $name, int $width, int $height, array $channels, array $with = []): UploadedFile
    {
        return PictureFile::of($name, self::bytes($width, $height, $channels, $with));
    }

    /** The even bytes first, each as its difference from the one before. */
    private static function deflated(string $data): string
    {
        $bytes = array_values((array) unpack('C*', $data));
        $sorted = [...array_values(array_filter($bytes, static fn (int $at): bool => $at % 2 === 0, ARRAY_FILTER_USE_KEY)), ...array_values(array_filter($bytes, static fn (int $at): bool => $at % 2 === 1, ARRAY_FILTER_USE_KEY))];
        $out = chr($sorted[0]);
        for ($at = 1; $at < count($sorted); $at++) {
            $out .= chr($sorted[$at] - $sorted[$at - 1] + 128 & 255);
        }

        return (string) gzcompress($out);
    }

    private static function half(float $value): int
    {
        $sign = $value < 0 ? 0x8000 : 0;
        $value = abs($value);
        if ($value < 2 ** -24) {
            return $sign;
        }
        $exponent = max(-14, (int) floor(log($value, 2)));

        return $sign | ($value < 2 ** -14 ? (int) round($value * 2 ** 24) : min(0x7BFF, ($exponent + 15 << 10) + (int) round(($value / 2 ** $exponent - 1) * 1024)));
    }
}
