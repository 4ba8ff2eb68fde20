<?php

declare(strict_types=1);

namespace Aumbrel\Core\CutOut;

use Aumbrel\Core\Geometry\Frame;
use Aumbrel\Core\Kernel\Plane;
use Aumbrel\Core\Picture\PictureSource;

/** One of the masks that lie on a plate and together cut it out. */
interface CutMask
{
    /** Its values at the pixels of a frame on the plate. */
    public function onPlate(Frame $frame, PictureSource $picture): Plane;

    /**
     * What the masks before it and this one make together.
     *
     * @param  list<float>|null  $before  null when it is the first
     * @param  list<float>  $values
     * @return list<float>
     */
    public function joined(?array $before, array $values): array;

    /** @return array<string, mixed> all that it depends on */
    public function toArray(): array;
}
