<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

/** A light that ends at a frame: where that lies inside the picture it shows. */
interface Framed extends StripKind
{
    /** @return list<array{float, float}>|null its corners in order round it, scene pixels; null when it has no border */
    public function frame(): ?array;

    /**
     * The values that let it run past the picture on all sides.
     *
     * @return array<string, mixed>
     */
    public function covering(int $width, int $height): array;
}
