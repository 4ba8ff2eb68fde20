<?php

declare(strict_types=1);

namespace Aumbrel\Core\CutOut;

use Aumbrel\Core\Geometry\Frame;
use Aumbrel\Core\Kernel\KeyOfAll;
use Aumbrel\Core\Kernel\Plane;
use Aumbrel\Core\Kernel\Planes;

/** The holes of a cut-out as a window sees them: 1 inside, grown so far that their own soft rim is filled with them. */
final readonly class HolesPlane implements Plane
{
    use KeyOfAll;

    public function __construct(private Frame $frame, private WholeShape $whole)
    {
    }

    /** @return list<float> */
    public function fill(Planes $planes): array
    {
        [$columns, $rows, $scale] = [$this->whole->size->columns, $this->whole->size->rows, $this->whole->scale()];
        $holes = Pieces::holes($planes->numbers($this->whole), $columns, $rows);
        if (! in_array(1.0, $holes, true)) {
            return array_fill(0, $this->frame->window->columns * $this->frame->window->rows, 0.0);
        }
        $holes = Edge::grown($holes, $columns, $rows, 2.0);
        $filled = [];
        for ($row = 0; $row < $this->frame->window->rows; $row++) {
            for ($column = 0; $column < $this->frame->window->columns; $column++) {
                [$x, $y] = $this->frame->fromPixels->at($column + 0.5, $row + 0.5);
                $x = (int) floor($x * $scale);
                $y = (int) floor($y * $scale);
                $filled[] = $x >= 0 && $y >= 0 && $x < $columns && $y < $rows ? $holes[$y * $columns + $x] : 0.0;
            }
        }

        return $filled;
    }
}
