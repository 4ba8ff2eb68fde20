<?php

declare(strict_types=1);

namespace App\Gestures;

use App\Scenes\FlatScene;
use Aumbrel\Core\Kind\Kinds;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Value\PlatesValue;
use Aumbrel\Core\Value\PlateValue;

/** A copy of a strip right above it, of a group with all that it holds. */
final class Duplicate extends OfStrip
{
    public function label(Asked $asked): string
    {
        return 'Duplicate';
    }

    public function onto(FlatScene $scene, Asked $asked): FlatScene
    {
        $scene->strip($asked->strip());
        $within = $scene->within($asked->strip());
        /** @var array<array-key, string> $ids of the copies, by strip */
        $ids = array_combine($within, array_map(static fn (): string => FlatScene::newId(), $within));
        $groups = array_column($scene->order, 1, 0);
        $order = $places = [];
        foreach ($within as $id) {
            $places[] = [$ids[$id], $id === $asked->strip() ? $groups[$id] ?? null : $ids[$groups[$id] ?? ''] ?? null];
        }
        $last = $within[count($within) - 1];
        foreach ($scene->order as $place) {
            array_push($order, $place, ...(string) $place[0] === $last ? $places : []);
        }
        $copies = [];
        foreach ($within as $id) {
            $copies[$ids[$id]] = self::copied($scene->strip($id), $ids, $scene->with(['strips' => $copies]));
        }

        return $scene->with(['order' => $order, 'strips' => $copies]);
    }

    /**
     * @param  array<string, mixed>  $strip
     * @param  array<array-key, string>  $ids  what it names of what is copied with it, it names the copy of
     * @return array<string, mixed>
     */
    private static function copied(array $strip, array $ids, FlatScene $taken): array
    {
        $own = is_string($strip['id']) ? $strip['id'] : '';
        foreach (['confinedTo', 'complements'] as $name) {
            $other = $strip[$name] ?? null;
            // unknown fields may have numbers for names
            $strip = is_string($other) ? array_replace($strip, [$name => $ids[$other] ?? $other]) : $strip;
        }

        if (is_array($strip['keptOff'] ?? null)) {
            $strip['keptOff'] = array_replace($strip['keptOff'], ['plates' => self::renamed($strip['keptOff']['plates'] ?? [], $ids)]);
        }
        $values = FlatScene::fields($strip['values'] ?? []);
        foreach (Kinds::parametersOf(Registry::kinds()->strip($strip['kind'], 'kind')) as $parameter) {
            $named = $values[$parameter->name] ?? null;
            if ($parameter->type instanceof PlateValue && is_string($named)) {
                $values[$parameter->name] = $ids[$named] ?? $named;
            } elseif ($parameter->type instanceof PlatesValue && is_array($named)) {
                $values[$parameter->name] = self::renamed($named, $ids);
            }
        }

        return array_replace($strip, ['id' => $ids[$own], 'values' => $values, 'name' => $taken->freeName((string) $strip['name']), 'masks' => FlatScene::copiedMasks($strip['masks'] ?? []), 'locked' => false]);
    }

    /**
     * @param  array<array-key, string>  $ids
     * @return list<mixed>
     */
    private static function renamed(mixed $plates, array $ids): array
    {
        return array_values(array_map(static fn (mixed $plate): mixed => is_string($plate) ? $ids[$plate] ?? $plate : $plate, is_array($plates) ? $plates : []));
    }
}
