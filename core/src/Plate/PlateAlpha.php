<?php

declare(strict_types=1);

namespace Aumbrel\Core\Plate;

use Aumbrel\Core\Geometry\Extent;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\Field;
use Aumbrel\Core\Kind\OwnShare;
use Aumbrel\Core\Seen\PlateWords;
use Aumbrel\Core\Seen\SeenPlate;

/** Where a plate is. */
final readonly class PlateAlpha implements Field
{
    use OwnShare;

    public function __construct(private SeenPlate $plate)
    {
    }

    public function write(KernelWriter $kernel, Window $window): string
    {
        $alpha = $kernel->variable('alpha');
        $kernel->line("{$alpha} = ".PlateWords::alpha($kernel, $this->plate).';');

        return $alpha;
    }

    public function extent(): Extent
    {
        return $this->plate;
    }

    /** By hand: it is the plate as a window sees it, and nothing else. */
    public function identity(): string
    {
        return $this->plate->key();
    }
}
