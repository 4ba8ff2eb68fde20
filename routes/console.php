<?php

declare(strict_types=1);

use Illuminate\Support\Facades\Schedule;

Schedule::command('aumbrel:sweep')->dailyAt('03:30');
