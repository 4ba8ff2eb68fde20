<?php

declare(strict_types=1);

namespace Aumbrel\Core\Mask;

use Aumbrel\Core\CutOut\Edge;
use Aumbrel\Core\Geometry\Frame;
use Aumbrel\Core\Raster\Gaussian;
use Aumbrel\Core\Raster\Polygon;
use Aumbrel\Core\Render\Plane;
use Aumbrel\Core\Render\Planes;

/** An outline's coverage of the pixels of a window, grown or shrunk, and feathered. */
final readonly class OutlinePlane implements Plane
{
    /** Curves are drawn as straight pieces that lie nowhere further off than this share of a pixel. */
    private const TOLERANCE = 0.02;

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
        $scale = $this->frame->pixelsPerUnit();
        $sigma = $this->outline->feather * $scale;
        $grow = $this->outline->grow * $scale;
        $margin = $sigma > 0 || $grow != 0.0 ? (int) ceil(Gaussian::REACH * $sigma + abs($grow)) + 2 : 0;
        $frame = $this->frame->padded($margin);
        [$columns, $rows] = [$frame->window->columns, $frame->window->rows];
        $points = array_map(static fn (array $point): array => $frame->toPixels->at(...$point), $this->outline->path->flattened(self::TOLERANCE / max(1e-6, $scale)));
        $values = Polygon::coverage($points, $columns, $rows);
        if ($grow != 0.0) {
            $values = Edge::grown($values, $columns, $rows, $grow);
        }
        if ($sigma > 0) {
            $values = Gaussian::blur($values, $columns, $rows, $sigma);
        }
        if ($margin === 0) {
            return $values;
        }
        $inside = [];
        for ($row = 0; $row < $this->frame->window->rows; $row++) {
            array_push($inside, ...array_slice($values, ($row + $margin) * $columns + $margin, $this->frame->window->columns));
        }

        return $inside;
    }
}
