<?php

declare(strict_types=1);

namespace Aumbrel\Core\Plate;

use Aumbrel\Core\Bearing\Estimate;
use Aumbrel\Core\Bearing\LitBody;
use Aumbrel\Core\Bearing\OutlineEstimate;
use Aumbrel\Core\Color\Rgb;
use Aumbrel\Core\Color\Srgb;
use Aumbrel\Core\CutOut\Contour;
use Aumbrel\Core\CutOut\CutMask;
use Aumbrel\Core\CutOut\CutMasks;
use Aumbrel\Core\CutOut\Edge;
use Aumbrel\Core\CutOut\EdgePath;
use Aumbrel\Core\CutOut\FirstGuess;
use Aumbrel\Core\CutOut\FoundFeet;
use Aumbrel\Core\CutOut\OutlineBounds;
use Aumbrel\Core\CutOut\Pieces;
use Aumbrel\Core\CutOut\WholeShape;
use Aumbrel\Core\Geometry\Bounds;
use Aumbrel\Core\Geometry\Placement;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Kernel\Planes;
use Aumbrel\Core\Picture\Halving;
use Aumbrel\Core\Picture\PictureSource;
use Aumbrel\Core\Picture\Pixels;

/** What can be read off one plate as a whole, cut out as it is: its light, its mean colour, the pieces of its cut-out. */
final readonly class PlateStudy
{
    /** Pixels that are enough for a mean colour. */
    private const MOST_FOR_MEAN = 60_000;

    /** Pixels that are enough for an outline to be looked at. */
    private const MOST_FOR_OUTLINE = 90_000;

    /** @param  list<CutMask>  $masks  those on the plate */
    public function __construct(private Planes $planes, private PictureSource $picture, private array $masks = [], private Edge $edge = new Edge)
    {
    }

    /** Where its light comes from, by its outline. */
    public function bearing(): Estimate
    {
        $size = LitBody::sizeFor($this->picture);

        return OutlineEstimate::of(LitBody::of($this->seen($size), $size->columns, $size->rows));
    }

    /** The mean of what is shown, taken in linear light, encoded; null where nothing is shown. */
    public function mean(): ?Rgb
    {
        $pixels = $this->seen(Halving::within($this->picture, self::MOST_FOR_MEAN));
        [$red, $green, $blue] = $pixels->channels();
        $sums = [0.0, 0.0, 0.0];
        $weight = 0.0;
        foreach ($pixels->alpha() as $at => $alpha) {
            $weight += $alpha;
            $sums[0] += $alpha * Srgb::decode($red[$at]);
            $sums[1] += $alpha * Srgb::decode($green[$at]);
            $sums[2] += $alpha * Srgb::decode($blue[$at]);
        }

        return $weight <= 0 ? null : (new Rgb($sums[0] / $weight, $sums[1] / $weight, $sums[2] / $weight))->encoded();
    }

    /**
     * The line between two places of its picture that keeps to edges.
     *
     * @return list<array{float, float}>
     */
    public function edge(Point $from, Point $to): array
    {
        return EdgePath::between($this->picture, $from, $to);
    }

    /**
     * Strokes for a first cut of what lies in a box, or at a place.
     *
     * @return list<array<string, mixed>> as in a scene file
     */
    public function guess(Bounds|Point $where): array
    {
        $guess = new FirstGuess($this->picture);

        return $where instanceof Point ? $guess->at($where) : $guess->inBox($where);
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

    /** Where on its picture something is; null when nothing is left of it. */
    public function box(): ?Bounds
    {
        return OutlineBounds::of($this->planes, $this->picture, $this->masks);
    }

    /**
     * The outline of what is shown, in pixels of its picture.
     *
     * @return list<list<array{float, float}>> as {@see Contour::of()}
     */
    public function outline(): array
    {
        $size = Halving::within($this->picture, self::MOST_FOR_OUTLINE);

        return Contour::of($this->seen($size)->alpha(), $size->columns, $size->rows, $this->picture->width() / $size->columns);
    }

    /** @return list<array{float, float}> where its legs end, in pixels of its picture, from left to right */
    public function feet(): array
    {
        $size = Halving::within($this->picture, self::MOST_FOR_OUTLINE);
        $scale = $this->picture->width() / $size->columns;

        return array_map(static fn (array $foot): array => [$foot[0] * $scale, $foot[1] * $scale], FoundFeet::of($this->seen($size)->alpha(), $size->columns, $size->rows));
    }

    /** The plate's own pixels, cut out. */
    private function seen(Halving $size): Pixels
    {
        $seen = Plate::sight($this->picture, Placement::asItIs(), $size->window(), $this->masks, $this->edge);

        return new Pixels($this->planes->pixels($seen), $seen->bits());
    }
}
