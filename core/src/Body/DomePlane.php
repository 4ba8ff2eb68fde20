<?php

declare(strict_types=1);

namespace Aumbrel\Core\Body;

use Aumbrel\Core\CutOut\Pieces;
use Aumbrel\Core\CutOut\PlateOutline;
use Aumbrel\Core\CutOut\WholeShape;
use Aumbrel\Core\Kernel\Plane;
use Aumbrel\Core\Kernel\Planes;
use Aumbrel\Core\Picture\Halving;
use Aumbrel\Core\Raster\Membrane;

/**
 * A plate's form as its outline tells it: a membrane over it, in the plate's own picture or one of its halvings. Holes of some
 * size stay open. Worked out once for the plate, wherever it stands, and kept for all processes.
 */
final readonly class DomePlane implements Plane
{
    /** Holes of less than this share of the outline's area are filled. */
    private const OPEN = 0.005;

    /** Raised when it is worked out in another way. */
    private const WAY = 1;

    public Halving $size;

    private WholeShape $shape;

    public function __construct(private PlateOutline $outline)
    {
        $this->shape = new WholeShape($outline->picture, $outline->masks);
        $this->size = $this->shape->size;
    }

    /** By hand: it also names a file that is kept, by the way in which it was worked out. */
    public function key(): string
    {
        return 'dome '.self::WAY." {$this->shape->key()} ".(int) $this->outline->edge->fillInside;
    }

    /** @return list<float> three for each pixel: the membrane's height, its slopes to the right and down */
    public function fill(Planes $planes): array
    {
        $length = 12 * $this->size->columns * $this->size->rows;
        $bytes = $planes->found($this->key(), 'whole', fn (): string => $this->worked($planes));
        // what was kept is damaged
        if (strlen($bytes) !== $length) {
            $bytes = $this->worked($planes);
        }
        /** @var array<int, float> $values */
        $values = unpack('g*', $bytes);

        return array_values($values);
    }

    private function worked(Planes $planes): string
    {
        [$columns, $rows] = [$this->size->columns, $this->size->rows];
        $membrane = Membrane::over(self::withoutHoles($planes->numbers($this->shape), $columns, $rows, $this->outline->edge->fillInside), $columns, $rows);
        $bytes = '';
        foreach ($membrane->heights as $at => $height) {
            $bytes .= pack('g3', $height, $membrane->across[$at], $membrane->down[$at]);
        }

        return $bytes;
    }

    /**
     * @param  list<float>  $shape
     * @param  bool  $all  whether large ones are filled too
     * @return list<float>
     */
    private static function withoutHoles(array $shape, int $columns, int $rows, bool $all): array
    {
        $outside = array_map(static fn (float $is): float => 1 - $is, $shape);
        $largest = $all ? INF : self::OPEN * count(array_filter($shape, static fn (float $is): bool => $is >= 0.5));
        $sizes = $open = [];
        $runs = Pieces::runs($outside, $columns, $rows, 0.5);
        foreach ($runs as [$first, $end, $piece]) {
            $sizes[$piece] = ($sizes[$piece] ?? 0) + $end - $first;
            $open[$piece] = ($open[$piece] ?? false) || $first < $columns || $first >= ($rows - 1) * $columns || $first % $columns === 0 || $end % $columns === 0;
        }
        foreach ($runs as [$first, $end, $piece]) {
            if (! $open[$piece] && $sizes[$piece] < $largest) {
                // with what is half covered at its ends
                for ($at = max(0, $first - 1), $last = min(count($shape), $end + 1); $at < $last; $at++) {
                    $shape[$at] = 1.0;
                }
            }
        }

        /** @var list<float> $shape changed only where it had values already */
        return $shape;
    }
}
