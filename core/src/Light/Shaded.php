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
     * @param  float  $gloss  g, 0..1: how much of it the surface mirrors
     * @param  float  $glossSize  e: the larger, the smaller the highlight
     */
    public function __construct(private Plane $normals, private Bearing $light, private float $lights, private ?float $shades = null, private float $gloss = 0.0, private float $glossSize = 20.0)
    {
    }

    /** g (e + 8)/8 max(0, n.h)^e max(0, n.l), h halfway between the light and the viewer (Akenine-Möller, Haines, Hoffman, *Real-Time Rendering*). */
    public static function mirrored(float $facing, float $z, float $lz, float $gloss, float $size): float
    {
        return $facing <= 0 ? 0.0 : $gloss * ($size + 8) / 8 * max(0.0, ($facing + $z) / sqrt(2 + 2 * $lz + 1e-12)) ** $size * $facing;
    }

    /** Writes max(0, n.l) - max(0, lz) of the current pixel, with what its gloss adds to that of a flat one, times how much of it is seen; gives the variable. */
    public function write(KernelWriter $kernel): string
    {
        [$x, $y, $z, $shade] = array_map($kernel->variable(...), ['nx', 'ny', 'nz', 'shade']);
        Normals::write($kernel, $this->normals, $x, $y, $z);
        [$lx, $ly, $lz] = $this->light->vector();
        $kernel->line("{$shade} = {$x} * {$kernel->number($lx)} + {$y} * {$kernel->number($ly)} + {$z} * {$kernel->number($lz)};");
        $flat = max(0.0, $lz);
        if ($this->gloss > 0) {
            $half = $kernel->variable('half');
            $kernel->line("if ({$shade} > 0.0) { {$half} = ({$shade} + {$z}) * {$kernel->number(1 / sqrt(2 + 2 * $lz + 1e-12))}; {$shade} *= 1.0 + ({$half} > 0.0 ? {$kernel->number($this->gloss * ($this->glossSize + 8) / 8)} * {$half} ** {$kernel->number($this->glossSize)} : 0.0); }");
            $flat += self::mirrored($flat, 1.0, $lz, $this->gloss, $this->glossSize);
        }
        $kernel->line("{$shade} = ({$shade} > 0.0 ? {$shade} : 0.0) - {$kernel->number($flat)}; {$shade} *= {$shade} > 0.0 ? {$kernel->number($this->lights)} : {$kernel->number($this->shades ?? $this->lights)};");

        return $shade;
    }
}
