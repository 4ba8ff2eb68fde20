<?php

declare(strict_types=1);

/*
 * Starts everything on one machine and keeps it running; see App\Serve\Supervisor.
 *
 * php runtime/serve.php HOST PORT   (AUMBREL_RUN, AUMBREL_SOCKET and the like as in config/aumbrel.php)
 */

use App\Serve\Door;
use App\Serve\Supervisor;

chdir(dirname(__DIR__));
require 'vendor/autoload.php';
// files that are made from here on are nobody else's business
umask(0o077);
[, $host, $port] = $argv + [1 => '127.0.0.1', 2 => '8080'];
$run = (string) (getenv('AUMBREL_RUN') ?: getcwd().'/storage/run');

exit((new Supervisor((string) getcwd(), new Door($host, (int) $port), $run, (string) (getenv('AUMBREL_SOCKET') ?: "{$run}/render.sock")))->serve());
