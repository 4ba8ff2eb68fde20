<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kind\Guide;
use Aumbrel\Core\Scene\LookedAt;
use Aumbrel\Core\Scene\Scene;
use Aumbrel\Core\Scene\Strip;
use Closure;

/** The plates of a scene over each other, before anything was lit: no light that moves changes it. */
final readonly class PlatesGuide implements Guide
{
    /** @var list<Strip> */
    private array $plates;

    private string $key;

    /** @param  Closure(Scene, list<Strip>, Window): list<int>  $pixels */
    public function __construct(private Scene $scene, private Closure $pixels)
    {
        $this->plates = $scene->unlit();
        $this->key = (new LookedAt($scene))->name($this->plates);
    }

    public function key(): string
    {
        return $this->key;
    }

    public function pixels(Window $window): array
    {
        return ($this->pixels)($this->scene, $this->plates, $window);
    }
}
