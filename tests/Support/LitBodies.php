<?php

declare(strict_types=1);

namespace Tests\Support;

use Aumbrel\Core\Bearing\Bearing;
use Aumbrel\Core\Color\Srgb;
use Closure;

/** Bodies of several materials, seen once and then lit from anywhere: matt, without shadows on themselves. */
final readonly class LitBodies
{
    public const SHAPES = ['sphere', 'ellipsoid', 'blobs', 'turned', 'box'];

    public const MATERIALS = ['plain', 'two', 'textured'];

    /** @param  list<array{array{float, float, float}, array{float, float, float}}|null>  $hits  of each pixel its colour (linear) and its normal */
    private function __construct(public array $hits, public int $size)
    {
    }

    /**
     * @param  value-of<self::SHAPES>  $shape
     * @param  value-of<self::MATERIALS>  $material
     */
    public static function of(string $shape, string $material, int $seed, int $size = 150): self
    {
        mt_srand($seed);
        $random = static fn (float $from, float $to): float => $from + ($to - $from) * mt_rand() / mt_getrandmax();
        $field = match ($shape) {
            'sphere' => Bodies::melted([[0.0, 0.0, 0.0, 0.8]]),
            'ellipsoid' => Bodies::melted([[0.0, 0.0, 0.0, 0.8]], [$random(0.55, 1.1), $random(0.55, 1.1), $random(0.55, 1.0), $random(0, M_PI)]),
            'blobs' => Bodies::melted(array_map(static fn (): array => [$random(-0.35, 0.35), $random(-0.35, 0.35), $random(-0.2, 0.2), $random(0.28, 0.5)], range(1, 5))),
            'turned' => self::turned($random(0.1, 0.2), $random(0, 6)),
            'box' => self::box($random(-0.6, 0.6), $random(0.2, 0.5)),
        };
        $waves = array_map(static fn (): array => [$random(-14, 14), $random(-14, 14), $random(-14, 14), $random(0, 6.28)], range(1, 6));
        [$one, $other] = [[$random(0.3, 0.6), $random(0.3, 0.6), $random(0.3, 0.6)], [$random(0.5, 0.7), $random(0.2, 0.3), $random(0.05, 0.2)]];
        $hits = [];
        for ($at = 0; $at < $size * $size; $at++) {
            $hit = Bodies::hit(($at % $size + 0.5) / $size * 2 - 1, 1 - (intdiv($at, $size) + 0.5) / $size * 2, $field);
            $hits[] = $hit === null ? null : [self::colour($material, $hit[0], $waves, $one, $other), $hit[1]];
        }

        return new self($hits, $size);
    }

    /**
     * Linear light that it sends to the camera, row after row; nothing beside it.
     *
     * @param  array{float, float, float}  $sky  ambient light
     * @param  array{float, float, float}  $key
     * @return list<array{float, float, float}|null>
     */
    public function under(Bearing $light, array $sky, array $key): array
    {
        $l = $light->vector();

        return array_map(static function (?array $hit) use ($l, $sky, $key): ?array {
            if ($hit === null) {
                return null;
            }
            $facing = max(0.0, $hit[1][0] * $l[0] + $hit[1][1] * $l[1] + $hit[1][2] * $l[2]);

            return array_map(static fn (int $k): float => $hit[0][$k] * ($sky[$k] + $key[$k] * $facing), [0, 1, 2]);
        }, $this->hits);
    }

    /**
     * As a picture of 8 bits, its background transparent.
     *
     * @param  list<array{float, float, float}|null>  $light
     */
    public function picture(array $light): Flat
    {
        return new Flat($this->size, $this->size, function (int $x, int $y) use ($light): array {
            $linear = $light[$y * $this->size + $x];

            return $linear === null ? [0, 0, 0, 0] : [...array_map(static fn (float $value): int => (int) round(255 * min(1.0, Srgb::encode($value))), $linear), 255];
        });
    }

    /** A render's pass of its normals. */
    public function normals(bool $upward = true): Flat
    {
        return new Flat($this->size, $this->size, function (int $x, int $y) use ($upward): array {
            $hit = $this->hits[$y * $this->size + $x];

            return $hit === null ? [0, 0, 0, 0] : [...array_map(static fn (float $part): int => (int) round(255 * (0.5 + 0.5 * $part)), [$hit[1][0], $upward ? $hit[1][1] : -$hit[1][1], $hit[1][2]]), 255];
        });
    }

    /**
     * @param  array{float, float, float}  $place
     * @param  list<array{float, float, float, float}>  $waves
     * @param  array{float, float, float}  $one
     * @param  array{float, float, float}  $other
     * @return array{float, float, float}
     */
    private static function colour(string $material, array $place, array $waves, array $one, array $other): array
    {
        $wave = 0.0;
        foreach ($waves as [$a, $b, $c, $d]) {
            $wave += sin($a * $place[0] + $b * $place[1] + $c * $place[2] + $d) / 2.5;
        }

        return match ($material) {
            'plain' => $one,
            'two' => $place[1] + 0.3 * $place[0] > 0.1 ? $one : $other,
            // paint that has run: colours and brightness wander
            'textured' => array_map(static fn (float $a, float $b): float => max(0.02, $a + ($b - $a) * (0.5 + 0.4 * $wave)), $one, $other),
        };
    }

    /** A turned post: its radius waves along its height. */
    private static function turned(float $wave, float $phase): Closure
    {
        return static fn (float $x, float $y, float $z): float => max((sqrt($x * $x + $z * $z) - 0.42 - $wave * sin(5 * $y + $phase)) * 0.6, abs($y) - 0.85);
    }

    /** A rounded box, turned about the upright and tilted. */
    private static function box(float $turn, float $tilt): Closure
    {
        [$c, $s, $d, $t] = [cos($turn), sin($turn), cos($tilt), sin($tilt)];

        return static function (float $x, float $y, float $z) use ($c, $s, $d, $t): float {
            [$y, $z] = [$d * $y - $t * $z, $t * $y + $d * $z];
            [$x, $z] = [$c * $x + $s * $z, -$s * $x + $c * $z];
            [$x, $y, $z] = [max(0.0, abs($x) - 0.4), max(0.0, abs($y) - 0.45), max(0.0, abs($z) - 0.4)];

            return sqrt($x * $x + $y * $y + $z * $z) - 0.06;
        };
    }
}
