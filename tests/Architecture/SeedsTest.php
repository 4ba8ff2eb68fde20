<?php

declare(strict_types=1);

// The faults themselves are seeded by hand (php tests/faults/seed.php): that takes minutes. That they still fit the code is
// seen here.
it('has faults to seed that fit the code as it is', function (): void {
    $root = dirname(__DIR__, 2);
    $seeds = require "{$root}/tests/faults/seeds.php";
    expect(count($seeds))->toBeGreaterThanOrEqual(20);
    foreach ($seeds as [$file, $there, $fault, $tests]) {
        expect(substr_count((string) file_get_contents("{$root}/{$file}"), $there))->toBe(1, "{$file}: {$there}")->and($fault)->not->toBe($there);
        foreach ($tests as $test) {
            expect(is_file("{$root}/{$test}"))->toBeTrue($test);
        }
    }
});
