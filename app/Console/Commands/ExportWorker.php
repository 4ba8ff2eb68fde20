<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Export\Exports;
use Illuminate\Console\Command;
use PDOException;

/** The queue worker; one of them runs. Takes up what one before it has left. */
final class ExportWorker extends Command
{
    protected $signature = 'aumbrel:exports';

    protected $description = 'Writes exports out, one after the other';

    public function handle(Exports $exports): int
    {
        try {
            $exports->recover();
        } catch (PDOException $error) {
            // with a full disk nothing can be taken up; what comes is still told that it cannot be written
            report($error);
        }

        return $this->call('queue:work', ['--sleep' => 0.5, '--tries' => 1, '--timeout' => 0, '--quiet' => true]);
    }
}
