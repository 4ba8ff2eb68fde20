<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\Kind\Contrasted;
use Aumbrel\Core\Kind\Everywhere;
use Aumbrel\Core\Kind\Layer;
use Aumbrel\Core\Scene\Strip;

/**
 * The layers that strips give in one window. They hold on to what they find around them, which therefore does not hold on to
 * them: a circle would stay in memory until it is looked for, and that takes longer than a draft.
 */
final class StripLayers
{
    /** @var array<string, list<Layer>> by strip */
    private array $layers = [];

    public function __construct(private readonly Sites $sites)
    {
    }

    /** @return list<Layer> back to front */
    public function of(Strip $strip): array
    {
        return $this->layers[$strip->id] ??= array_map(static fn (Layer $layer): Layer => self::contrasted($layer, $strip), $strip->kind->layers(new StripSite($strip, $this->sites)));
    }

    /** A light has a contrast of its own; where it is even there is none. */
    private static function contrasted(Layer $layer, Strip $strip): Layer
    {
        return $strip->contrast === 0.0 || $layer->field instanceof Everywhere ? $layer
            : $layer->where(new Contrasted($layer->field, $strip->contrast));
    }
}
