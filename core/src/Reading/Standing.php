<?php

declare(strict_types=1);

namespace Aumbrel\Core\Reading;

use Aumbrel\Core\Kind\Surroundings;
use Aumbrel\Core\Scene\Measures;
use Aumbrel\Core\Scene\OfStrip;
use Aumbrel\Core\Scene\Scene;
use Aumbrel\Core\Scene\Strip;

/** What one strip finds around it while the scene is read. */
final readonly class Standing implements Surroundings
{
    use OfStrip;

    public function __construct(private Strip $strip, private Scene $scene, private Measures $measures)
    {
    }

    public function hasOutline(string $id): bool
    {
        $strip = $this->scene->find($id);

        return $strip !== null && $this->measures->isCutOut($strip);
    }

    public function hasPicture(string $name): bool
    {
        return $this->measures->size($name) !== null;
    }

    private function strip(): Strip
    {
        return $this->strip;
    }

    private function scene(): Scene
    {
        return $this->scene;
    }
}
