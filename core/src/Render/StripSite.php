<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\Body\BodyPlane;
use Aumbrel\Core\CutOut\PlateOutline;
use Aumbrel\Core\Geometry\Path;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kind\Beneath;
use Aumbrel\Core\Kind\Emitter;
use Aumbrel\Core\Kind\Family;
use Aumbrel\Core\Kind\Field;
use Aumbrel\Core\Kind\Layer;
use Aumbrel\Core\Kind\MaskKind;
use Aumbrel\Core\Kind\Pictured;
use Aumbrel\Core\Kind\Site;
use Aumbrel\Core\Kind\Traced;
use Aumbrel\Core\Picture\PictureSource;
use Aumbrel\Core\Scene\MaskEntry;
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

    public function window(): Window
    {
        return $this->sites->window;
    }

    public function seen(string $id, ?Window $window = null): ?SeenPlate
    {
        return $this->sites->seen($id, $window);
    }

    public function body(string $plate): ?BodyPlane
    {
        return $this->sites->body($plate);
    }

    public function pass(string $plate, string $name, ?Window $window = null): ?SeenPlate
    {
        return $this->sites->pass($plate, $name, $window);
    }

    public function picture(string $name): ?PictureSource
    {
        return $this->sites->picture($name);
    }

    public function hasPicture(string $name): bool
    {
        return $this->picture($name) !== null;
    }

    public function emitter(?string $plate): ?Emitter
    {
        $masks = $this->strip->emitter();

        return $masks === [] ? null : new EmitterMasks($masks, $this->sites, $plate);
    }

    public function traces(): array
    {
        $masks = array_map(static fn (MaskEntry $entry): MaskKind => $entry->mask, $this->strip->emitter());

        return array_values(array_map(static fn (Traced $mask): Path => $mask->path(), array_filter($masks, static fn (MaskKind $mask): bool => $mask instanceof Traced)));
    }

    public function lightOf(string $id): ?array
    {
        $strip = $this->sites->scene->find($id);
        if ($strip === null || $strip->isGroup() || $strip->kind::family() !== Family::Light) {
            return null;
        }
        $sites = $this->sites;

        return $strip->muted || $strip->amount <= 0 ? [] : array_map(static fn (Layer $layer): Layer => $layer->where(new Falling($strip, $layer, $sites)), $strip->kind->layers(new self($strip, $sites)));
    }

    public function covering(string $plate): ?Field
    {
        $strip = $this->sites->scene->find($plate);
        if ($strip === null || $strip->isGroup() || $strip->muted || ! $strip->kind instanceof Pictured) {
            return null;
        }
        $layer = $strip->kind->layers(new self($strip, $this->sites))[0] ?? null;
        $isPlain = $strip->amount >= 1.0 && $strip->activeMasks() === [] && $strip->keptOff === null && $strip->confinedTo === null;

        return $layer === null || $isPlain ? $layer?->field : new Falling($strip, $layer, $this->sites);
    }

    public function beneath(): Beneath
    {
        return $this->sites->beneath($this->strip->id);
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
