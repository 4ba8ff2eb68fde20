<?php

declare(strict_types=1);

namespace Aumbrel\Core\Bearing;

use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Geometry\Point;

/**
 * The line from an object's foot to the tip of its shadow on level ground, seen by a camera from above; with the object's
 * top it tells how high the light stands too.
 *
 * The ground runs up the picture by a share of what it runs away from the camera (its tilt): a top at height u over the
 * foot throws to `x - u lx/ly, y - tilt u lz/ly`.
 */
final readonly class ShadowLine
{
    /** How much of a way along the ground away from the camera is seen as height, as for cast shadows without a horizon. */
    public const GROUND_TILT = 0.35;

    private const SHORTEST = 2.0;

    public function __construct(public Point $base, public Point $tip, public ?Point $top = null)
    {
    }

    /** @throws SceneError when the line is too short to say anything */
    public function bearing(string $field): Bearing
    {
        $right = $this->tip->x - $this->base->x;
        $down = ($this->tip->y - $this->base->y) / self::GROUND_TILT;
        $length = hypot($right, $down);
        if ($this->base->distanceTo($this->tip) < self::SHORTEST) {
            throw new SceneError($field, 'the shadow line is too short: draw it from the foot to the tip of the shadow');
        }
        // without the object's top the shadow is taken to be as long as the object is tall
        $height = $this->top === null ? $length : $this->base->y - $this->top->y;
        if ($height < self::SHORTEST) {
            throw new SceneError("{$field}.top", 'the top must lie above the foot');
        }

        return Bearing::toward(-$right, $height, -$down);
    }

    /** Degrees; a foot's or tip's place is seldom known better (common practice, no source). */
    public function spread(): float
    {
        return $this->top === null ? 20.0 : 10.0;
    }

    public function confidence(): float
    {
        return $this->top === null ? 0.6 : 0.9;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['base' => $this->base->toArray(), 'tip' => $this->tip->toArray(), ...($this->top === null ? [] : ['top' => $this->top->toArray()])];
    }
}
