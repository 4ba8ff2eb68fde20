<?php

declare(strict_types=1);

namespace App\Gestures;

use App\Scenes\FlatScene;
use App\Scenes\OwnFalloff;
use App\Scenes\UsedMasks;
use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Kind\Ground;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Scene\Complement;
use Aumbrel\Core\Scene\MaskEntry;
use Aumbrel\Core\Scene\Scene as Document;

/**
 * The falloff of a strip on another one, in place of its own: as a copy, or as the same masks, so that what changes one changes
 * both. Or what that falloff leaves; of a strip itself it is turned into that.
 */
final class TakeMasks extends OfStrip
{
    public function rules(): array
    {
        return [...parent::rules(), 'from' => 'required|string|max:40', 'complement' => 'sometimes|boolean', 'same' => 'sometimes|boolean'];
    }

    public function label(Asked $asked): string
    {
        return $asked->flag('complement') ? 'Complement' : ($asked->flag('same') ? 'Use the masks too' : 'Take the falloff');
    }

    public function onto(FlatScene $scene, Asked $asked): FlatScene
    {
        $strip = $scene->strip($asked->strip());
        $isOwn = $asked->text('from') === $asked->strip();
        if ($isOwn && ! $asked->flag('complement')) {
            throw new SceneError('from', 'a strip has its own falloff already');
        }
        $taken = self::falloff($scene, $asked->text('from'), $asked->flag('complement'));
        if ($taken === []) {
            throw new SceneError('from', "\"{$scene->strip($asked->text('from'))['name']}\" has no falloff: it acts everywhere");
        }
        $kept = array_filter(FlatScene::fields($strip['masks'] ?? []), static fn (mixed $mask): bool => ! self::isOfFalloff($mask));
        $strip['masks'] = [...array_values($kept), ...match (true) {
            $isOwn => $taken,
            $asked->flag('same') => array_map(UsedMasks::using(...), $taken),
            default => FlatScene::copiedMasks(array_map(static fn (array $mask): array => UsedMasks::onItsOwn($scene, $mask), $taken)),
        }];

        return $scene->with(['strips' => [$asked->strip() => array_diff_key($strip, ['complements' => 0])]]);
    }

    /**
     * @return list<array<mixed>> masks, or those that leave what they let through; one that is off stays as it is
     *
     * @throws SceneError
     */
    private static function falloff(FlatScene $scene, string $id, bool $complement): array
    {
        $strip = OwnFalloff::of($scene, $scene->strip($id));
        $scene = $scene->with(['strips' => [$id => $strip]]);
        $own = array_values(array_filter(FlatScene::fields($strip['masks'] ?? []), self::isOfFalloff(...)));
        if (! $complement) {
            return array_map(FlatScene::fields(...), $own);
        }
        $active = Document::read($scene->toDocument(), Registry::kinds())->find($id)?->activeMasks() ?? [];
        $left = array_column(array_map(static fn (MaskEntry $mask): array => $mask->toArray(), Complement::of($active)), null, 'id');

        return array_map(static fn (mixed $mask): array => $left[FlatScene::fields($mask)['id']] ?? FlatScene::fields($mask), $left === [] ? [] : $own);
    }

    private static function isOfFalloff(mixed $mask): bool
    {
        return (FlatScene::fields($mask)['on'] ?? Ground::Scene->value) === Ground::Scene->value;
    }
}
