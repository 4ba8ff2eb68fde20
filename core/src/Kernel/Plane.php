<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kernel;

/** Something that is worked out for every pixel of a window before kernels run, and kept by what it is. */
interface Plane
{
    /** Names it with all that it depends on. */
    public function key(): string;

    /** @return list<int>|list<float> row after row */
    public function fill(Planes $planes): array;
}
