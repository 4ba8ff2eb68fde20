<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Geometry\Extent;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\Field;
use Aumbrel\Core\Kind\Layer;
use Aumbrel\Core\Scene\Strip;

/** How much there is of a layer at a place, whatever its mode: with its level in linear light or its amount, its masks, and the plate that it is confined to. */
final readonly class Falling implements Field
{
    public function __construct(private Strip $strip, private Layer $layer, private Sites $sites)
    {
    }

    public function write(KernelWriter $kernel, Window $window): string
    {
        $falls = $kernel->variable('falls');
        $shape = $this->layer->field->write($kernel, $window);
        $kernel->line("{$falls} = 0.0; if ({$shape} > 0.0) { {$falls} = 1.0;");
        foreach (array_filter([$this->strip->confinedTo, $this->layer->within], is_string(...)) as $plate) {
            $there = $this->sites->there($plate, 0.0, 0.0, $kernel);
            $kernel->line("{$falls} *= ".($there ?? '0.0').';');
        }
        (new Cover($kernel, $this->sites))->masked($this->strip, $falls);
        $this->layer->strength->write($kernel, $falls, $shape, BlendMode::Airlight, $this->layer->field);
        $kernel->line('}');

        return $falls;
    }

    public function extent(): ?Extent
    {
        return $this->layer->field->extent();
    }

    public function largest(): float
    {
        return $this->layer->field->largest() * max(1.0, $this->layer->strength->full(BlendMode::Airlight));
    }

    /** By hand: the scene around a strip is no part of it; its identity has its masks and all that it is made of. */
    public function identity(): string
    {
        return "what falls of {$this->strip->identity()} by {$this->layer->field->identity()}";
    }

    public function readsBelow(): bool
    {
        return $this->layer->field->readsBelow();
    }
}
