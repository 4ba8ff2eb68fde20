<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Bearing\Bearing;
use Aumbrel\Core\Body\BodyPlane;
use Aumbrel\Core\Geometry\Extent;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\IdentityOfAll;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\Field;
use Aumbrel\Core\Seen\SeenPlate;

/** The highlight of a light on a plate's body: g (e + 8)/8 max(0, n.h)^e max(0, n.l), h halfway between the light and the viewer. */
final readonly class GlossField implements Field
{
    use IdentityOfAll;

    /**
     * @param  float  $gloss  g, 0..1
     * @param  float  $size  e: the larger, the smaller the highlight
     */
    public function __construct(private BodyPlane $body, private SeenPlate $plate, private Bearing|LampNearby $light, private float $gloss, private float $size)
    {
    }

    public function write(KernelWriter $kernel, Window $window): string
    {
        [$toward, $half, $facing, $shine] = [KeyField::toward($kernel, $this->body, $this->light), ...array_map($kernel->variable(...), ['half', 'facing', 'shine'])];
        [[$nx, $ny, $nz, $lx, $ly, $lz], $law] = $toward;
        $kernel->line("{$facing} = {$nx} * {$lx} + {$ny} * {$ly} + {$nz} * {$lz}; {$shine} = 0.0;");
        // h is (l + v) of length 1, and v is (0, 0, 1)
        $kernel->line("if ({$facing} > 0.0) { {$half} = ({$facing} + {$nz}) / sqrt(2.0 + 2.0 * {$lz} + 1e-12); if ({$half} > 0.0) { {$shine} = {$kernel->number($this->gloss * ($this->size + 8) / 8)} * {$half} ** {$kernel->number($this->size)} * {$facing}".($law === null ? '' : " * {$law}").'; } }');

        return $shine;
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
