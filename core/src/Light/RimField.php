<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\CutOut\OutlineSight;
use Aumbrel\Core\CutOut\PlateOutline;
use Aumbrel\Core\Geometry\Extent;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\Field;
use Aumbrel\Core\Kind\OwnShare;
use Aumbrel\Core\Seen\SeenPlate;

/** Where a rim is: how close the outline of its plate is, and how much it faces the light. */
final readonly class RimField implements Field
{
    use OwnShare;

    public function __construct(private Rim $rim, private PlateOutline $outline, private SeenPlate $plate)
    {
    }

    public function write(KernelWriter $kernel, Window $window): string
    {
        $sight = $kernel->plane(new OutlineSight($this->outline, $this->plate, $window, $this->rim->width));
        [$azimuth, $elevation] = [deg2rad($this->rim->bearing->azimuth), deg2rad($this->rim->bearing->elevation)];
        [$at, $rim, $facing] = [$kernel->variable('at'), $kernel->variable('rim'), $kernel->variable('facing')];
        [$right, $up] = [$kernel->number(cos($azimuth)), $kernel->number(sin($azimuth))];
        $kernel->line("{$at} = 3 * \$i; {$rim} = {$sight}[{$at}]; if ({$rim} > 0.0) {");
        $kernel->inline([Rim::class, 'facing'], [
            "({$sight}[{$at} + 1] * {$right} + {$sight}[{$at} + 2] * {$up})",
            $kernel->number(cos($elevation)), $kernel->number($this->rim->wrap + max(0.0, -sin($elevation))),
        ], $facing);
        $kernel->line("{$rim} *= {$facing}; }");

        return $rim;
    }

    public function extent(): Extent
    {
        return $this->plate;
    }

    /** By hand: level and colour of the rim are no part of the shape. */
    public function identity(): string
    {
        return "rim {$this->rim->bearing->azimuth} {$this->rim->bearing->elevation} {$this->rim->width} {$this->rim->wrap} of {$this->outline->key()} {$this->outline->placement->key()}";
    }
}
