<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Geometry\Extent;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\IdentityOfAll;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\Emitter;
use Aumbrel\Core\Kind\Field;

/** A field that does not leave the shape that shines, as behind glass. */
final readonly class Inside implements Field
{
    use IdentityOfAll;

    public function __construct(private Field $field, private Emitter $emitter)
    {
    }

    public function write(KernelWriter $kernel, Window $window): string
    {
        $inside = $kernel->variable('inside');
        $kernel->line("{$inside} = {$this->field->write($kernel, $window)} * {$kernel->plane(new EmitterPlane($this->emitter, $window))}[\$i];");

        return $inside;
    }

    public function extent(): ?Extent
    {
        return $this->emitter->extent();
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
