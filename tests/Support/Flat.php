<?php

declare(strict_types=1);

namespace Tests\Support;

use Aumbrel\Core\Picture\PictureShelf;
use Aumbrel\Core\Picture\PictureSource;

/** Pictures made of a formula, for tests of the core: no files, and values known at every pixel. */
final class Flat implements PictureShelf, PictureSource
{
    /** @var array<int, list<int>> pixels by level */
    private array $levels = [];

    private ?string $key = null;

    /**
     * @param  callable(int, int): array{int, int, int, 3?: int}  $colour  red, green, blue and alpha, 0..255 or 0..65535, of column and row
     * @param  8|16  $bits
     */
    public function __construct(private readonly int $width, private readonly int $height, callable $colour, private readonly int $bits = 8)
    {
        $most = (1 << $bits) - 1;
        $pixels = [];
        for ($y = 0; $y < $height; $y++) {
            for ($x = 0; $x < $width; $x++) {
                [$r, $g, $b] = $c = $colour($x, $y);
                $pixels[] = ($c[3] ?? $most) << 3 * $bits | $r << 2 * $bits | $g << $bits | $b;
            }
        }
        $this->levels[0] = $pixels;
    }

    public function picture(string $name): PictureSource
    {
        return $this;
    }

    public function key(): string
    {
        return $this->key ??= 'flat '.hash('xxh128', pack('P*', $this->width, ...$this->levels[0]));
    }

    public function width(): int
    {
        return $this->width;
    }

    public function height(): int
    {
        return $this->height;
    }

    public function bits(): int
    {
        return $this->bits;
    }

    public function opaque(): bool
    {
        foreach ($this->levels[0] as $pixel) {
            if (($pixel >> 3 * $this->bits & (1 << $this->bits) - 1) !== (1 << $this->bits) - 1) {
                return false;
            }
        }

        return true;
    }

    public function pixels(int $level, int $x, int $y, int $columns, int $rows): array
    {
        $found = [];
        $width = (int) ceil($this->width / 2 ** $level);
        $pixels = $this->level($level);
        for ($row = $y; $row < $y + $rows; $row++) {
            array_push($found, ...array_slice($pixels, $row * $width + $x, $columns));
        }

        return $found;
    }

    /**
     * Means of 2 x 2 premultiplied pixels of the level before, as often as asked.
     *
     * @return list<int>
     */
    private function level(int $level): array
    {
        if (isset($this->levels[$level])) {
            return $this->levels[$level];
        }
        $finer = $this->level($level - 1);
        [$width, $height] = [(int) ceil($this->width / 2 ** ($level - 1)), (int) ceil($this->height / 2 ** ($level - 1))];
        $most = (1 << $this->bits) - 1;
        $pixels = [];
        for ($y = 0; $y < $height; $y += 2) {
            for ($x = 0; $x < $width; $x += 2) {
                $sums = [0.0, 0.0, 0.0, 0.0];
                foreach ([[$x, $y], [min($width - 1, $x + 1), $y], [$x, min($height - 1, $y + 1)], [min($width - 1, $x + 1), min($height - 1, $y + 1)]] as [$u, $v]) {
                    $pixel = $finer[$v * $width + $u];
                    $alpha = $pixel >> 3 * $this->bits & $most;
                    $sums[3] += $alpha;
                    foreach ([0, 1, 2] as $k) {
                        $sums[$k] += $alpha * ($pixel >> (2 - $k) * $this->bits & $most);
                    }
                }
                $of = fn (int $k): int => $sums[3] > 0 ? (int) round($sums[$k] / $sums[3]) : 0;
                $pixels[] = (int) round($sums[3] / 4) << 3 * $this->bits | $of(0) << 2 * $this->bits | $of(1) << $this->bits | $of(2);
            }
        }

        return $this->levels[$level] = $pixels;
    }
}
