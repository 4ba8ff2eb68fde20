<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

use Aumbrel\Core\Geometry\Extent;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KernelWriter;

/** All of the picture, evenly. */
final readonly class Everywhere implements Field
{
    use OwnShare;

    public function write(KernelWriter $kernel, Window $window): string
    {
        return '1.0';
    }

    public function extent(): ?Extent
    {
        return null;
    }

    /** By hand: there is nothing that it is made of. */
    public function identity(): string
    {
        return 'everywhere';
    }
}
