<?php

declare(strict_types=1);

namespace Aumbrel\Core\CutOut;

use Aumbrel\Core\Geometry\Frame;
use Aumbrel\Core\Raster\Gaussian;

/**
 * A Gaussian that is as wide at each pixel as a length on the plate is there. Where all of the plate is seen at one size that is
 * one blur; in perspective it is read between a few of them, each so many times as wide as the one before.
 */
final readonly class SoftBlur
{
    /** The widths of the blurs, the same in every window: each so many times as wide as the one before. */
    private const STEP = 1.4;

    private const NARROWEST = 0.3;

    /**
     * @param  list<float>  $sigmas  pixels, the narrowest first
     * @param  list<float>|null  $places  between which two of these each pixel lies; null where there is one
     */
    private function __construct(private array $sigmas, private ?array $places, private int $columns, private int $rows)
    {
    }

    /**
     * @param  float  $length  sigma in the plate's pixels
     * @param  float  $widest  pixels
     */
    public static function on(Frame $frame, float $length, float $widest): self
    {
        [$columns, $rows] = [$frame->window->columns, $frame->window->rows];
        if ($frame->isSimilar()) {
            return new self([$length * $frame->pixelsPerUnit()], null, $columns, $rows);
        }
        $places = [];
        for ($row = 0; $row < $rows; $row++) {
            for ($column = 0; $column < $columns; $column++) {
                // of the way back, which is one over the way there
                $back = $frame->fromPixels->scaleAt($column + 0.5, $row + 0.5);
                $sigma = $back > 1e-9 ? min($widest, $length / $back) : $widest;
                $places[] = max(0.0, log($sigma / self::NARROWEST) / log(self::STEP));
            }
        }
        [$first, $last] = [(int) floor(min([INF, ...$places])), (int) ceil(max([0.0, ...$places]))];

        return new self(
            array_map(static fn (int $k): float => self::NARROWEST * self::STEP ** $k, range($first, max($first, $last))),
            array_map(static fn (float $place): float => $place - $first, $places), $columns, $rows,
        );
    }

    /**
     * @param  list<float>  $plane
     * @return list<float>
     */
    public function of(array $plane): array
    {
        $blurred = Gaussian::blur($plane, $this->columns, $this->rows, $this->sigmas[0]);
        if ($this->places === null) {
            return $blurred;
        }
        $out = $blurred;
        foreach (array_slice($this->sigmas, 1) as $k => $sigma) {
            $wider = Gaussian::blur($plane, $this->columns, $this->rows, $sigma);
            foreach ($this->places as $at => $place) {
                if ($place > $k && $place <= $k + 1) {
                    $out[$at] = $blurred[$at] + ($place - $k) * ($wider[$at] - $blurred[$at]);
                }
            }
            $blurred = $wider;
        }

        /** @var list<float> $out changed only where it had values already */
        return $out;
    }
}
