<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Geometry\Bounds;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kind\Pictured;
use Aumbrel\Core\Picture\MeasuredGrain;
use Aumbrel\Core\Picture\Pixels;
use Aumbrel\Core\Scene\Scene;
use Aumbrel\Core\Scene\Standings;

/** Measures a plate and what lies around it, as both are seen in the finished picture at full size. */
final readonly class BesideStudy
{
    /** The longest side of what is looked at, scene pixels. */
    private const LONGEST = 720.0;

    /** Around a plate is as far as this share of its own size. */
    private const AROUND = 0.6;

    public function __construct(private Renderer $renderer)
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
        $window = $this->window($box, $scene);
        $picture = $this->renderer->picture($scene, $window, 16);
        $luma = $picture->lumas();
        $seen = $this->renderer->sites($scene, $window)->seen($id);
        $plate = $seen === null ? array_fill(0, count($luma), 0.0) : (new Pixels($this->renderer->planes->pixels($seen), $seen->bits()))->alpha();
        $around = array_map(static fn (float $is, float $covers): float => $is * (1 - $covers), $picture->alphas(), $plate);

        return ['own' => MeasuredGrain::of($luma, $plate, $window->columns, $window->rows), 'around' => MeasuredGrain::of($luma, $around, $window->columns, $window->rows)];
    }

    /** About a plate, as far as the scene goes, at full size. */
    private function window(Bounds $box, Scene $scene): Window
    {
        $middle = $box->middle();
        $side = static fn (float $own, float $whole): float => min(self::LONGEST, $whole, (1 + 2 * self::AROUND) * $own + 32);
        [$width, $height] = [floor($side($box->right - $box->left, $scene->width)), floor($side($box->bottom - $box->top, $scene->height))];
        $left = max(0.0, min($scene->width - $width, floor($middle->x - $width / 2)));
        $top = max(0.0, min($scene->height - $height, floor($middle->y - $height / 2)));

        return new Window($left, $top, max(1.0, $width), max(1.0, $height));
    }
}
