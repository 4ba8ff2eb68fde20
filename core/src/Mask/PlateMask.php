<?php

declare(strict_types=1);

namespace Aumbrel\Core\Mask;

use Aumbrel\Core\Geometry\Frame;
use Aumbrel\Core\Plate\PictureSource;
use Aumbrel\Core\Render\Plane;

/** A kind of mask that can lie on a plate, in the pixels of its picture. */
interface PlateMask extends MaskKind
{
    /** Its values at the pixels of the frame's window. */
    public function onPlate(Frame $frame, PictureSource $picture): Plane;
}
