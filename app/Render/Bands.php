<?php

declare(strict_types=1);

namespace App\Render;

/**
 * How a picture is divided: into two when it is quickly done, one for each of two processes; into many when it is long,
 * small ones first, so that something can be seen soon, and larger ones behind, so that little is worked out twice at
 * their borders.
 */
final class Bands
{
    /** Pictures with fewer pixels are not worth dividing. */
    private const WORTH_DIVIDING = 60_000;

    private const PROCESSES = 2;

    /** Work is counted in pixels times strips and masks; more than this takes about a second. */
    private const LONG = 40_000_000;

    private const FIRST = 1_500_000;

    private const LARGEST = 12_000_000;

    /** @return list<int> heights in rows, from the top */
    public static function heights(int $columns, int $rows, int $parts, bool $isDraft): array
    {
        if ($columns * $rows < self::WORTH_DIVIDING) {
            return [$rows];
        }
        if ($isDraft || $columns * $rows * $parts < self::LONG) {
            return self::divided($rows, array_fill(0, self::PROCESSES, (int) ceil($rows / self::PROCESSES)));
        }
        $heights = [];
        for ($work = self::FIRST; array_sum($heights) < $rows; $work = min(self::LARGEST, $work * 2)) {
            $height = max(1, intdiv($work, $columns * $parts));
            array_push($heights, ...array_fill(0, self::PROCESSES, $height));
        }

        return self::divided($rows, $heights);
    }

    /**
     * @param  list<int>  $heights
     * @return list<int>
     */
    private static function divided(int $rows, array $heights): array
    {
        $bands = [];
        foreach ($heights as $height) {
            $height = min($height, $rows);
            if ($height > 0) {
                $bands[] = $height;
                $rows -= $height;
            }
        }

        return $bands;
    }
}
