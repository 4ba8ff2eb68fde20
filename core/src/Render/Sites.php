<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\CutOut\PlateOutline;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kind\Contrasted;
use Aumbrel\Core\Kind\Everywhere;
use Aumbrel\Core\Kind\Layer;
use Aumbrel\Core\Kind\Pictured;
use Aumbrel\Core\Picture\PictureShelf;
use Aumbrel\Core\Scene\Scene;
use Aumbrel\Core\Scene\Strip;
use Aumbrel\Core\Seen\SeenPlate;

/** The strips of a scene in one window: what each finds around it, and the layers that it gives there. */
final class Sites
{
    /** @var array<string, list<Layer>> by strip */
    private array $layers = [];

    /** @var array<string, SeenPlate> by strip */
    private array $seen = [];

    /** @var array<string, PlateOutline|null> by strip */
    private array $outlines = [];

    public function __construct(public readonly Scene $scene, public readonly Window $window, private readonly PictureShelf $shelf)
    {
    }

    /** @return list<Layer> back to front */
    public function layers(Strip $strip): array
    {
        return $this->layers[$strip->id] ??= array_map(static fn (Layer $layer): Layer => self::contrasted($layer, $strip), $strip->kind->layers(new StripSite($strip, $this)));
    }

    /** A light has a contrast of its own; where it is even there is none. */
    private static function contrasted(Layer $layer, Strip $strip): Layer
    {
        return $strip->contrast === 0.0 || $layer->field instanceof Everywhere ? $layer
            : new Layer($layer->mode, new Contrasted($layer->field, $strip->contrast), $layer->tint, $layer->strength, $layer->recolours, $layer->within);
    }

    public function seen(string $id): ?SeenPlate
    {
        if (isset($this->seen[$id])) {
            return $this->seen[$id];
        }
        $strip = $this->scene->find($id);

        return $strip !== null && $strip->kind instanceof Pictured
            ? $this->seen[$id] = $strip->kind->seen($this->shelf->picture($strip->kind->picture()), $strip->cutOut(), $this->window) : null;
    }

    public function outline(string $id): ?PlateOutline
    {
        if (array_key_exists($id, $this->outlines)) {
            return $this->outlines[$id];
        }
        $strip = $this->scene->find($id);

        return $this->outlines[$id] = $strip !== null && $strip->kind instanceof Pictured ? $strip->kind->outline($this->shelf->picture($strip->kind->picture()), $strip->cutOut()) : null;
    }
}
