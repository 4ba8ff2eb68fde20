<?php

declare(strict_types=1);

namespace App\Export;

use App\Codecs\PictureFormat;
use App\Faults\ExportStopped;
use App\Files\Folder;
use App\Models\Export;
use App\Models\Scene;
use App\Scenes\SceneStore;
use App\Serve\Processes;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** Exports of a scene: ordered, cancelled, and where their files lie. */
final readonly class Exports
{
    /** An export that was interrupted is begun this often. */
    private const MOST_STARTS = 2;

    public function __construct(private SceneStore $store, private string $folder)
    {
    }

    /** @param  int  $bits  8 where the format has no more */
    public function order(Scene $scene, PictureFormat $format, int $bits, int $quality): Export
    {
        $bits = in_array($bits, $format->bits(), true) ? $bits : 8;
        $export = $scene->exports()->create([
            'format' => $format->value, 'bits' => $bits, 'quality' => $quality, 'state' => Export::WAITING,
            'scene' => $this->store->whole($scene)->toArray(),
            'name' => (Str::slug($scene->title) ?: 'scene').($bits === 16 ? '-16bit' : '').'.'.$format->ending(),
        ]);
        RunExport::dispatch($export->id);

        return $export;
    }

    public function cancel(Export $export): Export
    {
        Export::query()->whereKey($export->id)->whereIn('state', [Export::WAITING, Export::RUNNING])->update(['state' => Export::CANCELLED]);
        $export->refresh();
        // whoever watches it would end it too, if somebody does
        $this->endProcesses($export);

        return $export;
    }

    /**
     * Takes up what a worker has left that ended in the middle: its processes are ended, the export is begun once more, and
     * failed when that happens again. Called while no other worker runs.
     */
    public function recover(): void
    {
        foreach (Export::query()->where('state', Export::RUNNING)->get() as $export) {
            $this->endProcesses($export);
            $this->discard($export);
            $export->update($export->starts < self::MOST_STARTS
                ? ['state' => Export::WAITING, 'progress' => 0, 'process_group' => null]
                : ['state' => Export::FAILED, 'problem' => ExportStopped::interrupted()->getMessage(), 'process_group' => null]);
        }
        DB::table('jobs')->delete();
        foreach (Export::query()->where('state', Export::WAITING)->orderBy('id')->pluck('id') as $id) {
            RunExport::dispatch($id);
        }
    }

    /** Ends every process that renders this export. */
    public function endProcesses(Export $export): void
    {
        $group = $export->process_group;
        if ($group !== null && $this->isOurs($group, $export)) {
            Processes::endGroup($group);
        }
    }

    /** Removes what is only needed while an export is being written. */
    public function discard(Export $export): void
    {
        $path = $this->path($export);
        Folder::remove("{$path}.scene");
        foreach (array_filter(glob("{$path}.*") ?: [], is_file(...)) as $file) {
            @unlink($file);
        }
    }

    /** Numbers of processes are used again, so it is looked whether the group still renders this export. */
    private function isOurs(int $group, Export $export): bool
    {
        foreach (Processes::ofGroup($group) as $pid) {
            if (str_contains((string) @file_get_contents("/proc/{$pid}/cmdline"), $export->id)) {
                return true;
            }
        }

        return false;
    }

    /** Where the finished file lies; the name comes from the database alone. */
    public function path(Export $export): string
    {
        return "{$this->folder}/{$export->id}.".PictureFormat::from($export->format)->ending();
    }
}
