<?php

declare(strict_types=1);

namespace Tests\Support;

use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Picture\PictureShelf;
use Aumbrel\Core\Picture\PictureSource;

/** The pictures of a test, by name. */
final readonly class Shelf implements PictureShelf
{
    /** @param  array<string, PictureSource>  $pictures */
    public function __construct(private array $pictures)
    {
    }

    public function picture(string $name): PictureSource
    {
        return $this->pictures[$name] ?? throw new SceneError('picture', "no picture {$name}");
    }
}
