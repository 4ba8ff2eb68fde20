<?php

declare(strict_types=1);

namespace App\Render;

use App\Scenes\FlatScene;
use Aumbrel\Core\Scene\Family;
use Aumbrel\Core\Scene\Kinds;
use Aumbrel\Core\Scene\SceneError;

/** How a scene is looked at without being changed: before anything was lit, with only some of the strips, or one mask alone. */
final readonly class Look
{
    /**
     * @param  bool  $before  the plates as they are, nothing else
     * @param  string|null  $mask  a mask to be seen alone, in grey
     * @param  list<string>  $solo  of the strips that are not plates only these; a plate among them is shown alone
     */
    public function __construct(private bool $before, private array $solo, private ?string $mask = null)
    {
    }

    /** @throws SceneError when the mask is on no strip */
    public function at(FlatScene $scene): FlatScene
    {
        if ($this->mask !== null) {
            return $this->alone($scene, $this->mask);
        }
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

    /** White through the mask over black. */
    private function alone(FlatScene $scene, string $id): FlatScene
    {
        foreach ($scene->strips as $strip) {
            foreach (is_array($strip['masks'] ?? null) ? $strip['masks'] : [] as $mask) {
                if (is_array($mask) && $mask['id'] === $id) {
                    $fill = ['kind' => 'fill', 'mode' => 'normal'];

                    return new FlatScene($scene->scene, [['below', null], ['mask', null]], [
                        'below' => ['id' => 'below', ...$fill, 'values' => ['colour' => '#000000']],
                        'mask' => ['id' => 'mask', ...$fill, 'values' => ['colour' => '#ffffff'], 'masks' => [[...$mask, 'off' => false, 'join' => 'intersect']]],
                    ]);
                }
            }
        }
        throw new SceneError('mask', "there is no mask \"{$id}\" in this scene");
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
