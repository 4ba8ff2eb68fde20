<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Geometry\Bounds;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\IdentityOfAll;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\Emitter;
use Aumbrel\Core\Kind\OwnShare;

/** A band of a width along the outline of a shape. */
final readonly class OutlineBand implements Emitter
{
    use IdentityOfAll;
    use OwnShare;

    /** @param  float  $width  scene pixels */
    public function __construct(private PlateShape $shape, private float $width)
    {
    }

    public function write(KernelWriter $kernel, Window $window): string
    {
        return "{$kernel->plane(new BandPlane($this->shape, $this->width, $window))}[\$i]";
    }

    public function extent(): Bounds
    {
        return $this->shape->extent()->grown($this->width / 2 + 1);
    }

    public function isExact(): bool
    {
        return true;
    }
}
