<?php

declare(strict_types=1);

namespace Aumbrel\Core\Shadow;

use Aumbrel\Core\Geometry\Bounds;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\IdentityOfAll;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kernel\Plane;
use Aumbrel\Core\Kind\Field;
use Aumbrel\Core\Kind\OwnShare;

/** The shadow of one cut-out on one surface, bent where it was dragged. */
final readonly class Piece implements Field
{
    use IdentityOfAll;
    use OwnShare;

    public function __construct(private CastShape $shape, private Throwing $throwing, private ?Bend $bend = null)
    {
    }

    public function write(KernelWriter $kernel, Window $window): string
    {
        return "{$kernel->plane($this->plane($window))}[\$i]";
    }

    private function plane(Window $window): Plane
    {
        return $this->bend === null ? new ShadowPlane($this->shape, $this->throwing, $window) : new BentPlane($this->shape, $this->throwing, $this->bend, $window);
    }

    public function extent(): ?Bounds
    {
        return $this->throwing->extent()?->grown($this->bend?->furthest() ?? 0.0);
    }
}
