<?php

declare(strict_types=1);

namespace App\Codecs;

/** The colours in which a picture is written. */
enum Primaries: string
{
    case Srgb = 'srgb';

    /** Display P3: primaries of SMPTE EG 432-1 with the white and the curve of sRGB. */
    case P3 = 'p3';

    public function label(): string
    {
        return $this === self::Srgb ? 'sRGB' : 'Display P3';
    }

    public function profile(): string
    {
        return $this === self::Srgb ? SrgbProfile::bytes() : SrgbProfile::displayP3();
    }
}
