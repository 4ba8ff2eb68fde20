<?php

declare(strict_types=1);

namespace Aumbrel\Core\CutOut;

use Aumbrel\Core\Geometry\Frame;
use Aumbrel\Core\Kernel\Planes;
use Aumbrel\Core\Picture\PictureSource;

/** The masks that lie on a plate and together cut it out. */
final readonly class CutMasks
{
    /** @param  list<CutMask>  $all */
    public function __construct(private array $all)
    {
    }

    public function key(): string
    {
        return hash('xxh128', serialize(array_map(static fn (CutMask $mask): array => $mask->toArray(), $this->all)));
    }

    /**
     * What they make together of the pixels of a frame; 1 where there are none.
     *
     * @return list<float>
     */
    public function joined(Planes $planes, Frame $frame, PictureSource $picture): array
    {
        $joined = null;
        foreach ($this->all as $entry) {
            $joined = $entry->joined($joined, $planes->numbers($entry->onPlate($frame, $picture)));
        }

        return $joined ?? array_fill(0, $frame->window->columns * $frame->window->rows, 1.0);
    }

    /**
     * The shape that they, the picture's own alpha and the filling of holes make together. A plate's own border is no
     * contour: where the picture is opaque, only the masks make an edge.
     *
     * @param  list<float>|null  $own  the picture's alpha at the pixels of the frame; null when it is opaque
     * @param  bool  $fillInside  fills what the whole cut-out encloses; that is found on all of the plate, so that windows agree
     * @return list<float>
     */
    public function shape(Planes $planes, Frame $frame, PictureSource $picture, ?array $own, bool $fillInside): array
    {
        $shape = $this->joined($planes, $frame, $picture);
        if ($own !== null) {
            foreach ($shape as $at => $value) {
                $shape[$at] = $value * $own[$at];
            }
        }
        if ($fillInside) {
            foreach ($planes->numbers(new HolesPlane($frame, new WholeShape($picture, $this))) as $at => $hole) {
                if ($hole > $shape[$at]) {
                    $shape[$at] = $hole;
                }
            }
        }

        /** @var list<float> $shape changed only where it had values already */
        return $shape;
    }
}
