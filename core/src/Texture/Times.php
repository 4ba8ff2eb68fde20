<?php

declare(strict_types=1);

namespace Aumbrel\Core\Texture;

use Aumbrel\Core\Geometry\Extent;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\IdentityOfAll;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\Field;

/** A field through another one, of shares. */
final readonly class Times implements Field
{
    use IdentityOfAll;

    public function __construct(private Field $field, private Field $share)
    {
    }

    public function write(KernelWriter $kernel, Window $window): string
    {
        $both = $kernel->variable('both');
        $kernel->line("{$both} = {$this->field->write($kernel, $window)};");
        $kernel->line("{$both} *= {$this->share->write($kernel, $window)};");

        return $both;
    }

    public function extent(): ?Extent
    {
        return $this->field->extent() ?? $this->share->extent();
    }

    public function largest(): float
    {
        return $this->field->largest() * $this->share->largest();
    }

    public function readsBelow(): bool
    {
        return $this->field->readsBelow() || $this->share->readsBelow();
    }
}
