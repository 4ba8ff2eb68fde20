<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Geometry\Bounds;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\IdentityOfAll;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\Emitter;
use Aumbrel\Core\Kind\OwnShare;

/** A round lamp: its edge is antialiased over a pixel. */
final readonly class Disc implements Emitter
{
    use IdentityOfAll;
    use OwnShare;

    /** @param  float  $radius  scene pixels */
    public function __construct(private Point $centre, private float $radius)
    {
    }

    public static function coverage(float $across, float $down, float $radius): float
    {
        $cover = $radius - sqrt($across * $across + $down * $down) + 0.5;

        return $cover > 0.0 ? ($cover < 1.0 ? $cover : 1.0) : 0.0;
    }

    /** With room for the edge. */
    public static function bounds(Point $centre, float $radius): Bounds
    {
        return (new Bounds($centre->x, $centre->y, $centre->x, $centre->y))->grown($radius + 1);
    }

    public function write(KernelWriter $kernel, Window $window): string
    {
        [$across, $down, $cover] = array_map($kernel->variable(...), ['across', 'down', 'cover']);
        $scale = $kernel->number($window->scale);
        $kernel->row("{$down} = (\$y - {$kernel->number($this->centre->y)}) * {$scale};");
        $kernel->line("{$across} = (\$x - {$kernel->number($this->centre->x)}) * {$scale};");
        $kernel->inline([self::class, 'coverage'], [$across, $down, $kernel->number($this->radius * $window->scale)], $cover);

        return $cover;
    }

    public function extent(): Bounds
    {
        return self::bounds($this->centre, $this->radius);
    }

    public function isExact(): bool
    {
        return false;
    }
}
