<?php

declare(strict_types=1);

namespace Tests\Support;

use Aumbrel\Core\Geometry\Frame;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Raster\Distance;
use Aumbrel\Core\Stroke\Brush;
use Aumbrel\Core\Stroke\Stroke;
use Imagick;

/** A demo subject on another picture, with the alpha and the colours that it truly has. */
final class Composite
{
    /** Pixels of the picture to one of the grid on which strokes are laid out. */
    private const GRID = 4;

    private const BRUSH = 7;

    /**
     * @param  list<float>  $alpha
     * @param  list<int>  $colours  red, green, blue of the subject, three a pixel
     * @param  array{int, int, int, int}  $box  of the subject: left, top, width, height
     */
    private function __construct(private readonly string $file, private readonly int $columns, private readonly int $rows, private readonly array $alpha, private readonly array $colours, private readonly array $box)
    {
    }

    /**
     * @param  'heron'|'lantern'  $subject
     * @param  'boardwalk'|'wall'  $background  wall: a rough plaster with a slow light over it, and grain
     */
    public static function of(string $subject, string $background, int $columns): self
    {
        $rows = intdiv($columns * 5, 8);
        $cut = new Imagick(base_path("demo/night-market/{$subject}.png"));
        $cut->resizeImage(0, (int) (0.86 * $rows), Imagick::FILTER_CATROM, 1);
        [$wide, $high] = [$cut->getImageWidth(), $cut->getImageHeight()];
        [$left, $top] = [intdiv($columns - $wide, 2), intdiv($rows - $high, 2)];
        $ground = $background === 'boardwalk' ? self::boardwalk($columns, $rows) : self::wall($columns, $rows);
        $ground->compositeImage($cut, Imagick::COMPOSITE_OVER, $left, $top);
        $folder = Folder::of('composite-'.bin2hex(random_bytes(4)));
        $ground->setImageFormat('png');
        $ground->setImageAlphaChannel(Imagick::ALPHACHANNEL_DEACTIVATE);
        $ground->writeImage("png24:{$folder}/plate.png");
        $alpha = array_fill(0, $columns * $rows, 0.0);
        $colours = array_fill(0, 3 * $columns * $rows, 0);
        $pixels = $cut->exportImagePixels(0, 0, $wide, $high, 'RGBA', Imagick::PIXEL_CHAR);
        for ($y = 0; $y < $high; $y++) {
            for ($x = 0; $x < $wide; $x++) {
                $from = 4 * ($y * $wide + $x);
                $to = ($top + $y) * $columns + $left + $x;
                $alpha[$to] = $pixels[$from + 3] / 255;
                [$colours[3 * $to], $colours[3 * $to + 1], $colours[3 * $to + 2]] = [$pixels[$from], $pixels[$from + 1], $pixels[$from + 2]];
            }
        }

        return new self("{$folder}/plate.png", $columns, $rows, $alpha, $colours, [$left, $top, $wide, $high]);
    }

    /** @return string the path of a scene with the picture as its only plate, `plate` */
    public function sceneFile(array $plate): string
    {
        $path = dirname($this->file).'/scene.json';
        file_put_contents($path, json_encode(['aumbrel' => 1, 'title' => 'Composite', 'size' => [$this->columns, $this->rows], 'strips' => [
            [...$plate, 'id' => 'plate', 'kind' => 'plate', 'values' => ['picture' => 'plate.png', ...($plate['values'] ?? [])]],
        ]]));

        return $path;
    }

    /** The picture, as the core reads it. */
    public function picture(): Flat
    {
        $image = new Imagick($this->file);
        $bytes = $image->exportImagePixels(0, 0, $this->columns, $this->rows, 'RGB', Imagick::PIXEL_CHAR);

        return new Flat($this->columns, $this->rows, fn (int $x, int $y): array => array_slice($bytes, 3 * ($y * $this->columns + $x), 3));
    }

    /** @return array{int, int, int, int} of what is there of the subject: left, top, width, height */
    public function box(): array
    {
        return $this->box;
    }

    /** @return array{float, float} a place well inside the subject */
    public function inside(): array
    {
        $deep = Distance::signed($this->alpha, $this->columns, $this->rows, INF, false);
        $at = 0;
        foreach ($this->alpha as $k => $alpha) {
            $at = $alpha > 0.5 && abs($deep[$k]) > ($this->alpha[$at] > 0.5 ? abs($deep[$at]) : 0) ? $k : $at;
        }

        return [$at % $this->columns + 0.5, intdiv($at, $this->columns) + 0.5];
    }

    /**
     * Zigzags down the subject, and lines around it and beside it; nowhere nearer to its edge than so many pixels.
     *
     * @return list<array<string, mixed>>
     */
    public function scribbles(int $away): array
    {
        $columns = intdiv($this->columns, self::GRID);
        $rows = intdiv($this->rows, self::GRID);
        $alpha = [];
        for ($row = 0; $row < $rows; $row++) {
            for ($column = 0; $column < $columns; $column++) {
                $alpha[] = $this->alpha[($row * self::GRID + 2) * $this->columns + $column * self::GRID + 2];
            }
        }
        $distance = Distance::signed($alpha, $columns, $rows);
        $least = ($away + self::BRUSH / 2 + self::GRID) / self::GRID;
        $isFree = fn (int $x, int $y): bool => $distance[$y * $columns + $x] > $least;
        $lines = [];
        $line = [];
        for ($row = 2; $row < $rows; $row += 10) {
            $free = array_values(array_filter(range(0, $columns - 1), fn (int $column): bool => $isFree($column, $row)));
            $place = $free === [] ? null : (count($line) % 2 === 0 ? $free[0] : $free[count($free) - 1]);
            if ($place === null || ($line !== [] && ! $this->isClear($line[count($line) - 1], [$place, $row], $isFree))) {
                $lines[] = $line;
                $line = [];
            }
            if ($place !== null) {
                $line = $line === [] ? [[$free[0], $row], [$free[count($free) - 1], $row]] : [...$line, [$place, $row]];
            }
        }
        $lines = array_filter([...$lines, $line], fn (array $line): bool => count($line) > 1);
        // as a hand would: the foot, and the two longest of the others
        $foot = array_pop($lines);
        usort($lines, fn (array $one, array $other): int => count($other) <=> count($one));
        $strokes = array_map(fn (array $line): array => $this->stroke($line, true), array_filter([...array_slice($lines, 0, 2), $foot]));
        [$left, $top, $wide, $high] = array_map(fn (int $value): int => intdiv($value, self::GRID), $this->box);
        [$x0, $x1] = [max(3, $left - 12), min($columns - 4, $left + $wide + 12)];
        $strokes[] = $this->stroke([[$x0, 3], [$x1, 3], [$x1, $rows - 4], [$x0, $rows - 4], [$x0, 3]], false);
        foreach ([0.18, 0.82] as $share) {
            $x = (int) ($left + $share * $wide);
            $longest = $run = [];
            for ($row = 4; $row < $rows - 4; $row++) {
                $run = $distance[$row * $columns + $x] < -$least ? [...$run, [$x, $row]] : [];
                $longest = count($run) > count($longest) ? $run : $longest;
            }
            if (count($longest) > 4) {
                $strokes[] = $this->stroke([$longest[0], $longest[count($longest) - 1]], false);
            }
        }

        return $strokes;
    }

    /** @param  list<array<string, mixed>>  $strokes */
    public function share(array $strokes): float
    {
        $window = Window::whole($this->columns, $this->rows, 0.25);
        $marks = array_fill(0, $window->columns * $window->rows, 0);
        foreach ($strokes as $stroke) {
            (new Brush(Frame::scene($window)))->mark($marks, Stroke::read($stroke, 'stroke'), 1);
        }

        return array_sum($marks) / count($marks);
    }

    /** Intersection over union of the true alpha and that of a rendered picture. */
    public function overlap(string $file): float
    {
        $found = (new Imagick($file))->exportImagePixels(0, 0, $this->columns, $this->rows, 'A', Imagick::PIXEL_CHAR);

        return $this->overlapOf(array_map(static fn (int $byte): float => $byte / 255, $found));
    }

    /** @param  array<int, float>  $found  0..1 at every pixel */
    public function overlapOf(array $found): float
    {
        $both = $either = 0.0;
        foreach ($this->alpha as $at => $true) {
            $both += min($true, $found[$at]);
            $either += max($true, $found[$at]);
        }

        return $both / $either;
    }

    /** The mean difference of colour from the subject's own where it is half covered. */
    public function fringeError(string $file): float
    {
        $found = (new Imagick($file))->exportImagePixels(0, 0, $this->columns, $this->rows, 'RGBA', Imagick::PIXEL_CHAR);
        $sum = $count = 0;
        foreach ($this->alpha as $at => $true) {
            if ($true > 0.25 && $true < 0.75 && $found[4 * $at + 3] > 50) {
                for ($k = 0; $k < 3; $k++) {
                    $sum += abs($found[4 * $at + $k] - $this->colours[3 * $at + $k]);
                    $count++;
                }
            }
        }

        return $sum / max(1, $count);
    }

    /** @param  list<array{int, int}>  $line */
    private function stroke(array $line, bool $letsIn): array
    {
        return [
            'size' => self::BRUSH, 'hardness' => 100, 'letsIn' => $letsIn,
            'points' => array_map(fn (array $point): array => [$point[0] * self::GRID + 2, $point[1] * self::GRID + 2], $line),
        ];
    }

    /**
     * @param  array{int, int}  $from
     * @param  array{int, int}  $to
     * @param  callable(int, int): bool  $isFree
     */
    private function isClear(array $from, array $to, callable $isFree): bool
    {
        for ($k = 0; $k <= 20; $k++) {
            if (! $isFree((int) round($from[0] + $k / 20 * ($to[0] - $from[0])), (int) round($from[1] + $k / 20 * ($to[1] - $from[1])))) {
                return false;
            }
        }

        return true;
    }

    private static function boardwalk(int $columns, int $rows): Imagick
    {
        $image = new Imagick(base_path('demo/night-market/boardwalk.jpg'));
        $image->resizeImage($columns, $rows, Imagick::FILTER_CATROM, 1);

        return $image;
    }

    private static function wall(int $columns, int $rows): Imagick
    {
        mt_srand(11);
        $bytes = '';
        for ($y = 0; $y < $rows; $y++) {
            for ($x = 0; $x < $columns; $x++) {
                [$u, $v] = [$x / $columns, $y / $rows];
                $light = 0.62 + 0.2 * $u - 0.22 * $v + 0.03 * sin(23 * $u + 7 * $v) * sin(17 * $v - 5 * $u) + (mt_rand(-100, 100) / 100) * 0.025;
                $bytes .= chr((int) max(0, min(255, 118 * $light))).chr((int) max(0, min(255, 142 * $light))).chr((int) max(0, min(255, 104 * $light)));
            }
        }
        $path = Folder::of('walls')."/{$columns}.ppm";
        file_put_contents($path, "P6\n{$columns} {$rows}\n255\n{$bytes}");
        $image = new Imagick($path);
        $image->gaussianBlurImage(0, 0.8);

        return $image;
    }
}
