<?php

declare(strict_types=1);

namespace Aumbrel\Core\Plate;

use Aumbrel\Core\Bearing\Estimate;
use Aumbrel\Core\Bearing\LitBody;
use Aumbrel\Core\Bearing\OutlineEstimate;
use Aumbrel\Core\Color\Rgb;
use Aumbrel\Core\Color\Srgb;
use Aumbrel\Core\CutOut\CutMask;
use Aumbrel\Core\CutOut\CutMasks;
use Aumbrel\Core\CutOut\CutPlane;
use Aumbrel\Core\CutOut\Edge;
use Aumbrel\Core\CutOut\Pieces;
use Aumbrel\Core\CutOut\WholeShape;
use Aumbrel\Core\Geometry\Placement;
use Aumbrel\Core\Kernel\Planes;
use Aumbrel\Core\Picture\Halving;
use Aumbrel\Core\Picture\PictureSource;
use Aumbrel\Core\Seen\PlatePlane;

/** What can be read off one plate as a whole, cut out as it is: its light, its mean colour, the pieces of its cut-out. */
final readonly class PlateStudy
{
    /** Pixels that are enough for a mean colour. */
    private const MOST_FOR_MEAN = 60_000;

    /** @param  list<CutMask>  $masks  those on the plate */
    public function __construct(private Planes $planes, private PictureSource $picture, private array $masks = [], private Edge $edge = new Edge)
    {
    }

    /** Where its light comes from, by its outline. */
    public function bearing(): Estimate
    {
        $size = LitBody::sizeFor($this->picture);
        [$pixels, $bits] = $this->seen($size);

        return OutlineEstimate::of(LitBody::of($pixels, $bits, $size->columns, $size->rows));
    }

    /** The mean of what is shown, taken in linear light, encoded; null where nothing is shown. */
    public function mean(): ?Rgb
    {
        [$pixels, $bits] = $this->seen(Halving::within($this->picture, self::MOST_FOR_MEAN));
        $mask = (1 << $bits) - 1;
        $sums = [0.0, 0.0, 0.0];
        $weight = 0.0;
        foreach ($pixels as $pixel) {
            $alpha = ($pixel >> 3 * $bits & $mask) / $mask;
            $weight += $alpha;
            $sums[0] += $alpha * Srgb::decode(($pixel >> 2 * $bits & $mask) / $mask);
            $sums[1] += $alpha * Srgb::decode(($pixel >> $bits & $mask) / $mask);
            $sums[2] += $alpha * Srgb::decode(($pixel & $mask) / $mask);
        }

        return $weight <= 0 ? null : (new Rgb($sums[0] / $weight, $sums[1] / $weight, $sums[2] / $weight))->encoded();
    }

    /** How many pieces of the cut-out shrinking takes away altogether. */
    public function vanished(): int
    {
        if ($this->edge->grow >= 0) {
            return 0;
        }
        $whole = new WholeShape($this->picture, new CutMasks($this->masks));
        [$columns, $rows] = [$whole->size->columns, $whole->size->rows];
        $before = $this->planes->numbers($whole);

        return Pieces::vanished($before, Edge::grown($before, $columns, $rows, $this->edge->grow * $whole->scale()), $columns, $rows);
    }

    /** @return array{list<int>, 8|16} the plate's own pixels, cut out, and their bits a channel */
    private function seen(Halving $size): array
    {
        $upright = Placement::asItIs();
        $window = $size->window();
        $seen = $this->masks === [] && $this->edge->isNone()
            ? new PlatePlane($this->picture, $upright, $window)
            : new CutPlane($this->picture, $upright, $window, $this->masks, $this->edge);
        /** @var 8|16 $bits */
        $bits = $seen->bits();

        return [$this->planes->pixels($seen), $bits];
    }
}
