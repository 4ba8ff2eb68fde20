<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Kind\Pictured;
use Aumbrel\Core\Picture\MeasuredGrain;
use Aumbrel\Core\Scene\Scene;
use Aumbrel\Core\Scene\Standings;

/** Measures a plate and what lies around it, as both are seen in the finished picture at full size. */
final readonly class BesideStudy
{
    /** @param  float  $side  the longest side of what is looked at, scene pixels */
    public function __construct(private Renderer $renderer, private float $side = Beside::LARGE)
    {
    }

    /**
     * The grain of a plate, and of what lies around it; null where too little of it is flat.
     *
     * @return array{own: MeasuredGrain|null, around: MeasuredGrain|null}
     *
     * @throws SceneError when there is no such plate
     */
    public function grain(Scene $scene, string $id): array
    {
        $strip = $scene->find($id);
        $box = $strip === null || ! $strip->kind instanceof Pictured ? null : Standings::box($strip, $this->renderer->measures());
        if ($box === null) {
            throw new SceneError('strip', 'only a plate of which something is there has neighbours');
        }
        [$luma, $plate, $around] = [[], [], []];
        $windows = Beside::windows($box, $scene, $this->side);
        foreach ($windows as $window) {
            $picture = $this->renderer->read($scene, $window);
            $alpha = Looked::alphaOf($this->renderer, $scene, $window, $id);
            $there = $picture->alphas();
            // windows lie one under the other: their first and last rows belong to no block, so that none reads across
            foreach ([0, $window->rows - 1] as $row) {
                for ($x = 0, $at = $row * $window->columns; $x < $window->columns; $x++, $at++) {
                    [$alpha[$at], $there[$at]] = [0.0, 0.0];
                }
            }
            array_push($luma, ...$picture->lumas());
            array_push($plate, ...$alpha);
            array_push($around, ...array_map(static fn (float $is, float $covers): float => $is * (1 - $covers), $there, $alpha));
        }
        [$columns, $rows] = [$windows[0]->columns, intdiv(count($luma), $windows[0]->columns)];

        return ['own' => MeasuredGrain::of($luma, $plate, $columns, $rows), 'around' => MeasuredGrain::of($luma, $around, $columns, $rows)];
    }
}
