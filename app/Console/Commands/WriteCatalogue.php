<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Catalogue;
use App\Http\Api\OpenApi;
use App\SceneSchema;
use Illuminate\Console\Command;

final class WriteCatalogue extends Command
{
    protected $signature = 'aumbrel:catalogue';

    protected $description = 'Writes what the interface and the schema of the scene file take from the core, and the description of the API';

    public function handle(): int
    {
        file_put_contents(Catalogue::path(), Catalogue::text());
        file_put_contents(SceneSchema::path(), SceneSchema::text());
        file_put_contents(OpenApi::path(), OpenApi::text());

        return self::SUCCESS;
    }
}
