<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Http\ErrorReplies;
use App\Models\Scene;
use App\Render\Cores;
use App\Render\Painter;
use App\Render\Pool\Dispatcher;
use App\Render\Pool\TakeIn;
use App\Render\RenderRequest;
use App\Render\RenderRequests;
use App\Scenes\PictureLibrary;
use Aumbrel\Core\Render\Watch;
use Illuminate\Console\Command;
use Illuminate\Database\QueryException;
use Illuminate\Support\Facades\DB;

final class RenderProcesses extends Command
{
    protected $signature = 'aumbrel:render-processes {--processes= : how many; one a core when left out}';

    protected $description = 'Keeps the resident render processes';

    private const VIEW_SIDE = 500;

    public function handle(RenderRequests $requests, PictureLibrary $library): int
    {
        $asked = $this->option('processes');
        $kernels = config()->string('aumbrel.kernels');
        $pictures = config()->string('aumbrel.pictures');
        $shapes = config()->string('aumbrel.shapes');
        $processes = is_numeric($asked) ? max(1, (int) $asked) : Cores::count();
        $memory = Cores::share(config()->integer('aumbrel.memory'), $processes) * 1024 * 1024;
        (new Dispatcher(
            config()->string('aumbrel.socket'),
            $processes,
            static fn (Watch $watch): Painter => new Painter($kernels, $pictures, $shapes, $memory, $watch),
            $this->lastTouched($requests),
            static fn (TakeIn $work, Watch $watch): ?array => $work->done($library, $watch->step(...), ErrorReplies::words(...)),
        ))->run();

        return self::SUCCESS;
    }

    /** The scene that will most likely be opened first, at the size that the view shows. */
    private function lastTouched(RenderRequests $requests): ?RenderRequest
    {
        try {
            /** @var Scene|null $scene */
            $scene = Scene::query()->orderByDesc('updated_at')->first();
        } catch (QueryException) {
            // no database yet: nothing to warm up with
            return null;
        }
        if ($scene === null) {
            return null;
        }
        $request = $requests->of($scene, RenderRequest::PICTURE, null, self::VIEW_SIDE / max($scene->width, $scene->height))->withStrokes();
        // the connection is not carried over into the render processes
        DB::disconnect();

        return $request;
    }
}
