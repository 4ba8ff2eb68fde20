<?php

declare(strict_types=1);

namespace Aumbrel\Core\Out;

use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Render\Picture;
use Closure;

/** A layer of a layered file: a strip, or a group with layers of its own. */
final readonly class OutLayer
{
    /**
     * @param  string  $operation  as {@see Operation}
     * @param  float  $opacity  0..1
     * @param  string|null  $baked  why it is not as the strip is but as it looks here, in a few words
     * @param  (Closure(Window): Picture)|null  $picture  renders a part of it, in 16 bits; null for a group
     * @param  list<OutLayer>  $layers  of a group, back to front
     */
    public function __construct(public string $name, public string $operation, public float $opacity, public ?string $baked, public ?Closure $picture, public array $layers = [])
    {
    }

    /** @return list<OutLayer> it and all that it holds, those with pictures */
    public function pictured(): array
    {
        return $this->picture !== null ? [$this] : array_merge(...array_map(static fn (OutLayer $layer): array => $layer->pictured(), $this->layers));
    }
}
