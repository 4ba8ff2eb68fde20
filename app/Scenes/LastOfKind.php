<?php

declare(strict_types=1);

namespace App\Scenes;

use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Geometry\Carry;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Kind\StripKind;
use Aumbrel\Core\Value\Values;
use Illuminate\Support\Facades\DB;

/** How the strip of a kind looked that was worked on last, in whichever scene: its lengths by the short side. */
final class LastOfKind
{
    /**
     * @param  class-string<StripKind>  $kind
     * @param  array{int, int}  $size  of the scene that it is for
     * @return array{values?: array<array-key, mixed>, level?: mixed, amount?: mixed, mode?: mixed} nothing where there was none
     */
    public static function of(string $kind, array $size): array
    {
        $row = DB::table('strips')->join('scenes', 'scenes.id', '=', 'strips.scene_id')->where('strips.kind', $kind::key())->whereNull('scenes.deleted_at')
            ->orderByDesc('scenes.updated_at')->orderByDesc('strips.revision')->orderByDesc('strips.id')->first(['strips.fields', 'scenes.width', 'scenes.height']);
        if ($row === null) {
            return [];
        }
        $fields = FlatScene::fields(json_decode((string) $row->fields, true, 64, JSON_THROW_ON_ERROR));
        try {
            $look = Values::read($kind::parameters(), $fields['values'] ?? [], 'values')->look();
        } catch (SceneError) {
            // of a version that understood it otherwise
            return [];
        }
        $shares = $kind::carried($look, Carry::toShares(new Point(0, 0), min((int) $row->width, (int) $row->height)));

        return ['values' => $kind::carried($shares, Carry::toPixels(new Point(0, 0), min($size)))] + array_intersect_key($fields, array_flip(['level', 'amount', 'mode']));
    }
}
