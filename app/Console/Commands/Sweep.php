<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Storage\Storage;
use Illuminate\Console\Command;

final class Sweep extends Command
{
    protected $signature = 'aumbrel:sweep';

    protected $description = 'Removes what is needed no more: scenes deleted long ago, pictures of none, old exports, leftovers';

    public function handle(Storage $storage): int
    {
        foreach ($storage->sweep() as $what => $count) {
            $this->line("{$what}: {$count}");
        }

        return self::SUCCESS;
    }
}
