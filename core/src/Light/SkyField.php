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
use Aumbrel\Core\Kind\OwnShare;
use Aumbrel\Core\Seen\PlateWords;
use Aumbrel\Core\Seen\SeenPlate;

/** How much of a sky a plate's body sees. */
final readonly class SkyField implements Field
{
    use IdentityOfAll;
    use OwnShare;

    /** @param  SeenPlate|null  $occlusion  the picture of how open each place is */
    public function __construct(private BodyPlane $body, private SeenPlate $plate, private Bearing $up, private ?SeenPlate $occlusion)
    {
    }

    public function write(KernelWriter $kernel, Window $window): string
    {
        [$nx, $ny, $nz, $sky] = array_map($kernel->variable(...), ['nx', 'ny', 'nz', 'sky']);
        Normals::write($kernel, $this->body, $nx, $ny, $nz);
        [$x, $y, $z] = array_map(static fn (float $way): string => $kernel->number(0.5 * $way), $this->up->vector());
        $open = $this->occlusion === null ? '' : ' * '.PlateWords::colour($kernel, $this->occlusion)[0];
        $kernel->line("{$sky} = (0.5 + {$nx} * {$x} + {$ny} * {$y} + {$nz} * {$z}){$open};");

        return $sky;
    }

    public function extent(): Extent
    {
        return $this->plate;
    }
}
