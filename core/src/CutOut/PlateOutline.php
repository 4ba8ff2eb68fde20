<?php

declare(strict_types=1);

namespace Aumbrel\Core\CutOut;

use Aumbrel\Core\Geometry\Placement;
use Aumbrel\Core\Picture\PictureSource;

/**
 * Where a plate's outline lies, with all that it depends on. A plate's own border is no outline: only what cuts it out, or
 * its picture's own transparency, makes one.
 */
final readonly class PlateOutline
{
    public function __construct(public PictureSource $picture, public Placement $placement, public CutMasks $masks, public Edge $edge)
    {
    }

    /** Names the outline in its own picture, wherever the plate stands. */
    public function key(): string
    {
        return "outline {$this->picture->key()} {$this->edge->key()} {$this->masks->key()}";
    }
}
