<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kind\Beneath;
use Aumbrel\Core\Scene\LookedAt;
use Aumbrel\Core\Scene\Scene;
use Aumbrel\Core\Scene\Strip;
use Closure;

/** What lies below a strip of a scene, or that with it. */
final readonly class BeneathStrip implements Beneath
{
    /** @var list<Strip> */
    private array $strips;

    private string $key;

    /** @param  Closure(Scene, list<Strip>, Window): array{list<float>, list<float>, list<float>, list<float>}  $colours */
    public function __construct(private Scene $scene, string $strip, private Closure $colours, bool $withItself = false)
    {
        [$below, $itself] = $scene->under($strip);
        $this->strips = $withItself ? [...$below, $itself] : $below;
        $this->key = (new LookedAt($scene))->name($this->strips);
    }

    public function key(): string
    {
        return $this->key;
    }

    public function colours(Window $window): array
    {
        return ($this->colours)($this->scene, $this->strips, $window);
    }
}
