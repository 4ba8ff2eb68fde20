<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Bearing\Bearing;
use Aumbrel\Core\Body\Normals;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kernel\Plane;

/** How much brighter a surface is where it turns toward a light than where it is flat; below 0 where it turns away. */
final readonly class Shaded
{
    /**
     * @param  Plane  $normals  packed as {@see Normals}
     * @param  float  $lights  how much of what turns toward the light is seen
     * @param  float|null  $shades  how much of what turns away; null for as much
     */
    public function __construct(private Plane $normals, private Bearing $light, private float $lights, private ?float $shades = null)
    {
    }

    /** Writes max(0, n.l) - max(0, lz) of the current pixel times how much of it is seen, and gives the variable. */
    public function write(KernelWriter $kernel): string
    {
        [$x, $y, $z, $shade] = array_map($kernel->variable(...), ['nx', 'ny', 'nz', 'shade']);
        Normals::write($kernel, $this->normals, $x, $y, $z);
        [$lx, $ly, $lz] = $this->light->vector();
        $kernel->line("{$shade} = {$x} * {$kernel->number($lx)} + {$y} * {$kernel->number($ly)} + {$z} * {$kernel->number($lz)};");
        $kernel->line("{$shade} = ({$shade} > 0.0 ? {$shade} : 0.0) - {$kernel->number(max(0.0, $lz))}; {$shade} *= {$shade} > 0.0 ? {$kernel->number($this->lights)} : {$kernel->number($this->shades ?? $this->lights)};");

        return $shade;
    }
}
