<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

use Aumbrel\Core\Geometry\Extent;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\IdentityOfAll;
use Aumbrel\Core\Kernel\KernelWriter;

/** The same share of all of the picture, for strengths that go by how much there is. */
final readonly class Evenly implements Field
{
    use IdentityOfAll;
    use OwnShare;

    /** @param  float  $share  0..1 */
    public function __construct(private float $share)
    {
    }

    public function write(KernelWriter $kernel, Window $window): string
    {
        return $kernel->number($this->share);
    }

    public function extent(): ?Extent
    {
        return null;
    }
}
