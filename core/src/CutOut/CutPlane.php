<?php

declare(strict_types=1);

namespace Aumbrel\Core\CutOut;

use Aumbrel\Core\Geometry\Frame;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Plate\PictureSource;
use Aumbrel\Core\Plate\Placement;
use Aumbrel\Core\Plate\PlatePlane;
use Aumbrel\Core\Plate\SeenPlate;
use Aumbrel\Core\Render\Planes;
use Aumbrel\Core\Scene\MaskEntry;

/** A plate with its cut-out, as a window sees it: the picture's own pixels, their alpha cut, their edge cleaned. */
final readonly class CutPlane implements SeenPlate
{
    private PlatePlane $plate;

    private CutMasks $masks;

    /** @param  list<MaskEntry>  $masks  those that lie on the plate */
    public function __construct(
        private PictureSource $picture,
        private Placement $placement,
        private Window $window,
        array $masks,
        private Edge $edge,
    ) {
        $this->masks = new CutMasks($masks);
        $this->plate = new PlatePlane($picture, $placement, $window);
    }

    public function key(): string
    {
        return "cut {$this->plate->key()} {$this->edge->key()} {$this->masks->key()}";
    }

    public function bits(): int
    {
        return 16;
    }

    public function opaque(): bool
    {
        return false;
    }

    public function span(float $y): ?array
    {
        if ($this->edge->soften <= 0) {
            return $this->plate->span($y);
        }
        // softened, it reaches past its border: of what lies within that reach above and below, the corners reach furthest
        $reach = $this->edge->margin(Frame::plate($this->window, $this->placement)->pixelsPerUnit()) / $this->window->scale;
        $span = null;
        $rows = [$y - $reach, $y, $y + $reach];
        foreach ($this->placement->corners($this->picture->width(), $this->picture->height()) as [$x, $row]) {
            if (abs($row - $y) <= $reach) {
                $span = [min($x, $span[0] ?? $x), max($x, $span[1] ?? $x)];
            }
        }
        foreach ($rows as $row) {
            $there = $this->plate->span($row);
            if ($there !== null) {
                $span = [min($there[0], $span[0] ?? $there[0]), max($there[1], $span[1] ?? $there[1])];
            }
        }

        return $span === null ? null : [$span[0] - $reach, $span[1] + $reach];
    }

    /** @return list<int> */
    public function fill(Planes $planes): array
    {
        $frame = Frame::plate($this->window, $this->placement);
        $scale = $frame->pixelsPerUnit();
        $margin = $this->edge->margin($scale);
        $frame = $frame->padded($margin);
        [$columns, $rows] = [$frame->window->columns, $frame->window->rows];
        $seen = $margin === 0 ? $this->plate : new PlatePlane($this->picture, $this->placement, $frame->window);
        $pixels = $planes->pixels($seen);
        $own = $this->alphaOf($pixels, $seen);
        // a plate's own border is no contour: where the picture is opaque, only the masks make the edge
        $shape = $this->masks->joined($planes, $frame, $this->picture);
        $shape = $this->picture->opaque() ? $shape : self::times($shape, $own);
        if ($this->edge->fillInside) {
            $shape = $this->filled($planes, $frame, $shape);
        }
        $colours = $this->edge->hairBand > 0 || $this->edge->unstain > 0 ? $this->coloursOf($pixels, $seen) : null;
        $shape = $this->edge->clean($shape, $colours, $columns, $rows, $scale);
        $shape = $this->picture->opaque() ? self::times($shape, $own) : $shape;
        if ($this->edge->soften > 0) {
            [$shape, $colours] = $this->edge->softened($shape, $colours ?? $this->coloursOf($pixels, $seen), $own, $columns, $rows, $scale);
        }
        if ($colours !== null && ($this->edge->soften > 0 || $this->edge->unstain > 0)) {
            $clean = $this->edge->unstain > 0 ? Unstain::colours($colours, $shape, $this->picture->opaque() ? null : $own, $columns, $rows, $scale) : $colours;

            return $this->packed($shape, $colours, $clean, $margin, $columns);
        }

        return $seen->bits() === 8 ? $this->packedFrom8($shape, $pixels, $margin, $columns) : $this->packedFrom16($shape, $pixels, $margin, $columns);
    }

    /**
     * @param  list<float>  $one
     * @param  list<float>  $other
     * @return list<float>
     */
    private static function times(array $one, array $other): array
    {
        foreach ($one as $at => $value) {
            $one[$at] = $value * $other[$at];
        }

        return $one;
    }

    /**
     * Fills what the whole cut-out encloses; the holes are found on all of the plate, so that windows agree.
     *
     * @param  list<float>  $shape
     * @return list<float>
     */
    private function filled(Planes $planes, Frame $frame, array $shape): array
    {
        $holes = $planes->numbers(new HolesPlane($frame, new WholeShape($this->picture, $this->masks)));
        foreach ($holes as $at => $hole) {
            if ($hole > $shape[$at]) {
                $shape[$at] = $hole;
            }
        }

        return $shape;
    }

    /**
     * @param  list<int>  $pixels
     * @return list<float>
     */
    private function alphaOf(array $pixels, PlatePlane $seen): array
    {
        if ($seen->opaque()) {
            return array_fill(0, count($pixels), 1.0);
        }
        $alpha = [];
        if ($seen->bits() === 16) {
            foreach ($pixels as $pixel) {
                $alpha[] = ($pixel >> 48 & 65535) * (1 / 65535);
            }
        } else {
            foreach ($pixels as $pixel) {
                $alpha[] = ($pixel >> 24 & 255) * (1 / 255);
            }
        }

        return $alpha;
    }

    /**
     * @param  list<int>  $pixels
     * @return array{list<float>, list<float>, list<float>}
     */
    private function coloursOf(array $pixels, PlatePlane $seen): array
    {
        [$wide, $narrow, $mask] = $seen->bits() === 16 ? [32, 16, 65535] : [16, 8, 255];
        $unit = 1 / $mask;
        $red = $green = $blue = [];
        foreach ($pixels as $pixel) {
            $red[] = ($pixel >> $wide & $mask) * $unit;
            $green[] = ($pixel >> $narrow & $mask) * $unit;
            $blue[] = ($pixel & $mask) * $unit;
        }

        return [$red, $green, $blue];
    }

    /**
     * @param  list<float>  $shape  with the margin
     * @param  array{list<float>, list<float>, list<float>}  $colours
     * @param  array{list<float>, list<float>, list<float>}  $clean
     * @return list<int> without it
     */
    private function packed(array $shape, array $colours, array $clean, int $margin, int $pitch): array
    {
        $amount = $this->edge->unstain;
        $out = [];
        for ($row = 0; $row < $this->window->rows; $row++) {
            for ($column = 0, $at = ($row + $margin) * $pitch + $margin; $column < $this->window->columns; $column++, $at++) {
                $r = $colours[0][$at] + $amount * ($clean[0][$at] - $colours[0][$at]);
                $g = $colours[1][$at] + $amount * ($clean[1][$at] - $colours[1][$at]);
                $b = $colours[2][$at] + $amount * ($clean[2][$at] - $colours[2][$at]);
                $out[] = (int) ($shape[$at] * 65535.0 + 0.5) << 48 | (int) ($r * 65535.0 + 0.5) << 32 | (int) ($g * 65535.0 + 0.5) << 16 | (int) ($b * 65535.0 + 0.5);
            }
        }

        return $out;
    }

    /**
     * @param  list<float>  $shape  with the margin
     * @param  list<int>  $pixels  with the margin
     * @return list<int> without it
     */
    private function packedFrom8(array $shape, array $pixels, int $margin, int $pitch): array
    {
        $out = [];
        for ($row = 0; $row < $this->window->rows; $row++) {
            for ($column = 0, $at = ($row + $margin) * $pitch + $margin; $column < $this->window->columns; $column++, $at++) {
                $pixel = $pixels[$at];
                $out[] = (int) ($shape[$at] * 65535.0 + 0.5) << 48 | ($pixel >> 16 & 255) * 257 << 32 | ($pixel >> 8 & 255) * 257 << 16 | ($pixel & 255) * 257;
            }
        }

        return $out;
    }

    /**
     * @param  list<float>  $shape  with the margin
     * @param  list<int>  $pixels  with the margin
     * @return list<int> without it
     */
    private function packedFrom16(array $shape, array $pixels, int $margin, int $pitch): array
    {
        $out = [];
        for ($row = 0; $row < $this->window->rows; $row++) {
            for ($column = 0, $at = ($row + $margin) * $pitch + $margin; $column < $this->window->columns; $column++, $at++) {
                $out[] = (int) ($shape[$at] * 65535.0 + 0.5) << 48 | ($pixels[$at] & 0xFFFFFFFFFFFF);
            }
        }

        return $out;
    }
}
