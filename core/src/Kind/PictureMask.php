<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Picture\PictureSource;

/** A mask that may be made of a picture of the scene. */
interface PictureMask extends MaskKind
{
    /** The plain name of its picture; null when it needs none. */
    public function picture(): ?string;

    /**
     * Writes the mask's value like {@see MaskKind::write()}.
     *
     * @param  PictureSource|null  $picture  null when it is not there
     */
    public function writeOf(KernelWriter $kernel, Window $window, ?PictureSource $picture): string;
}
