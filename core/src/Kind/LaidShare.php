<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

use Aumbrel\Core\Geometry\Extent;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\IdentityOfAll;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Ramp\ColourRamp;
use Aumbrel\Core\Ramp\Laid;

/** The opacity of a ramp where it lies. */
final readonly class LaidShare implements Field
{
    use IdentityOfAll;
    use OwnShare;

    public function __construct(private Laid $laid, private ColourRamp $ramp)
    {
    }

    public function write(KernelWriter $kernel, Window $window): string
    {
        $opacity = $kernel->variable('opacity');
        $this->ramp->writeOpacity($kernel, $this->laid->write($kernel), $opacity);

        return $opacity;
    }

    public function extent(): ?Extent
    {
        return null;
    }
}
