<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\Picture\PictureShelf;
use Aumbrel\Core\Reading\SceneFacts;
use Aumbrel\Core\Scene\Scene;

/** Measures all that readings rest on which are seen in the picture. */
final readonly class SceneStudy
{
    public function __construct(private Renderer $renderer, private PictureShelf $shelf)
    {
    }

    public function of(Scene $scene): SceneFacts
    {
        $looked = Looked::at($this->renderer, $scene);

        return new SceneFacts((new LightStudy($this->renderer, $this->shelf))->of($looked), (new PlatesStudy($this->renderer))->of($looked), (new PictureStudy)->of($looked));
    }
}
