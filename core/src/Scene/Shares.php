<?php

declare(strict_types=1);

namespace Aumbrel\Core\Scene;

use Aumbrel\Core\Color\Srgb;
use Aumbrel\Core\Geometry\Vector;
use Aumbrel\Core\Stage\SceneSource;

/**
 * How much of the light at a plate comes from each source: E / (sum of all E + the ambient). A source that throws a shadow there
 * takes that much away; multiplied encoded values take 1 - encode(1 - share).
 */
final readonly class Shares
{
    public function __construct(private Scene $scene, private Footings $footings)
    {
    }

    /** The share of a source in the light at the feet of a plate, 0..1. */
    public function share(Strip $plate, SceneSource $source, bool $onWall): float
    {
        $own = $source->muted ? 0.0 : $this->strength($plate, $source, $onWall);

        return $own <= 0 ? 0.0 : $own / ($this->all($plate, $onWall) + 2 ** $this->scene->ambient->level);
    }

    /** The share of the ambient there: nothing that sources throw can be darker. */
    public function ambient(Strip $plate, bool $onWall): float
    {
        $ambient = 2 ** $this->scene->ambient->level;

        return $ambient / ($this->all($plate, $onWall) + $ambient);
    }

    /** The density of a shadow that takes a share of the light away, percent. */
    public static function density(float $share): float
    {
        return 100 * (1 - Srgb::encode(1 - $share));
    }

    private function all(Strip $plate, bool $onWall): float
    {
        return array_sum(array_map(fn (SceneSource $source): float => $source->muted ? 0.0 : $this->strength($plate, $source, $onWall), $this->scene->sources));
    }

    /** A source's light on the ground, or on the wall, at the middle of the feet. */
    private function strength(Strip $plate, SceneSource $source, bool $onWall): float
    {
        $camera = $this->scene->stage->camera;
        $footing = $this->footings->of($plate->id);
        $foot = $camera->place($this->footings->foot($plate) ?? $footing->middle, $footing->depth);
        $rays = $source->kind->rays($camera);
        $way = $rays->toward($foot);
        $toward = $way->unit();

        return 2 ** $source->level * max(0.0, $onWall ? $toward->z : $toward->y) * ($rays->isParallel ? 1.0 : self::law($way->length(), $rays->toward($footing->place($camera))));
    }

    /** @param  Vector  $middle  the way from the middle of the plate */
    private static function law(float $distance, Vector $middle): float
    {
        $usual = $middle->length();
        $size = $usual / 3;

        return ($usual ** 2 + $size ** 2) / max(1e-9, $distance ** 2 + $size ** 2);
    }
}
