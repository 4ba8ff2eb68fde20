<?php

declare(strict_types=1);

namespace Aumbrel\Core\CutOut;

/** How near each pixel is to the strokes on the subject and to those on the background, on ways that avoid edges. */
final class Nearness
{
    /** What a step costs where nothing changes; an edge costs up to 1 more. */
    private const STEP = 0.02;

    private const ROUNDS = 3;

    /** Keeps what is as near to both undecided. */
    private const UNDECIDED = 0.01;

    /**
     * 1 where a stroke on the subject is nearer than one on the background, on ways that avoid edges; 0 the other way.
     * Two sweeps there and back, twice: Toivanen, *New geodesic distance transforms for gray-scale images* (1996).
     *
     * @param  array<int, int>  $marks
     * @param  array<int, float>  $right
     * @param  array<int, float>  $down
     * @return array<int, float>
     */
    public static function of(Colours $colours, array $marks, array $right, array $down): array
    {
        [$columns, $rows] = [$colours->columns, $colours->rows];
        $distances = [];
        foreach ([Segmentation::SUBJECT, Segmentation::BACKGROUND] as $wanted) {
            $far = [];
            foreach ($marks as $mark) {
                $far[] = $mark === $wanted ? 0.0 : 1e9;
            }
            for ($round = 0; $round < self::ROUNDS; $round++) {
                for ($row = 0, $at = 0; $row < $rows; $row++) {
                    for ($column = 0; $column < $columns; $column++, $at++) {
                        $value = $far[$at];
                        if ($column > 0 && ($by = $far[$at - 1] + self::STEP + 1.0 - $right[$at - 1]) < $value) {
                            $value = $by;
                        }
                        if ($row > 0 && ($by = $far[$at - $columns] + self::STEP + 1.0 - $down[$at - $columns]) < $value) {
                            $value = $by;
                        }
                        $far[$at] = $value;
                    }
                }
                for ($row = $rows - 1, $at = $columns * $rows - 1; $row >= 0; $row--) {
                    for ($column = $columns - 1; $column >= 0; $column--, $at--) {
                        $value = $far[$at];
                        if ($column + 1 < $columns && ($by = $far[$at + 1] + self::STEP + 1.0 - $right[$at]) < $value) {
                            $value = $by;
                        }
                        if ($row + 1 < $rows && ($by = $far[$at + $columns] + self::STEP + 1.0 - $down[$at]) < $value) {
                            $value = $by;
                        }
                        $far[$at] = $value;
                    }
                }
            }
            $distances[] = $far;
        }
        $near = [];
        foreach ($distances[0] as $at => $subject) {
            $background = $distances[1][$at];
            $near[] = ($background + self::UNDECIDED) / ($subject + $background + 2 * self::UNDECIDED);
        }

        return $near;
    }
}
