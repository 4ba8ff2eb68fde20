<?php

declare(strict_types=1);

namespace Aumbrel\Core\Body;

use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kernel\Plane;

/** Normals in one number each: x to the right and y up, to 15 bits and a sign; what is left of a length of 1 is toward the viewer. */
final class Normals
{
    private const HALF = 32768;

    private const UNIT = 32767.0;

    /** What faces the viewer. */
    public const FRONT = self::HALF << 16 | self::HALF;

    /** Of any length above 0, z not below 0. */
    public static function packed(float $x, float $y, float $z): int
    {
        $unit = self::UNIT / sqrt($x * $x + $y * $y + $z * $z + 1e-12);

        return (int) ($x * $unit + self::HALF + 0.5) << 16 | (int) ($y * $unit + self::HALF + 0.5);
    }

    /**
     * @param  list<int>  $packed
     * @return array{list<float>, list<float>, list<float>} x, y, z
     */
    public static function unpacked(array $packed): array
    {
        $xs = $ys = $zs = [];
        foreach ($packed as $normal) {
            $xs[] = $x = (($normal >> 16 & 65535) - self::HALF) / self::UNIT;
            $ys[] = $y = (($normal & 65535) - self::HALF) / self::UNIT;
            $zs[] = sqrt(max(0.0, 1 - $x * $x - $y * $y));
        }

        return [$xs, $ys, $zs];
    }

    /** Writes the normal of the current pixel of a plane of them into three variables. */
    public static function write(KernelWriter $kernel, Plane $plane, string $x, string $y, string $z): void
    {
        $packed = $kernel->plane($plane);
        $unit = sprintf('%.17e', 1 / self::UNIT);
        $half = self::HALF;
        $kernel->line("{$x} = (({$packed}[\$i] >> 16 & 65535) - {$half}) * {$unit}; {$y} = (({$packed}[\$i] & 65535) - {$half}) * {$unit};");
        $kernel->line("{$z} = 1.0 - {$x} * {$x} - {$y} * {$y}; {$z} = {$z} > 0.0 ? sqrt({$z}) : 0.0;");
    }
}
