<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\Geometry\Extent;

/**
 * The last picture of a window, row by row, and the plan that it was made by. While a strip is dragged, rows that neither
 * reaches, where it was or where it is, are as they were.
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

    /**
     * What was made of a row, if none of these reaches it.
     *
     * @param  list<Extent>  $changes
     * @return array{T, int}|null
     */
    public function free(int $row, float $y, array $changes): ?array
    {
        foreach ($changes as $extent) {
            if ($extent->span($y) !== null) {
                return null;
            }
        }

        return $this->rows[$row] ?? null;
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
