<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

use Aumbrel\Core\Geometry\Bounds;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Seen\DepthPass;

/** A plate as shadows know it: where it stands, and what is there of it. */
final readonly class Stand
{
    /**
     * @param  Bounds  $box  of what is there of it, scene pixels
     * @param  non-empty-list<Point>  $feet  scene pixels
     * @param  float  $gap  to the wall that it hangs on, px
     * @param  bool  $receives  whether shadows fall on it
     * @param  float|null  $distance  how far away it is said to be, in distances of the contact row; null when that follows from where it stands
     * @param  DepthPass|null  $depth  how far away each of its pixels is
     */
    public function __construct(public string $id, public string $name, public Stance $stance, public Bounds $box, public array $feet, public float $gap, public bool $receives, public ?float $distance = null, public ?DepthPass $depth = null)
    {
    }

    /** The middle of its feet. */
    public function foot(): Point
    {
        return new Point(array_sum(array_column($this->feet, 'x')) / count($this->feet), array_sum(array_column($this->feet, 'y')) / count($this->feet));
    }

    /** The shorter side of what is there, px. */
    public function size(): float
    {
        return min($this->box->right - $this->box->left, $this->box->bottom - $this->box->top);
    }
}
