<?php

declare(strict_types=1);

namespace App\Gestures;

use App\Scenes\FlatScene;
use Aumbrel\Core\Kind\Kinds;
use Aumbrel\Core\Kind\MaskKind;
use Aumbrel\Core\Kind\StripKind;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Value\PlatesValue;
use Aumbrel\Core\Value\PlateValue;
use Aumbrel\Core\Value\StripValue;

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
        $masks = [];
        foreach ($within as $id) {
            $strip = $scene->strip($id);
            $copy = self::copied($strip, $ids, $scene->with(['strips' => $copies]));
            $copies[$ids[$id]] = $copy;
            $masks += array_combine(array_column(FlatScene::fields($strip['masks'] ?? []), 'id'), array_column(FlatScene::fields($copy['masks']), 'id'));
        }
        // what is used by masks that are copied with it, the copies use the copy of
        foreach ($copies as $id => $copy) {
            $copies[$id]['masks'] = array_map(static fn (mixed $mask): array => isset(FlatScene::fields($mask)['uses']) ? array_replace(FlatScene::fields($mask), ['uses' => $masks[$mask['uses']] ?? $mask['uses']]) : FlatScene::fields($mask), FlatScene::fields($copy['masks']));
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
        $masks = array_map(static fn (array $mask): array => array_replace($mask, isset($mask['values']) ? ['values' => self::ofCopies($mask['values'], Registry::kinds()->mask($mask['kind'], 'kind'), $ids)] : []), FlatScene::copiedMasks($strip['masks'] ?? []));

        return array_replace($strip, ['id' => $ids[$own], 'values' => self::ofCopies($strip['values'] ?? [], Registry::kinds()->strip($strip['kind'], 'kind'), $ids), 'name' => $taken->freeName((string) $strip['name']), 'masks' => $masks, 'locked' => false]);
    }

    /**
     * Values that name the copies of strips where they named these.
     *
     * @param  class-string<StripKind>|class-string<MaskKind>  $kind
     * @param  array<array-key, string>  $ids
     * @return array<mixed>
     */
    private static function ofCopies(mixed $values, string $kind, array $ids): array
    {
        $values = FlatScene::fields($values);
        foreach (Kinds::parametersOf($kind) as $parameter) {
            $named = $values[$parameter->name] ?? null;
            if (($parameter->type instanceof PlateValue || $parameter->type instanceof StripValue) && is_string($named)) {
                $values[$parameter->name] = $ids[$named] ?? $named;
            } elseif ($parameter->type instanceof PlatesValue && is_array($named)) {
                $values[$parameter->name] = self::renamed($named, $ids);
            }
        }

        return $values;
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
