<?php

declare(strict_types=1);

namespace App\Gestures;

use App\Scenes\FlatScene;
use App\Scenes\SceneStore;
use Aumbrel\Core\Bearing\Bearing;
use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Reading\Compass;
use Aumbrel\Core\Reading\Pictures;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Scene\Scene as Document;

/**
 * Some fields of a strip. Values and masks are merged by their names; a mask's `strokes` (or one `stroke`) come behind those
 * that it has; `turn` lets it come from elsewhere. What a draft shows before it is written goes by the same.
 */
final class ChangeStrip extends Gesture
{
    private const REPLACED = ['name', 'mode', 'level', 'amount', 'muted'];

    private const FIELDS = [...self::REPLACED, 'confinedTo', 'values', 'turn', 'masks'];

    public function __construct(private readonly SceneStore $store)
    {
    }

    public function rules(): array
    {
        return ['strip' => 'required|string|max:40', 'revision' => 'required|integer', 'label' => 'sometimes|string|max:80', ...self::fieldRules()];
    }

    /** @return array<string, string> for a change inside another request */
    public static function fieldRules(string $prefix = ''): array
    {
        return [
            "{$prefix}name" => 'sometimes|string|max:80',
            "{$prefix}mode" => 'sometimes|string|max:40',
            "{$prefix}level" => 'sometimes|numeric',
            "{$prefix}amount" => 'sometimes|numeric',
            "{$prefix}muted" => 'sometimes|boolean',
            "{$prefix}confinedTo" => 'sometimes|nullable|string|max:40',
            "{$prefix}values" => 'sometimes|array',
            "{$prefix}turn" => 'sometimes|array:azimuth,elevation|size:2',
            "{$prefix}turn.azimuth" => 'numeric|between:-360,360',
            "{$prefix}turn.elevation" => 'numeric|between:-90,90',
            "{$prefix}masks" => 'sometimes|array|max:16',
            "{$prefix}masks.*" => 'array',
        ];
    }

    public function label(Asked $asked): string
    {
        return $asked->optionalText('label') ?? 'Change '.implode(', ', array_keys($asked->only(self::FIELDS)));
    }

    public function onto(FlatScene $scene, Asked $asked): FlatScene
    {
        return self::changed($scene, $asked->strip(), $asked->only(self::FIELDS), fn (): Pictures => $this->store->known($asked->scene));
    }

    /**
     * @param  array<array-key, mixed>  $change
     * @param  callable(): Pictures  $pictures  of the scene, asked for when something turns
     *
     * @throws SceneError when there is no such strip or mask
     */
    public static function changed(FlatScene $scene, string $id, array $change, callable $pictures): FlatScene
    {
        $strip = $scene->strip($id);
        $turned = isset($change['turn']) ? self::turned($scene, $id, FlatScene::fields($change['turn'], 'turn'), $pictures()) : [];
        $strip = array_replace($strip, array_intersect_key($change, array_flip(self::REPLACED)));
        if (array_key_exists('confinedTo', $change)) {
            unset($strip['confinedTo']);
            $strip += $change['confinedTo'] === null ? [] : ['confinedTo' => $change['confinedTo']];
        }
        $strip['values'] = array_replace(FlatScene::fields($strip['values'] ?? []), FlatScene::fields($change['values'] ?? []), $turned);
        foreach (FlatScene::fields($change['masks'] ?? [], 'masks') as $mask => $part) {
            $strip['masks'] = self::withMask(FlatScene::fields($strip['masks'] ?? []), (string) $mask, FlatScene::fields($part, "masks.{$mask}"));
        }

        return $scene->with(['strips' => [$id => $strip]]);
    }

    /**
     * What makes a light come from elsewhere, or says so of a plate.
     *
     * @param  array<mixed>  $turn  azimuth and elevation, as the scene sees them
     * @return array<string, mixed>
     */
    private static function turned(FlatScene $scene, string $id, array $turn, Pictures $pictures): array
    {
        $document = Document::read($scene->toDocument(), Registry::kinds());
        $angle = static fn (string $name): float => is_numeric($turn[$name] ?? null) ? (float) $turn[$name] : 0.0;

        return (new Compass($document, $pictures))->turning($document, $id, new Bearing($angle('azimuth'), $angle('elevation')));
    }

    /**
     * @param  array<mixed>  $masks
     * @param  array<mixed>  $part
     * @return list<mixed>
     */
    private static function withMask(array $masks, string $id, array $part): array
    {
        foreach ($masks as $at => $mask) {
            $mask = FlatScene::fields($mask);
            if ($mask['id'] === $id) {
                $values = array_replace(FlatScene::fields($mask['values'] ?? []), FlatScene::fields($part['values'] ?? []));
                $strokes = $part['strokes'] ?? (isset($part['stroke']) ? [$part['stroke']] : []);
                if ($strokes !== []) {
                    $values['strokes'] = [...FlatScene::fields($values['strokes'] ?? []), ...array_values(FlatScene::fields($strokes, "masks.{$id}.strokes"))];
                }
                $masks[$at] = array_replace($mask, array_intersect_key($part, array_flip(['join', 'inverted', 'off'])), ['values' => $values]);

                return array_values($masks);
            }
        }
        throw new SceneError('mask', "there is no mask \"{$id}\" on this strip");
    }
}
