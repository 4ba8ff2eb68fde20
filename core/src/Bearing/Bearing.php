<?php

declare(strict_types=1);

namespace Aumbrel\Core\Bearing;

/**
 * The direction that light comes from: azimuth in the picture (0 from the right, 90 from above), elevation toward the
 * viewer (0 in the picture, 90 from the camera, negative from behind). Degrees.
 */
final readonly class Bearing
{
    public float $azimuth;

    public float $elevation;

    public function __construct(float $azimuth, float $elevation)
    {
        $this->elevation = max(-90.0, min(90.0, $elevation));
        $this->azimuth = abs($this->elevation) > 90 - 1e-9 ? 0.0 : self::wrapped($azimuth);
    }

    /** The way toward the light: x to the right, y up, z toward the viewer; of any length above 0. */
    public static function toward(float $x, float $y, float $z): self
    {
        return new self(rad2deg(atan2($y, $x)), rad2deg(atan2($z, hypot($x, $y))));
    }

    /** @return array{float, float, float} the unit vector toward the light, y up */
    public function vector(): array
    {
        [$a, $e] = [deg2rad($this->azimuth), deg2rad($this->elevation)];

        return [cos($e) * cos($a), cos($e) * sin($a), sin($e)];
    }

    /** The angle between two bearings, 0..180. */
    public function angleTo(self $other): float
    {
        [$a, $b] = [$this->vector(), $other->vector()];

        return rad2deg(acos(max(-1.0, min(1.0, $a[0] * $b[0] + $a[1] * $b[1] + $a[2] * $b[2]))));
    }

    public function mirrored(): self
    {
        return new self(180 - $this->azimuth, $this->elevation);
    }

    /** @param  float  $degrees  counter-clockwise as seen */
    public function turned(float $degrees): self
    {
        return new self($this->azimuth + $degrees, $this->elevation);
    }

    /** How high the light stands over the ground. */
    public function heightAngle(): float
    {
        return rad2deg(asin($this->vector()[1]));
    }

    /** Where over the ground it stands: 0 from the camera's side, 90 from the right. */
    public function heading(): float
    {
        [$x, , $z] = $this->vector();

        return rad2deg(atan2($x, $z));
    }

    /** In words: "from the upper left, in front". */
    public function inWords(): string
    {
        if ($this->elevation > 75) {
            return 'from the camera';
        }
        if ($this->elevation < -75) {
            return 'from behind';
        }
        $sides = ['from the right', 'from the upper right', 'from above', 'from the upper left', 'from the left', 'from the lower left', 'from below', 'from the lower right'];
        $side = $sides[((int) round($this->azimuth / 45) + 8) % 8];

        return $side.match (true) {
            $this->elevation >= 30 => ', in front',
            $this->elevation <= -20 => ', from behind',
            default => '',
        };
    }

    private static function wrapped(float $degrees): float
    {
        $wrapped = fmod($degrees, 360);

        return $wrapped > 180 ? $wrapped - 360 : ($wrapped <= -180 ? $wrapped + 360 : $wrapped);
    }
}
