<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\CutOut\PlateOutline;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kind\Site;
use Aumbrel\Core\Scene\OfStrip;
use Aumbrel\Core\Scene\Scene;
use Aumbrel\Core\Scene\Strip;
use Aumbrel\Core\Seen\SeenPlate;

/** What one strip finds around it while it is rendered. */
final readonly class StripSite implements Site
{
    use OfStrip;

    public function __construct(private Strip $strip, private Sites $sites)
    {
    }

    public function id(): string
    {
        return $this->strip->id;
    }

    public function window(): Window
    {
        return $this->sites->window;
    }

    public function seen(string $id): ?SeenPlate
    {
        return $this->sites->seen($id);
    }

    public function outline(string $id): ?PlateOutline
    {
        return $this->sites->outline($id);
    }

    public function hasOutline(string $id): bool
    {
        return $this->outline($id) !== null;
    }

    private function strip(): Strip
    {
        return $this->strip;
    }

    private function scene(): Scene
    {
        return $this->sites->scene;
    }
}
