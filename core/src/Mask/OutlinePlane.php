<?php

declare(strict_types=1);

namespace Aumbrel\Core\Mask;

use Aumbrel\Core\CutOut\Edge;
use Aumbrel\Core\Geometry\Frame;
use Aumbrel\Core\Kernel\Plane;
use Aumbrel\Core\Kernel\Planes;
use Aumbrel\Core\Raster\Gaussian;
use Aumbrel\Core\Raster\Margin;
use Aumbrel\Core\Raster\Polygon;

/** An outline's coverage of the pixels of a window, grown or shrunk, and feathered. */
final readonly class OutlinePlane implements Plane
{
    /** Curves are drawn as straight pieces that lie nowhere further off than this share of a pixel. */
    private const TOLERANCE = 0.02;

    /** Sigma in pixels above which fewer pixels do. */
    private const WIDEST = 12.0;

    public function __construct(private OutlineMask $outline, private Frame $frame)
    {
    }

    public function key(): string
    {
        return 'outline '.hash('xxh128', serialize([$this->outline->path->toArray(), $this->outline->feather, $this->outline->grow]))." {$this->frame->key()}";
    }

    /** @return list<float> */
    public function fill(Planes $planes): array
    {
        $sigma = $this->outline->feather * $this->frame->pixelsPerUnit();
        $coarseness = 1;
        while ($sigma / $coarseness > self::WIDEST) {
            $coarseness *= 2;
        }

        return $coarseness === 1 ? $this->on($this->frame) : $this->fromCoarse($coarseness);
    }

    /** @return list<float> */
    private function on(Frame $frame): array
    {
        $scale = $frame->pixelsPerUnit();
        $sigma = $this->outline->feather * $scale;
        $grow = $this->outline->grow * $scale;
        $margin = $sigma > 0 || $grow != 0.0 ? (int) ceil(Gaussian::REACH * $sigma + abs($grow)) + 2 : 0;
        $padded = $frame->padded($margin);
        [$columns, $rows] = [$padded->window->columns, $padded->window->rows];
        $points = array_map(static fn (array $point): array => $padded->toPixels->at(...$point), $this->outline->path->flattened(self::TOLERANCE / max(1e-6, $scale)));
        $values = Polygon::coverage($points, $columns, $rows);
        if ($grow != 0.0) {
            $values = Edge::grown($values, $columns, $rows, $grow);
        }
        if ($sigma > 0) {
            $values = Gaussian::blur($values, $columns, $rows, $sigma);
        }

        return Margin::cut($values, $columns, $rows, $margin);
    }

    /**
     * A wide feather is worked out on fewer pixels, on a lattice that is anchored to the scene, and read between them.
     *
     * @return list<float>
     */
    private function fromCoarse(int $coarseness): array
    {
        $fine = $this->frame->window;
        $window = $fine->lattice($fine->step() * $coarseness);
        [$columns, $step] = [$window->columns, $window->step()];
        $coarse = $this->on($this->frame->placement === null ? Frame::scene($window) : Frame::plate($window, $this->frame->placement));
        $values = [];
        for ($row = 0; $row < $fine->rows; $row++) {
            $v = ($fine->yOf($row) - $window->yOf(0)) / $step;
            $above = (int) $v;
            $fy = $v - $above;
            for ($column = 0; $column < $fine->columns; $column++) {
                $u = ($fine->xOf($column) - $window->xOf(0)) / $step;
                $before = (int) $u;
                $fx = $u - $before;
                $at = $above * $columns + $before;
                $high = $coarse[$at] + $fx * ($coarse[$at + 1] - $coarse[$at]);
                $low = $coarse[$at + $columns] + $fx * ($coarse[$at + $columns + 1] - $coarse[$at + $columns]);
                $values[] = $high + $fy * ($low - $high);
            }
        }

        return $values;
    }
}
