<?php

declare(strict_types=1);

namespace Aumbrel\Core\Stage;

use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Geometry\Vector;

/**
 * The level camera that the scene is seen by, and the space before it.
 *
 * Space is measured in pixels of the scene's contact row: z = 0 is the upright plane over that row, z grows toward the viewer,
 * and the camera stands at (0, 0, f). x and y are counted from the principal column and from the horizon, y up. A place that is
 * seen at (x, y) with depth z stands at ((x - cx) w, (yh - y) w, z), w = 1 - z/f.
 */
final readonly class Camera
{
    /** A focal length that nothing tells otherwise, in widths of the scene. */
    public const USUAL_FOCAL = 1.2;

    /** What is nearer to the camera than this share of the contact row's depth is not seen. */
    public const NEAREST = 0.05;

    /**
     * @param  float  $focal  f, px
     * @param  float  $column  cx, the principal column: the middle of the scene
     * @param  float|null  $horizon  the row of the horizon; null while none is marked
     * @param  float  $contact  the contact row in the middle of the scene
     * @param  float  $middle  the middle row of the scene, which stands in for the horizon while none is marked
     */
    public function __construct(public float $focal, public float $column, public ?float $horizon, public float $contact, private float $middle)
    {
    }

    /** The row on which the camera looks out: its horizon, or the middle. */
    public function eyeRow(): float
    {
        return $this->horizon ?? $this->middle;
    }

    /** How high the camera stands over the floor, px of the contact row. */
    public function height(): float
    {
        return $this->contact - $this->eyeRow();
    }

    /** Where the camera stands. */
    public function eye(): Vector
    {
        return new Vector(0.0, 0.0, $this->focal);
    }

    /** The way from the camera through a place of the picture; its length 1 reaches the plane z = 0. */
    public function ray(Point $seen): Vector
    {
        return new Vector($seen->x - $this->column, $this->eyeRow() - $seen->y, -$this->focal);
    }

    /** What is seen at a place of the picture with a depth z. */
    public function place(Point $seen, float $z): Vector
    {
        return $this->eye()->plus($this->ray($seen)->times(1 - $z / $this->focal));
    }

    /** Pixels of space to one of the picture at a depth. */
    public function scale(float $z): float
    {
        return 1 - $z / $this->focal;
    }

    /** Where a place is seen; null when it is behind the camera or too near. */
    public function seen(Vector $place): ?Point
    {
        $w = $this->scale($place->z);

        return $w <= self::NEAREST ? null : new Point($this->column + $place->x / $w, $this->eyeRow() - $place->y / $w);
    }

    /** The depth of what stands on the floor at a row below the horizon. */
    public function depthOfRow(float $row): float
    {
        return $this->horizon === null ? 0.0 : $this->focal * (1 - $this->height() / ($row - $this->horizon));
    }
}
