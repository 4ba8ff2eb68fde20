<?php

declare(strict_types=1);

namespace Aumbrel\Core\Stage;

use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Geometry\Corners;
use Aumbrel\Core\Geometry\Line;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Input\Fields;

/**
 * The floor of a scene: by its horizon and the contact row on which things stand, or by the four corners of something
 * square that lies on it.
 */
final readonly class Floor
{
    /** Rows that a horizon can have, in heights of the scene from its top. */
    private const FURTHEST = 20.0;

    /** A camera that is turned further than this about its axis is not one that this space describes, in degrees. */
    private const MOST_ROLL = 12.0;

    /** Focal lengths that are believed, in widths of the scene. */
    private const FOCALS = [0.25, 20.0];

    /**
     * @param  float|null  $focal  px, where the square tells it
     * @param  Corners|null  $corners  of something square, when it was marked by these
     */
    private function __construct(public float $horizon, public Line $contact, public ?float $focal, public ?Corners $corners)
    {
    }

    /** @throws SceneError naming the field */
    public static function read(mixed $raw, string $field, int $width, int $height): self
    {
        $fields = new Fields($raw, $field);
        $corners = $fields->has('corners') ? Corners::read($fields->take('corners'), "{$field}.corners") : null;
        [$horizon, $focal] = $corners === null
            ? [$fields->number('horizon', NAN, -self::FURTHEST * $height, self::FURTHEST * $height, 'px'), null]
            : self::ofSquare($corners, "{$field}.corners", $width, $height);
        $floor = new self($horizon, self::contact($fields, $corners, $width), $focal, $corners);
        foreach ([0.0, $width / 2, (float) $width] as $x) {
            if ($floor->contactAt($x) < $horizon + 1) {
                throw new SceneError($corners === null ? "{$field}.contact" : "{$field}.corners", 'the floor lies below its horizon: the contact row must run at least 1 px under it, from edge to edge');
            }
        }

        return $floor;
    }

    /** The contact row in a column. */
    public function contactAt(float $x): float
    {
        [$a, $b] = [$this->contact->from, $this->contact->to];

        return abs($b->x - $a->x) < 1e-9 ? ($a->y + $b->y) / 2 : $a->y + ($b->y - $a->y) * ($x - $a->x) / ($b->x - $a->x);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [...($this->corners === null ? ['horizon' => $this->horizon] : ['corners' => $this->corners->toArray()]), 'contact' => $this->contact->toArray()];
    }

    private static function contact(Fields $fields, ?Corners $corners, int $width): Line
    {
        if ($corners !== null && ! $fields->has('contact')) {
            $lowest = max(array_map(static fn (Point $corner): float => $corner->y, $corners->points));

            return Line::read([[0.0, $lowest], [(float) max(2, $width), $lowest]], $fields->field('contact'));
        }

        return Line::read($fields->take('contact'), $fields->field('contact'));
    }

    /**
     * The horizon through the two vanishing points of a square, and the focal length that makes its sides stand at right
     * angles: f² = -(v1 - cx)(v2 - cx) for a level camera (Hartley and Zisserman, *Multiple View Geometry*, section 8.6).
     *
     * @return array{float, float|null}
     *
     * @throws SceneError when the camera would look straight down, or is turned about its axis
     */
    private static function ofSquare(Corners $corners, string $field, int $width, int $height): array
    {
        [$a, $b, $c, $d] = $corners->points;
        $ends = array_values(array_filter([self::vanishing($a, $b, $d, $c, $width, $height), self::vanishing($a, $d, $b, $c, $width, $height)]));
        if ($ends === []) {
            throw new SceneError($field, 'its opposite sides run alike, so it tells no horizon: mark the floor by its horizon and contact row');
        }
        $middle = $width / 2;
        if (count($ends) === 1) {
            return [$ends[0]->y, null];
        }
        [$one, $other] = $ends;
        $roll = rad2deg(atan2($other->y - $one->y, $other->x - $one->x));
        $roll -= 180 * round($roll / 180);
        if (abs($roll) > self::MOST_ROLL) {
            throw new SceneError($field, sprintf('its horizon would be turned by %.0f°; a square that lies on the floor before a level camera has a level one', abs($roll)));
        }
        $squared = -($one->x - $middle) * ($other->x - $middle);
        $focal = $squared > 0 ? sqrt($squared) : 0.0;

        return [$one->y + ($other->y - $one->y) * ($middle - $one->x) / ($other->x - $one->x), $focal >= self::FOCALS[0] * $width && $focal <= self::FOCALS[1] * $width ? $focal : null];
    }

    /** Where the lines p q and r s meet; null when that is so far away that they run alike. */
    private static function vanishing(Point $p, Point $q, Point $r, Point $s, int $width, int $height): ?Point
    {
        [$ax, $ay, $bx, $by] = [$q->x - $p->x, $q->y - $p->y, $s->x - $r->x, $s->y - $r->y];
        $turn = $ax * $by - $ay * $bx;
        if (abs($turn) < 1e-9 * hypot($ax, $ay) * hypot($bx, $by)) {
            return null;
        }
        $share = (($r->x - $p->x) * $by - ($r->y - $p->y) * $bx) / $turn;
        $meet = new Point($p->x + $share * $ax, $p->y + $share * $ay);

        return abs($meet->x) > 100 * $width || abs($meet->y) > 100 * $height ? null : $meet;
    }
}
