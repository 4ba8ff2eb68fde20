<?php

declare(strict_types=1);

namespace Aumbrel\Core\Stroke;

use Aumbrel\Core\Color\Luma;
use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Picture\Halving;
use Aumbrel\Core\Picture\PictureSource;
use Aumbrel\Core\Picture\Pixels;
use Aumbrel\Core\Raster\Noise;

/** The greys of an irregular tip, over the square round the stamp, in several sizes so that small stamps do not flicker. */
final readonly class TipGrid
{
    /** The side of a tip that is made of a picture. */
    public const SIDE = 32;

    private const FINEST = 64;

    private const COARSEST = 4;

    /** Pixels of a picture that are looked at. */
    private const SAMPLED = 262_144;

    private const HAIRS = 30;

    private const DROPS = 130;

    /** So many a process keeps: a file may have as many as it has strokes. */
    private const MOST = 32;

    /** @param  non-empty-list<list<float>>  $levels  the finest first, each half as wide as the one before */
    private function __construct(private array $levels)
    {
    }

    /** Null of a tip that is no grid. */
    public static function of(Stroke $stroke): ?self
    {
        /** @var array<string, self> $made */
        static $made = [];
        if (! $stroke->tip->isGrid()) {
            return null;
        }
        if (count($made) > self::MOST) {
            $made = [];
        }
        $key = $stroke->tip === Tip::Picture ? (string) $stroke->grid : "{$stroke->tip->value} {$stroke->seed}";

        return $made[$key] ??= new self(self::halved(match ($stroke->tip) {
            Tip::Chalk => self::chalk($stroke->seed),
            Tip::Bristles => self::spots(self::hairs($stroke->seed)),
            Tip::Spray => self::spots(self::drops($stroke->seed)),
            default => self::unpacked((string) $stroke->grid),
        }));
    }

    /**
     * The greys for a stamp of a radius in pixels.
     *
     * @return array{list<float>, int} row after row, and the side
     */
    public function level(float $radius): array
    {
        foreach ($this->levels as $values) {
            $side = (int) sqrt(count($values));
            if ($side <= 2.0 * $radius) {
                break;
            }
        }

        return [$values, $side];
    }

    /**
     * Checks the grid of a tip that is made of a picture: 32 by 32 bytes, in base64.
     *
     * @throws SceneError naming the field
     */
    public static function check(mixed $raw, string $field): string
    {
        $bytes = is_string($raw) ? base64_decode($raw, true) : false;
        if ($bytes === false || strlen($bytes) !== self::SIDE ** 2) {
            throw SceneError::expected($field, self::SIDE.' by '.self::SIDE.' bytes of grey in base64', is_string($raw) ? strlen($raw).' characters' : $raw);
        }
        if (trim($bytes, "\0") === '') {
            throw new SceneError($field, 'is black throughout: a brush with it would leave nothing');
        }

        return base64_encode($bytes);
    }

    /**
     * The grid of a picture: its brightness times its alpha, as large as it goes into the square.
     *
     * @return string in base64
     *
     * @throws SceneError when nothing in it is bright
     */
    public static function ofPicture(PictureSource $picture): string
    {
        $halving = Halving::within($picture, self::SAMPLED);
        $pixels = new Pixels($halving->pixels($picture), $picture->bits());
        [$reds, $greens, $blues] = $pixels->channels();
        $alphas = $pixels->alpha();
        $longer = max($halving->columns, $halving->rows);
        [$left, $top] = [($longer - $halving->columns) / 2, ($longer - $halving->rows) / 2];
        $sums = array_fill(0, self::SIDE ** 2, 0.0);
        $counts = array_fill(0, self::SIDE ** 2, 0);
        foreach ($alphas as $at => $alpha) {
            $column = (int) (($at % $halving->columns + $left) * self::SIDE / $longer);
            $row = (int) ((intdiv($at, $halving->columns) + $top) * self::SIDE / $longer);
            $sums[$row * self::SIDE + $column] += $alpha * Luma::of($reds[$at], $greens[$at], $blues[$at]);
            $counts[$row * self::SIDE + $column]++;
        }
        $bytes = array_map(static fn (float $sum, int $count): string => chr((int) round(255 * min(1.0, $sum / max(1, $count)))), $sums, $counts);

        return self::check(base64_encode(implode('', $bytes)), 'picture');
    }

    /** @return list<float> */
    private static function unpacked(string $grid): array
    {
        return array_map(static fn (string $byte): float => ord($byte) / 255, str_split((string) base64_decode($grid, true)));
    }

    /** @return list<float> */
    private static function chalk(int $seed): array
    {
        $values = [];
        for ($at = 0; $at < self::FINEST ** 2; $at++) {
            [$u, $v] = self::place($at);
            $grain = Noise::gradient(5 * $u, 5 * $v, $seed) + 0.6 * Noise::gradient(12 * $u, 12 * $v, $seed + 1);
            $share = max(0.0, min(1.0, ($grain + 0.2) / 0.4));
            $values[] = $share * $share * (3 - 2 * $share);
        }

        return $values;
    }

    /** @return list<array{float, float, float, float}> place, radius and strength of each */
    private static function hairs(int $seed): array
    {
        $hairs = [];
        for ($k = 0; $k < self::HAIRS; $k++) {
            [$far, $turn, $wide, $strong] = self::four($seed, $k);
            $hairs[] = [0.9 * sqrt($far) * cos(2 * M_PI * $turn), 0.9 * sqrt($far) * sin(2 * M_PI * $turn), 0.05 + 0.07 * $wide, 0.35 + 0.65 * $strong];
        }

        return $hairs;
    }

    /** @return list<array{float, float, float, float}> */
    private static function drops(int $seed): array
    {
        $drops = [];
        for ($k = 0; $k < self::DROPS; $k++) {
            [$far, $turn, $wide, $strong] = self::four($seed, $k);
            $drops[] = [0.95 * $far * cos(2 * M_PI * $turn), 0.95 * $far * sin(2 * M_PI * $turn), 0.02 + 0.05 * $wide ** 2, 0.5 + 0.5 * $strong];
        }

        return $drops;
    }

    /** @return array{float, float, float, float} by chance, 0..1 */
    private static function four(int $seed, int $k): array
    {
        $by = static fn (int $what): float => Noise::at($k, $what, $seed) / 2 ** 32;

        return [$by(0), $by(1), $by(2), $by(3)];
    }

    /**
     * Round spots with soft edges, each where it is strongest.
     *
     * @param  list<array{float, float, float, float}>  $spots
     * @return list<float>
     */
    private static function spots(array $spots): array
    {
        $values = array_fill(0, self::FINEST ** 2, 0.0);
        foreach ($spots as [$x, $y, $radius, $strength]) {
            $reach = (int) ceil($radius * self::FINEST / 2) + 1;
            [$column, $row] = [(int) (($x + 1) * self::FINEST / 2), (int) (($y + 1) * self::FINEST / 2)];
            for ($j = max(0, $row - $reach); $j <= min(self::FINEST - 1, $row + $reach); $j++) {
                for ($i = max(0, $column - $reach); $i <= min(self::FINEST - 1, $column + $reach); $i++) {
                    [$u, $v] = self::place($j * self::FINEST + $i);
                    $share = max(0.0, min(1.0, 1.5 * (1 - hypot($u - $x, $v - $y) / $radius)));
                    $values[$j * self::FINEST + $i] = max($values[$j * self::FINEST + $i], $strength * $share * $share * (3 - 2 * $share));
                }
            }
        }

        /** @var list<float> $values changed only where it had values already */
        return $values;
    }

    /** @return array{float, float} of a grey of the finest grid, -1..1 */
    private static function place(int $at): array
    {
        return [2 * ($at % self::FINEST + 0.5) / self::FINEST - 1, 2 * (intdiv($at, self::FINEST) + 0.5) / self::FINEST - 1];
    }

    /**
     * @param  list<float>  $values
     * @return non-empty-list<list<float>> with each halving, down to the coarsest
     */
    private static function halved(array $values): array
    {
        $levels = [$values];
        for ($side = (int) sqrt(count($values)); $side > self::COARSEST; $side = intdiv($side, 2)) {
            $half = [];
            for ($row = 0; $row < $side; $row += 2) {
                for ($column = 0; $column < $side; $column += 2) {
                    $at = $row * $side + $column;
                    $half[] = ($values[$at] + $values[$at + 1] + $values[$at + $side] + $values[$at + $side + 1]) / 4;
                }
            }
            $levels[] = $values = $half;
        }

        return $levels;
    }
}
