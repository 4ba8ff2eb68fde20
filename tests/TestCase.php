<?php

declare(strict_types=1);

namespace Tests;

use Illuminate\Contracts\Console\Kernel;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Testing\TestCase as Base;
use Tests\Support\Folder;

abstract class TestCase extends Base
{
    public function createApplication(): Application
    {
        $application = require dirname(__DIR__).'/bootstrap/app.php';
        $application->make(Kernel::class)->bootstrap();
        config([
            'aumbrel.pictures' => Folder::of('pictures'), 'aumbrel.kernels' => Folder::of('kernels'), 'aumbrel.exports' => Folder::of('exports'),
            'aumbrel.shapes' => Folder::of('shapes'), 'aumbrel.temporary' => Folder::of('temporary'), 'aumbrel.kept' => Folder::of('kept'),
        ]);

        return $application;
    }
}
