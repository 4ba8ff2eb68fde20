<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\CutOut\Edge;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KeyOfAll;
use Aumbrel\Core\Kernel\Plane;
use Aumbrel\Core\Kernel\Planes;
use Aumbrel\Core\Kind\Emitter;
use Aumbrel\Core\Raster\Margin;

/** What shines, contracted by a distance, in the pixels of a window. */
final readonly class ContractedPlane implements Plane
{
    use KeyOfAll;

    public function __construct(private Emitter $emitter, private float $by, private Window $window)
    {
    }

    /** @return list<float> */
    public function fill(Planes $planes): array
    {
        $part = Part::of($this->window, $this->emitter->extent());
        if ($part === null) {
            return array_fill(0, $this->window->columns * $this->window->rows, 0.0);
        }
        $by = $this->by / $this->window->step();
        $margin = (int) ceil($by) + 2;
        $padded = $part->window->padded($margin);
        $shape = $planes->numbers(new EmitterPlane($this->emitter, $padded));

        return $part->spread(Margin::cut(Edge::grown($shape, $padded->columns, $padded->rows, -$by), $padded->columns, $padded->rows, $margin));
    }
}
