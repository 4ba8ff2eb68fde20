<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Catalogue;
use Illuminate\Console\Command;

final class WriteCatalogue extends Command
{
    protected $signature = 'aumbrel:catalogue';

    protected $description = 'Writes the kinds of strips and masks, their values and the modes for the interface';

    public function handle(): int
    {
        file_put_contents(Catalogue::path(), Catalogue::text());

        return self::SUCCESS;
    }
}
