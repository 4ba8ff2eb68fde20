<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

/**
 * How a mask joins the masks before it. The first active one stands alone: it is taken as it is, or what it leaves when it
 * takes away.
 */
enum Join: string
{
    case Intersect = 'intersect';
    case Add = 'add';
    case TakeAway = 'take away';

    /** How the first one joins what is there before any mask: 1 everywhere. */
    public function first(): self
    {
        return $this === self::Add ? self::Intersect : $this;
    }

    /** @return array{class-string, string} of the masks so far and the next one */
    public function formula(): array
    {
        return [self::class, match ($this) {
            self::Intersect => 'intersected',
            self::Add => 'added',
            self::TakeAway => 'takenAway',
        }];
    }

    public static function intersected(float $mask, float $next): float
    {
        return $mask * $next;
    }

    public static function added(float $mask, float $next): float
    {
        return $mask + $next - $mask * $next;
    }

    public static function takenAway(float $mask, float $next): float
    {
        return $mask * (1.0 - $next);
    }

    /**
     * @param  list<float>|null  $before  null when the next one is the first
     * @param  list<float>  $values  of the next one
     * @return list<float>
     */
    public function joined(?array $before, array $values): array
    {
        $join = $before === null ? $this->first() : $this;
        if ($before === null && $join === self::Intersect) {
            return $values;
        }
        $before ??= array_fill(0, count($values), 1.0);
        // a loop each, so that the compiler sees one formula
        if ($join === self::Intersect) {
            foreach ($before as $at => $value) {
                $before[$at] = self::intersected($value, $values[$at]);
            }
        } elseif ($join === self::Add) {
            foreach ($before as $at => $value) {
                $before[$at] = self::added($value, $values[$at]);
            }
        } else {
            foreach ($before as $at => $value) {
                $before[$at] = self::takenAway($value, $values[$at]);
            }
        }

        return $before;
    }
}
