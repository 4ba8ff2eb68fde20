<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Scenes\SceneImport;
use Illuminate\Console\Command;

final class StoreScene extends Command
{
    protected $signature = 'aumbrel:store-scene {file : a scene file with its pictures beside it}';

    protected $description = 'Stores a scene file and prints its id';

    public function handle(SceneImport $import): int
    {
        $this->line($import->fromFile((string) $this->argument('file'))->id);

        return self::SUCCESS;
    }
}
