<?php

declare(strict_types=1);

namespace App\Render;

use App\Faults\NotPossible;
use App\Models\Scene;
use App\Scenes\Boxes;
use App\Scenes\FlatScene;
use Aumbrel\Core\Geometry\Bounds;
use Illuminate\Contracts\Cache\Repository;
use Illuminate\Support\Facades\DB;

/** Has the boxes of cut-out plates found by a render process; one that was found is kept under what it depends on. */
final readonly class PlateBoxes implements Boxes
{
    private const DAYS = 30;

    public function __construct(private PlateStudies $studies, private Repository $kept)
    {
    }

    public function of(Scene $scene, FlatScene $flat): array
    {
        $boxes = [];
        $opaque = null;
        foreach ($flat->strips as $id => $strip) {
            if (! $flat->isPlate((string) $id)) {
                continue;
            }
            $picture = FlatScene::fields($strip['values'] ?? [])['picture'] ?? null;
            $cut = array_values(array_filter(FlatScene::fields($strip['masks'] ?? []), static fn (mixed $mask): bool => is_array($mask) && ($mask['on'] ?? '') === 'plate'));
            $opaque ??= $this->pictures($scene);
            if (! is_string($picture) || ! isset($opaque[$picture]) || ($cut === [] && $opaque[$picture]['opaque'])) {
                continue;
            }
            $key = 'box '.hash('xxh128', json_encode([$opaque[$picture]['id'], $cut], JSON_THROW_ON_ERROR));
            try {
                $found = $this->kept->remember($key, now()->addDays(self::DAYS), fn (): mixed => $this->studies->of($scene, (string) $id, Study::Box));
            } catch (NotPossible) {
                // something newer came in between: the whole picture stands in until it is asked for again
                continue;
            }
            $boxes[$id] = is_array($found) && count($found) === 4 ? new Bounds(...array_map(static fn (mixed $side): float => is_numeric($side) ? (float) $side : 0.0, array_values($found))) : null;
        }

        return $boxes;
    }

    /** @return array<string, array{id: string, opaque: bool}> by name in the scene */
    private function pictures(Scene $scene): array
    {
        $pictures = [];
        foreach (DB::table('scene_pictures')->join('pictures', 'pictures.id', '=', 'scene_pictures.picture_id')->where('scene_id', $scene->id)->get(['name', 'pictures.id', 'opaque']) as $row) {
            $pictures[(string) $row->name] = ['id' => (string) $row->id, 'opaque' => (bool) $row->opaque];
        }

        return $pictures;
    }
}
