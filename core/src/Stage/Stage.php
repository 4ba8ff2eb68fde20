<?php

declare(strict_types=1);

namespace Aumbrel\Core\Stage;

use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Geometry\Vector;
use Aumbrel\Core\Input\Fields;

/** The floor and the walls of a scene, marked once on the picture, and the camera that they tell of. */
final readonly class Stage
{
    /** What the floor is called where surfaces are named. */
    public const FLOOR = 'floor';

    private const MOST_WALLS = 24;

    public Camera $camera;

    /**
     * @param  list<Wall>  $walls
     * @param  float|null  $focal  px, when it was set by hand
     * @param  array<string, mixed>  $unknown
     */
    private function __construct(public ?Floor $floor, public array $walls, public ?float $focal, private int $width, private int $height, private array $unknown = [])
    {
        $this->camera = new Camera($focal ?? $floor->focal ?? Camera::USUAL_FOCAL * $width, $width / 2, $floor?->horizon, $floor?->contactAt($width / 2) ?? (float) $height, $height / 2);
    }

    /** @throws SceneError naming the field */
    public static function read(mixed $raw, string $field, int $width, int $height): self
    {
        $fields = new Fields($raw ?? [], $field);
        $floor = $fields->take('floor');
        $floor = $floor === null ? null : Floor::read($floor, "{$field}.floor", $width, $height);
        $walls = $ids = [];
        foreach ($fields->list('walls', self::MOST_WALLS) as $at => $wall) {
            $walls[] = $wall = Wall::read($wall, "{$field}.walls[{$at}]", $floor);
            $ids[$wall->id] = isset($ids[$wall->id]) ? throw new SceneError("{$field}.walls", "two walls have the id \"{$wall->id}\"") : true;
        }
        $focal = $fields->take('focal');
        if ($focal !== null && ! ((is_int($focal) || is_float($focal)) && $focal >= 0.1 * $width && $focal <= 100 * $width)) {
            throw SceneError::expected("{$field}.focal", 'a focal length from a tenth of the scene\'s width to a hundred widths, in px', $focal);
        }

        return new self($floor, $walls, $focal === null ? null : (float) $focal, $width, $height, $fields->rest());
    }

    /** @return array{int, int} width and height of the picture */
    public function size(): array
    {
        return [$this->width, $this->height];
    }

    /** Whether anything is marked. */
    public function isBare(): bool
    {
        return $this->floor === null && $this->walls === [] && $this->focal === null && $this->unknown === [];
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            ...($this->floor === null ? [] : ['floor' => $this->floor->toArray()]),
            ...($this->walls === [] ? [] : ['walls' => array_map(static fn (Wall $wall): array => $wall->toArray(), $this->walls)]),
            ...($this->focal === null ? [] : ['focal' => $this->focal]),
        ] + $this->unknown;
    }

    /** A surface by its name: the floor, a wall by its id, or without a name a wall that faces the camera; null when there is none of that name. */
    public function face(?string $name): ?Face
    {
        if ($name === null) {
            return Face::towardCamera();
        }
        if ($name === self::FLOOR) {
            return $this->floor === null ? null : new Face(new Vector(0.0, 1.0, 0.0), -$this->camera->height());
        }

        return $this->wall($name)?->face($this->camera);
    }

    /**
     * Where in the picture a surface ends: a wall at its corners, the floor at the walls that stand on it.
     *
     * @return list<array{corners: list<array{float, float}>, inside: bool}> on which side of each the surface lies
     */
    public function edges(?string $name): array
    {
        $edges = [];
        foreach ($name === null ? [] : $this->walls as $wall) {
            if ($name === self::FLOOR || $name === $wall->id) {
                $edges[] = ['corners' => $wall->corners($this->camera), 'inside' => $name === $wall->id];
            }
        }

        return $edges;
    }

    /** The surface that is seen at a place of the picture: the last marked wall there, else the floor; null when there is none. */
    public function surfaceAt(Point $place): ?string
    {
        foreach (array_reverse($this->walls) as $wall) {
            if (self::isInside($wall->corners($this->camera), $place)) {
                return $wall->id;
            }
        }

        return $this->floor !== null && $place->y > $this->floor->horizon + 1 ? self::FLOOR : null;
    }

    /** @param  list<array{float, float}>  $corners  clockwise */
    private static function isInside(array $corners, Point $place): bool
    {
        foreach ($corners as $k => [$x, $y]) {
            [$nextX, $nextY] = $corners[($k + 1) % count($corners)];
            if (($nextX - $x) * ($place->y - $y) - ($nextY - $y) * ($place->x - $x) < 0) {
                return false;
            }
        }

        return $corners !== [];
    }

    public function wall(string $id): ?Wall
    {
        foreach ($this->walls as $wall) {
            if ($wall->id === $id) {
                return $wall;
            }
        }

        return null;
    }

    /**
     * What follows from the marks, for whoever draws them: rows and corners in scene pixels.
     *
     * @return array<string, mixed>
     */
    public function lines(): array
    {
        $walls = [];
        foreach ($this->walls as $wall) {
            $walls[$wall->id] = $wall->corners($this->camera);
        }

        return [
            'horizon' => $this->camera->horizon, 'focal' => round($this->camera->focal, 1), 'contact' => $this->floor === null ? null : [[0.0, $this->floor->contactAt(0.0)], [(float) $this->width, $this->floor->contactAt((float) $this->width)]],
            'walls' => (object) $walls,
        ];
    }
}
