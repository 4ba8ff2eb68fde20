<?php

declare(strict_types=1);

namespace Aumbrel\Core\Seen;

use Aumbrel\Core\Geometry\Placement;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Picture\PictureSource;

/**
 * Draws a placed picture into a window, at 16 bits a channel.
 *
 * Upright plates are filtered apart along x and y with a cubic (Keys, *Cubic convolution interpolation for digital image
 * processing*, 1981, a = -1/2) that widens with the reduction, on the halving that leaves a reduction below two. Turned
 * ones are sampled on a 2 x 2 grid bilinearly when reduced, by the same cubic when enlarged. Colours are premultiplied
 * while they are mixed; the picture's border is cut by the exact share of the pixel that it covers. Plates in perspective
 * are sampled on as fine a grid as the place asks for.
 */
final readonly class Resampler
{
    private PictureAtSize $source;

    /** @param  bool  $isCut  whether the picture's border cuts the pixels that it crosses, {@see PictureAtSize} */
    public function __construct(PictureSource $picture, Placement $placement, Window $window, bool $isCut = true)
    {
        $this->source = new PictureAtSize($picture, $placement, $window, $isCut);
    }

    /** @return list<int> packed `A<<48 | R<<32 | G<<16 | B` */
    public function fill(): array
    {
        $placement = $this->source->placement;

        return match (true) {
            $placement->fit !== null => (new BentDrawing($this->source))->fill(),
            $placement->isUpright() => (new UprightDrawing($this->source))->fill(),
            default => (new TurnedDrawing($this->source))->fill(),
        };
    }
}
