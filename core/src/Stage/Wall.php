<?php

declare(strict_types=1);

namespace Aumbrel\Core\Stage;

use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Geometry\Corners;
use Aumbrel\Core\Geometry\Line;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Geometry\Vector;
use Aumbrel\Core\Input\Fields;

/** A wall of a scene: by its four corners, or by the line of its foot on the floor and its height. */
final readonly class Wall
{
    private const HIGHEST = 1e5;

    /**
     * @param  Corners|null  $marked  its four corners, when it was marked by these
     * @param  Line|null  $foot  of one that stands on the floor
     * @param  float  $height  of that one, pixels of the contact row
     */
    private function __construct(public string $id, public string $name, private ?Corners $marked, private ?Line $foot, private float $height)
    {
    }

    /** @throws SceneError naming the field */
    public static function read(mixed $raw, string $field, ?Floor $floor): self
    {
        $fields = new Fields($raw, $field);
        $id = $fields->identifier('id');
        if ($id === Stage::FLOOR) {
            throw new SceneError("{$field}.id", '"'.Stage::FLOOR.'" is the floor: a wall has another id');
        }
        $name = $fields->text('name', 'Wall', 80);
        if ($fields->has('corners')) {
            return new self($id, $name, Corners::read($fields->take('corners'), "{$field}.corners"), null, 0.0);
        }
        if ($floor === null) {
            throw new SceneError("{$field}.foot", 'a wall stands with its foot on the floor, which is not marked: mark the floor first, or give the wall four corners');
        }
        $foot = Line::read($fields->take('foot'), "{$field}.foot");
        foreach ([$foot->from, $foot->to] as $end) {
            if ($end->y < $floor->horizon + 1) {
                throw new SceneError("{$field}.foot", 'the foot of a wall stands on the floor: it lies below the horizon');
            }
        }

        return new self($id, $name, null, $foot, $fields->number('height', NAN, 1, self::HIGHEST, 'px of the contact row'));
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['id' => $this->id, 'name' => $this->name, ...($this->foot === null ? ['corners' => $this->marked?->toArray()] : ['foot' => $this->foot->toArray(), 'height' => $this->height])];
    }

    /**
     * Its corners in the picture: upper left, upper right, lower right, lower left.
     *
     * @return list<array{float, float}>
     */
    public function corners(Camera $camera): array
    {
        if ($this->foot === null) {
            return $this->marked?->toArray() ?? [];
        }
        [$left, $right] = $this->foot->from->x <= $this->foot->to->x ? [$this->foot->from, $this->foot->to] : [$this->foot->to, $this->foot->from];
        $top = fn (Point $foot): array => [$foot->x, $foot->y - $this->height / $camera->scale($camera->depthOfRow($foot->y))];

        return [$top($left), $top($right), $right->toArray(), $left->toArray()];
    }

    /** Whether its foot is seen on the floor, below the horizon. */
    public function standsOnFloor(Camera $camera): bool
    {
        $corners = $this->corners($camera);

        return $camera->horizon !== null && count($corners) === 4 && min($corners[2][1], $corners[3][1]) >= $camera->horizon + 1;
    }

    /**
     * Where it stands in space. One whose foot lies below the horizon is upright over it; of any other one the four corners
     * are taken for those of a rectangle, whose middle stands over the contact row.
     */
    public function face(Camera $camera): Face
    {
        [$upperLeft, $upperRight, $right, $left] = array_map(static fn (array $corner): Point => new Point(...$corner), $this->corners($camera));
        if ($this->standsOnFloor($camera)) {
            [$a, $b] = [$camera->place($left, $camera->depthOfRow($left->y)), $camera->place($right, $camera->depthOfRow($right->y))];

            return self::through($a, (new Vector(0.0, 1.0, 0.0))->cross($b->minus($a)), $camera);
        }
        $ray = array_map($camera->ray(...), [$upperLeft, $upperRight, $right, $left]);
        $along = $ray[0]->cross($ray[1])->cross($ray[3]->cross($ray[2]));
        $up = $ray[0]->cross($ray[3])->cross($ray[1]->cross($ray[2]));
        $middle = $camera->place(new Point(($upperLeft->x + $right->x) / 2, ($upperLeft->y + $right->y) / 2), 0.0);

        return self::through($middle, $along->cross($up), $camera);
    }

    /** The face through a place that looks toward the camera. */
    private static function through(Vector $place, Vector $normal, Camera $camera): Face
    {
        $normal = $normal->unit();
        if ($normal->dot($camera->eye()->minus($place)) < 0) {
            $normal = $normal->times(-1);
        }

        return new Face($normal, $normal->dot($place));
    }
}
