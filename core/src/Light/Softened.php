<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Geometry\Extent;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\IdentityOfAll;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\Field;

/** A field blurred by a Gaussian. */
final readonly class Softened implements Field
{
    use IdentityOfAll;

    /** So many sigmas off nothing is left that a light at its highest level could show. */
    public const GONE = 5.5;

    /**
     * @param  float  $softness  sigma, scene pixels
     * @param  bool  $isAll  where it is nothing the whole layer is; otherwise another field may go further
     */
    public function __construct(private Field $field, private float $softness, private bool $isAll = true)
    {
    }

    public function write(KernelWriter $kernel, Window $window): string
    {
        return (new SoftShape($this->field, $this->softness, $window))->write($kernel, $window, $this->isAll);
    }

    public function extent(): ?Extent
    {
        return $this->field->extent()?->grown(self::GONE * $this->softness + 1);
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
