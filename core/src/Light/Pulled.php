<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Geometry\Bounds;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\IdentityOfAll;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\Emitter;
use Aumbrel\Core\Kind\OwnShare;

/** A shape drawn out to a side, fading on the way: the largest of (1 - t) x the shape moved by t x the pull, t from 0 to 1. */
final readonly class Pulled implements Emitter
{
    use IdentityOfAll;
    use OwnShare;

    /** @param  float  $x  px @param  float  $y  px, down */
    public function __construct(private Emitter $shape, private float $x, private float $y)
    {
    }

    public function write(KernelWriter $kernel, Window $window): string
    {
        return "{$kernel->plane(new PulledPlane($this->shape, $this->x, $this->y, $window))}[\$i]";
    }

    public function extent(): ?Bounds
    {
        $own = $this->shape->extent();

        return $own !== null ? $own->with(new Bounds($own->left + $this->x, $own->top + $this->y, $own->right + $this->x, $own->bottom + $this->y)) : null;
    }

    public function isExact(): bool
    {
        return true;
    }
}
