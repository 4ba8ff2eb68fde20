<?php

declare(strict_types=1);

namespace Aumbrel\Core\Texture;

use Aumbrel\Core\Geometry\Extent;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\IdentityOfAll;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\Field;

/** A field whose black is held at nothing: max(0, (v - blacks) / (1 - blacks)). */
final readonly class Pinned implements Field
{
    use IdentityOfAll;

    /** @param  float  $blacks  0..1, below 1 */
    public function __construct(private Field $field, private float $blacks)
    {
    }

    public function write(KernelWriter $kernel, Window $window): string
    {
        $pinned = $kernel->variable('pinned');
        $kernel->line("{$pinned} = ({$this->field->write($kernel, $window)} - {$kernel->number($this->blacks)}) * {$kernel->number(1 / (1 - $this->blacks))}; if ({$pinned} < 0.0) { {$pinned} = 0.0; }");

        return $pinned;
    }

    public function extent(): ?Extent
    {
        return $this->field->extent();
    }

    public function largest(): float
    {
        return $this->field->largest();
    }

    public function readsBelow(): bool
    {
        return $this->field->readsBelow();
    }
}
