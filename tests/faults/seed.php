<?php

declare(strict_types=1);

/*
 * Seeds each fault of seeds.php into a copy of the project and runs the tests that have to notice it.
 *
 * php tests/faults/seed.php [NUMBER ...]   ends with 1 when a fault went unnoticed
 */
$root = dirname(__DIR__, 2);
$copy = sys_get_temp_dir().'/aumbrel-seeds-'.getmypid();
$wanted = array_map(intval(...), array_slice($argv, 1));
$unnoticed = 0;
foreach (require __DIR__.'/seeds.php' as $at => [$file, $there, $fault, $tests]) {
    if ($wanted !== [] && ! in_array($at + 1, $wanted, true)) {
        continue;
    }
    exec('rm -rf '.escapeshellarg($copy).' && mkdir '.escapeshellarg($copy).' && cd '.escapeshellarg($root).' && cp -al $(ls -A | grep -vx "storage\|node_modules\|.git") '.escapeshellarg($copy).' && mkdir -p '.escapeshellarg("{$copy}/storage").'/{framework/{cache,views},logs,run}');
    $text = (string) file_get_contents("{$root}/{$file}");
    if (substr_count($text, $there) !== 1) {
        echo "{$file}: \"{$there}\" stands there ".substr_count($text, $there)." times\n";
        exit(2);
    }
    // a file of its own, where the others are links to the project's
    unlink("{$copy}/{$file}");
    file_put_contents("{$copy}/{$file}", str_replace($there, $fault, $text));
    exec('cd '.escapeshellarg($copy).' && '.escapeshellarg(PHP_BINARY).' vendor/bin/pest --bail '.implode(' ', array_map(escapeshellarg(...), $tests)).' 2>&1', $says, $status);
    $failed = preg_match('/FAILED\s+(.+?)\s*$/m', implode("\n", $says), $found) === 1 ? trim($found[1]) : '';
    printf("%2d %s %-34s %s\n", $at + 1, $status !== 0 ? 'noticed  ' : 'UNNOTICED', basename($file), $status !== 0 ? $failed : $fault);
    $unnoticed += $status === 0 ? 1 : 0;
    $says = [];
}
exec('rm -rf '.escapeshellarg($copy));
echo $unnoticed === 0 ? "every fault was noticed\n" : "{$unnoticed} faults went unnoticed\n";
exit($unnoticed === 0 ? 0 : 1);
