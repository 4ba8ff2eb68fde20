<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Geometry\Extent;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\IdentityOfAll;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\Field;

/** A light on a body: its field times how far the body faces it. */
final readonly class FollowingField implements Field
{
    use IdentityOfAll;

    public function __construct(private Field $field, private KeyField $facing)
    {
    }

    public function write(KernelWriter $kernel, Window $window): string
    {
        $lit = $kernel->variable('lit');
        $field = $this->field->write($kernel, $window);
        $kernel->line("{$lit} = {$field};");
        $facing = $this->facing->write($kernel, $window);
        $kernel->line("{$lit} *= {$facing};");

        return $lit;
    }

    public function extent(): Extent
    {
        return $this->field->extent() ?? $this->facing->extent();
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
