<?php

declare(strict_types=1);

/*
 * The folders of the core have an order, which stands in docs/architecture.md: a folder imports only from those before it.
 */

/** @return list<string> lowest first */
function orderOfFolders(): array
{
    preg_match('/```order\n(.*?)```/s', (string) file_get_contents(dirname(__DIR__, 2).'/docs/architecture.md'), $found);

    return preg_split('/\s+/', trim($found[1] ?? '')) ?: [];
}

/** @return list<string> folders that a file of the core names, whether it imports them or not */
function foldersNamed(string $text): array
{
    // what stands in comments is named too: who reads it must know it
    preg_match_all('/Aumbrel\\\\Core\\\\(\w+)\\\\\w+/', $text, $found);

    return array_values(array_unique($found[1]));
}

it('has an order of all folders of the core', function (): void {
    $folders = array_map(basename(...), glob(dirname(__DIR__, 2).'/core/src/*', GLOB_ONLYDIR) ?: []);
    $order = orderOfFolders();
    sort($folders);
    $sorted = $order;
    sort($sorted);
    expect($sorted)->toBe($folders)->and(count($order))->toBeGreaterThan(20);
});

it('imports only from folders below', function (): void {
    $order = array_flip(orderOfFolders());
    $wrong = [];
    $looked = 0;
    $files = new RecursiveIteratorIterator(new RecursiveDirectoryIterator(dirname(__DIR__, 2).'/core/src', FilesystemIterator::SKIP_DOTS));
    foreach ($files as $file) {
        $folder = basename(dirname((string) $file));
        // the registry stands over all of them
        foreach ($folder === 'src' ? [] : foldersNamed((string) file_get_contents((string) $file)) as $other) {
            $looked++;
            if ($other !== $folder && $order[$other] >= $order[$folder]) {
                $wrong[] = "{$folder} names {$other}, in ".basename((string) $file);
            }
        }
    }
    expect($wrong)->toBe([])->and($looked)->toBeGreaterThan(200);
});

it('names kinds in the registry only', function (): void {
    $kinds = [];
    foreach (['strips', 'masks'] as $of) {
        foreach (Aumbrel\Core\Registry::kinds()->{$of} as $class) {
            // a plate and a group are parts of every scene; what a strip draws on is a folder's own affair
            if (! in_array(class_basename($class), ['Plate', 'Group'], true)) {
                $kinds[] = $class;
            }
        }
    }
    $named = [];
    $all = [];
    foreach (['core/src', 'app'] as $room) {
        foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator(dirname(__DIR__, 2)."/{$room}", FilesystemIterator::SKIP_DOTS)) as $file) {
            $all[] = (string) $file;
        }
    }
    foreach ($all as $file) {
        foreach ($kinds as $class) {
            $own = str_replace(['Aumbrel\Core\\', '\\'], ['', '/'], $class);
            if (str_contains((string) file_get_contents($file), "use {$class};") && ! str_ends_with($file, 'core/src/Registry.php') && ! str_contains($file, dirname($own).'/')) {
                $named[] = basename($file).' names '.$class;
            }
        }
    }
    expect($named)->toBe([])->and($kinds)->not->toBe([]);
});

it('has no circle among the folders of the application', function (): void {
    $imports = [];
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator(dirname(__DIR__, 2).'/app', FilesystemIterator::SKIP_DOTS)) as $file) {
        $text = (string) file_get_contents((string) $file);
        if (preg_match('/^namespace App\\\\(\w+)/m', $text, $own) === 1) {
            preg_match_all('/^use App\\\\(\w+)\\\\/m', $text, $used);
            $imports[$own[1]] = array_values(array_unique([...$imports[$own[1]] ?? [], ...array_diff($used[1], [$own[1]])]));
        }
    }
    // folders that import nothing any more are taken away, again and again: what is left goes in a circle
    for ($left = $imports, $before = -1; count($left) !== $before;) {
        $before = count($left);
        $left = array_filter($left, static fn (array $others): bool => array_intersect($others, array_keys($left)) !== []);
    }
    expect(array_keys($left))->toBe([])->and(count($imports))->toBeGreaterThan(10);
});
