<?php

declare(strict_types=1);

namespace Aumbrel\Core\Bearing;

use Aumbrel\Core\Color\Srgb;

/** A matt sphere under one light, to be laid beside a subject and turned until both look alike. */
final class LitSphere
{
    private const AMBIENT = 0.06;

    private const ALBEDO = 0.8;

    /** @return string red, green, blue, alpha, row after row; the sphere fills the square */
    public static function pixels(Bearing $light, int $size): string
    {
        [$lx, $ly, $lz] = $light->vector();
        $bytes = [];
        $radius = $size / 2;
        for ($row = 0; $row < $size; $row++) {
            for ($column = 0; $column < $size; $column++) {
                $x = ($column + 0.5 - $radius) / $radius;
                $y = -($row + 0.5 - $radius) / $radius;
                $away = sqrt($x * $x + $y * $y);
                $cover = max(0.0, min(1.0, ($radius - 0.5) * (1 - $away) + 0.5));
                // at the rim the normal lies in the picture
                $length = max(1.0, $away);
                $z = sqrt(max(0.0, 1 - $x * $x - $y * $y));
                $shade = max(0.0, ($x * $lx + $y * $ly) / $length + $z * $lz);
                $grey = (int) round(255 * Srgb::encode(self::AMBIENT + (self::ALBEDO - self::AMBIENT) * $shade));
                $bytes[] = pack('C4', $grey, $grey, $grey, (int) round(255 * $cover));
            }
        }

        return implode('', $bytes);
    }
}
