<?php

declare(strict_types=1);

namespace Aumbrel\Core\Stage;

use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Geometry\Vector;

/** Where something is that light falls on: its middle in the picture, and how deep it stands in the scene. */
final readonly class Footing
{
    /**
     * @param  Point  $middle  p, scene pixels
     * @param  float  $depth  zp; 0 for what stands nowhere in particular
     */
    public function __construct(public Point $middle, public float $depth = 0.0)
    {
    }

    /** Its middle in space. */
    public function place(Camera $camera): Vector
    {
        return $camera->place($this->middle, $this->depth);
    }
}
