<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Geometry\Extent;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\IdentityOfAll;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\Emitter;
use Aumbrel\Core\Kind\Field;
use Aumbrel\Core\Kind\OwnShare;

/** What shines, a little smaller: grown by a distance below 0, its edge antialiased over a pixel. */
final readonly class Contracted implements Field
{
    use IdentityOfAll;
    use OwnShare;

    /** @param  float  $by  scene pixels; 0 leaves it as it is */
    public function __construct(private Emitter $emitter, private float $by = 0.0)
    {
    }

    public function write(KernelWriter $kernel, Window $window): string
    {
        $plane = $this->by > 0 ? new ContractedPlane($this->emitter, $this->by, $window) : new EmitterPlane($this->emitter, $window);

        return "{$kernel->plane($plane)}[\$i]";
    }

    public function extent(): ?Extent
    {
        return $this->emitter->extent();
    }
}
