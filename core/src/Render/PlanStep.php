<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\Geometry\Extent;

/** A step of a plan, done to each row of a window. */
interface PlanStep
{
    /** Names all that it does and depends on. */
    public function key(): string;

    /** @return list<Extent>|null where it has anything to do; null when that is everywhere */
    public function extents(): ?array;
}
