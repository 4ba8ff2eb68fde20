<?php

declare(strict_types=1);

namespace App\Scenes;

use Aumbrel\Core\Registry;
use Aumbrel\Core\Scene\Complement;
use Aumbrel\Core\Scene\MaskEntry;
use Aumbrel\Core\Scene\Scene as Document;

/** One of a split pair on its own: what the other one's falloff leaves to it becomes its own masks. */
final class OwnFalloff
{
    /**
     * @param  array<string, mixed>  $strip  as it stands in the scene
     * @return array<string, mixed>
     */
    public static function of(FlatScene $scene, array $strip): array
    {
        $line = $strip['complements'] ?? null;
        $other = is_string($line) ? Document::read($scene->toDocument(), Registry::kinds())->find($line) : null;
        $left = array_map(static fn (MaskEntry $mask): array => array_diff_key($mask->whole(), ['uses' => 0]), Complement::of($other?->activeMasks() ?? []));

        return [...array_diff_key($strip, ['complements' => 0]), 'masks' => [...FlatScene::fields($strip['masks'] ?? []), ...FlatScene::copiedMasks($left)]];
    }
}
