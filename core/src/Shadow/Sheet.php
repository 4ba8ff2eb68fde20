<?php

declare(strict_types=1);

namespace Aumbrel\Core\Shadow;

use Aumbrel\Core\Geometry\Bounds;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Geometry\Vector;
use Aumbrel\Core\Kind\Stand;
use Aumbrel\Core\Stage\Camera;
use Aumbrel\Core\Stage\Face;
use Aumbrel\Core\Stage\Rays;
use Aumbrel\Core\Stage\View;

/**
 * A cut-out as what throws a shadow: a thin upright sheet on its contact row. One that stands on more than two feet is folded as a
 * tent is: from foot to foot, all folds meeting in its top over the middle of the feet.
 */
final readonly class Sheet
{
    /**
     * @param  Point  $middle  of its feet, on the row
     * @param  float  $slope  of the contact row in the picture
     * @param  Face  $plane  that it lies in, its normal toward the viewer; without a fold upright, along the ground
     * @param  Vector  $foot  the middle of the feet in space
     * @param  float  $high  how tall all of the cut-out is, px of space
     * @param  array{from: Point|null, to: Point|null, top: Point}|null  $fold  the feet and the top between which it lies
     */
    private function __construct(public View $view, public Bounds $box, public Point $middle, public float $slope, public Face $plane, public Vector $foot, public float $high, private ?array $fold = null)
    {
    }

    /** The whole as one flat sheet; null when its feet are no place on the ground: at the horizon or above it. */
    public static function of(Stand $stand, Camera $camera): ?self
    {
        $row = ContactRow::of($stand);
        ['middle' => $middle, 'slope' => $slope] = $row->isBroken() ? ['middle' => $stand->foot(), 'slope' => 0.0] : $row->stretches[0];
        foreach ([$stand->box->left, $middle->x, $stand->box->right] as $x) {
            if ($camera->horizon !== null && $middle->y + $slope * ($x - $middle->x) < $camera->horizon + 1) {
                return null;
            }
        }
        $view = View::of($camera, $middle->y);
        $onGround = self::onGround($view, $middle, $slope);
        if ($onGround === null) {
            return null;
        }
        [$foot, $along] = $onGround;
        $normal = (new Vector(-$along->z, 0.0, $along->x))->unit();
        $tall = $middle->y - min($stand->box->top, $middle->y - 1.0);

        return new self($view, $stand->box, $middle, $slope, new Face($normal, $normal->dot($foot)), $foot, $tall * $view->scale($foot));
    }

    /** @return non-empty-list<self> what the sheet is folded into; itself where it is flat */
    public function folds(Stand $stand): array
    {
        $row = ContactRow::of($stand);
        $top = $row->isBroken() ? $this->place($this->top()) : null;
        if ($top === null) {
            return [$this];
        }
        $folds = [];
        foreach ($row->stretches as ['middle' => $middle, 'slope' => $slope, 'from' => $from, 'to' => $to]) {
            $onGround = self::onGround($this->view, $middle, $slope);
            $edges = array_filter([$from?->x, $to?->x, $this->middle->x], static fn (?float $x): bool => $x !== null);
            $box = new Bounds(max($this->box->left, $from === null ? -INF : min($edges)), $this->box->top, min($this->box->right, $to === null ? INF : max($edges)), $this->box->bottom);
            if ($onGround === null || $box->left >= $box->right) {
                continue;
            }
            [$foot, $along] = $onGround;
            $normal = $along->cross($top->minus($foot))->unit();
            if ($normal->z < 0) {
                $normal = $normal->times(-1);
            }
            $folds[] = new self($this->view, $box, $middle, $slope, new Face($normal, $normal->dot($foot)), $foot, $this->high, ['from' => $from, 'to' => $to, 'top' => $this->top()]);
        }

        return $folds === [] ? [$this] : $folds;
    }

    /** @return array{Vector, Vector}|null a place of a contact row in space, and its way along the ground; null above the horizon */
    private static function onGround(View $view, Point $at, float $slope): ?array
    {
        $foot = $view->meets($at, $view->ground());
        $aside = $view->meets($at->plus(1.0, $slope), $view->ground());

        return $foot === null || $aside === null ? null : [$foot, $aside->minus($foot)];
    }

    /** How far inside its fold a place of the picture lies, px; no end where it is not folded. */
    public function inside(float $x, float $y): float
    {
        if ($this->fold === null) {
            return INF;
        }
        ['from' => $from, 'to' => $to, 'top' => $top] = $this->fold;
        $least = INF;
        foreach ([[$from, 1], [$to, -1]] as [$foot, $side]) {
            if ($foot !== null) {
                // the edge goes from the foot to the top
                [$across, $up] = [$top->x - $foot->x, max(1.0, $foot->y - $top->y)];
                $edge = $foot->x + $across * ($foot->y - $y) / $up;
                $least = min($least, $side * ($x - $edge) * $up / hypot($up, $across));
            }
        }

        return $least;
    }

    /** The contact row in a column of the picture. */
    public function rowAt(float $x): float
    {
        return $this->middle->y + $this->slope * ($x - $this->middle->x);
    }

    /** A light in the space in which it is seen, so that it never meets the sheet edge-on. */
    public function rays(Rays $rays, Camera $camera): Rays
    {
        return $this->inSpace($rays, $camera)->raised($this->plane->normal, $this->foot);
    }

    public function inSpace(Rays $rays, Camera $camera): Rays
    {
        return $rays->placed(fn (Vector $place): Vector => $this->view->fromCamera($place, $camera));
    }

    /** The place of the sheet that is seen at a place of the picture. */
    public function place(Point $seen): ?Vector
    {
        return $this->view->meets($seen, $this->plane);
    }

    /** How high a place stands over the ground, px of space. */
    public function height(Vector $place): float
    {
        return $this->view->ground()->over($place);
    }

    /** Pixels of space to one of the picture where it stands. */
    public function unit(): float
    {
        return $this->view->scale($this->foot);
    }

    /** The top of what is there, over the middle of its feet. */
    public function top(): Point
    {
        return new Point($this->middle->x, min($this->box->top, $this->middle->y - 1.0));
    }

    /** How tall it is in the picture, px. */
    public function tall(): float
    {
        return $this->middle->y - $this->top()->y;
    }

    /** The middle of what is there. */
    public function centre(): Vector
    {
        return $this->place($this->box->middle()) ?? $this->foot;
    }

    public function key(): string
    {
        $fold = $this->fold === null ? '' : json_encode($this->fold, JSON_THROW_ON_ERROR);

        return implode(' ', [$this->middle->x, $this->middle->y, $this->slope, ...$this->box->toArray(), $this->foot->x, $this->foot->y, $this->foot->z, $this->unit(), $this->high, $fold]);
    }
}
