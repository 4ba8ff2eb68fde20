<?php

declare(strict_types=1);

namespace Aumbrel\Core\Seen;

use Aumbrel\Core\Geometry\Bounds;
use Aumbrel\Core\Geometry\Extent;
use Aumbrel\Core\Kernel\Plane;

/** A plate as a window sees it: packed pixels `A R G B`, one a pixel of the window, not premultiplied. */
interface SeenPlate extends Extent, Plane
{
    /** 8 or 16 bits a channel */
    public function bits(): int;

    /** The upright rectangle outside which there is nothing of it. */
    public function bounds(): Bounds;

    /** Whether every pixel of the window is opaque. */
    public function opaque(): bool;
}
