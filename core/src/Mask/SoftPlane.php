<?php

declare(strict_types=1);

namespace Aumbrel\Core\Mask;

use Aumbrel\Core\CutOut\Edge;
use Aumbrel\Core\Geometry\Frame;
use Aumbrel\Core\Kernel\KeyOfAll;
use Aumbrel\Core\Kernel\Plane;
use Aumbrel\Core\Kernel\Planes;
use Aumbrel\Core\Raster\Gaussian;
use Aumbrel\Core\Raster\Margin;
use Aumbrel\Core\Raster\Swollen;
use Closure;

/** What covers the pixels of a frame, grown or shrunk by a distance, and then feathered. */
final readonly class SoftPlane implements Plane
{
    use KeyOfAll;

    /** Sigma in pixels above which fewer pixels do. */
    private const WIDEST = 12.0;

    /**
     * @param  string  $name  all that the coverage depends on besides the frame
     * @param  Closure(Planes, Frame): list<float>  $coverage  0..1 at the pixels of any frame
     * @param  float  $grow  in the frame's coordinates; below 0 it shrinks
     * @param  float  $feather  sigma, in the frame's coordinates
     * @param  bool  $isSoft  whether what is soft stays so as it grows; otherwise it has an edge, which moves by the exact distance
     */
    public function __construct(public string $name, private Closure $coverage, private float $grow, private float $feather, private Frame $frame, private bool $isSoft = false)
    {
    }

    /** @return list<float> */
    public function fill(Planes $planes): array
    {
        $sigma = $this->feather * $this->frame->pixelsPerUnit();
        $coarseness = 1;
        while ($sigma / $coarseness > self::WIDEST) {
            $coarseness *= 2;
        }

        return $coarseness === 1 ? $this->on($this->frame, $planes) : $this->fromCoarse($coarseness, $planes);
    }

    /** @return list<float> */
    private function on(Frame $frame, Planes $planes): array
    {
        $scale = $frame->pixelsPerUnit();
        $sigma = $this->feather * $scale;
        $grow = $this->grow * $scale;
        $margin = $sigma > 0 || $grow != 0.0 ? Margin::atLeast(Gaussian::REACH * $sigma + abs($grow) + 3) : 0;
        $padded = $frame->padded($margin);
        [$columns, $rows] = [$padded->window->columns, $padded->window->rows];
        $values = ($this->coverage)($planes, $padded);
        if ($grow != 0.0) {
            $values = $this->isSoft ? Swollen::by($values, $columns, $grow) : Edge::grown($values, $columns, $rows, $grow);
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
    private function fromCoarse(int $coarseness, Planes $planes): array
    {
        $fine = $this->frame->window;
        $window = $fine->lattice($fine->step() * $coarseness);
        [$columns, $step] = [$window->columns, $window->step()];
        $coarse = $this->on($this->frame->placement === null ? Frame::scene($window) : Frame::plate($window, $this->frame->placement), $planes);
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
