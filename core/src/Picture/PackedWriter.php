<?php

declare(strict_types=1);

namespace Aumbrel\Core\Picture;

use Aumbrel\Core\Fault\NotKept;
use InvalidArgumentException;

/**
 * Writes a decoded picture as packed rows at full size and its halvings into a folder; bands come in from the top.
 *
 * Bytes lie blue, green, red, alpha (little-endian 32-bit integers, or 64-bit ones of four 16-bit channels). A halving
 * averages 2 x 2 premultiplied encoded values; past an odd edge the last pixel stands for its missing neighbour.
 */
final class PackedWriter
{
    /** @var array<int, resource> */
    private array $files = [];

    /** @var array<int, list<int>|null> a row of each level that waits for its pair */
    private array $waiting = [];

    /** @var array<int, int> rows of each level that were halved */
    private array $halved = [];

    private int $rows = 0;

    private bool $opaque = true;

    /**
     * @param  8|16  $bits
     * @param  float  $white  the linear light that a full channel stands for; above 1 for what goes beyond white
     */
    public function __construct(private readonly string $folder, private readonly int $width, private readonly int $height, private readonly int $bits, private readonly float $white = 1.0)
    {
        if ($width < 1 || $height < 1) {
            throw new InvalidArgumentException('a picture has a width and a height');
        }
        if (! is_dir($folder) && ! @mkdir($folder, 0o755, true) && ! is_dir($folder)) {
            throw new NotKept('the picture');
        }
        for ($level = 0; $level <= PictureSource::LEVELS; $level++) {
            $file = @fopen("{$folder}/{$level}.rows", 'wb');
            $this->files[$level] = $file === false ? throw new NotKept('the picture') : $file;
            $this->waiting[$level] = null;
        }
    }

    /** The next rows of the picture, whole ones. */
    public function band(string $bytes): void
    {
        $pitch = $this->width * intdiv($this->bits, 2);
        if ($bytes === '' || strlen($bytes) % $pitch !== 0) {
            throw new InvalidArgumentException('a band is made of whole rows');
        }
        $this->put(0, $bytes);
        $format = $this->bits === 16 ? 'P*' : 'V*';
        for ($at = 0, $end = strlen($bytes); $at < $end; $at += $pitch) {
            /** @var array<int, int> $row */
            $row = unpack($format, substr($bytes, $at, $pitch)) ?: [];
            $this->opaque = $this->opaque && $this->isOpaque($row);
            $this->rows++;
            $this->pair(0, array_values($row));
        }
    }

    /** Writes what is still waiting and the description; only then the folder is a picture. */
    public function finish(): void
    {
        if ($this->rows !== $this->height) {
            throw new InvalidArgumentException("the picture has {$this->height} rows, {$this->rows} came");
        }
        for ($level = 0; $level < PictureSource::LEVELS; $level++) {
            if (($row = $this->waiting[$level]) !== null) {
                $this->waiting[$level] = null;
                $this->halve($level, $row, $row);
            }
        }
        foreach ($this->files as $file) {
            if (! fflush($file) || ! fclose($file)) {
                throw new NotKept('the picture');
            }
        }
        $about = json_encode(['width' => $this->width, 'height' => $this->height, 'bits' => $this->bits, 'opaque' => $this->opaque, ...($this->white === 1.0 ? [] : ['white' => $this->white])], JSON_THROW_ON_ERROR);
        if (@file_put_contents("{$this->folder}/picture.json", $about) !== strlen($about)) {
            throw new NotKept('the picture');
        }
    }

    /** @param  list<int>  $row */
    private function pair(int $level, array $row): void
    {
        if ($level >= PictureSource::LEVELS) {
            return;
        }
        if (($first = $this->waiting[$level]) === null) {
            $this->waiting[$level] = $row;

            return;
        }
        $this->waiting[$level] = null;
        $this->halve($level, $first, $row);
    }

    /**
     * @param  list<int>  $top
     * @param  list<int>  $bottom
     */
    private function halve(int $level, array $top, array $bottom): void
    {
        if (count($top) % 2 === 1) {
            $top[] = $top[count($top) - 1];
            $bottom[] = $bottom[count($bottom) - 1];
        }
        // halves are rounded up and down in turn, as on a chessboard: always up would brighten every level by an eighth
        $this->halved[$level] ??= 0;
        $up = 1 + ($this->halved[$level]++ & 1);
        $half = $this->bits === 16 ? self::average16($top, $bottom, $up) : self::average8($top, $bottom, $up);
        $this->put($level + 1, pack($this->bits === 16 ? 'P*' : 'V*', ...$half));
        $this->pair($level + 1, $half);
    }

    /**
     * @param  list<int>  $top
     * @param  list<int>  $bottom
     * @param  1|2  $up  how the first half is rounded: 2 up, 1 down
     * @return list<int>
     */
    private static function average8(array $top, array $bottom, int $up): array
    {
        $half = [];
        for ($n = 0, $count = count($top); $n < $count; $n += 2) {
            $p = $top[$n];
            $q = $top[$n + 1];
            $s = $bottom[$n];
            $t = $bottom[$n + 1];
            if ((($p ^ $q) | ($p ^ $s) | ($p ^ $t)) >> 24 === 0) {
                // one alpha: two channels at a time
                $a = ($p & 0xFF00FF) + ($q & 0xFF00FF) + ($s & 0xFF00FF) + ($t & 0xFF00FF);
                $b = ($p >> 8 & 0xFF00FF) + ($q >> 8 & 0xFF00FF) + ($s >> 8 & 0xFF00FF) + ($t >> 8 & 0xFF00FF);
                $half[] = ($a + $up * 0x10001 >> 2 & 0xFF00FF) | ($b + $up * 0x10001 >> 2 & 0xFF00FF) << 8;
            } else {
                $half[] = self::weighted([$p, $q, $s, $t], 8, $up);
            }
            $up = 3 - $up;
        }

        return $half;
    }

    /**
     * @param  list<int>  $top
     * @param  list<int>  $bottom
     * @param  1|2  $up  how the first half is rounded: 2 up, 1 down
     * @return list<int>
     */
    private static function average16(array $top, array $bottom, int $up): array
    {
        $half = [];
        for ($n = 0, $count = count($top); $n < $count; $n += 2) {
            $half[] = self::weighted([$top[$n], $top[$n + 1], $bottom[$n], $bottom[$n + 1]], 16, $up);
            $up = 3 - $up;
        }

        return $half;
    }

    /**
     * @param  array{int, int, int, int}  $pixels
     * @param  int  $up  2 rounds a half up, 1 down
     */
    private static function weighted(array $pixels, int $bits, int $up): int
    {
        $mask = (1 << $bits) - 1;
        $red = $green = $blue = $alpha = 0;
        foreach ($pixels as $pixel) {
            $a = $pixel >> 3 * $bits & $mask;
            $red += ($pixel >> 2 * $bits & $mask) * $a;
            $green += ($pixel >> $bits & $mask) * $a;
            $blue += ($pixel & $mask) * $a;
            $alpha += $a;
        }
        if ($alpha === 0) {
            return 0;
        }

        return ($alpha + $up >> 2) << 3 * $bits | self::share($red, $alpha, $up) << 2 * $bits | self::share($green, $alpha, $up) << $bits | self::share($blue, $alpha, $up);
    }

    /** A quotient rounded to the nearest whole number. */
    private static function share(int $sum, int $by, int $up): int
    {
        $whole = intdiv($sum, $by);
        $twice = 2 * ($sum - $whole * $by);

        return $twice > $by || ($twice === $by && $up === 2) ? $whole + 1 : $whole;
    }

    /** @param  array<int, int>  $row */
    private function isOpaque(array $row): bool
    {
        $all = -1;
        foreach ($row as $pixel) {
            $all &= $pixel;
        }

        return $this->bits === 16 ? ($all >> 48 & 65535) === 65535 : ($all >> 24 & 255) === 255;
    }

    private function put(int $level, string $bytes): void
    {
        if (@fwrite($this->files[$level], $bytes) !== strlen($bytes)) {
            throw new NotKept('the picture');
        }
    }
}
