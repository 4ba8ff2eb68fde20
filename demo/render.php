<?php

declare(strict_types=1);

use Aumbrel\Core\Color\Srgb;
use Demo\Camera;
use Demo\Shapes;
use Demo\Subject;

/*
 * Photographs the demo's plates: php demo/render.php [NAME ...] [--grid=3] [--size=0.25]
 * Or their passes, NAME-normals.png, NAME-occlusion.png and NAME-depth.png: php demo/render.php NAME --passes [--size=0.5]
 *
 * Writes demo/night-market/NAME.png or .jpg and beside it NAME.light.json with the true bearing of the light in it. A few
 * minutes a plate on two cores with the compiler on (PHP_INI_SCAN_DIR=:runtime/render).
 */

require dirname(__DIR__).'/vendor/autoload.php';
const SUBJECTS = ['Boardwalk', 'Heron', 'Lantern', 'Figurehead', 'Loft', 'Floats', 'Winch', 'Buoy', 'HutWall', 'Barometer', 'Shed', 'Pennant', 'Beds', 'Hull', 'Cat', 'Quay', 'Tabletop', 'ToyBoat', 'Crate', 'Boats'];

foreach (['Shapes', 'Subject', 'Camera', ...SUBJECTS] as $class) {
    require __DIR__."/studio/{$class}.php";
}

const PROCESSES = 2;

/** Film: highlights roll off, then the encoding of the screen. */
function developed(float $linear): float
{
    $linear *= 1.12;

    return Srgb::encode(max(0.0, $linear * (1 + $linear / 6.0) / (1 + $linear * 0.62)));
}

function packed(array $pixel, int $column, int $row): string
{
    [$r, $g, $b, $a] = $pixel;
    if ($a <= 0) {
        return "\0\0\0\0";
    }
    // grain, the same in the three channels
    $grain = (Shapes::hash($column, $row) + Shapes::hash($column + 9001, $row) - 1) * 0.012;
    $out = '';
    foreach ([$r, $g, $b] as $channel) {
        $out .= chr((int) round(255 * min(1, max(0, developed($channel / $a) + $grain))));
    }

    return $out.chr((int) round(255 * $a));
}

function photograph(Camera $camera, int $grid): string
{
    [$width, $height] = $camera->size();
    $raw = tempnam(sys_get_temp_dir(), 'plate');
    $children = [];
    for ($process = 0; $process < PROCESSES; $process++) {
        $pid = pcntl_fork();
        if ($pid === 0) {
            $file = fopen($raw, 'c+b');
            for ($row = $process; $row < $height; $row += PROCESSES) {
                $line = '';
                foreach ($camera->row($row, $grid) as $column => $pixel) {
                    $line .= packed($pixel, $column, $row);
                }
                fseek($file, $row * $width * 4);
                fwrite($file, $line);
            }
            fclose($file);
            posix_kill(posix_getpid(), SIGKILL);
        }
        $children[] = $pid;
    }
    foreach ($children as $pid) {
        pcntl_waitpid($pid, $status);
    }
    $bytes = file_get_contents($raw);
    unlink($raw);

    return $bytes;
}

/** Which way a subject faces, how open it is to the sky and how far away it is (near is white), as pictures. */
function passes(Camera $camera, string $name): void
{
    [$width, $height] = $camera->size();
    $normals = $occlusion = '';
    $away = [];
    for ($row = 0; $row < $height; $row++) {
        foreach ($camera->passes($row) as [$nx, $ny, $nz, $open, $far, $covered]) {
            $away[] = $covered > 0 ? $far : null;
            $byte = static fn (float $value): string => chr((int) round(255 * max(0.0, min(1.0, $value))));
            $normals .= $byte(0.5 + 0.5 * $nx).$byte(0.5 + 0.5 * $ny).$byte(0.5 + 0.5 * $nz);
            $occlusion .= $byte($open);
        }
    }
    $seen = array_filter($away, is_float(...));
    [$near, $far] = [min($seen), max($seen)];
    $depth = implode('', array_map(static fn (?float $at): string => chr($at === null ? 0 : (int) round(255 * ($far - $at) / ($far - $near))), $away));
    printf("%s: from %.3f to %.3f m away\n", $name, $near, $far);
    foreach (['normals' => ['RGB', $normals, 'png24'], 'occlusion' => ['GRAY', $occlusion, 'png'], 'depth' => ['GRAY', $depth, 'png']] as $pass => [$format, $bytes, $as]) {
        $image = new Imagick;
        $image->setSize($width, $height);
        $image->setOption('depth', '8');
        $image->setFormat($format);
        $image->readImageBlob($bytes);
        $image->setOption('png:compression-level', '9');
        $image->setOption('png:exclude-chunk', 'gAMA,cHRM,sRGB,date,tIME');
        $file = __DIR__."/night-market/{$name}-{$pass}.png";
        $image->writeImage("{$as}:{$file}");
        printf("%s: %d kB\n", basename($file), filesize($file) / 1000);
    }
}

$names = array_filter(array_slice($argv, 1), fn (string $word): bool => ! str_starts_with($word, '--'));
$grid = 3;
$size = 1.0;
foreach ($argv as $word) {
    $grid = preg_match('/^--grid=(\d)$/', $word, $found) === 1 ? (int) $found[1] : $grid;
    $size = preg_match('/^--size=([\d.]+)$/', $word, $found) === 1 ? (float) $found[1] : $size;
}
foreach (SUBJECTS as $class) {
    /** @var Subject $subject */
    $subject = new ("Demo\\{$class}");
    if ($names !== [] && ! in_array($subject->name(), $names, true)) {
        continue;
    }
    $camera = new Camera($subject, $size);
    if (in_array('--passes', $argv, true)) {
        passes($camera, $subject->name());

        continue;
    }
    [$width, $height] = $camera->size();
    $started = microtime(true);
    $bytes = photograph($camera, $grid);
    $image = new Imagick;
    $image->setSize($width, $height);
    $image->setOption('depth', '8');
    $image->setFormat('RGBA');
    $image->readImageBlob($bytes);
    $file = __DIR__.'/night-market/'.$subject->name().($subject->hasBackground() ? '.jpg' : '.png');
    if ($subject->hasBackground()) {
        $image->setImageAlphaChannel(Imagick::ALPHACHANNEL_DEACTIVATE);
        $image->setImageFormat('jpeg');
        $image->setImageCompressionQuality(94);
        $image->setSamplingFactors(['1x1']);
    } else {
        $image->setImageFormat('png32');
        $image->setOption('png:compression-level', '9');
        $image->setOption('png:exclude-chunk', 'date,tIME');
    }
    $image->writeImage(($subject->hasBackground() ? 'jpeg:' : 'png32:').$file);
    [$lx, $ly, $lz] = $subject->light();
    file_put_contents(__DIR__."/night-market/{$subject->name()}.light.json", json_encode([
        'azimuth' => round(rad2deg(atan2($ly, $lx)), 2), 'elevation' => round(rad2deg(asin($lz)), 2),
    ], JSON_PRETTY_PRINT)."\n");
    printf("%s: %.0f s, %d kB\n", basename($file), microtime(true) - $started, filesize($file) / 1000);
}
