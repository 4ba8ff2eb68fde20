<?php

declare(strict_types=1);

namespace App\Gestures;

use App\Scenes\FlatScene;
use App\Scenes\OwnFalloff;
use App\Scenes\Pulling;
use App\Scenes\ScenePart;
use App\Scenes\SceneStore;
use App\Scenes\UsedMasks;
use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Kind\Pictured;
use Aumbrel\Core\Reading\Compass;
use Aumbrel\Core\Reading\Pictures;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Scene\Footings;
use Aumbrel\Core\Scene\Scene as Document;

/**
 * Some fields of a strip. Values and masks are merged by their names; a mask's `strokes` (or one `stroke`) come behind those
 * that it has; `turn` lets it come from elsewhere, `walk` lets a plate stand elsewhere, `pull` drags a handle that
 * the core works back. What a draft shows before it is written
 * goes by the same. A source, the stage and the ambient are changed like strips ({@see ScenePart}).
 */
final class ChangeStrip extends Gesture
{
    private const REPLACED = ['name', 'mode', 'level', 'amount', 'contrast', 'muted', 'locked', 'closed', 'held'];

    /** What null takes away. */
    private const NAMED = ['confinedTo', 'source', 'complements', 'tones', 'keptOff'];

    private const FIELDS = [...self::REPLACED, ...self::NAMED, 'values', 'turn', 'at', 'walk', 'pull', 'masks'];

    /** What a mask has by itself, whosever shape it has. */
    private const OF_MASK = ['join', 'inverted', 'off', 'lets'];

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
            "{$prefix}contrast" => 'sometimes|numeric',
            "{$prefix}muted" => 'sometimes|boolean',
            "{$prefix}locked" => 'sometimes|boolean',
            "{$prefix}closed" => 'sometimes|boolean',
            "{$prefix}held" => 'sometimes|boolean',
            "{$prefix}confinedTo" => 'sometimes|nullable|string|max:40',
            "{$prefix}complements" => 'sometimes|nullable|string|max:40',
            "{$prefix}source" => 'sometimes|nullable|string|max:40',
            "{$prefix}at" => 'sometimes|array|list|size:2',
            "{$prefix}at.*" => 'numeric|between:-1000000,1000000',
            "{$prefix}walk" => 'sometimes|array|list|size:2',
            "{$prefix}walk.*" => 'numeric|between:-1000000,1000000',
            "{$prefix}tones" => 'sometimes|nullable|array:darks,brights,of',
            "{$prefix}keptOff" => 'sometimes|nullable|array:plates,grow,feather',
            "{$prefix}pull" => 'sometimes|array:handle,to|size:2',
            "{$prefix}pull.handle" => 'string|max:40',
            "{$prefix}pull.to" => 'array|list|size:2',
            "{$prefix}pull.to.*" => 'numeric|between:-1000000,1000000',
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
        if (FlatScene::isPart($id)) {
            return ScenePart::changed($scene, $id, $change, $pictures);
        }
        if (isset($change['pull'])) {
            return self::changed(Pulling::onto($scene, $id, $change['pull'], $pictures()), $id, array_diff_key($change, ['pull' => null]), $pictures);
        }
        if (isset($change['turn'])) {
            return self::changed(self::turned($scene, $id, $change['turn'], $pictures()), $id, array_diff_key($change, ['turn' => null]), $pictures);
        }
        $strip = $scene->strip($id);
        $moved = isset($change['walk']) ? self::walked($scene, $id, $change['walk'], $pictures()) : [];
        $strip = array_replace($strip, array_intersect_key($change, array_flip(self::REPLACED)));
        if (array_key_exists('complements', $change) && $change['complements'] === null) {
            $strip = OwnFalloff::of($scene, $strip);
        }
        foreach (array_intersect_key($change, array_flip(self::NAMED)) as $name => $other) {
            unset($strip[$name]);
            $strip += $other === null ? [] : [$name => $other];
        }
        $strip['values'] = array_replace(FlatScene::fields($strip['values'] ?? []), FlatScene::fields($change['values'] ?? []), $moved);
        $scene = $scene->with(['strips' => [$id => $strip]]);
        foreach (FlatScene::fields($change['masks'] ?? [], 'masks') as $mask => $part) {
            $scene = self::maskChanged($scene, $id, (string) $mask, FlatScene::fields($part, "masks.{$mask}"));
        }

        return $scene;
    }

    /**
     * A mask changed; its shape where that stands.
     *
     * @param  array<mixed>  $part
     */
    private static function maskChanged(FlatScene $scene, string $id, string $mask, array $part): FlatScene
    {
        if (array_key_exists('uses', $part) && $part['uses'] === null) {
            $masks = array_map(static fn (mixed $other): array => ($other = FlatScene::fields($other))['id'] === $mask ? UsedMasks::onItsOwn($scene, $other) : $other, FlatScene::fields($scene->strip($id)['masks'] ?? []));
            $scene = $scene->with(['strips' => [$id => array_replace($scene->strip($id), ['masks' => $masks])]]);
        }
        [$holder, $held] = UsedMasks::holder($scene, $id, $mask);
        $change = static fn (FlatScene $scene, string $id, string $mask, array $part): FlatScene => $part === [] ? $scene
            : $scene->with(['strips' => [$id => array_replace($scene->strip($id), ['masks' => self::withMask(FlatScene::fields($scene->strip($id)['masks'] ?? []), $mask, $part)])]]);
        $own = array_flip(self::OF_MASK);

        return $change($change($scene, $id, $mask, array_intersect_key($part, $own)), $holder, $held, array_diff_key($part, $own, ['uses' => 0]));
    }

    /** A light that comes from elsewhere, or a plate that is said to be lit from there; of a relit plate the light that it is relit by. */
    private static function turned(FlatScene $scene, string $id, mixed $turn, Pictures $pictures): FlatScene
    {
        $compass = new Compass(Document::read($scene->toDocument(), Registry::kinds()), $pictures);
        $turned = $compass->turns($id);

        return $scene->withValues($turned, $compass->turning($turned, ScenePart::bearing($turn)));
    }

    /**
     * What lets a plate stand elsewhere, at its height in space.
     *
     * @param  mixed  $by  how far its feet go in the picture, [x, y]
     * @return array<string, mixed>
     */
    private static function walked(FlatScene $scene, string $id, mixed $by, Pictures $pictures): array
    {
        $document = Document::read($scene->toDocument(), Registry::kinds());
        $strip = $document->find($id);
        $foot = $strip === null ? null : (new Footings($document, $pictures))->foot($strip);
        if ($strip === null || ! $strip->kind instanceof Pictured || $foot === null) {
            throw new SceneError('walk', 'only a plate of which something is there can stand elsewhere');
        }
        $way = FlatScene::fields($by, 'walk');

        return $strip->kind->walkedTo($foot, $foot->plus((float) ($way[0] ?? 0), (float) ($way[1] ?? 0)), $document->stage->camera->horizon);
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
                $values = isset($mask['uses']) ? null : array_replace(FlatScene::fields($mask['values'] ?? []), FlatScene::fields($part['values'] ?? []));
                $strokes = $part['strokes'] ?? (isset($part['stroke']) ? [$part['stroke']] : []);
                if ($values !== null && $strokes !== []) {
                    $values['strokes'] = [...FlatScene::fields($values['strokes'] ?? []), ...array_values(FlatScene::fields($strokes, "masks.{$id}.strokes"))];
                }
                $masks[$at] = array_replace($mask, array_intersect_key($part, array_flip([...self::OF_MASK, 'feather', 'grow'])), $values === null ? [] : ['values' => $values]);

                return array_values($masks);
            }
        }
        throw new SceneError('mask', "there is no mask \"{$id}\" on this strip");
    }
}
