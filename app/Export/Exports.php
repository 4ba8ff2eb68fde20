<?php

declare(strict_types=1);

namespace App\Export;

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

    /**
     * @param  string|null  $batch  of many that were asked for at once
     * @param  string|null  $name  what the file is called, without its ending; null for what the scene is called
     */
    public function order(Scene $scene, Ordered $ordered, ?string $batch = null, ?string $name = null): Export
    {
        $export = $scene->exports()->create([
            'format' => $ordered->format->value, 'bits' => $ordered->bits, 'quality' => $ordered->quality, 'options' => $ordered->options(), 'batch' => $batch, 'state' => Export::WAITING,
            'scene' => array_diff_key($this->store->whole($scene)->toArray(), ['snapshots' => true]),
            'name' => (Str::slug($name ?? $scene->title) ?: 'scene').$ordered->said().'.'.$ordered->ending(),
        ]);
        RunExport::dispatch($export->id);

        return $export;
    }

    /** What was wanted of one. */
    public static function ordered(Export $export): Ordered
    {
        return Ordered::of([...$export->options ?? [], 'format' => $export->format, 'bits' => $export->bits, 'quality' => $export->quality ?? 92]);
    }

    /** Takes one that is not under way away, with its file. */
    public function throwAway(Export $export): void
    {
        $this->cancel($export);
        @unlink($this->path($export));
        $export->delete();
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
        return "{$this->folder}/{$export->id}.".self::ordered($export)->ending();
    }
}
