<?php

declare(strict_types=1);

namespace Aumbrel\Core\Out;

use Aumbrel\Core\Color\HalfFloat;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Render\Picture;
use Aumbrel\Core\Render\Renderer;
use Aumbrel\Core\Scene\Scene;

/** Pictures in linear light, as halves: red, green, blue and alpha of each pixel, premultiplied, brighter than white where they are. */
final readonly class Linear
{
    public function __construct(private Scene $scene, private Renderer $renderer)
    {
    }

    /** A window of the scene, 64 bits a pixel, each half big-endian as pictures of 16 bits are. */
    public function picture(Window $window): Picture
    {
        return self::packed($this->renderer->linear($this->scene, $window), $window);
    }

    /**
     * What a strip adds to what lies below it, below 0 where it takes away: all of them together are the picture.
     *
     * @throws \Aumbrel\Core\Fault\SceneError when there is no such strip
     */
    public function added(Window $window, string $strip): Picture
    {
        $after = $this->renderer->linear($this->scene, $window, $strip);
        $before = $this->renderer->linear($this->scene->with($this->scene->under($strip)[0]), $window);
        $less = static fn (float $now, float $was): float => $now - $was;

        return self::packed([array_map($less, $after[0], $before[0]), array_map($less, $after[1], $before[1]), array_map($less, $after[2], $before[2]), array_map($less, $after[3], $before[3])], $window);
    }

    /** @param  array{list<float>, list<float>, list<float>, list<float>}  $channels */
    private static function packed(array $channels, Window $window): Picture
    {
        $halves = array_map(HalfFloat::bits(...), $channels);
        $mixed = [];
        foreach ($halves[0] as $at => $red) {
            array_push($mixed, $red, $halves[1][$at], $halves[2][$at], $halves[3][$at]);
        }

        return new Picture($window->columns, $window->rows, 16, pack('n*', ...$mixed), 0);
    }
}
