<?php

declare(strict_types=1);

namespace Tests\Support;

use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KernelStore;
use Aumbrel\Core\Picture\PictureSource;
use Aumbrel\Core\Picture\ShapeStore;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Render\Memory;
use Aumbrel\Core\Render\Picture;
use Aumbrel\Core\Render\Renderer;
use Aumbrel\Core\Scene\Scene;

/** Small scenes for tests, rendered by the real renderer. */
final class Rendering
{
    /** @param  array<string, PictureSource>  $pictures */
    public static function renderer(array $pictures): Renderer
    {
        return new Renderer(new KernelStore(Folder::of('core-kernels')), new Shelf($pictures), new ShapeStore(Folder::of('core-shapes')), // of this run alone: an earlier one may have found things in another way
            new Memory(PHP_INT_MAX)); // what other tests hold is not to push out what this one counts
    }

    /** @param  list<array<string, mixed>>  $strips */
    public static function scene(int $width, int $height, array $strips): Scene
    {
        foreach ($strips as $at => $strip) {
            $strips[$at] = ['id' => "s{$at}", ...$strip];
        }

        return Scene::read(['aumbrel' => 1, 'title' => 'Test', 'size' => [$width, $height], 'strips' => $strips], Registry::kinds());
    }

    /**
     * @param  array<string, PictureSource>  $pictures
     * @param  list<array<string, mixed>>  $strips
     * @param  8|16  $bits
     */
    public static function picture(array $pictures, int $width, int $height, array $strips, int $bits = 16, ?Window $window = null): Picture
    {
        return self::renderer($pictures)->picture(self::scene($width, $height, $strips), $window ?? Window::whole($width, $height), $bits);
    }

    /** @return array<string, mixed> */
    public static function plate(string $picture, array $more = []): array
    {
        return ['kind' => 'plate', ...$more, 'values' => ['picture' => $picture, ...($more['values'] ?? [])]];
    }
}
