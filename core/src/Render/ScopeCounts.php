<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\Color\Luma;
use Aumbrel\Core\Color\Oklab;
use Aumbrel\Core\Color\Srgb;

/** What scopes draw, counted on the pixels of a picture; those that are not there are left out. */
final class ScopeCounts
{
    /** Classes of tones, and of the places across. */
    public const TONES = 64;

    public const ACROSS = 96;

    /** Places along each side of the plane of chroma, and how far it reaches in Oklab. */
    public const CHROMA = 48;

    public const REACH = 0.32;

    /**
     * @param  string  $bytes  red, green, blue, alpha
     * @return array{luma: list<int>, colours: list<string>, red: list<int>, green: list<int>, blue: list<int>, wave: list<list<int>>, chroma: list<list<int>>, clipped: float, black: float, brightest: array{float, float, float}|null}
     *   how many pixels have each class of tone, and the mean colour of those that do; for each place across how many have each tone; for each row of Oklab's b, from blue
     *   to yellow, how many have each a, from green to red; shares of what clips and of what is black; place (0..1) and luma of the brightest spot
     */
    public static function of(string $bytes, int $columns, int $rows): array
    {
        $histograms = array_fill(0, 4, array_fill(0, self::TONES, 0));
        $sums = array_fill(0, self::TONES, [0, 0, 0]);
        $wave = array_fill(0, self::ACROSS, array_fill(0, self::TONES, 0));
        $chroma = array_fill(0, self::CHROMA, array_fill(0, self::CHROMA, 0));
        $linear = Srgb::bytesDecoded();
        $lumas = [];
        [$all, $clipped, $black, $at] = [0, 0, 0, -1];
        foreach (unpack('V*', $bytes) ?: [] as $pixel) {
            if (! is_int($pixel)) {
                $pixel = 0;
            }
            $at++;
            if ($pixel >> 24 === 0) {
                $lumas[] = 0.0;

                continue;
            }
            [$r, $g, $b] = [$pixel & 255, $pixel >> 8 & 255, $pixel >> 16 & 255];
            $luma = Luma::of($r, $g, $b);
            $lumas[] = $luma;
            $all++;
            $clipped += max($r, $g, $b) === 255 ? 1 : 0;
            $black += max($r, $g, $b) === 0 ? 1 : 0;
            foreach ([$luma, $r, $g, $b] as $which => $value) {
                $histograms[$which][(int) ($value * self::TONES / 256)]++;
            }
            $tone = (int) ($luma * self::TONES / 256);
            $sums[$tone] = [$sums[$tone][0] + $r, $sums[$tone][1] + $g, $sums[$tone][2] + $b];
            $wave[intdiv($at % $columns * self::ACROSS, $columns)][$tone]++;
            [, $a, $yellow] = Oklab::ofLinear($linear[$r], $linear[$g], $linear[$b]);
            $chroma[self::class($yellow)][self::class($a)]++;
        }

        /** @var non-empty-list<list<int>> $histograms changed only where they had values already
         * @var list<list<int>> $wave
         * @var list<list<int>> $chroma */
        return [
            'luma' => $histograms[0], 'colours' => self::means($sums, $histograms[0]), 'red' => $histograms[1], 'green' => $histograms[2], 'blue' => $histograms[3], 'wave' => $wave, 'chroma' => $chroma,
            'clipped' => $all === 0 ? 0.0 : $clipped / $all, 'black' => $all === 0 ? 0.0 : $black / $all, 'brightest' => $all === 0 ? null : self::brightest($lumas, $columns, $rows),
        ];
    }

    /**
     * @param  array<int, array{int, int, int}>  $sums
     * @param  list<int>  $counts
     * @return list<string> a grey of the tone where nothing has it
     */
    private static function means(array $sums, array $counts): array
    {
        $means = [];
        foreach ($counts as $tone => $count) {
            $grey = (int) (($tone + 0.5) * 256 / self::TONES);
            $mean = $count === 0 ? [$grey, $grey, $grey] : array_map(static fn (int $sum): int => (int) round($sum / $count), $sums[$tone] ?? [0, 0, 0]);
            $means[] = sprintf('#%02x%02x%02x', ...$mean);
        }

        return $means;
    }

    private static function class(float $value): int
    {
        return max(0, min(self::CHROMA - 1, (int) (($value + self::REACH) / (2 * self::REACH) * self::CHROMA)));
    }

    /**
     * @param  list<float>  $lumas  0..255
     * @return array{float, float, float}
     */
    private static function brightest(array $lumas, int $columns, int $rows): array
    {
        [$at, $most] = Brightest::of($lumas, $columns, $rows);

        return [($at % $columns + 0.5) / $columns, (intdiv($at, $columns) + 0.5) / $rows, $most / 255];
    }
}
