<?php

declare(strict_types=1);

namespace Aumbrel\Core\CutOut;

use Aumbrel\Core\Geometry\Frame;
use Aumbrel\Core\Kernel\Plane;
use Aumbrel\Core\Kernel\Planes;
use Aumbrel\Core\Picture\Pixels;
use Aumbrel\Core\Picture\Shape;
use Aumbrel\Core\Seen\PlatePlane;
use Closure;
use LogicException;

/** A shape that was worked out of a whole picture, as a window sees it. */
final readonly class ShapePlane implements Plane
{
    /**
     * @param  string  $shape  names it
     * @param  Closure(): Shape  $make
     */
    public function __construct(private Frame $frame, private string $shape, private Closure $make)
    {
    }

    /** By hand: the shape is named by what makes it. */
    public function key(): string
    {
        return "{$this->shape} {$this->frame->key()}";
    }

    /** @return list<float> */
    public function fill(Planes $planes): array
    {
        $placement = $this->frame->placement ?? throw new LogicException('a shape of a picture lies on a plate');
        // at the picture's own border its pixels are cut by what they belong to: the border would be seen twice
        $seen = new PlatePlane($planes->shape($this->shape, $this->make), $placement, $this->frame->window, isCut: false);

        return (new Pixels($seen->fill($planes), $seen->bits()))->alpha();
    }
}
