<?php

declare(strict_types=1);

use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\Identity;
use Aumbrel\Core\Kernel\Plane;
use Aumbrel\Core\Kind\Field;
use Aumbrel\Core\Kind\StripKind;
use Tests\Support\EveryKind;
use Tests\Support\Folder;
use Tests\Support\Rendering;

/** Whether something is tried: all of it for `bin/test truth`, else always the same tenth. */
function isTried(string $name): bool
{
    return getenv('TRUTH') !== false || crc32($name) % 10 === 3;
}

/** @return Generator<string, string> what both-ways.php wrote down, by scene */
function written(string $file): Generator
{
    $in = fopen($file, 'rb') ?: throw new LogicException($file);
    while (($head = (string) fread($in, 4)) !== '') {
        $name = (string) stream_get_contents($in, unpack('V', $head)[1]);
        yield $name => (string) stream_get_contents($in, unpack('V', (string) fread($in, 4))[1]);
    }
}

it('makes the same picture compiled and not, in a fresh process and in a long-used one', function (): void {
    $folder = Folder::of('both-ways');
    $script = dirname(__DIR__, 2).'/tests/Support/both-ways.php';
    $every = getenv('TRUTH') !== false ? '1' : '12';
    $processes = [];
    $compiled = ['PHP_INI_SCAN_DIR' => ':'.dirname(__DIR__, 2).'/runtime/render'] + getenv();
    foreach (['plain' => [['-d', 'opcache.enable_cli=0', '-d', 'memory_limit=3G'], 'once', ['PHP_INI_SCAN_DIR' => ''] + getenv()], 'compiled' => [[], 'twice', $compiled]] as $name => [$options, $order, $environment]) {
        $processes[$name] = proc_open([PHP_BINARY, ...$options, $script, "{$folder}/{$name}", $every, $order], [1 => ['pipe', 'w'], 2 => STDERR], $pipes[$name], null, $environment);
    }
    $said = [];
    foreach ($processes as $name => $process) {
        $said[$name] = json_decode((string) stream_get_contents($pipes[$name][1]), true);
        expect(proc_close($process))->toBe(0, $name);
    }
    expect($said['plain']['compiles'])->toBeFalse()->and($said['compiled']['compiles'])->toBeTrue()
        ->and($said['compiled']['changed'])->toBe([])->and($said['plain']['scenes'])->toBe($said['compiled']['scenes'])->toBeGreaterThan(60);
    $other = written("{$folder}/compiled");
    $apart = [];
    foreach (written("{$folder}/plain") as $name => $bytes) {
        expect($other->key())->toBe($name);
        if ($other->current() !== $bytes) {
            $ours = array_values(unpack('g*', $other->current()) ?: []);
            foreach (array_values(unpack('g*', $bytes) ?: []) as $at => $value) {
                if (! (abs($ours[$at] - $value) <= 1e-6 * max(1.0, abs($value)))) {
                    $apart[$name] = ($apart[$name] ?? 0) + 1;
                }
            }
        }
        $other->next();
    }
    expect($apart)->toBe([]);
});

it('compiles in the way that loses no values', function (): void {
    // `tracing` is 1254: with registers that are kept over a trace this PHP loses values where one is left
    expect(parse_ini_file(dirname(__DIR__, 2).'/runtime/render/render.ini')['opcache.jit'])->toBe('1054');
});

it('makes nothing that is no number or below nothing, and the same of 8 and 16 bits', function (string $kind): void {
    /** @var class-string<StripKind> $kind */
    $renderer = Rendering::renderer(EveryKind::pictures());
    $window = Window::whole(EveryKind::WIDTH, EveryKind::HEIGHT);
    foreach (['placed' => EveryKind::strip($kind), ...array_filter(iterator_to_array(EveryKind::changed($kind, true)), static fn (string $name): bool => isTried("{$kind} {$name} ends") || $name === 'from 1', ARRAY_FILTER_USE_KEY)] as $name => $strip) {
        try {
            $scene = EveryKind::scene([$strip]);
        } catch (SceneError) {
            continue;
        }
        foreach ($renderer->linear($scene, $window) as $plane) {
            expect(array_filter($plane, static fn (float $value): bool => ! is_finite($value) || $value < 0.0))->toBe([], "{$kind} {$name}");
        }
        $eight = array_values(unpack('C*', $renderer->picture($scene, $window, 8)->bytes) ?: []);
        $off = 0.0;
        foreach (array_values(unpack('n*', $renderer->picture($scene, $window, 16)->bytes) ?: []) as $at => $value) {
            $off = max($off, abs($value / 257 - $eight[$at]));
        }
        // half a step of each
        expect($off)->toBeLessThan(0.5 + 0.5 / 257 + 1e-6, "{$kind} {$name}");
    }
})->with(fn (): array => EveryKind::kinds());

it('shows in a renderer that has seen much what a fresh one shows', function (string $kind): void {
    /** @var class-string<StripKind> $kind */
    $warm = Rendering::renderer(EveryKind::pictures());
    $strip = EveryKind::strip($kind);
    $whole = Window::whole(EveryKind::WIDTH, EveryKind::HEIGHT);
    $seen = static function (string $name, array $strip, Window $window, array $size = [EveryKind::WIDTH, EveryKind::HEIGHT], int $white = 6500) use ($warm, $kind): void {
        try {
            $scene = EveryKind::scene([$strip], ...[...$size, $white]);
        } catch (SceneError) {
            return;
        }
        $shown = $warm->picture($scene, $window, 16)->bytes;
        if (isTried("{$kind} {$name}") || ! str_starts_with($name, 'value')) {
            expect($shown === Rendering::renderer(EveryKind::pictures())->picture($scene, $window, 16)->bytes)->toBeTrue("{$kind} {$name}");
        }
    };
    $seen('placed', $strip, $whole);
    foreach (EveryKind::changed($kind) as $name => $other) {
        $seen("value {$name}", $other, $whole);
    }
    foreach ([['level' => 1.3], ['amount' => 40], ['mode' => 'screen'], ['confinedTo' => 'figure'], ['source' => 'lamp'], ['tones' => ['darks' => [0.1, 0.3], 'brights' => [0.6, 0.9], 'of' => 'below']]] as $more) {
        $seen('value '.json_encode($more), [...$strip, ...$more], $whole);
    }
    // scenes of different size after each other through one window, other windows and scales, another white
    foreach ([[100, 80], [66, 54]] as $size) {
        $seen("size {$size[0]}", $strip, new Window(0, 0, 66, 54), $size);
    }
    foreach ([new Window(10, 5, 60, 50, 0.5), $whole->band(20, 30)] as $window) {
        $seen("window {$window->key()}", $strip, $window);
    }
    $seen('white', $strip, $whole, white: 4000);
    $seen('placed again', $strip, $whole);
})->with(fn (): array => EveryKind::kinds());

it('names what is kept by all that it is made of', function (): void {
    $one = new class(3.0, ['a' => 1])
    {
        public function __construct(public readonly float $size, public readonly array $more)
        {
        }
    };
    $same = new ($one::class)(3.0, ['a' => 1]);
    expect(Identity::of($one))->toBe(Identity::of($same))->and(Identity::of(new ($one::class)(3.0000000001, ['a' => 1])))->not->toBe(Identity::of($one))
        ->and(Identity::of(new ($one::class)(3.0, ['b' => 1])))->not->toBe(Identity::of($one))->and(Identity::of(new ($one::class)(3.0, ['a' => '1'])))->not->toBe(Identity::of($one));
    // a closure has no values: whoever holds one brings a name
    $mute = new class(static fn (): int => 1)
    {
        public function __construct(public readonly Closure $does)
        {
        }
    };
    expect(static fn () => Identity::of($mute))->toThrow(LogicException::class, 'brings no name');
    $named = new class('what it does', static fn (): int => 1)
    {
        public function __construct(public readonly string $name, public readonly Closure $does)
        {
        }
    };
    expect(Identity::of($named))->toContain('what it does');
    // what a constructor takes and does not keep could be forgotten
    $forgets = new class(3.0)
    {
        public function __construct(float $size)
        {
        }
    };
    expect(static fn () => Identity::of($forgets))->toThrow(LogicException::class, 'does not keep');
});

it('says why wherever something that is kept is named by hand', function (): void {
    $silent = [];
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator(dirname(__DIR__).'/src', FilesystemIterator::SKIP_DOTS)) as $file) {
        $class = 'Aumbrel\\Core\\'.strtr(substr((string) $file, strlen(dirname(__DIR__).'/src/'), -4), '/', '\\');
        if (! class_exists($class) || (! is_subclass_of($class, Plane::class) && ! is_subclass_of($class, Field::class))) {
            continue;
        }
        $method = new ReflectionMethod($class, is_subclass_of($class, Field::class) ? 'identity' : 'key');
        if ($method->getFileName() === (string) $file && ! str_contains((string) $method->getDocComment(), 'By hand: ')) {
            $silent[] = $class;
        }
    }
    expect($silent)->toBe([]);
});
