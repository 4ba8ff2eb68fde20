<?php

declare(strict_types=1);

namespace App\Export;

use App\Models\Export;
use App\Models\Scene;
use App\Scenes\SceneStore;
use Illuminate\Support\Str;

/** Exports of a scene: ordered, cancelled, and where their files lie. */
final readonly class Exports
{
    public function __construct(private SceneStore $store, private string $folder)
    {
    }

    /** @param  int  $bits for JPEG always 8 */
    public function order(Scene $scene, string $format, int $bits, int $quality): Export
    {
        $bits = $format === 'jpeg' ? 8 : $bits;
        $export = $scene->exports()->create([
            'format' => $format, 'bits' => $bits, 'quality' => $quality, 'state' => Export::WAITING,
            'scene' => $this->store->flat($scene)->toDocument(),
            'name' => (Str::slug($scene->title) ?: 'scene').($bits === 16 ? '-16bit' : '').($format === 'png' ? '.png' : '.jpg'),
        ]);
        RunExport::dispatch($export->id);

        return $export;
    }

    public function cancel(Export $export): Export
    {
        Export::query()->whereKey($export->id)->whereIn('state', [Export::WAITING, Export::RUNNING])->update(['state' => Export::CANCELLED]);

        return $export->refresh();
    }

    /** Where the finished file lies; the name comes from the database alone. */
    public function path(Export $export): string
    {
        return "{$this->folder}/{$export->id}.".($export->format === 'png' ? 'png' : 'jpg');
    }
}
