<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Geometry\Extent;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\IdentityOfAll;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\Field;
use Aumbrel\Core\Seen\PlateWords;
use Aumbrel\Core\Seen\SeenPlate;

/** A field behind a plate: what that leaves uncovered. */
final readonly class Behind implements Field
{
    use IdentityOfAll;

    public function __construct(private Field $field, private SeenPlate $plate)
    {
    }

    public function write(KernelWriter $kernel, Window $window): string
    {
        $left = $kernel->variable('left');
        $kernel->line("{$left} = {$this->field->write($kernel, $window)};");
        $kernel->line("if ({$left} > 0.0) { {$left} *= 1.0 - ".PlateWords::alpha($kernel, $this->plate).'; }');

        return $left;
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
