<?php

declare(strict_types=1);

namespace Aumbrel\Core\Plate;

use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Geometry\Line;
use Aumbrel\Core\Geometry\Placement;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Scene\Strip;

/** Lays one plate's horizon on another's: turned until both run alike, then moved up or down. */
final class Horizon
{
    /**
     * @param  array<string, array{int, int}>  $sizes  of the pictures by their names
     * @return array<string, mixed> the plate's values afterwards
     *
     * @throws SceneError when a horizon is not drawn yet
     */
    public static function aligned(Strip $strip, Strip $ground, array $sizes): array
    {
        if (! $strip->kind instanceof Plate || ! $ground->kind instanceof Plate || $strip->id === $ground->id) {
            throw new SceneError('horizon', 'only a plate above the lowest one can be aligned to its horizon');
        }
        $own = $strip->kind->horizon ?? throw new SceneError('horizon', "draw the horizon of {$strip->name} first");
        $wanted = $ground->kind->horizon ?? throw new SceneError('horizon', "draw the horizon of {$ground->name} first");
        $placement = $strip->kind->placement(...$sizes[$strip->kind->picture()] ?? [1, 1]);
        [$a, $b] = self::inScene($wanted, $ground->kind->placement(...$sizes[$ground->kind->picture()] ?? [1, 1]));
        [$p, $q] = self::inScene($own, $placement);
        $turn = self::angle($a, $b) - self::angle($p, $q);
        // a line has no direction: never turn a plate upside down
        $turn -= 180 * round($turn / 180);
        $turned = new Placement($placement->place, $placement->pivot, $placement->scale, self::wrapped($placement->turn + $turn), $placement->mirrored, $placement->fit);
        [$p, $q] = self::inScene($own, $turned);
        $middle = new Point(($p->x + $q->x) / 2, ($p->y + $q->y) / 2);
        $slope = abs($b->x - $a->x) > 1e-6 ? ($b->y - $a->y) / ($b->x - $a->x) : 0.0;
        $down = $a->y + $slope * ($middle->x - $a->x) - $middle->y;

        return ['turn' => round($turned->turn, 2), 'place' => [$turned->place->x, round($turned->place->y + $down, 2)]];
    }

    /** @return array{Point, Point} */
    private static function inScene(Line $line, Placement $placement): array
    {
        return [$placement->toScene($line->from), $placement->toScene($line->to)];
    }

    /** Counter-clockwise as seen. */
    private static function angle(Point $from, Point $to): float
    {
        return rad2deg(atan2(-($to->y - $from->y), $to->x - $from->x));
    }

    private static function wrapped(float $degrees): float
    {
        return $degrees - 360 * round($degrees / 360);
    }
}
