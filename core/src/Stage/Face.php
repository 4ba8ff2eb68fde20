<?php

declare(strict_types=1);

namespace Aumbrel\Core\Stage;

use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Geometry\Vector;

/** A flat surface in space: all places with normal . place = offset. */
final readonly class Face
{
    /** @param  Vector  $normal  of length 1, toward the side that is lit */
    public function __construct(public Vector $normal, public float $offset)
    {
    }

    /** The upright plane over the contact row: a wall that faces the camera. */
    public static function towardCamera(): self
    {
        return new self(new Vector(0.0, 0.0, 1.0), 0.0);
    }

    /** How far a place stands over it; negative behind it. */
    public function over(Vector $place): float
    {
        return $this->normal->dot($place) - $this->offset;
    }

    /** Where a line from a place meets it going on; null when it never does. */
    public function meets(Vector $from, Vector $way): ?Vector
    {
        $along = $this->normal->dot($way);
        if (abs($along) < 1e-12) {
            return null;
        }
        $share = -$this->over($from) / $along;

        return $share > 0 ? $from->plus($way->times($share)) : null;
    }

    /** What of it is seen at a place of the picture; null where it is not seen. */
    public function seenAt(Point $place, Camera $camera): ?Vector
    {
        return $this->meets($camera->eye(), $camera->ray($place));
    }

    /** The place on it right under another one. */
    public function foot(Vector $place): Vector
    {
        return $place->minus($this->normal->times($this->over($place)));
    }
}
