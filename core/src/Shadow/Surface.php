<?php

declare(strict_types=1);

namespace Aumbrel\Core\Shadow;

use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Geometry\Vector;
use Aumbrel\Core\Stage\Face;
use Aumbrel\Core\Stage\Stage;
use Aumbrel\Core\Stage\View;
use Aumbrel\Core\Stage\Wall;

/** Something flat that a shadow falls on, and where in the picture it is seen. */
final readonly class Surface
{
    /** A ray that comes in flatter than this throws nothing on the ground. */
    private const FLATTEST = 0.05;

    /** The horizon itself is infinitely far. */
    private const UNDER_HORIZON = 0.5;

    /**
     * @param  list<array{float, float, float}>  $sides  it is seen where a x + b y + c is at least 0 for each
     * @param  float  $flattest  the least sine of a ray's angle to it
     */
    private function __construct(public Face $face, public array $sides, public float $flattest)
    {
    }

    /** An upright surface inside an outline of its own. */
    public static function upright(Vector $normal, Vector $place): self
    {
        return new self(new Face($normal, $normal->dot($place)), [], 1e-3);
    }

    /**
     * The ground, and the walls that stand on it: each is seen where it is the nearest.
     *
     * @return list<self>
     */
    public static function ofStage(View $view, Stage $stage, bool $climbs): array
    {
        if (! $view->isPerspective()) {
            return [new self($view->ground(), [], self::FLATTEST)];
        }
        $walls = $climbs ? array_values(array_filter($stage->walls, static fn (Wall $wall): bool => $wall->standsOnFloor($stage->camera))) : [];
        $faces = [$view->ground(), ...array_map(static fn (Wall $wall): Face => $wall->face($stage->camera), $walls)];
        $near = array_map($view->nearness(...), $faces);
        $surfaces = [];
        foreach ($faces as $k => $face) {
            $sides = [[0.0, 1.0, -(($stage->camera->horizon ?? 0.0) + self::UNDER_HORIZON)]];
            if ($k > 0) {
                $sides = [self::under($walls[$k - 1]->corners($stage->camera))];
            }
            foreach ($near as $other => [$a, $b, $c]) {
                if ($other !== $k) {
                    $sides[] = [$near[$k][0] - $a, $near[$k][1] - $b, $near[$k][2] - $c];
                }
            }
            $surfaces[] = new self($face, $sides, $k === 0 ? self::FLATTEST : 1e-3);
        }

        return $surfaces;
    }

    public function isSeenAt(Point $at): bool
    {
        foreach ($this->sides as [$a, $b, $c]) {
            if ($a * $at->x + $b * $at->y + $c < 0) {
                return false;
            }
        }

        return true;
    }

    public function key(): string
    {
        return json_encode([$this->face->normal, $this->face->offset, $this->sides], JSON_THROW_ON_ERROR);
    }

    /**
     * Below the line over a wall's upper corners.
     *
     * @param  list<array{float, float}>  $corners
     * @return array{float, float, float}
     */
    private static function under(array $corners): array
    {
        [[$x, $y], [$right, $other]] = [$corners[0], $corners[1]];
        $slope = abs($right - $x) < 1e-9 ? 0.0 : ($other - $y) / ($right - $x);

        return [-$slope, 1.0, $slope * $x - $y];
    }
}
