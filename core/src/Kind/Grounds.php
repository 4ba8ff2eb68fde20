<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

use Aumbrel\Core\Stage\Stage;

/** Where the plates of a scene stand, as a strip finds them. */
interface Grounds
{
    public function stage(): Stage;

    /** A plate by its id; null when there is none, when it is no plate, or when nothing of it is there. */
    public function stand(string $plate): ?Stand;

    /** @return list<Stand> the plates under the strip that stand or hang before the backdrop, back to front */
    public function under(): array;

    /** @return list<Stand> every plate under the strip that is cut out, or said to be so far away, back to front */
    public function plates(): array;

    /**
     * The shadows under the strip that the same source throws, on the same kind of surface, and that nothing but their density
     * changes: together they are as dark as the darkest of them.
     *
     * @return list<array{ThrowsShadow, float}> as they are lit, with their densities 0..1
     */
    public function bySameSource(bool $onWall): array;
}
