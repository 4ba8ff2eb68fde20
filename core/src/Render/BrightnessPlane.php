<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KeyOfAll;
use Aumbrel\Core\Kernel\Plane;
use Aumbrel\Core\Kernel\Planes;
use Closure;

/** How bright strips are at the pixels of a window: encoded luma times alpha. */
final readonly class BrightnessPlane implements Plane
{
    use KeyOfAll;

    /**
     * @param  string  $name  all that it depends on besides the window
     * @param  Closure(Window): list<float>  $fill
     */
    public function __construct(public string $name, private Closure $fill, private Window $window)
    {
    }

    public function fill(Planes $planes): array
    {
        return ($this->fill)($this->window);
    }
}
