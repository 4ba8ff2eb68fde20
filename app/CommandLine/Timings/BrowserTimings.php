<?php

declare(strict_types=1);

namespace App\CommandLine\Timings;

use App\CommandLine\NamedScene;

/** What the hand feels, measured in a headless browser against the real server: from `pointermove` to the painted picture. */
final class BrowserTimings
{
    /** @return array<string, mixed> */
    public function measure(): array
    {
        $root = NamedScene::root();
        if (! is_dir("{$root}/node_modules/@playwright/test")) {
            return ['skipped' => 'needs the interface\'s packages: bin/setup test'];
        }
        // the server that is measured runs with settings of its own, not with those of this command
        $environment = array_diff_key(getenv(), ['PHP_INI_SCAN_DIR' => 0]);
        $process = proc_open(['node', "{$root}/tests/browser/timings.mjs"], [1 => ['pipe', 'w'], 2 => ['pipe', 'w']], $pipes, $root, $environment);
        if ($process === false) {
            return ['skipped' => 'node does not start'];
        }
        $said = (string) stream_get_contents($pipes[1]);
        $problem = (string) stream_get_contents($pipes[2]);
        proc_close($process);
        $figures = json_decode($said, true);

        return is_array($figures) ? $figures : ['skipped' => 'the browser failed: '.strtok(trim($problem), "\n")];
    }
}
