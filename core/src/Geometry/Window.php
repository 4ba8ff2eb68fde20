<?php

declare(strict_types=1);

namespace Aumbrel\Core\Geometry;

use InvalidArgumentException;

/**
 * The rectangle of the scene that is rendered, in scene pixels, and the scale at which it is rendered.
 *
 * Where the scaled size is no whole number of pixels, the last pixels reach past the window and count only what of them
 * lies inside. The centre of output pixel (column, row) lies at (x + (column + 0.5) / scale, y + (row + 0.5) / scale).
 */
final readonly class Window
{
    public int $columns;

    public int $rows;

    public function __construct(
        public float $x,
        public float $y,
        public float $width,
        public float $height,
        public float $scale = 1.0,
        public int $firstRow = 0,
        ?int $rows = null,
    ) {
        foreach ([$x, $y, $width, $height, $scale] as $number) {
            if (! is_finite($number)) {
                throw new InvalidArgumentException('a window is made of finite numbers');
            }
        }
        if ($width <= 0 || $height <= 0 || $scale <= 0) {
            throw new InvalidArgumentException('a window has a width, a height and a scale above 0');
        }
        $this->columns = max(1, (int) round($width * $scale));
        $this->rows = $rows ?? max(1, (int) round($height * $scale));
    }

    public static function whole(int $width, int $height, float $scale = 1.0): self
    {
        return new self(0, 0, $width, $height, $scale);
    }

    /** Scene pixels from one output pixel to the next. */
    public function step(): float
    {
        return 1 / $this->scale;
    }

    /** Scene x of the centre of the given output column. */
    public function xOf(float $column): float
    {
        return $this->x + ($column + 0.5) / $this->scale;
    }

    /** Scene y of the centre of the given row, counted from the first row of this band. */
    public function yOf(float $row): float
    {
        return $this->y + ($this->firstRow + $row + 0.5) / $this->scale;
    }

    /** Scene x of the left border of the given output column; the last pixel ends with the window. */
    public function borderX(int $column): float
    {
        return min($this->x + $this->width, $this->x + $column / $this->scale);
    }

    /** Scene y of the upper border of the given row of this band; the last pixel ends with the window. */
    public function borderY(int $row): float
    {
        return min($this->y + $this->height, $this->y + ($this->firstRow + $row) / $this->scale);
    }

    /**
     * The columns whose centres lie between two places, scene x, which may be infinite.
     *
     * @return array{int, int} from and before; nothing where the second is not above the first
     */
    public function between(float $from, float $to): array
    {
        $left = $this->x + 0.5 / $this->scale;

        return [
            (int) min((float) $this->columns, max(0.0, ceil(($from - $left) * $this->scale - 1e-6))),
            (int) max(0.0, min((float) $this->columns, floor(($to - $left) * $this->scale + 1e-6) + 1)),
        ];
    }

    /** A band of rows; its pixels lie exactly where those of the whole window lie. */
    public function band(int $firstRow, int $rows): self
    {
        return new self($this->x, $this->y, $this->width, $this->height, $this->scale, $this->firstRow + $firstRow, $rows);
    }

    /**
     * The pixels of another grid, anchored to the scene so that all windows share it, whose centres surround those of this
     * window: between them every pixel of the window can be read.
     *
     * @param  float  $step  scene pixels from one of its pixels to the next
     */
    public function lattice(float $step): self
    {
        $firstColumn = (int) floor($this->xOf(0) / $step - 0.5);
        $firstRow = (int) floor($this->yOf(0) / $step - 0.5);
        $columns = (int) floor($this->xOf($this->columns - 1) / $step - 0.5) - $firstColumn + 3;
        $rows = (int) floor($this->yOf($this->rows - 1) / $step - 0.5) - $firstRow + 3;

        return new self($firstColumn * $step, $firstRow * $step, $columns * $step, $rows * $step, 1 / $step);
    }

    /** The same with a margin of so many output pixels on every side; its pixels lie on the same places. */
    public function padded(int $margin): self
    {
        $step = $margin / $this->scale;

        return new self($this->x - $step, $this->y - $step, ($this->columns + 2 * $margin) / $this->scale, $this->height + 2 * $step, $this->scale, $this->firstRow, $this->rows + 2 * $margin);
    }

    public function key(): string
    {
        return implode(',', [$this->x, $this->y, $this->columns, $this->rows, $this->scale, $this->firstRow]);
    }
}
