<?php

declare(strict_types=1);

namespace App\Scenes;

use RuntimeException;

/** The order of the strips, or the history, is newer than what a gesture went by. */
final class SceneChanged extends RuntimeException
{
    public function __construct()
    {
        parent::__construct('This scene was changed in another window since you last saw it. Nothing of yours was written; you now see the newer state, so repeat what you did.');
    }
}
