<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

use Aumbrel\Core\Stage\SceneSource;
use Aumbrel\Core\Stage\Stage;
use Closure;

/** A source among the plates of a scene: what its light can fall on. */
final readonly class Placed
{
    /**
     * @param  list<PlacedPlate>  $plates  back to front
     * @param  (Closure(string, bool): ?float)|null  $density  of the shadow of a plate, on the ground or a wall, percent
     */
    public function __construct(public SceneSource $source, public Stage $stage, public array $plates, private ?Closure $density = null)
    {
    }

    /** How dense the shadow is that the source throws of a plate, percent: as much as it gives of all light there. */
    public function share(string $plate, bool $onWall): ?float
    {
        return $this->density === null ? null : ($this->density)($plate, $onWall);
    }

    /** The lowest plate: the place, not something in it. */
    public function ground(): ?string
    {
        return ($this->plates[0] ?? null)?->id;
    }

    /** @return list<PlacedPlate> what is cut out and stands before the place */
    public function subjects(): array
    {
        return array_values(array_filter(array_slice($this->plates, 1), static fn (PlacedPlate $plate): bool => $plate->isCutOut));
    }

    /** @return list<PlacedPlate> subjects that are in the scene in some way */
    public function those(Stance $stance): array
    {
        return array_values(array_filter($this->subjects(), static fn (PlacedPlate $plate): bool => $plate->stance === $stance));
    }

    public function someone(Stance $stance): bool
    {
        return $this->those($stance) !== [];
    }
}
