<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\Geometry\Placement;
use Aumbrel\Core\Picture\PictureSource;

/** A picture as it lies in the scene. */
final readonly class Lying
{
    public function __construct(public PictureSource $picture, public Placement $placement)
    {
    }
}
