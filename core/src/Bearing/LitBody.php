<?php

declare(strict_types=1);

namespace Aumbrel\Core\Bearing;

use Aumbrel\Core\Color\Clusters;
use Aumbrel\Core\Color\Luma;
use Aumbrel\Core\Picture\Halving;
use Aumbrel\Core\Picture\PictureSource;
use Aumbrel\Core\Picture\Pixels;

/** A cut-out body as light sees it: linear brightness and alpha of each pixel, on a halving that is small enough. */
final readonly class LitBody
{
    /** Pixels are plenty at this size: contours have hundreds of points, and noise averages out. */
    private const MOST_PIXELS = 260_000;

    /** Chromaticities that lie closer than this are one material. */
    private const ALIKE = 0.05;

    private const MOST_MATERIALS = 4;

    private const ROUNDS = 5;

    /** @var list<int> which material each pixel is of */
    public array $materials;

    /**
     * @param  list<float>  $brightness  linear luminance, row after row
     * @param  list<float>  $alpha
     * @param  list<int>|null  $materials
     */
    public function __construct(public array $brightness, public array $alpha, public int $columns, public int $rows, ?array $materials = null)
    {
        $this->materials = $materials ?? array_fill(0, $columns * $rows, 0);
    }

    /** The size of a picture that it is read at. */
    public static function sizeFor(PictureSource $picture): Halving
    {
        return Halving::within($picture, self::MOST_PIXELS);
    }

    /**
     * Of pixels, not premultiplied.
     *
     * @param  list<float>|null  $alpha  instead of the pixels' own
     */
    public static function of(Pixels $pixels, int $columns, int $rows, ?array $alpha = null): self
    {
        [$reds, $greens, $blues] = $pixels->linear();
        $own = $alpha ?? $pixels->alpha();
        $brightness = $chroma = [];
        foreach ($reds as $at => $red) {
            [$green, $blue] = [$greens[$at], $blues[$at]];
            $brightness[] = Luma::of($red, $green, $blue);
            // a grey is added, so that the noise of the darkest tones is no colour
            $sum = $red + $green + $blue + 0.06;
            $chroma[] = [($red + 0.02) / $sum, ($green + 0.02) / $sum];
        }

        return new self($brightness, $own, $columns, $rows, self::materialsOf($chroma, $own));
    }

    /**
     * Materials told apart by their chromaticity, which shading leaves as it is; by repeated assignment to the nearest.
     *
     * @param  list<array{float, float}>  $chroma
     * @param  list<float>  $alpha
     * @return list<int>
     */
    private static function materialsOf(array $chroma, array $alpha): array
    {
        $samples = [];
        $inside = array_keys(array_filter($alpha, static fn (float $value): bool => $value > 0.95));
        for ($k = 0, $n = count($inside), $step = max(1, intdiv($n, 3000)); $k < $n; $k += $step) {
            $samples[] = $chroma[$inside[$k]];
        }
        if ($samples === []) {
            return array_fill(0, count($chroma), 0);
        }
        $means = [[array_sum(array_column($samples, 0)) / count($samples), array_sum(array_column($samples, 1)) / count($samples)]];
        while (count($means) < self::MOST_MATERIALS) {
            $far = array_map(static fn (array $sample): float => min(array_map(static fn (array $mean): float => hypot($sample[0] - $mean[0], $sample[1] - $mean[1]), $means)), $samples);
            $sorted = $far;
            sort($sorted);
            // not the farthest, which is an outlier, but one that a few in a hundred lie beyond
            $reach = $sorted[(int) (0.95 * (count($sorted) - 1))];
            if ($reach < self::ALIKE) {
                break;
            }
            $means[] = $samples[(int) array_search($reach, $far, true)];
            $means = Clusters::settled($samples, $means, self::ROUNDS);
        }
        $materials = [];
        foreach ($chroma as [$x, $y]) {
            $materials[] = Clusters::nearest($x, $y, $means);
        }

        return $materials;
    }
}
