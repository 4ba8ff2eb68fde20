<?php

declare(strict_types=1);

namespace Aumbrel\Core\Stage;

use Aumbrel\Core\Bearing\ShadowLine;
use Aumbrel\Core\Geometry\Homography;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Geometry\Vector;

/**
 * How places in space are seen, for what is thrown from one surface to another: in perspective by the scene's camera, or, while
 * no horizon is marked, from a slant without perspective, so that ground that runs away runs up the picture by a share of that.
 *
 * In perspective space is that of {@see Camera}. From a slant x is counted from the principal column, y from the ground of the row
 * on which something stands, and z toward the viewer from that row: (x, y, z) is seen at (cx + x, row - y + tilt z).
 */
final readonly class View
{
    private function __construct(private float $column, private float $row, private ?float $focal, private float $tilt, private float $ground)
    {
    }

    /** @param  float  $row  the row on which something stands; without a horizon space is counted from there */
    public static function of(Camera $camera, float $row): self
    {
        return $camera->horizon === null ? new self($camera->column, $row, null, ShadowLine::GROUND_TILT, 0.0)
            : new self($camera->column, $camera->horizon, $camera->focal, 0.0, -$camera->height());
    }

    public function isPerspective(): bool
    {
        return $this->focal !== null;
    }

    public function ground(): Face
    {
        return new Face(new Vector(0.0, 1.0, 0.0), $this->ground);
    }

    /** A place of the camera's space in this one. */
    public function fromCamera(Vector $place, Camera $camera): Vector
    {
        return $this->isPerspective() ? $place : new Vector($place->x, $this->row - $camera->eyeRow() + $place->y, $place->z);
    }

    public function toCamera(Vector $place, Camera $camera): Vector
    {
        return $this->isPerspective() ? $place : new Vector($place->x, $place->y + $camera->eyeRow() - $this->row, $place->z);
    }

    /** Pixels of space to one of the picture at a place. */
    public function scale(Vector $place): float
    {
        return $this->focal === null ? 1.0 : 1 - $place->z / $this->focal;
    }

    /** Where a place is seen; null when it is behind the camera. */
    public function seen(Vector $place): ?Point
    {
        if ($this->focal === null) {
            return new Point($this->column + $place->x, $this->row - $place->y + $this->tilt * $place->z);
        }
        $w = $this->scale($place);

        return $w <= 1e-6 ? null : new Point($this->column + $place->x / $w, $this->row - $place->y / $w);
    }

    /**
     * How what is seen changes with a way in space, for small ways.
     *
     * @return array{float, float} px, y down
     */
    public function seenWay(Vector $at, Vector $way): array
    {
        if ($this->focal === null) {
            return [$way->x, $this->tilt * $way->z - $way->y];
        }
        $w = $this->scale($at);
        $nearer = $way->z / $this->focal / $w;

        return [($way->x + $at->x * $nearer) / $w, -($way->y + $at->y * $nearer) / $w];
    }

    /** The place of a surface that is seen at a place of the picture; null where it is not seen. */
    public function meets(Point $seen, Face $face): ?Vector
    {
        [$from, $way] = $this->sight($seen->x, $seen->y, 1.0);
        $along = $face->normal->dot($way);
        if (abs($along) < 1e-12) {
            return null;
        }
        $share = -$face->over($from) / $along;

        return $this->isPerspective() && $share <= 0 ? null : $from->plus($way->times($share));
    }

    /**
     * One over the distance at which a surface is met, as a linear function a x + b y + c of the place in the picture: of two
     * surfaces the one with the larger is nearer. In perspective only.
     *
     * @return array{float, float, float}
     */
    public function nearness(Face $face): array
    {
        $eye = new Vector(0.0, 0.0, $this->focal ?? 1.0);
        $over = $face->over($eye);
        $of = fn (float $x, float $y, float $unit): float => -$face->normal->dot($this->sight($x, $y, $unit)[1]) / $over;

        return [$of(1.0, 0.0, 0.0), $of(0.0, 1.0, 0.0), $of(0.0, 0.0, 1.0)];
    }

    /**
     * From the picture to the picture: where what is seen on a surface takes its light through another surface. It is a
     * perspective map; its last row is above 0 where the other surface lies between the light and the one.
     */
    public function through(Face $seen, Face $sheet, Rays $rays): Homography
    {
        $light = $rays->homogeneous();
        $toLight = self::over($sheet, $light);
        $columns = [];
        foreach ([[1.0, 0.0, 0.0], [0.0, 1.0, 0.0], [0.0, 0.0, 1.0]] as [$x, $y, $unit]) {
            $ground = $this->onFace($seen, $x, $y, $unit);
            $over = self::over($sheet, $ground);
            $columns[] = $this->projected($toLight * $ground[0] - $over * $light[0], $toLight * $ground[1] - $over * $light[1], $toLight * $ground[2] - $over * $light[2], $toLight * $ground[3] - $over * $light[3]);
        }
        $sign = $toLight < 0 ? -1.0 : 1.0;
        // a place before the camera has a weight above 0
        $sign *= $this->isPerspective() && $seen->over(new Vector(0.0, 0.0, $this->focal ?? 0.0)) < 0 ? -1.0 : 1.0;
        $h = [];
        foreach ([0, 1, 2] as $row) {
            foreach ($columns as $column) {
                $h[] = $sign * $column[$row];
            }
        }

        /** @var array{float, float, float, float, float, float, float, float, float} $h */
        return Homography::of($h);
    }

    /**
     * A line of sight: a place on it, and its way away from the viewer. Linear in (x, y, 1).
     *
     * @return array{Vector, Vector}
     */
    private function sight(float $x, float $y, float $unit): array
    {
        return $this->focal === null
            ? [new Vector($x - $this->column * $unit, $this->row * $unit - $y, 0.0), new Vector(0.0, -$this->tilt * $unit, -$unit)]
            : [new Vector(0.0, 0.0, $this->focal * $unit), new Vector($x - $this->column * $unit, $this->row * $unit - $y, -$this->focal * $unit)];
    }

    /**
     * What of a surface is seen, in homogeneous coordinates that are linear in (x, y, 1).
     *
     * @return array{float, float, float, float}
     */
    private function onFace(Face $face, float $x, float $y, float $unit): array
    {
        if ($this->focal === null) {
            [$from] = $this->sight($x, $y, $unit);
            [, $one] = $this->sight(0.0, 0.0, 1.0);
            // the way is the same everywhere, so the place moves along it by what it is over the surface; the weight is above 0
            $along = abs($face->normal->dot($one));
            $over = ($face->normal->dot($from) - $face->offset * $unit) * ($face->normal->dot($one) < 0 ? -1.0 : 1.0);

            return [$along * $from->x - $over * $one->x, $along * $from->y - $over * $one->y, $along * $from->z - $over * $one->z, $along * $unit];
        }
        [, $way] = $this->sight($x, $y, $unit);
        $along = $face->normal->dot($way);
        $over = $face->over(new Vector(0.0, 0.0, $this->focal));

        // counted so that the weight is above 0 where the surface lies before the camera
        return [$over * $way->x, $over * $way->y, $over * $way->z - $along * $this->focal, -$along];
    }

    /** @param  array{float, float, float, float}  $place  homogeneous */
    private static function over(Face $face, array $place): float
    {
        return $face->normal->x * $place[0] + $face->normal->y * $place[1] + $face->normal->z * $place[2] - $face->offset * $place[3];
    }

    /**
     * @param  float  $w  the weight of homogeneous coordinates
     * @return array{float, float, float}
     */
    private function projected(float $x, float $y, float $z, float $w): array
    {
        if ($this->focal === null) {
            return [$this->column * $w + $x, $this->row * $w - $y + $this->tilt * $z, $w];
        }
        $depth = $w - $z / $this->focal;

        return [$this->column * $depth + $x, $this->row * $depth - $y, $depth];
    }
}
