<?php

declare(strict_types=1);

namespace Aumbrel\Core\CutOut;

use Aumbrel\Core\Geometry\Frame;
use Aumbrel\Core\Geometry\Placement;
use Aumbrel\Core\Kernel\Plane;
use Aumbrel\Core\Kernel\Planes;
use Aumbrel\Core\Picture\Halving;
use Aumbrel\Core\Picture\PictureSource;
use Aumbrel\Core\Picture\Pixels;

/** All of a plate's cut-out at once, in the picture's own pixels or those of one of its halvings, before its edge is cleaned. */
final readonly class WholeShape implements Plane
{
    /** Pixels that are enough to tell pieces and holes apart. */
    private const MOST_PIXELS = 500_000;

    public Halving $size;

    public function __construct(private PictureSource $picture, private CutMasks $masks)
    {
        $this->size = Halving::within($picture, self::MOST_PIXELS);
    }

    /** By hand: it also names a file that is kept. */
    public function key(): string
    {
        return "whole shape {$this->picture->key()} {$this->size->level} {$this->masks->key()}";
    }

    /** Pixels to one of the picture's. */
    public function scale(): float
    {
        return $this->size->window()->scale;
    }

    /** @return list<float> */
    public function fill(Planes $planes): array
    {
        $own = $this->picture->opaque() ? null : (new Pixels($this->size->pixels($this->picture), $this->picture->bits()))->alpha();

        return $this->masks->shape($planes, Frame::plate($this->size->window(), Placement::asItIs()), $this->picture, $own, false);
    }
}
