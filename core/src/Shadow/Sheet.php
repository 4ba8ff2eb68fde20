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

/** A cut-out as what throws a shadow: a thin upright sheet on its contact row. */
final readonly class Sheet
{
    /** Two feet make a row when they are so far apart, in widths of the outline. */
    private const APART = 0.15;

    /** A row is not steeper than this. */
    private const STEEPEST = 0.7;

    /**
     * @param  Point  $middle  of the feet, on the row
     * @param  float  $slope  of the contact row in the picture
     * @param  Face  $upright  the sheet's plane, its normal along the ground toward the viewer
     * @param  Vector  $foot  the middle of the feet in space
     */
    private function __construct(public View $view, public Bounds $box, public Point $middle, public float $slope, public Face $upright, public Vector $foot)
    {
    }

    /** Null when its feet are no place on the ground: at the horizon or above it. */
    public static function of(Stand $stand, Camera $camera): ?self
    {
        [$middle, $slope] = self::row($stand);
        foreach ([$stand->box->left, $middle->x, $stand->box->right] as $x) {
            if ($camera->horizon !== null && $middle->y + $slope * ($x - $middle->x) < $camera->horizon + 1) {
                return null;
            }
        }
        $view = View::of($camera, $middle->y);
        $foot = $view->meets($middle, $view->ground());
        $aside = $view->meets($middle->plus(1.0, $slope), $view->ground());
        if ($foot === null || $aside === null) {
            return null;
        }
        $along = $aside->minus($foot);
        $normal = (new Vector(-$along->z, 0.0, $along->x))->unit();

        return new self($view, $stand->box, $middle, $slope, new Face($normal, $normal->dot($foot)), $foot);
    }

    /** Whether two feet were marked that make no row: they are too near to each other, or it would be too steep. */
    public static function hasNoRow(Stand $stand): bool
    {
        return count($stand->feet) === 2 && self::slope($stand) === null;
    }

    /** The contact row in a column of the picture. */
    public function rowAt(float $x): float
    {
        return $this->middle->y + $this->slope * ($x - $this->middle->x);
    }

    /** A light in the space in which it is seen, so that it never meets the sheet edge-on. */
    public function rays(Rays $rays, Camera $camera): Rays
    {
        return $this->inSpace($rays, $camera)->raised($this->upright->normal, $this->foot);
    }

    public function inSpace(Rays $rays, Camera $camera): Rays
    {
        return $rays->placed(fn (Vector $place): Vector => $this->view->fromCamera($place, $camera));
    }

    /** The place of the sheet that is seen at a place of the picture. */
    public function place(Point $seen): ?Vector
    {
        return $this->view->meets($seen, $this->upright);
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
        return implode(' ', [$this->middle->x, $this->middle->y, $this->slope, ...$this->box->toArray(), $this->foot->x, $this->foot->y, $this->foot->z, $this->unit()]);
    }

    /** @return array{Point, float} a point on the contact row, and its slope */
    private static function row(Stand $stand): array
    {
        $slope = self::slope($stand);
        if ($slope !== null) {
            return [$stand->foot(), $slope];
        }
        $lowest = max(array_column($stand->feet, 'y'));

        return [new Point($stand->foot()->x, $lowest), 0.0];
    }

    private static function slope(Stand $stand): ?float
    {
        if (count($stand->feet) < 2) {
            return null;
        }
        [$one, $other] = $stand->feet;
        $across = $other->x - $one->x;
        if (abs($across) < self::APART * ($stand->box->right - $stand->box->left) || abs($across) < 1e-6) {
            return null;
        }
        $slope = ($other->y - $one->y) / $across;

        return abs($slope) <= self::STEEPEST ? $slope : null;
    }
}
