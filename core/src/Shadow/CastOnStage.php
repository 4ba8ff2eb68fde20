<?php

declare(strict_types=1);

namespace Aumbrel\Core\Shadow;

use Aumbrel\Core\Geometry\Bends;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Geometry\Vector;
use Aumbrel\Core\Kind\Stand;
use Aumbrel\Core\Stage\Rays;
use Aumbrel\Core\Stage\Stage;

/** A plate's sheet as a light throws it on the ground and the walls of a stage. */
final readonly class CastOnStage
{
    /** Where a shadow is taken hold of to bend it: in the middle of the plate, so high; the first, the second, the third time. */
    private const HELD_AT = [0.55, 0.9, 0.3];

    /** Heights of the plate, in shares, of which some throws something if any does. */
    private const LOOKED_AT = [0.02, 0.5, 1.0];

    /**
     * @param  Rays  $rays  in the space of the sheet, raised
     * @param  float  $contact  the least sigma, px
     * @param  float  $tip  0..1, the share of the density that is left at the tip
     * @param  float  $angle  of the light, radians
     * @param  list<Surface>  $surfaces
     */
    private function __construct(public Sheet $sheet, private Stage $stage, private Rays $rays, private float $contact, private float $tip, private float $angle, private array $surfaces)
    {
    }

    /** Null when the feet of the plate are no place on the ground. */
    public static function of(Stand $stand, Stage $stage, Rays $rays, float $contact, float $tip, bool $climbs): ?self
    {
        $sheet = Sheet::of($stand, $stage->camera);

        return $sheet === null ? null : new self($sheet, $stage, $sheet->rays($rays, $stage->camera), $contact, $tip, $sheet->inSpace($rays, $stage->camera)->angle($sheet->centre()), Surface::ofStage($sheet->view, $stage, $climbs));
    }

    /** @return list<self> each fold of the sheet by itself, under the same light */
    public function folds(Stand $stand): array
    {
        return array_map(fn (Sheet $fold): self => new self($fold, $this->stage, $this->rays, $this->contact, $this->tip, $this->angle, $this->surfaces), $this->sheet->folds($stand));
    }

    /** @return list<Thrown> on the ground, and on each wall that stands on it */
    public function everywhere(): array
    {
        return array_map($this->onto(...), $this->surfaces);
    }

    /** On a plate that stands there, as on a wall at its depth; null when that is nowhere. */
    public function onPlate(Stand $other): ?Thrown
    {
        $sheet = Sheet::of($other, $this->stage->camera);
        $place = $sheet === null ? null : $this->sheet->view->meets($sheet->middle, $this->sheet->view->ground());

        return $sheet === null || $place === null ? null : $this->onto(Surface::upright($sheet->plane->normal, $place));
    }

    /** Whether nothing is thrown on any surface, not even by the feet. */
    public function isNothing(): bool
    {
        $top = $this->sheet->top();
        foreach ($this->everywhere() as $thrown) {
            foreach (self::LOOKED_AT as $share) {
                if ($thrown->thrown(new Point($top->x, $this->sheet->middle->y + $share * ($top->y - $this->sheet->middle->y))) !== null) {
                    return false;
                }
            }
        }

        return true;
    }

    /** Where a place of the cut-out is thrown: on the surface that is seen there. */
    public function thrown(Point $seen): ?Point
    {
        $found = null;
        foreach ($this->surfaces as $surface) {
            $there = $this->onto($surface)->thrown($seen);
            if ($there !== null && $surface->isSeenAt($there)) {
                return $there;
            }
            $found ??= $there;
        }

        return $found;
    }

    /** Where the top over the middle of the feet is thrown. */
    public function tip(): ?Point
    {
        return $this->thrown($this->sheet->top());
    }

    /**
     * The nearest way to a light that throws the tip to a place of the picture, of length 1; null when that place is on no surface.
     */
    public function wayForTip(Point $to): ?Vector
    {
        $top = $this->sheet->place($this->sheet->top());
        $face = $this->surfaceAt($to)->face;
        // above the horizon the furthest ground counts
        $there = $this->sheet->view->meets($to, $face) ?? $this->sheet->view->meets(new Point($to->x, max($to->y, ($this->stage->camera->horizon ?? -INF) + 1)), $face);

        return $top === null || $there === null ? null : Rays::reachable($top->minus($there), $this->sheet->plane->normal);
    }

    /** The top of the plate in the camera's space. */
    public function topInSpace(): ?Vector
    {
        $top = $this->sheet->place($this->sheet->top());

        return $top === null ? null : $this->sheet->view->toCamera($top, $this->stage->camera);
    }

    /**
     * The places by which the shadow can be bent: those that were, and a next one.
     *
     * @return list<array{Point, Point, Point}> in shares of the cut-out, where it is thrown, and where it was dragged to
     */
    public function bendable(Bends $bends): array
    {
        $all = [];
        $held = $bends->all;
        if (count($held) < Bends::MOST) {
            $held[] = ['at' => new Point(0.5, self::HELD_AT[count($held)]), 'by' => new Point(0.0, 0.0)];
        }
        foreach ($held as $bend) {
            $there = $this->thrown($this->inBox($bend['at']));
            if ($there !== null) {
                $all[] = [$bend['at'], $there, $there->plus($bend['by']->x * $this->sheet->tall(), $bend['by']->y * $this->sheet->tall())];
            }
        }

        return $all;
    }

    public function bend(Bends $bends): ?Bend
    {
        $drags = array_map(static fn (array $held): array => [$held[1], $held[2]], array_slice($this->bendable($bends), 0, count($bends->all)));

        return $drags === [] ? null : new Bend($drags, $this->sheet->middle);
    }

    /** The bends with one of them dragged elsewhere. */
    public function bent(Bends $bends, int $which, Point $to): ?Bends
    {
        $held = $this->bendable($bends)[$which] ?? null;
        if ($held === null) {
            return null;
        }
        [$at, $from] = $held;
        $tall = $this->sheet->tall();

        return $bends->with($which, $at, new Point(round(($to->x - $from->x) / $tall, 4), round(($to->y - $from->y) / $tall, 4)));
    }

    private function onto(Surface $surface): Thrown
    {
        return new Thrown($this->sheet, $this->rays, $surface, $this->angle, $this->contact, $this->tip);
    }

    private function surfaceAt(Point $at): Surface
    {
        foreach ($this->surfaces as $surface) {
            if ($surface->isSeenAt($at)) {
                return $surface;
            }
        }

        return $this->surfaces[0];
    }

    private function inBox(Point $share): Point
    {
        $box = $this->sheet->box;
        $x = $box->left + $share->x * ($box->right - $box->left);
        $row = $this->sheet->rowAt($x);

        return new Point($x, $row - $share->y * max(1.0, $row - $box->top));
    }
}
