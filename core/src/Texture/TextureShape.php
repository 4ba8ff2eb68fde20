<?php

declare(strict_types=1);

namespace Aumbrel\Core\Texture;

use Aumbrel\Core\Geometry\Bounds;
use Aumbrel\Core\Geometry\Homography;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\IdentityOfAll;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\Emitter;
use Aumbrel\Core\Kind\OwnShare;

/** A texture of the shelf, as light: it has no border. */
final readonly class TextureShape implements Emitter
{
    use IdentityOfAll;
    use OwnShare;

    /** @param  Homography  $map  from its sheet to the scene, without perspective */
    public function __construct(private Texture $texture, private int $seed, private Homography $map)
    {
    }

    public function write(KernelWriter $kernel, Window $window): string
    {
        if ($this->texture->specks($this->seed) !== null) {
            return "{$kernel->plane(new TexturePlane($this->texture, $this->seed, $this->map, $window))}[\$i]";
        }
        [$a, $b, , $d, $e] = $this->map->h;
        $narrowest = min(hypot($a, $d), hypot($b, $e));
        $lattice = new Lattice(max($window->step(), $this->texture->finest() * $narrowest), $window);

        return $lattice->write($kernel, $window, new TexturePlane($this->texture, $this->seed, $this->map, $lattice->points), false);
    }

    public function extent(): ?Bounds
    {
        return null;
    }

    public function isExact(): bool
    {
        return true;
    }
}
