<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kind\Pictured;
use Aumbrel\Core\Picture\PictureShelf;
use Aumbrel\Core\Picture\Pixels;
use Aumbrel\Core\Scene\Hanging;
use Aumbrel\Core\Scene\Scene;
use Aumbrel\Core\Scene\Strip;
use Closure;

/** A scene in small pictures of the whole of it: finished, before anything was lit, and what each strip changes. */
final readonly class Looked
{
    /** The longer side of the pictures. */
    private const LONGEST = 320;

    /**
     * @param  Scene  $scene  as it is written
     * @param  Scene  $lit  with every strip as its source drives it
     * @param  list<Strip>  $strips  those that are not muted, without groups
     * @param  array<array-key, Picture>  $changes  by strip, of all but plates
     */
    private function __construct(public Renderer $renderer, public Scene $scene, public Scene $lit, public Window $window, public array $strips, public ReadPicture $finished, public ReadPicture $unlit, public array $changes, private string $plates, private Remembered $remembered)
    {
    }

    public static function at(Renderer $renderer, PictureShelf $shelf, Scene $scene, Remembered $remembered): self
    {
        $strips = array_values(array_filter($scene->everyStrip(), static fn (Strip $strip): bool => ! $strip->muted && ! $strip->isGroup()));
        $others = array_values(array_filter($strips, static fn (Strip $strip): bool => ! $strip->kind instanceof Pictured));
        $window = Window::whole($scene->width, $scene->height, min(1.0, self::LONGEST / max($scene->width, $scene->height)));

        $plates = self::platesOf($scene, $shelf);
        $finished = $renderer->read($scene, $window);
        $unlit = $remembered->of("unlit {$plates}", static fn (): ReadPicture => $renderer->read($scene->with($scene->unlit()), $window));
        $changes = $others === [] ? [] : $renderer->contributions($scene, $window, array_column($others, 'id'), 16);

        return new self($renderer, $scene, (new Hanging($scene, $renderer->measures()))->resolved(), $window, $strips, $finished, $unlit, $changes, $plates, $remembered);
    }

    /**
     * What is measured of the scene before anything was lit.
     *
     * @template T
     *
     * @param  string  $what  names it
     * @param  Closure(): T  $measure
     * @return T
     */
    public function ofPlates(string $what, Closure $measure): mixed
    {
        return $this->remembered->of("{$what} {$this->plates}", $measure);
    }

    /** Names the scene before anything was lit, with the pictures that its plates show. */
    private static function platesOf(Scene $scene, PictureShelf $shelf): string
    {
        $unlit = $scene->with($scene->unlit());
        $pictures = array_map(static fn (string $name): string => $shelf->picture($name)->key(), $unlit->pictures());

        return hash('xxh128', serialize([$unlit->toArray(), $pictures]));
    }

    /** @return list<float> how much of each pixel a plate covers */
    public function alpha(string $plate): array
    {
        return self::alphaOf($this->renderer, $this->scene, $this->window, $plate);
    }

    /** @return list<float> how much of each pixel of a window a plate covers; nothing of one that is gone */
    public static function alphaOf(Renderer $renderer, Scene $scene, Window $window, string $plate): array
    {
        $seen = $renderer->sites($scene, $window)->seen($plate);

        return $seen === null ? array_fill(0, $window->columns * $window->rows, 0.0) : (new Pixels($renderer->planes->pixels($seen), $seen->bits()))->alpha();
    }
}
