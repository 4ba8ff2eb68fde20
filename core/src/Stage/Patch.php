<?php

declare(strict_types=1);

namespace Aumbrel\Core\Stage;

use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Geometry\Corners;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Geometry\Vector;

/** A rectangle that lies on a surface, turned and leaning like light that comes in aslant. */
final readonly class Patch
{
    /**
     * @param  Point  $middle  as it is seen
     * @param  float  $width  px of the picture at its middle
     * @param  float  $height  px
     * @param  float  $turn  degrees on the surface, counter-clockwise as seen
     * @param  float  $lean  degrees by which its upright sides lean to the right
     */
    public function __construct(public Point $middle, public float $width, public float $height, public float $turn, public float $lean)
    {
    }

    /** Its corners as the camera sees them; null when a part of it is not seen, or it is seen from behind. */
    public function seen(Face $face, Camera $camera): ?Corners
    {
        $middle = $face->seenAt($this->middle, $camera);
        if ($middle === null) {
            return null;
        }
        [$right, $up] = self::axes($face);
        $scale = $camera->scale($middle->z);
        [$cos, $sin] = [cos(deg2rad($this->turn)), sin(deg2rad($this->turn))];
        $corners = [];
        foreach ([[-1, 1], [1, 1], [1, -1], [-1, -1]] as [$x, $y]) {
            $tall = $y * $this->height / 2;
            $wide = $x * $this->width / 2 + $tall * tan(deg2rad($this->lean));
            $place = $middle->plus($right->times($scale * ($wide * $cos - $tall * $sin)))->plus($up->times($scale * ($wide * $sin + $tall * $cos)));
            $seen = $camera->seen($place);
            if ($seen === null) {
                return null;
            }
            $corners[] = $seen->toArray();
        }
        try {
            return Corners::read($corners, 'corners');
        } catch (SceneError) {
            return null;
        }
    }

    /**
     * Right and up on a surface as the camera sees it; on the floor up is away from the camera.
     *
     * @return array{Vector, Vector}
     */
    private static function axes(Face $face): array
    {
        $normal = $face->normal;
        $high = abs($normal->y) > 0.999 ? new Vector(0.0, 0.0, -1.0) : new Vector(0.0, 1.0, 0.0);
        $up = $high->minus($normal->times($normal->dot($high)));
        $up = $up->unit();

        return [$up->cross($normal), $up];
    }
}
