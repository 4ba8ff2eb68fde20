<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\CutOut\PlateOutline;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kind\Pictured;
use Aumbrel\Core\Kind\Site;
use Aumbrel\Core\Scene\Strip;
use Aumbrel\Core\Seen\SeenPlate;

/** What one strip finds around it while it is rendered. */
final readonly class StripSite implements Site
{
    public function __construct(private Strip $strip, private Sites $sites)
    {
    }

    public function id(): string
    {
        return $this->strip->id;
    }

    public function mode(): BlendMode
    {
        return $this->strip->mode;
    }

    public function level(): float
    {
        return $this->strip->level;
    }

    public function amount(): float
    {
        return $this->strip->amount;
    }

    public function white(): float
    {
        return $this->sites->scene->white;
    }

    public function window(): Window
    {
        return $this->sites->window;
    }

    public function plate(string $id): ?Pictured
    {
        return $this->sites->scene->plate($id);
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
}
