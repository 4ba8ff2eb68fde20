<?php

declare(strict_types=1);

namespace Tests\Support;

use Aumbrel\Core\Plate\PictureShelf;
use Aumbrel\Core\Plate\PictureSource;
use Aumbrel\Core\Scene\SceneError;

/** Pictures made of a formula, for tests of the core: no files, and values known at every pixel. */
final class Flat implements PictureShelf, PictureSource
{
    /** @var array<int, list<int>> pixels by level */
    private array $levels = [];

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
        return 'flat '.spl_object_id($this);
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
        if ($level !== 0) {
            throw new SceneError('picture', 'pictures of formulas have no halvings');
        }
        $found = [];
        for ($row = $y; $row < $y + $rows; $row++) {
            array_push($found, ...array_slice($this->levels[0], $row * $this->width + $x, $columns));
        }

        return $found;
    }
}
