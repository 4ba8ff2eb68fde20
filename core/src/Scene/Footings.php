<?php

declare(strict_types=1);

namespace Aumbrel\Core\Scene;

use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Kind\Pictured;
use Aumbrel\Core\Kind\Stance;
use Aumbrel\Core\Stage\Footing;

/** Where the plates of a scene stand, as said or as guessed. */
final class Footings
{
    /** A wall's foot must be so much lower than a plate, in heights of the plate, for it to hang there. */
    private const HANGS_FROM = 0.05;

    /** @var array<string, Footing> by strip */
    private array $known = [];

    public function __construct(private readonly Scene $scene, private readonly Measures $measures)
    {
    }

    /** Of a plate; without one the middle of the picture. */
    public function of(?string $plate): Footing
    {
        $strip = $plate === null ? null : $this->scene->find($plate);
        if ($strip === null || ! $strip->kind instanceof Pictured) {
            return new Footing(new Point($this->scene->width / 2, $this->scene->height / 2));
        }

        return $this->known[$strip->id] ??= $this->found($strip, $strip->kind);
    }

    /** How a plate is in the scene: as it was said, or as it looks. */
    public function stance(Strip $strip): Stance
    {
        $plate = $strip->kind;
        if (! $plate instanceof Pictured) {
            return Stance::Free;
        }

        return $plate->stance() ?? $this->guessed($strip, $plate);
    }

    /**
     * The feet of a plate in the scene: those that were marked, or the middle of its lower edge.
     *
     * @return list<Point> none when nothing of it is there
     */
    public function feet(Strip $strip): array
    {
        $plate = $strip->kind;
        if (! $plate instanceof Pictured) {
            return [];
        }
        $box = $this->measures->box($strip);
        $marked = $plate->feet();
        if ($marked === []) {
            $marked = $box === null ? [] : [new Point(($box->left + $box->right) / 2, $box->bottom)];
        }
        $placement = $plate->placement(...$this->measures->size($plate->picture()) ?? [1, 1]);

        return array_map($placement->toScene(...), $marked);
    }

    /** The one place between its feet; null when nothing of it is there. */
    public function foot(Strip $strip): ?Point
    {
        $feet = $this->feet($strip);

        return $feet === [] ? null : new Point(array_sum(array_column($feet, 'x')) / count($feet), array_sum(array_column($feet, 'y')) / count($feet));
    }

    /** Whether a plate is said to stand, and its feet are no place on the floor: at or above the horizon. */
    public function standsNowhere(Strip $strip): bool
    {
        $row = $this->standingRow($strip);
        $horizon = $this->scene->stage->camera->horizon;

        return $row !== null && $horizon !== null && $row <= $horizon;
    }

    private function found(Strip $strip, Pictured $plate): Footing
    {
        $middle = $this->middle($strip, $plate);
        $camera = $this->scene->stage->camera;
        $row = $this->standingRow($strip);

        return new Footing($middle, $row !== null && $camera->horizon !== null && $row > $camera->horizon ? $camera->depthOfRow($row) : 0.0);
    }

    private function middle(Strip $strip, Pictured $plate): Point
    {
        [$width, $height] = $this->measures->size($plate->picture()) ?? [0, 0];
        $box = $this->measures->box($strip);
        $middle = $box === null ? new Point($width / 2, $height / 2) : $box->middle();

        return $plate->placement($width, $height)->toScene($middle);
    }

    private function guessed(Strip $strip, Pictured $plate): Stance
    {
        $row = $this->foot($strip)?->y;
        $stage = $this->scene->stage;
        if ($row === null || $this->isLowest($strip) || ! $this->measures->isCutOut($strip)) {
            return Stance::Free;
        }
        $middle = $this->middle($strip, $plate);
        foreach ($stage->walls as $wall) {
            $corners = $wall->corners($stage->camera);
            $foot = max($corners[2][1], $corners[3][1]);
            $isOver = $middle->x > min($corners[0][0], $corners[3][0]) && $middle->x < max($corners[1][0], $corners[2][0]) && $middle->y > min($corners[0][1], $corners[1][1]);
            if ($isOver && $row < $foot - self::HANGS_FROM * 2 * abs($row - $middle->y)) {
                return Stance::Hangs;
            }
        }

        return $stage->camera->horizon !== null && $row > $stage->camera->horizon + 1 ? Stance::Stands : Stance::Free;
    }

    /** The lowest plate is the place, not something in it. */
    private function isLowest(Strip $strip): bool
    {
        foreach ($this->scene->everyStrip() as $other) {
            if ($other->kind instanceof Pictured) {
                return $other->id === $strip->id;
            }
        }

        return false;
    }

    /** The row in which a plate that stands has its feet; null for one that does not stand. */
    private function standingRow(Strip $strip): ?float
    {
        return $this->stance($strip) === Stance::Stands ? $this->foot($strip)?->y : null;
    }
}
