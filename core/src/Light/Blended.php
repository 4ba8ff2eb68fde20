<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Geometry\Bounds;
use Aumbrel\Core\Geometry\Extent;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\IdentityOfAll;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\Field;

/** Two fields mixed by a share. */
final readonly class Blended implements Field
{
    use IdentityOfAll;

    /** @param  float  $share  0..1, of the second one */
    public function __construct(private Field $one, private Field $other, private float $share)
    {
    }

    public function write(KernelWriter $kernel, Window $window): string
    {
        // the wider one first: it narrows the row to where there is light
        $other = $this->other->write($kernel, $window);
        $one = $this->one->write($kernel, $window);
        $mixed = $kernel->variable('mixed');
        $kernel->line("{$mixed} = {$one} + {$kernel->number($this->share)} * ({$other} - {$one});");

        return $mixed;
    }

    public function extent(): ?Extent
    {
        return Bounds::around([$this->one->extent(), $this->other->extent()]);
    }

    public function largest(): float
    {
        return max($this->one->largest(), $this->other->largest());
    }

    public function readsBelow(): bool
    {
        return $this->one->readsBelow() || $this->other->readsBelow();
    }
}
