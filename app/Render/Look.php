<?php

declare(strict_types=1);

namespace App\Render;

use App\Scenes\FlatScene;
use Aumbrel\Core\Scene\Family;
use Aumbrel\Core\Scene\Kinds;

/** How a scene is looked at without being changed: before anything was lit, or with only some of the strips. */
final readonly class Look
{
    /**
     * @param  bool  $before  the plates as they are, nothing else
     * @param  list<string>  $solo  of the strips that are not plates only these; a plate among them is shown alone
     */
    public function __construct(private bool $before, private array $solo)
    {
    }

    public function at(FlatScene $scene): FlatScene
    {
        if (! $this->before && $this->solo === []) {
            return $scene;
        }
        $isPlate = static fn (array $strip): bool => Kinds::strip($strip['kind'], 'kind')::family() === Family::Plate;
        $solo = $this->withHolders($scene);
        $plates = array_filter($solo, static fn (string $id): bool => isset($scene->strips[$id]) && $isPlate($scene->strips[$id]));
        $strips = [];
        foreach ($scene->strips as $id => $strip) {
            $hidden = match (true) {
                $this->before => ! $isPlate($strip) && $strip['kind'] !== 'group',
                $isPlate($strip) => $plates !== [] && ! in_array($id, $solo, true),
                default => ! in_array($id, $solo, true),
            };
            $strips[$id] = $hidden ? [...$strip, 'muted' => true] : $strip;
        }

        return $scene->with(['strips' => $strips]);
    }

    /** @return list<string> the chosen strips, the groups that hold them and what chosen groups hold */
    private function withHolders(FlatScene $scene): array
    {
        $groups = array_column($scene->order, 1, 0);
        $all = $this->solo;
        foreach ($this->solo as $id) {
            while (($id = $groups[$id] ?? null) !== null) {
                $all[] = $id;
            }
        }
        foreach ($groups as $id => $group) {
            if ($group !== null && in_array($group, $this->solo, true)) {
                $all[] = (string) $id;
            }
        }

        return $all;
    }
}
