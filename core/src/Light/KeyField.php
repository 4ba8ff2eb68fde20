<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Bearing\Bearing;
use Aumbrel\Core\Body\BodyPlane;
use Aumbrel\Core\Body\Normals;
use Aumbrel\Core\Geometry\Extent;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\IdentityOfAll;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\Field;
use Aumbrel\Core\Seen\SeenPlate;

/** How much of a light a plate's body takes: max(0, (n.l + k)/(1 + k)), and of a lamp times its law. */
final readonly class KeyField implements Field
{
    use IdentityOfAll;

    /**
     * @param  SeenPlate  $plate  where there is anything of it
     * @param  float  $wrap  k, 0..1
     */
    public function __construct(private BodyPlane $body, private SeenPlate $plate, private Bearing|LampNearby $light, private float $wrap)
    {
    }

    public function write(KernelWriter $kernel, Window $window): string
    {
        $facing = $kernel->variable('facing');
        [$toward, $law] = self::toward($kernel, $this->body, $this->light);
        $kernel->line("{$facing} = ({$toward[0]} * {$toward[3]} + {$toward[1]} * {$toward[4]} + {$toward[2]} * {$toward[5]} + {$kernel->number($this->wrap)}) * {$kernel->number(1 / (1 + $this->wrap))};");
        $kernel->line("{$facing} = {$facing} > 0.0 ? {$facing}".($law === null ? '' : " * {$law}").' : 0.0;');

        return $facing;
    }

    /**
     * Writes which way the body faces and the way to the light.
     *
     * @return array{array{string, string, string, string, string, string}, string|null} the normal, the way to the light, and a lamp's law
     */
    public static function toward(KernelWriter $kernel, BodyPlane $body, Bearing|LampNearby $light): array
    {
        [$nx, $ny, $nz] = array_map($kernel->variable(...), ['nx', 'ny', 'nz']);
        Normals::write($kernel, $body, $nx, $ny, $nz);
        if ($light instanceof Bearing) {
            return [[$nx, $ny, $nz, ...array_map($kernel->number(...), $light->vector())], null];
        }
        [$lx, $ly, $lz, $law] = array_map($kernel->variable(...), ['lx', 'ly', 'lz', 'law']);
        $light->write($kernel, $lx, $ly, $lz, $law);

        return [[$nx, $ny, $nz, $lx, $ly, $lz], $law];
    }

    public function extent(): Extent
    {
        return $this->plate;
    }

    public function largest(): float
    {
        return $this->light instanceof LampNearby ? $this->light->largest() : 1.0;
    }

    public function readsBelow(): bool
    {
        return false;
    }
}
