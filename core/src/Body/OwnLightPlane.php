<?php

declare(strict_types=1);

namespace Aumbrel\Core\Body;

use Aumbrel\Core\Bearing\Bearing;
use Aumbrel\Core\CutOut\WholeShape;
use Aumbrel\Core\Geometry\Placement;
use Aumbrel\Core\Kernel\Plane;
use Aumbrel\Core\Kernel\Planes;
use Aumbrel\Core\Picture\Halving;
use Aumbrel\Core\Picture\Pixels;
use Aumbrel\Core\Raster\Halved;
use Aumbrel\Core\Seen\PlatePlane;

/**
 * A plate's own light, read off its picture or one of its halvings: the numbers of {@see OwnLight}, and behind them, where it
 * bends the body, how far each pixel seems to face it, 0..1 (below 0 where that is not known). Worked out once for the plate, wherever it stands, and kept for all
 * processes.
 */
final readonly class OwnLightPlane implements Plane
{
    /** Pixels that are enough: what bends a body is smooth. */
    private const ENOUGH = 130_000;

    /** Raised when it is worked out in another way. */
    private const WAY = 1;

    public Halving $size;

    public function __construct(private PlateBody $body, private Bearing $light)
    {
        $this->size = Halving::within($body->picture, self::ENOUGH);
    }

    /** By hand: it also names a file that is kept, by the way in which it was worked out. */
    public function key(): string
    {
        $form = $this->body->form;

        return 'own light '.self::WAY." {$this->light->azimuth} {$this->light->elevation} ".json_encode([$form->ambient, $form->bends])." of {$this->body->plain()->key()}";
    }

    /** @return list<float> */
    public function fill(Planes $planes): array
    {
        $bytes = $planes->found($this->key(), 'whole', fn (): string => $this->worked($planes));
        // what was kept is damaged
        if (! in_array(strlen($bytes), [4 * OwnLight::NUMBERS, 4 * (OwnLight::NUMBERS + $this->size->columns * $this->size->rows)], true)) {
            $bytes = $this->worked($planes);
        }
        /** @var array<int, float> $values */
        $values = unpack('g*', $bytes);

        return array_values($values);
    }

    private function worked(Planes $planes): string
    {
        $fit = new OwnLightFit(LitSurface::of($this->pixels($planes), $this->size->columns, $this->size->rows), $this->normals($planes), $this->light->vector(), ! $this->body->isGiven(), $this->body->form->ambient, $this->body->form->bends);

        return pack('g*', ...$fit->light()->toNumbers(), ...$fit->seen());
    }

    private function pixels(Planes $planes): Pixels
    {
        $picture = $this->body->picture;
        $pixels = new Pixels($this->size->pixels($picture), $picture->bits());
        $outline = $this->body->outline;

        if ($outline === null) {
            return $pixels;
        }
        $whole = new WholeShape($picture, $outline->masks);
        [$shape, $columns, $rows] = [$planes->numbers($whole), $whole->size->columns, $whole->size->rows];
        for ($level = $whole->size->level; $level < $this->size->level; $level++) {
            [$shape, $columns, $rows] = Halved::ofAny($shape, $columns, $rows);
        }

        return new Pixels($pixels->with($shape), 16);
    }

    /** @return array{list<float>, list<float>, list<float>} in the plate's own picture */
    private function normals(Planes $planes): array
    {
        [$body, $window, $placement] = [$this->body->plain(), $this->size->window(), Placement::asItIs()];
        $normals = $body->normals;
        $seen = $normals === null ? null : PlatePlane::beside($normals, $body->picture, $placement, $window);

        $depths = $body->depth === null ? null : PlatePlane::beside($body->depth->picture, $body->picture, $placement, $window->padded(BodyPlane::margin($body, $placement, $window)));

        return Normals::unpacked((new BodyPlane($body, $placement, new PlatePlane($body->picture, $placement, $window), $window, $seen, depths: $depths))->fill($planes));
    }
}
