<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\Geometry\Extent;

/**
 * The last picture of a window, row by row, and the plan that it was made by. While a strip is dragged, what it does not
 * reach, neither where it was nor where it is, is as it was.
 *
 * @template T what is made of a row
 */
final class LastPicture
{
    /** @var array<int, array{T, int}> what was made of each row, and its clipped pixels */
    private array $rows = [];

    public function __construct(private readonly Plan $plan)
    {
    }

    /** @param  T  $made */
    public function put(int $row, mixed $made, int $clipped): void
    {
        $this->rows[$row] = [$made, $clipped];
    }

    /** @return array{T, int}|null what was made of a row, and its clipped pixels */
    public function row(int $row): ?array
    {
        return $this->rows[$row] ?? null;
    }

    /**
     * The stretch of a level line that these reach.
     *
     * @param  list<Extent>  $changes
     * @return array{float, float} from x and to x, which may be infinite; nothing where the second is below the first
     */
    public static function reached(array $changes, float $y): array
    {
        [$from, $to] = [INF, -INF];
        foreach ($changes as $extent) {
            $span = $extent->span($y);
            if ($span !== null) {
                [$from, $to] = [min($from, $span[0]), max($to, $span[1])];
            }
        }

        return [$from, $to];
    }

    /**
     * Where the passes that differ have, or had, anything to do; null when that cannot be told, or is everywhere.
     *
     * @return list<Extent>|null
     */
    public function changesTo(Plan $plan): ?array
    {
        if (count($plan->passes) !== count($this->plan->passes) || $plan->results !== $this->plan->results) {
            return null;
        }
        $extents = [];
        foreach ($plan->passes as $at => $pass) {
            $before = $this->plan->passes[$at];
            if ($pass->key() === $before->key()) {
                continue;
            }
            [$now, $then] = [$pass->extents(), $before->extents()];
            if ($now === null || $then === null) {
                return null;
            }
            array_push($extents, ...$now, ...$then);
        }

        return $extents;
    }
}
