<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Geometry\Extent;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\IdentityOfAll;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\Field;
use Aumbrel\Core\Kind\OwnShare;

/** A spot that fades over the last part of its reach: 1 - smoothstep(1 - end, 1, d / reach). */
final readonly class Ended implements Field
{
    use IdentityOfAll;
    use OwnShare;

    /** @param  float  $end  0..1 */
    public function __construct(private Spot $spot, private float $end)
    {
    }

    /** @param  float  $squared  distance from the origin, squared */
    public static function left(float $squared, float $perReach, float $end): float
    {
        $share = (sqrt($squared) * $perReach - 1.0 + $end) / $end;
        $share = $share > 0.0 ? ($share < 1.0 ? $share : 1.0) : 0.0;

        return 1.0 - $share * $share * (3.0 - 2.0 * $share);
    }

    public function write(KernelWriter $kernel, Window $window): string
    {
        $shape = $this->spot->write($kernel, $window);
        if ($this->end <= 0) {
            return $shape;
        }
        [$across, $down, $left] = array_map($kernel->variable(...), ['across', 'down', 'left']);
        $kernel->row("{$down} = \$y - {$kernel->number($this->spot->origin->y)};");
        $kernel->line("if ({$shape} > 0.0) { {$across} = \$x - {$kernel->number($this->spot->origin->x)};");
        $kernel->inline([self::class, 'left'], ["({$across} * {$across} + {$down} * {$down})", $kernel->number(1 / $this->spot->reachLength()), $kernel->number($this->end)], $left);
        $kernel->line("{$shape} *= {$left}; }");

        return $shape;
    }

    public function extent(): Extent
    {
        return $this->spot->extent();
    }
}
