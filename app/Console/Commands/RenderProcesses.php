<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Render\Painter;
use App\Render\Pool\Dispatcher;
use Illuminate\Console\Command;

final class RenderProcesses extends Command
{
    protected $signature = 'aumbrel:render-processes {--processes= : how many; one a core when left out}';

    protected $description = 'Keeps the resident render processes';

    public function handle(): int
    {
        $asked = $this->option('processes');
        $cores = max(1, (int) trim((string) @shell_exec('nproc 2>/dev/null')));
        $kernels = config()->string('aumbrel.kernels');
        $pictures = config()->string('aumbrel.pictures');
        (new Dispatcher(
            config()->string('aumbrel.socket'),
            is_numeric($asked) ? max(1, (int) $asked) : $cores,
            static fn (): Painter => new Painter($kernels, $pictures),
        ))->run();

        return self::SUCCESS;
    }
}
