<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\Picture\PictureShelf;
use Aumbrel\Core\Reading\SceneFacts;
use Aumbrel\Core\Scene\Scene;

/** Measures all that readings rest on which are seen in the picture; what only the plates decide is measured once as long as they stay. */
final readonly class SceneStudy
{
    public function __construct(private Renderer $renderer, private PictureShelf $shelf, private Remembered $remembered = new Remembered)
    {
    }

    public function of(Scene $scene): SceneFacts
    {
        $looked = Looked::at($this->renderer, $this->shelf, $scene, $this->remembered);

        return new SceneFacts((new LightStudy($this->renderer, $this->shelf))->of($looked), (new PlatesStudy($this->renderer))->of($looked), (new PictureStudy)->of($looked));
    }
}
