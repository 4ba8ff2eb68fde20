<?php

declare(strict_types=1);

namespace App\Storage;

use App\Export\Exports;
use App\Files\Folder;
use App\Models\Export;
use App\Models\Picture;
use App\Models\Scene;
use App\Scenes\KeptPictures;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;

/**
 * What lies on the disk, and what of it is needed no more. Deleted scenes can be brought back for thirty days; what belongs
 * to nothing goes after a day, so that nothing is taken away that somebody is just bringing in.
 *
 * @phpstan-type Swept array{scenes: int, pictures: int, exports: int, strokes: int, leftovers: int, bytes: int}
 */
final readonly class Storage
{
    public const DAYS_TO_RESTORE = 30;

    private const DAYS_OF_EXPORTS = 30;

    /** Bytes that finished exports may take together; the oldest go first. */
    private const MOST_EXPORTS = 20 * 1024 ** 3;

    /** Pictures that only the command line has decoded are kept for this long after they were last used. */
    private const DAYS_OF_DECODED = 7;

    private const LEFT_OVER_HOURS = 24;

    private const LARGEST_LOG = 5 * 1024 ** 2;

    /** A database with this share of free pages is written anew. */
    private const FREE_SHARE = 0.25;

    public function __construct(private Exports $exports, private KeptPictures $kept)
    {
    }

    /** @return array{pictures: int, exports: int, rest: int} bytes */
    public function used(): array
    {
        $of = static fn (string $part): int => Folder::bytes(config()->string("aumbrel.{$part}"));

        return [
            'pictures' => $of('pictures'), 'exports' => $of('exports'),
            'rest' => $of('kernels') + $of('shapes') + $of('kept') + $of('temporary') + array_sum(array_map(static fn (string $file): int => (int) @filesize($file), glob(config()->string('database.connections.sqlite.database').'*') ?: [])),
        ];
    }

    /** @return Swept */
    public function sweep(?Carbon $now = null): array
    {
        $now ??= Carbon::now();
        $before = array_sum($this->used());
        $swept = [
            'scenes' => $this->sweepScenes($now), 'exports' => $this->sweepExports($now), 'pictures' => $this->sweepPictures($now),
            'strokes' => $this->sweepStrokes(), 'leftovers' => $this->sweepLeftovers($now),
        ];
        DB::table('snapshots')->where('deleted_at', '<', $now->copy()->subDays(self::DAYS_TO_RESTORE))->delete();
        DB::table('gestures')->where('created_at', '<', $now->copy()->subDays(self::DAYS_TO_RESTORE))->delete();
        $this->tidyDatabase();

        return [...$swept, 'bytes' => max(0, $before - array_sum($this->used()))];
    }

    private function sweepScenes(Carbon $now): int
    {
        /** @var list<Scene> $gone */
        $gone = Scene::onlyTrashed()->where('deleted_at', '<', $now->copy()->subDays(self::DAYS_TO_RESTORE))->get()->all();
        foreach ($gone as $scene) {
            foreach ($scene->exports as $export) {
                @unlink($this->exports->path($export));
            }
            $this->kept->forget($scene->id);
            $scene->forceDelete();
        }

        return count($gone);
    }

    private function sweepExports(Carbon $now): int
    {
        $swept = $bytes = 0;
        /** @var list<Export> $finished */
        $finished = Export::query()->whereNotIn('state', [Export::WAITING, Export::RUNNING])->orderByDesc('id')->get()->all();
        foreach ($finished as $export) {
            $bytes += (int) $export->bytes;
            if ($bytes > self::MOST_EXPORTS || $export->created_at?->lt($now->copy()->subDays(self::DAYS_OF_EXPORTS))) {
                @unlink($this->exports->path($export));
                $export->delete();
                $swept++;
            }
        }

        return $swept;
    }

    private function sweepPictures(Carbon $now): int
    {
        $swept = 0;
        /** @var list<Picture> $unused */
        $unused = Picture::query()->where('updated_at', '<', $now->copy()->subHours(self::LEFT_OVER_HOURS))->whereNotExists(static fn ($query) => $query->from('scene_pictures')->whereColumn('picture_id', 'pictures.id'))->whereNotExists(static fn ($query) => $query->from('rig_pictures')->whereColumn('picture_id', 'pictures.id'))->get()->all();
        foreach ($unused as $picture) {
            $picture->delete();
            Folder::remove(config()->string('aumbrel.pictures')."/{$picture->id}");
            $swept++;
        }
        $known = Picture::query()->pluck('id', 'id')->all();
        foreach (glob(config()->string('aumbrel.pictures').'/*', GLOB_ONLYDIR) ?: [] as $folder) {
            $isWhole = preg_match('/^[0-9a-f]{64}$/D', basename($folder)) === 1;
            $days = $isWhole ? self::DAYS_OF_DECODED : self::LEFT_OVER_HOURS / 24;
            if (! isset($known[basename($folder)]) && $this->isOlder($folder, $now, 24 * $days)) {
                Folder::remove($folder);
                $swept++;
            }
        }

        return $swept;
    }

    /** Strokes that no mask and no edit names any more. */
    private function sweepStrokes(): int
    {
        $swept = 0;
        foreach (DB::table('strokes')->distinct()->pluck('scene_id') as $scene) {
            $named = implode("\n", [
                ...DB::table('masks')->join('strips', 'strips.id', '=', 'masks.strip_id')->where('strips.scene_id', $scene)->where('masks.fields', 'like', '%strokes%')->pluck('masks.fields')->all(),
                ...DB::table('snapshots')->where('scene_id', $scene)->pluck('document')->all(),
                ...DB::table('edits')->where('scene_id', $scene)->pluck('before')->all(), ...DB::table('edits')->where('scene_id', $scene)->pluck('after')->all(),
            ]);
            $needless = DB::table('strokes')->where('scene_id', $scene)->pluck('key')->reject(static fn (string $key): bool => str_contains($named, $key));
            foreach ($needless->chunk(400) as $some) {
                $swept += DB::table('strokes')->where('scene_id', $scene)->whereIn('key', $some)->delete();
            }
        }

        return $swept;
    }

    /** Halves of pictures, folders of exports that have ended, what uploads have left, and logs that have grown. */
    private function sweepLeftovers(Carbon $now): int
    {
        $running = Export::query()->whereIn('state', [Export::WAITING, Export::RUNNING])->pluck('id')->all();
        // whatever an export writes, its file is where it says
        $finished = array_flip(Export::query()->get()->map($this->exports->path(...))->all());
        $swept = 0;
        foreach (glob(config()->string('aumbrel.exports').'/*') ?: [] as $path) {
            $id = explode('.', basename($path))[0];
            if (! in_array($id, $running, true) && ! isset($finished[$path]) && $this->isOlder($path, $now)) {
                is_dir($path) ? Folder::remove($path) : @unlink($path);
                $swept++;
            }
        }
        $leftovers = [
            ...glob(config()->string('aumbrel.temporary').'/*') ?: [], ...glob(config()->string('aumbrel.shapes').'/*.*') ?: [],
            ...glob(config()->string('aumbrel.kernels').'/*.php.*') ?: [], ...glob(config()->string('aumbrel.kept').'/*.jpg.*') ?: [], ...glob(storage_path('framework/cache/data').'/*') ?: [],
        ];
        foreach (array_filter($leftovers, fn (string $path): bool => $this->isOlder($path, $now)) as $path) {
            is_dir($path) ? Folder::remove($path) : @unlink($path);
            $swept++;
        }
        foreach (glob(storage_path('logs/*.log')) ?: [] as $log) {
            if ((int) @filesize($log) > self::LARGEST_LOG) {
                // whoever writes on goes on at the end of the same file
                @copy($log, "{$log}.old");
                file_put_contents($log, '');
                $swept++;
            }
        }

        return $swept;
    }

    private function isOlder(string $path, Carbon $now, float $hours = self::LEFT_OVER_HOURS): bool
    {
        return (int) @filemtime($path) < $now->getTimestamp() - $hours * 3600;
    }

    private function tidyDatabase(): void
    {
        $pages = (int) DB::scalar('pragma page_count');
        $free = (int) DB::scalar('pragma freelist_count');
        if ($pages > 0 && $free / $pages > self::FREE_SHARE && DB::transactionLevel() === 0) {
            DB::statement('vacuum');
        }
        if (DB::transactionLevel() === 0) {
            DB::select('pragma wal_checkpoint(truncate)');
        }
    }
}
