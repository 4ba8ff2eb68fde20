<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

use Aumbrel\Core\Geometry\Frame;
use Aumbrel\Core\Kernel\Plane;
use Aumbrel\Core\Picture\PictureSource;

/** A kind of mask that can lie on a plate, in the pixels of its picture. */
interface PlateMask extends MaskKind
{
    /** Its values at the pixels of the frame's window. */
    public function onPlate(Frame $frame, PictureSource $picture): Plane;
}
