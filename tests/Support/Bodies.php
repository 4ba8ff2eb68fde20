<?php

declare(strict_types=1);

namespace Tests\Support;

use Aumbrel\Core\Bearing\Bearing;
use Aumbrel\Core\Bearing\LitBody;
use Closure;

/** Lambertian bodies under a known light, ray by ray from their formulas; for checking estimates. */
final class Bodies
{
    /**
     * @param  'sphere'|'ellipsoid'|'blob'  $kind
     * @param  array{ambient?: float, texture?: float, noise?: float, second?: float, gloss?: float}  $with
     */
    public static function lit(string $kind, Bearing $light, int $seed, array $with = [], int $size = 180): LitBody
    {
        mt_srand($seed);
        $random = static fn (float $from, float $to): float => $from + ($to - $from) * mt_rand() / mt_getrandmax();
        $balls = match ($kind) {
            'sphere' => [[0.0, 0.0, 0.0, 0.8]],
            'ellipsoid' => [[0.0, 0.0, 0.0, 0.8]],
            'blob' => array_map(static fn (): array => [$random(-0.35, 0.35), $random(-0.35, 0.35), $random(-0.2, 0.2), $random(0.28, 0.5)], range(1, 5)),
        };
        $stretch = $kind === 'ellipsoid' ? [$random(0.55, 1.1), $random(0.55, 1.1), $random(0.55, 1.1), $random(0, M_PI)] : [1.0, 1.0, 1.0, 0.0];
        $field = self::melted($balls, $stretch);
        $l = $light->vector();
        $second = (new Bearing($random(-180, 180), $random(-20, 60)))->vector();
        $waves = array_map(static fn (): array => [$random(-14, 14), $random(-14, 14), $random(-14, 14), $random(0, 6.28)], range(1, 6));
        $ambient = $with['ambient'] ?? 0.12;
        $brightness = $alpha = [];
        for ($row = 0; $row < $size; $row++) {
            for ($column = 0; $column < $size; $column++) {
                $hit = self::hit(($column + 0.5) / $size * 2 - 1, 1 - ($row + 0.5) / $size * 2, $field);
                if ($hit === null) {
                    $brightness[] = 0.0;
                    $alpha[] = 0.0;

                    continue;
                }
                [$point, $n] = $hit;
                $value = $ambient + 0.75 * max(0.0, $n[0] * $l[0] + $n[1] * $l[1] + $n[2] * $l[2])
                    + ($with['second'] ?? 0.0) * 0.75 * max(0.0, $n[0] * $second[0] + $n[1] * $second[1] + $n[2] * $second[2]);
                $texture = 0.0;
                foreach ($waves as [$a, $b, $c, $d]) {
                    $texture += sin($a * $point[0] + $b * $point[1] + $c * $point[2] + $d) / 2.5;
                }
                $value *= 0.7 * (1 + ($with['texture'] ?? 0.0) * $texture);
                $half = [$l[0], $l[1], $l[2] + 1];
                $length = sqrt($half[0] ** 2 + $half[1] ** 2 + $half[2] ** 2);
                $value += ($with['gloss'] ?? 0.0) * max(0.0, ($n[0] * $half[0] + $n[1] * $half[1] + $n[2] * $half[2]) / max(1e-6, $length)) ** 60;
                // noise as of a camera, on encoded values
                $encoded = max(0.0, $value) ** (1 / 2.2) + ($with['noise'] ?? 0.0) * sqrt(-2 * log(max(1e-9, $random(0, 1)))) * cos(2 * M_PI * $random(0, 1));
                $brightness[] = min(1.0, max(0.0, round($encoded * 255) / 255)) ** 2.2;
                $alpha[] = 1.0;
            }
        }

        return new LitBody($brightness, $alpha, $size, $size);
    }

    /**
     * Balls that melt into one another, or one that is stretched: the distance to their surface.
     *
     * @param  list<array{float, float, float, float}>  $balls
     * @param  array{float, float, float, float}  $stretch
     * @return Closure(float, float, float): float
     */
    public static function melted(array $balls, array $stretch = [1.0, 1.0, 1.0, 0.0]): Closure
    {
        [$sx, $sy, $sz, $turn] = $stretch;
        [$c, $s] = [cos($turn), sin($turn)];

        return static function (float $x, float $y, float $z) use ($balls, $sx, $sy, $sz, $c, $s): float {
            [$u, $v, $w] = [($c * $x + $s * $y) / $sx, (-$s * $x + $c * $y) / $sy, $z / $sz];
            if (count($balls) === 1) {
                return sqrt($u * $u + $v * $v + $w * $w) - $balls[0][3];
            }
            $sum = 0.0;
            foreach ($balls as [$bx, $by, $bz, $r]) {
                $sum += exp(-12 * (sqrt(($u - $bx) ** 2 + ($v - $by) ** 2 + ($w - $bz) ** 2) - $r));
            }

            return -log($sum) / 12;
        };
    }

    /**
     * The foremost point of a ray along z, and its normal.
     *
     * @param  Closure(float, float, float): float  $field  the distance to a surface, near enough for marching
     * @return array{array{float, float, float}, array{float, float, float}}|null
     */
    public static function hit(float $x, float $y, Closure $field): ?array
    {
        $z = 1.2;
        for ($step = 0; $step < 60; $step++) {
            $distance = $field($x, $y, $z) * 0.6;
            if ($distance < 5e-4) {
                $h = 1e-4;
                $n = [$field($x + $h, $y, $z) - $field($x - $h, $y, $z), $field($x, $y + $h, $z) - $field($x, $y - $h, $z), $field($x, $y, $z + $h) - $field($x, $y, $z - $h)];
                $length = sqrt($n[0] ** 2 + $n[1] ** 2 + $n[2] ** 2);

                return [[$x, $y, $z], [$n[0] / $length, $n[1] / $length, $n[2] / $length]];
            }
            $z -= max(2e-3, $distance);
            if ($z < -1.2) {
                return null;
            }
        }

        return null;
    }
}
