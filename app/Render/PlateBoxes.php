<?php

declare(strict_types=1);

namespace App\Render;

use App\Faults\NotPossible;
use App\Models\Scene;
use App\Scenes\Boxes;
use App\Scenes\FlatScene;
use Aumbrel\Core\Geometry\Bounds;
use Illuminate\Contracts\Cache\Repository;

/** Has the boxes of cut-out plates found by a render process; one that was found is kept under what it depends on. */
final readonly class PlateBoxes implements Boxes
{
    private const DAYS = 30;

    public function __construct(private PlateStudies $studies, private Repository $kept)
    {
    }

    public function of(Scene $scene, FlatScene $flat, array $pictures, bool $waits): array
    {
        $boxes = [];
        foreach ($flat->strips as $id => $strip) {
            $values = $strip['values'] ?? [];
            $name = is_array($values) ? $values['picture'] ?? null : null;
            $picture = is_string($name) ? $pictures[$name] ?? null : null;
            if ($picture === null) {
                continue;
            }
            $cut = array_values(array_filter(FlatScene::fields($strip['masks'] ?? []), static fn (mixed $mask): bool => is_array($mask) && ($mask['on'] ?? '') === 'plate'));
            if ($cut !== [] || ! $picture->opaque) {
                $boxes[$id] = $this->box($scene, (string) $id, 'box '.hash('xxh128', json_encode([$picture->id, $cut], JSON_THROW_ON_ERROR)), $waits);
            }
        }

        return array_filter($boxes, static fn (Bounds|false|null $box): bool => $box !== false);
    }

    /** @return Bounds|false|null null when nothing is left of it; false when it is not known, and is to be asked for again */
    private function box(Scene $scene, string $strip, string $key, bool $waits): Bounds|false|null
    {
        $last = "last box {$scene->id} {$strip}";
        $found = $this->kept->get($key);
        if ($found === null && ! $waits) {
            // a cut that was just painted takes a while to be worked out: the hand does not wait for that
            $found = $this->kept->get($last);
        } elseif ($found === null) {
            try {
                $found = $this->studies->of($scene, $strip, Study::Box);
            } catch (NotPossible) {
                return false;
            }
            $this->kept->put($key, $found, now()->addDays(self::DAYS));
        }
        if ($found === null) {
            return false;
        }
        if ($waits) {
            $this->kept->put($last, $found, now()->addDays(self::DAYS));
        }

        return is_array($found) && count($found) === 4 ? new Bounds(...array_map(static fn (mixed $side): float => is_numeric($side) ? (float) $side : 0.0, array_values($found))) : null;
    }
}
