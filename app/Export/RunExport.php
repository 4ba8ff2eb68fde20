<?php

declare(strict_types=1);

namespace App\Export;

use App\Faults\DatabaseFault;
use App\Faults\DiskFull;
use App\Faults\ExportStopped;
use App\Faults\Fault;
use App\Models\Export;
use App\Models\Scene;
use App\Scenes\PictureLibrary;
use App\Scenes\SceneStore;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Queue\InteractsWithQueue;
use PDOException;
use Symfony\Component\Process\Process;
use Throwable;

/**
 * Writes one export: the same command that anybody can run, in a process of its own with the compiler on, watched for
 * progress and ended when the export is cancelled.
 */
final class RunExport implements ShouldQueue
{
    use Dispatchable, InteractsWithQueue, Queueable;

    private const LOOK_EVERY_MICROSECONDS = 150_000;

    /** When the disk is full not even the failure can be written down; it is tried for this long. */
    private const INSIST_SECONDS = 600;

    public function __construct(private readonly string $exportId)
    {
    }

    public function handle(Exports $exports, SceneStore $store, PictureLibrary $library): void
    {
        $export = Export::query()->find($this->exportId);
        if ($export === null || $export->state !== Export::WAITING) {
            return;
        }
        try {
            $export->update(['state' => Export::RUNNING, 'starts' => $export->starts + 1]);
            $this->layOut($export, $store, $library, $exports->path($export).'.scene');
            $written = $this->watch($export, $exports, $this->command($export, $exports->path($export)));
            // what is said to be done has left nothing behind, though the worker be killed right after
            $exports->discard($export);
            if ($written !== null) {
                Export::query()->whereKey($export->id)->where('state', Export::RUNNING)->update([...$written, 'state' => Export::DONE, 'progress' => 1.0, 'process_group' => null]);
            }
        } catch (Throwable $error) {
            $fault = $error instanceof PDOException ? DatabaseFault::of($error) : $error;
            if (! $fault instanceof Fault) {
                report($error);
            }
            $problem = $fault instanceof Fault ? $fault->getMessage() : ExportStopped::interrupted()->getMessage();
        } finally {
            $exports->endProcesses($export);
            $exports->discard($export);
        }
        // what is said to have failed has left nothing behind; on a full disk that also makes room for saying so
        if (isset($problem)) {
            $this->markFailed($problem);
        }
    }

    /** When the worker gives it up, for whatever reason. */
    public function failed(?Throwable $error): void
    {
        $this->markFailed(ExportStopped::interrupted()->getMessage());
    }

    private function markFailed(string $problem): void
    {
        for ($until = time() + self::INSIST_SECONDS; ; usleep(2_000_000)) {
            try {
                Export::query()->whereKey($this->exportId)->whereIn('state', [Export::WAITING, Export::RUNNING])->update(['state' => Export::FAILED, 'problem' => $problem, 'process_group' => null]);

                return;
            } catch (PDOException $error) {
                if (time() > $until) {
                    throw $error;
                }
            }
        }
    }

    /** The scene file as it was when the export was asked for, with its pictures beside it. */
    private function layOut(Export $export, SceneStore $store, PictureLibrary $library, string $folder): void
    {
        $document = json_encode($export->scene, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION);
        if (! is_dir($folder) && ! @mkdir($folder, 0o700, true)) {
            throw DiskFull::writing('The export');
        }
        $scene = Scene::withTrashed()->findOrFail($export->scene_id);
        foreach ($store->pictures($scene) as $name => $picture) {
            @symlink($library->path($picture->id).'/original', "{$folder}/{$name}");
        }
        if (@file_put_contents("{$folder}/scene.json", $document) !== strlen($document)) {
            throw DiskFull::writing('The export');
        }
    }

    private function command(Export $export, string $file): Process
    {
        // in a group of its own, so that it can be ended with all that it has started
        $words = Exports::ordered($export)->command();

        return new Process([
            'setsid', base_path('bin/aumbrel'), $words[0], "{$file}.scene/scene.json", '--out', $file, ...array_slice($words, 1), '--progress', '--with-parent',
        ], base_path(), timeout: null);
    }

    /** @return array{bytes: int|null, clipped: int|null}|null what the command tells of what it wrote; null when it was cancelled */
    private function watch(Export $export, Exports $exports, Process $process): ?array
    {
        $process->start();
        $export->update(['process_group' => $process->getPid()]);
        while ($process->isRunning()) {
            usleep(self::LOOK_EVERY_MICROSECONDS);
            if (preg_match_all('/^progress (\d+(?:\.\d+)?)$/m', $process->getIncrementalOutput(), $found) > 0) {
                Export::query()->whereKey($export->id)->update(['progress' => (float) end($found[1])]);
            }
            if (Export::query()->whereKey($export->id)->value('state') === Export::CANCELLED) {
                $exports->endProcesses($export);
                $process->stop(1);

                return null;
            }
        }
        if (! $process->isSuccessful()) {
            // what the command says is made for people
            $said = preg_match('/^aumbrel: (.+)$/m', $process->getErrorOutput(), $found) === 1 ? ucfirst($found[1]) : ExportStopped::interrupted()->getMessage();
            throw new ExportStopped($said);
        }
        $result = json_decode((string) strrchr("\n".trim($process->getOutput()), "\n"), true);

        return ['bytes' => $result['bytes'] ?? null, 'clipped' => $result['clipped'] ?? null];
    }
}
