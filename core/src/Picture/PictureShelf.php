<?php

declare(strict_types=1);

namespace Aumbrel\Core\Picture;

use Aumbrel\Core\Fault\SceneError;

/** Where a scene's pictures are found by name. */
interface PictureShelf
{
    /** @throws SceneError when there is no such picture */
    public function picture(string $name): PictureSource;
}
