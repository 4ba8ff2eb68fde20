<?php

declare(strict_types=1);

use Illuminate\Foundation\Testing\RefreshDatabase;

require_once __DIR__.'/Support/frames.php';
require_once __DIR__.'/Support/scenes.php';

pest()->extend(Tests\TestCase::class)->use(RefreshDatabase::class)->in('Feature');
