<?php

declare(strict_types=1);

arch('the core knows nothing of the application')
    ->expect('Aumbrel\Core')
    ->not->toUse(['Illuminate', 'Laravel', 'App', 'Imagick', 'Symfony', 'PDO', 'app', 'config', 'request', 'response', 'storage_path', 'base_path']);

arch('the core is strict')->expect('Aumbrel\Core')->toUseStrictTypes();

arch('the application is strict')->expect('App')->toUseStrictTypes();

arch('nothing is left over from looking for faults')->expect(['dd', 'dump', 'var_dump', 'print_r', 'ray'])->not->toBeUsed();

it('has an interface that is told by the core what there is', function (): void {
    expect(file_get_contents(dirname(__DIR__, 2).'/resources/js/generated/catalogue.ts'))
        ->toBe(App\Catalogue::text(), 'run `php artisan aumbrel:catalogue`');
})->uses(Tests\TestCase::class);
