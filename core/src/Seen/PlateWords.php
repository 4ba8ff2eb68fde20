<?php

declare(strict_types=1);

namespace Aumbrel\Core\Seen;

use Aumbrel\Core\Kernel\KernelWriter;

/** How kernels read a plate that a window sees. */
final class PlateWords
{
    /** An expression of a plate's alpha at the current pixel. */
    public static function alpha(KernelWriter $kernel, SeenPlate $plane): string
    {
        if ($plane->opaque()) {
            return '1.0';
        }
        $pixels = $kernel->plane($plane);

        return $plane->bits() === 16
            ? sprintf('(%s[$i] >> 48 & 65535) * %.17e', $pixels, 1 / 65535)
            : sprintf('(%s[$i] >> 24 & 255) * %.17e', $pixels, 1 / 255);
    }

    /** @return array{string, string, string} expressions of a plate's encoded colour at the current pixel */
    public static function colour(KernelWriter $kernel, SeenPlate $plane): array
    {
        $pixels = $kernel->plane($plane);
        [$wide, $narrow, $mask] = $plane->bits() === 16 ? [32, 16, 65535] : [16, 8, 255];
        $unit = sprintf('%.17e', 1 / $mask);

        return [
            "({$pixels}[\$i] >> {$wide} & {$mask}) * {$unit}",
            "({$pixels}[\$i] >> {$narrow} & {$mask}) * {$unit}",
            "({$pixels}[\$i] & {$mask}) * {$unit}",
        ];
    }
}
