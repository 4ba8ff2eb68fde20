<?php

declare(strict_types=1);

namespace Aumbrel\Core\CutOut;

use Aumbrel\Core\Geometry\Bounds;
use Aumbrel\Core\Geometry\Extent;
use Aumbrel\Core\Geometry\Frame;
use Aumbrel\Core\Geometry\Placement;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\Planes;
use Aumbrel\Core\Picture\PictureSource;
use Aumbrel\Core\Picture\Pixels;
use Aumbrel\Core\Seen\PlatePlane;
use Aumbrel\Core\Seen\SeenPlate;

/** A plate with its cut-out, as a window sees it: the picture's own pixels, their alpha cut, their edge cleaned. */
final readonly class CutPlane implements SeenPlate
{
    /** A corner counts as no nearer than so many times as near as the pivot. */
    private const NEAREST = 6.0;

    private PlatePlane $plate;

    private CutMasks $masks;

    /** @param  list<CutMask>  $masks  those that lie on the plate */
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

    /** By hand: the plate has picture, place and window; the masks are joined once. */
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

    public function bounds(): Bounds
    {
        return $this->plate->bounds()->grown($this->reach());
    }

    /** The most pixels to one of the picture's: in perspective at the corner that comes nearest, within reason. */
    private function widest(): float
    {
        $frame = Frame::plate($this->window, $this->placement);
        if ($frame->isSimilar()) {
            return $frame->pixelsPerUnit();
        }
        [$width, $height] = [$this->picture->width(), $this->picture->height()];
        $scales = array_map(static fn (array $corner): float => $frame->toPixels->scaleAt(...$corner), [[0, 0], [$width, 0], [$width, $height], [0, $height]]);

        return min(self::NEAREST * $frame->pixelsPerUnit(), max($scales));
    }

    /** How far it goes past its border when it is softened, scene pixels. */
    private function reach(): float
    {
        return $this->edge->soften <= 0 ? 0.0 : $this->edge->margin($this->widest()) / $this->window->scale;
    }

    public function span(float $y): ?array
    {
        return $this->grown(0.0)->span($y);
    }

    /** Softened, it reaches past its border. */
    public function grown(float $by): Extent
    {
        return $this->plate->grown($this->reach() + $by);
    }

    /** @return list<int> */
    public function fill(Planes $planes): array
    {
        $frame = Frame::plate($this->window, $this->placement);
        $scale = $frame->pixelsPerUnit();
        $margin = $this->edge->margin($this->widest());
        $frame = $frame->padded($margin);
        if ($this->edge->cleans()) {
            $clean = new PlatePlane(new CleanPicture($this->picture, $this->masks, $this->edge, $planes), $this->placement, $frame->window);
            if ($this->edge->soften <= 0) {
                return $clean->fill($planes);
            }
        }
        $seen = $margin === 0 ? $this->plate : new PlatePlane($this->picture, $this->placement, $frame->window);
        $pixels = new Pixels($planes->pixels($seen), $seen->bits());
        $own = $seen->opaque() ? array_fill(0, count($pixels->packed), 1.0) : $pixels->alpha();
        if (isset($clean)) {
            $shape = (new Pixels($clean->fill($planes), 16))->alpha();
        } else {
            $shape = $this->masks->shape($planes, $frame, $this->picture, $this->picture->opaque() ? null : $own, $this->edge->fillInside);
            $shape = $this->picture->opaque() && ! $seen->opaque() ? self::times($shape, $own) : $shape;
        }

        return $this->edge->soften > 0 ? $this->softened($shape, $pixels->channels(), $own, $frame, $margin, $scale) : $pixels->with($shape);
    }

    /**
     * @param  list<float>  $shape  with the margin
     * @param  array{list<float>, list<float>, list<float>}  $colours
     * @param  list<float>  $own
     * @return list<int> without it
     */
    private function softened(array $shape, array $colours, array $own, Frame $frame, int $margin, float $scale): array
    {
        [$columns, $rows] = [$frame->window->columns, $frame->window->rows];
        [$shape, $colours] = $this->edge->softened($shape, $colours, $own, SoftBlur::on($frame, $this->edge->soften, $this->edge->soften * $this->widest()));
        $clean = $this->edge->unstain > 0
            ? $this->edge->stainless($colours, Unstain::colours($colours, $shape, $this->picture->opaque() ? null : $own, $columns, $rows, $scale))
            : [];
        $out = [];
        for ($row = 0; $row < $this->window->rows; $row++) {
            for ($column = 0, $at = ($row + $margin) * $columns + $margin; $column < $this->window->columns; $column++, $at++) {
                $out[] = (int) ($shape[$at] * 65535.0 + 0.5) << 48 | Edge::packed($clean[$at] ?? [$colours[0][$at], $colours[1][$at], $colours[2][$at]]);
            }
        }

        return $out;
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
}
