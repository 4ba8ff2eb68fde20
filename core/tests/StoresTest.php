<?php

declare(strict_types=1);

use Aumbrel\Core\Fault\NotKept;
use Aumbrel\Core\Fault\PictureLost;
use Aumbrel\Core\Kernel\Inliner;
use Aumbrel\Core\Kernel\KernelSource;
use Aumbrel\Core\Kernel\KernelStore;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Picture\PackedPicture;
use Aumbrel\Core\Picture\PackedWriter;
use Aumbrel\Core\Picture\Shape;
use Aumbrel\Core\Picture\ShapeStore;
use Tests\Support\Folder;

/* What the core keeps in files: written aside and renamed, each thing once, bounded, and told when it cannot be. */

function emptyFolder(string $name): string
{
    $folder = Folder::of('stores')."/{$name}-".bin2hex(random_bytes(4));
    mkdir($folder);

    return $folder;
}

function kernelThatAdds(float $number): KernelSource
{
    $kernel = new KernelWriter(new Inliner);
    $kernel->loop();
    $kernel->line("{$kernel->stored('r')} = {$kernel->stored('r')} + {$number};");

    return $kernel->finish();
}

it('writes a kernel once, whole, and runs it', function (): void {
    $folder = emptyFolder('kernels');
    $source = kernelThatAdds(0.125);
    $run = (new KernelStore($folder))->load($source);
    $lines = ['r' => [0.5, 0.25], 'g' => [], 'b' => [], 'a' => []];
    $run($source->numbers, $source->tables, [], $lines, 0, 2, 0, 0.5, 1.0, 0.5);
    expect($lines['r'])->toBe([0.625, 0.375]);
    $path = (new KernelStore($folder))->path($source);
    $written = filemtime($path);
    touch($path, $written - 100);
    clearstatcache();
    (new KernelStore($folder))->load($source);
    expect(filemtime($path))->toBe($written - 100)->and(glob("{$folder}/*"))->toBe([$path]);
});

it('names kernels after their text, so that two alike are one', function (): void {
    expect(kernelThatAdds(0.5)->name)->toBe(kernelThatAdds(0.5)->name)->not->toBe(kernelThatAdds(0.25)->name);
});

it('keeps a bounded number of kernels, the newest', function (): void {
    $folder = emptyFolder('many');
    for ($k = 0; $k < KernelStore::MOST; $k++) {
        file_put_contents("{$folder}/old{$k}.php", '<?php');
        touch("{$folder}/old{$k}.php", time() - 1000 - $k);
    }
    $source = kernelThatAdds(0.0625);
    (new KernelStore($folder))->load($source);
    expect(count(glob("{$folder}/*.php")))->toBeLessThanOrEqual(KernelStore::MOST)->and(is_file("{$folder}/{$source->name}.php"))->toBeTrue()->and(is_file("{$folder}/old0.php"))->toBeTrue()->and(is_file("{$folder}/old299.php"))->toBeFalse();
});

it('says that a kernel cannot be kept', function (): void {
    file_put_contents($file = emptyFolder('file').'/in-the-way', '');
    expect(fn () => (new KernelStore("{$file}/kernels"))->load(kernelThatAdds(0.03125)))->toThrow(NotKept::class, 'is the disk full?');
});

function shapeOf(float $value): Shape
{
    return new Shape(8, 6, 0, array_fill(0, 48, $value));
}

it('works a shape out once, for all that ask for it, and again when it is lost', function (): void {
    $folder = emptyFolder('shapes');
    $made = 0;
    $make = function () use (&$made): Shape {
        $made++;

        return shapeOf(0.5);
    };
    $one = (new ShapeStore($folder))->get('heron', $make);
    $other = (new ShapeStore($folder))->get('heron', $make);
    expect($made)->toBe(1)->and($one->width())->toBe(8)->and($one->pixels(0, 0, 0, 1, 1))->toBe($other->pixels(0, 0, 0, 1, 1))->and($one->pixels(0, 3, 2, 1, 1)[0] >> 24 & 255)->toBe(128);
    (new ShapeStore($folder))->get('lantern', $make);
    expect($made)->toBe(2)->and(glob("{$folder}/*.lock"))->toBe([]);
    foreach (glob("{$folder}/*/shape.json") as $about) {
        file_put_contents($about, '{"width": 8}');
    }
    // a description that is damaged counts as none
    expect((new ShapeStore($folder))->get('heron', $make)->width())->toBe(8)->and($made)->toBe(3);
    exec('rm -rf '.escapeshellarg($folder).'/*');
    (new ShapeStore($folder))->get('heron', $make);
    expect($made)->toBe(4);
});

it('lets the second process wait for the first one', function (): void {
    $folder = emptyFolder('shared');
    $code = 'require '.var_export(dirname(__DIR__, 2).'/vendor/autoload.php', true).'; $store = new Aumbrel\Core\Picture\ShapeStore($argv[1]);
        $store->get("same", function () use ($argv) { file_put_contents("{$argv[1]}/made", "x", FILE_APPEND); usleep(400000); return new Aumbrel\Core\Picture\Shape(8, 6, 0, array_fill(0, 48, 1.0)); }); echo "done";';
    $processes = $outs = [];
    foreach ([1, 2, 3] as $k) {
        $processes[] = proc_open([PHP_BINARY, '-r', $code, '--', $folder], [1 => ['pipe', 'w']], $pipes);
        $outs[] = $pipes[1];
    }
    expect(array_map(stream_get_contents(...), $outs))->toBe(['done', 'done', 'done'])->and(file_get_contents("{$folder}/made"))->toBe('x');
    array_map(proc_close(...), $processes);
});

it('keeps a bounded number of shapes', function (): void {
    $folder = emptyFolder('bounded');
    $store = new ShapeStore($folder);
    for ($k = 0; $k < 56; $k++) {
        $store->get("shape {$k}", fn (): Shape => shapeOf(0.25));
    }
    expect(count(glob("{$folder}/*", GLOB_ONLYDIR)))->toBeLessThanOrEqual(50);
});

it('tells of packed rows that are missing or end too early', function (): void {
    $folder = emptyFolder('packed').'/picture';
    $writer = new PackedWriter($folder, 6, 4, 8);
    $writer->band(pack('V*', ...array_fill(0, 24, 0xFF102030)));
    $writer->finish();
    $picture = PackedPicture::open($folder);
    expect($picture->pixels(0, 5, 3, 1, 1))->toBe([0xFF102030]);
    file_put_contents("{$folder}/0.rows", substr((string) file_get_contents("{$folder}/0.rows"), 0, 50));
    expect(fn () => PackedPicture::open($folder)->pixels(0, 0, 3, 6, 1))->toThrow(PictureLost::class)->and(fn () => PackedPicture::open($folder)->pixels(0, 2, 3, 2, 1))->toThrow(PictureLost::class);
    unlink("{$folder}/1.rows");
    expect(fn () => PackedPicture::open($folder)->pixels(1, 0, 0, 1, 1))->toThrow(PictureLost::class);
    file_put_contents("{$folder}/picture.json", '{"width": "6"}');
    expect(fn () => PackedPicture::open($folder))->toThrow(PictureLost::class)->and(fn () => PackedPicture::open("{$folder}/nowhere"))->toThrow(PictureLost::class);
});

it('takes whole rows and whole pictures only', function (): void {
    $writer = new PackedWriter(emptyFolder('rows').'/a', 6, 4, 8);
    expect(fn () => $writer->band(pack('V*', ...array_fill(0, 7, 0))))->toThrow(InvalidArgumentException::class);
    $writer->band(pack('V*', ...array_fill(0, 12, 0)));
    expect(fn () => $writer->finish())->toThrow(InvalidArgumentException::class, '2 came')->and(fn () => new PackedWriter(emptyFolder('none').'/b', 0, 4, 8))->toThrow(InvalidArgumentException::class);
    file_put_contents($file = emptyFolder('way').'/file', '');
    expect(fn () => new PackedWriter("{$file}/c", 6, 4, 8))->toThrow(NotKept::class);
});

it('finds something out once for all that ask, and every time where it cannot be kept', function (): void {
    $folder = emptyFolder('found');
    $count = 0;
    $make = function () use (&$count): string {
        return 'found '.++$count;
    };
    expect((new ShapeStore($folder))->found('plate', 'block 1', $make))->toBe('found 1')->and((new ShapeStore($folder))->found('plate', 'block 1', $make))->toBe('found 1')
        ->and((new ShapeStore($folder))->found('plate', 'block 2', $make))->toBe('found 2')->and((new ShapeStore($folder))->found('other plate', 'block 1', $make))->toBe('found 3');
    expect(glob("{$folder}/found/*/*.*"))->toBe([]);
    file_put_contents("{$folder}/file", '');
    $nowhere = new ShapeStore("{$folder}/file/shapes");
    expect($nowhere->found('plate', 'block 1', $make))->toBe('found 4')->and($nowhere->found('plate', 'block 1', $make))->toBe('found 5');
    // those that were looked at longest ago go, and the whole shapes beside them stay
    (new ShapeStore($folder))->get('shape', fn (): Shape => new Shape(4, 4, 0, array_fill(0, 16, 1.0)));
    for ($k = 0; $k < 55; $k++) {
        (new ShapeStore($folder))->found("edge {$k}", 'block', $make);
    }
    expect(count(glob("{$folder}/found/*")))->toBeLessThanOrEqual(49)->and(glob("{$folder}/*/shape.json"))->toHaveCount(1);
});
