<?php

declare(strict_types=1);

namespace Aumbrel\Core\Shadow;

use Aumbrel\Core\Geometry\Bounds;
use Aumbrel\Core\Geometry\Homography;
use Aumbrel\Core\Geometry\Vector;
use Aumbrel\Core\Kernel\KeyOfAll;
use Aumbrel\Core\Stage\Rays;

/** A cut-out thrown on the wall close behind it: moved, by a lamp also enlarged, and evenly soft. */
final readonly class ThrownBehind implements Throwing
{
    use KeyOfAll;

    /** A sun is taken for no lower than what throws a shadow so many gaps away. */
    private const FURTHEST = 4.0;

    private const ENDED = 4.0;

    /** @param  float  $sigma  px on the wall */
    private function __construct(private Bounds $box, private float $growth, private float $dx, private float $dy, private float $sigma)
    {
    }

    /**
     * Null when the light comes from behind, or along the wall.
     *
     * @param  Rays  $rays  parallel, or in the plate's own px with z counted from it
     * @param  float  $gap  px
     * @param  float  $contact  the least sigma, px
     * @param  float  $column  cx
     * @param  float  $row  from where y is counted up
     */
    public static function of(Bounds $box, Rays $rays, float $gap, float $contact, float $column, float $row): ?self
    {
        $lamp = $rays->place();
        if ($lamp === null) {
            $way = $rays->toward(new Vector(0.0, 0.0, 0.0));
            if ($way->z <= 1e-6) {
                return null;
            }
            [$dx, $dy] = [-$gap * $way->x / $way->z, $gap * $way->y / $way->z];
            $less = min(1.0, self::FURTHEST * $gap / max(1e-9, hypot($dx, $dy)));

            return new self($box, 1.0, $dx * $less, $dy * $less, max($contact, $gap / $way->z * $rays->width() / 4));
        }
        if ($lamp->z <= 0) {
            return null;
        }
        $share = $gap / max($gap, $lamp->z, 1e-9);

        return new self($box, 1 + $share, -$share * ($column + $lamp->x), -$share * ($row - $lamp->y), max($contact, $rays->width() * $share / 4));
    }

    public function toSheet(): Homography
    {
        return Homography::affine(1 / $this->growth, 0.0, -$this->dx / $this->growth, 0.0, 1 / $this->growth, -$this->dy / $this->growth);
    }

    public function softness(float $x, float $y): Softness
    {
        return new Softness([$this->sigma, 0.0], [0.0, $this->sigma]);
    }

    public function sides(): array
    {
        return [];
    }

    public function extent(): Bounds
    {
        $at = fn (float $x, float $y): array => [$x * $this->growth + $this->dx, $y * $this->growth + $this->dy];
        [$left, $top] = $at($this->box->left, $this->box->top);
        [$right, $bottom] = $at($this->box->right, $this->box->bottom);

        return (new Bounds($left, $top, $right, $bottom))->grown(self::ENDED * $this->sigma + 2);
    }

    public function reach(): Bounds
    {
        return $this->box->grown(self::ENDED * $this->sigma / $this->growth + 2);
    }
}
