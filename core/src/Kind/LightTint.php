<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

use Aumbrel\Core\Blend\BlendMode;

/** A tint of a light's colours that are worked out at each place and take nothing from below. */
trait LightTint
{
    public function isDirect(): bool
    {
        return false;
    }

    public function isLight(BlendMode $mode): bool
    {
        return $mode->isLinear();
    }

    public function readsBelow(): bool
    {
        return false;
    }

    public function mayExceed(): bool
    {
        return false;
    }
}
