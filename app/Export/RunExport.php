<?php

declare(strict_types=1);

namespace App\Export;

use App\Models\Export;
use App\Models\Scene;
use App\Scenes\PictureLibrary;
use App\Scenes\SceneStore;
use Illuminate\Bus\Queueable;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Bus\Dispatchable;
use Illuminate\Queue\InteractsWithQueue;
use RuntimeException;
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

    public function __construct(private readonly string $exportId)
    {
    }

    public function handle(Exports $exports, SceneStore $store, PictureLibrary $library): void
    {
        $export = Export::query()->find($this->exportId);
        if ($export === null || $export->state !== Export::WAITING) {
            return;
        }
        $export->update(['state' => Export::RUNNING]);
        $folder = $exports->path($export).'.scene';
        try {
            $this->layOut($export, $store, $library, $folder);
            $this->watch($export, $this->command($export, $exports->path($export), $folder));
        } catch (Throwable $error) {
            report($error);
            $export->refresh();
            if ($export->state !== Export::CANCELLED) {
                $export->update(['state' => Export::FAILED, 'problem' => $error instanceof RuntimeException ? $error->getMessage() : 'The export stopped unexpectedly. Try it again.']);
            }
        } finally {
            array_map('unlink', glob("{$folder}/*") ?: []);
            @rmdir($folder);
        }
    }

    /** The scene file as it was when the export was asked for, with its pictures beside it. */
    private function layOut(Export $export, SceneStore $store, PictureLibrary $library, string $folder): void
    {
        if (! is_dir($folder) && ! mkdir($folder, 0o755, true)) {
            throw new RuntimeException('The export folder cannot be written: is the disk full?');
        }
        $scene = Scene::withTrashed()->findOrFail($export->scene_id);
        foreach ($store->pictures($scene) as $name => $picture) {
            symlink($library->path($picture->id).'/original', "{$folder}/{$name}");
        }
        file_put_contents("{$folder}/scene.json", json_encode($export->scene, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION));
    }

    private function command(Export $export, string $file, string $folder): Process
    {
        return new Process([
            base_path('bin/aumbrel'), 'render', "{$folder}/scene.json", '--out', $file,
            '--bits', (string) $export->bits, '--quality', (string) ($export->quality ?? 92), '--progress',
        ], base_path(), timeout: null);
    }

    private function watch(Export $export, Process $process): void
    {
        $process->start();
        while ($process->isRunning()) {
            usleep(self::LOOK_EVERY_MICROSECONDS);
            if (preg_match_all('/^progress (\d+(?:\.\d+)?)$/m', $process->getIncrementalOutput(), $found) > 0) {
                Export::query()->whereKey($export->id)->update(['progress' => (float) end($found[1])]);
            }
            if (Export::query()->whereKey($export->id)->value('state') === Export::CANCELLED) {
                $process->stop(1);

                return;
            }
        }
        if (! $process->isSuccessful()) {
            throw new RuntimeException(preg_replace('/^aumbrel: /', '', trim($process->getErrorOutput())) ?: 'The export stopped unexpectedly. Try it again.');
        }
        $result = json_decode((string) strrchr("\n".trim($process->getOutput()), "\n"), true);
        Export::query()->whereKey($export->id)->where('state', Export::RUNNING)->update([
            'state' => Export::DONE, 'progress' => 1.0,
            'bytes' => is_array($result) ? $result['bytes'] ?? null : null, 'clipped' => is_array($result) ? $result['clipped'] ?? null : null,
        ]);
    }
}
