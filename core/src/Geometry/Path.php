<?php

declare(strict_types=1);

namespace Aumbrel\Core\Geometry;

use Aumbrel\Core\Fault\SceneError;

/**
 * A closed line through points, straight or curved: a side is a cubic Bézier curve when one of the handles at its ends
 * is pulled out. Handles are given from their point.
 *
 * @phpstan-type Node array{at: array{float, float}, in?: array{float, float}, out?: array{float, float}}
 */
final readonly class Path
{
    public const MOST_NODES = 4000;

    /** @param  list<Node>  $nodes */
    private function __construct(public array $nodes)
    {
    }

    public static function none(): self
    {
        return new self([]);
    }

    /** @throws SceneError naming the field */
    public static function read(mixed $raw, string $field): self
    {
        if (! is_array($raw) || ! array_is_list($raw) || count($raw) > self::MOST_NODES) {
            throw SceneError::expected($field, 'a list of at most '.self::MOST_NODES.' points', $raw);
        }
        $nodes = [];
        foreach ($raw as $at => $node) {
            if (! is_array($node)) {
                throw SceneError::expected("{$field}[{$at}]", 'a point {at, in, out}', $node);
            }
            $nodes[] = array_filter([
                'at' => self::pair($node['at'] ?? null, "{$field}[{$at}].at"),
                'in' => isset($node['in']) ? self::pair($node['in'], "{$field}[{$at}].in") : null,
                'out' => isset($node['out']) ? self::pair($node['out'], "{$field}[{$at}].out") : null,
            ]);
        }

        /** @var list<Node> $nodes */
        return new self($nodes);
    }

    public function mirrored(Mirror $mirror): self
    {
        return new self(array_map(static fn (array $node): array => [
            'at' => $mirror->point(new Point(...$node['at']))->toArray(),
            ...(isset($node['in']) ? ['in' => $mirror->way(...$node['in'])] : []), ...(isset($node['out']) ? ['out' => $mirror->way(...$node['out'])] : []),
        ], $this->nodes));
    }

    /** Whether it encloses anything: two points do when a side between them is curved. */
    public function isClosed(): bool
    {
        return count($this->nodes) >= 3 || (count($this->nodes) === 2 && (isset($this->nodes[0]['out']) || isset($this->nodes[0]['in']) || isset($this->nodes[1]['in']) || isset($this->nodes[1]['out'])));
    }

    /**
     * Its corners with curves as short straight pieces, nowhere further off than the tolerance.
     *
     * The number of pieces follows from the curve's second derivative, which is at most six times the longer of the two
     * second differences of its four points: h²/8 of it is the distance of a piece from the curve.
     *
     * @return list<array{float, float}>
     */
    public function flattened(float $tolerance): array
    {
        return array_merge(...array_map(fn (int $k): array => $this->side($k, $tolerance), array_keys($this->nodes)));
    }

    /**
     * The way along its points, from the first to the last, or back to the first.
     *
     * @return list<array{float, float}>
     */
    public function along(float $tolerance, bool $isClosed): array
    {
        $last = count($this->nodes) - 1;
        $sides = array_map(fn (int $k): array => $this->side($k, $tolerance), range(0, max(0, $isClosed ? $last : $last - 1)));

        return $last < 1 ? [] : [...array_merge(...$sides), $this->nodes[$isClosed ? 0 : $last]['at']];
    }

    /**
     * From a point to the next one, which is left out.
     *
     * @return list<array{float, float}>
     */
    private function side(int $k, float $tolerance): array
    {
        $node = $this->nodes[$k];
        $next = $this->nodes[($k + 1) % count($this->nodes)];
        [$x0, $y0] = $node['at'];
        [$x3, $y3] = $next['at'];
        $points = [[$x0, $y0]];
        if (! isset($node['out']) && ! isset($next['in'])) {
            return $points;
        }
        [$x1, $y1] = [$x0 + ($node['out'][0] ?? 0.0), $y0 + ($node['out'][1] ?? 0.0)];
        [$x2, $y2] = [$x3 + ($next['in'][0] ?? 0.0), $y3 + ($next['in'][1] ?? 0.0)];
        $bend = max(hypot($x0 - 2 * $x1 + $x2, $y0 - 2 * $y1 + $y2), hypot($x1 - 2 * $x2 + $x3, $y1 - 2 * $y2 + $y3));
        $pieces = (int) min(500.0, max(1.0, ceil(sqrt(0.75 * $bend / $tolerance))));
        for ($n = 1; $n < $pieces; $n++) {
            $t = $n / $pieces;
            $u = 1 - $t;
            [$a, $b, $c, $d] = [$u ** 3, 3 * $u * $u * $t, 3 * $u * $t * $t, $t ** 3];
            $points[] = [$a * $x0 + $b * $x1 + $c * $x2 + $d * $x3, $a * $y0 + $b * $y1 + $c * $y2 + $d * $y3];
        }

        return $points;
    }

    /** @return list<Node> */
    public function toArray(): array
    {
        return $this->nodes;
    }

    /**
     * @return array{float, float}
     *
     * @throws SceneError
     */
    private static function pair(mixed $raw, string $field): array
    {
        $x = is_array($raw) ? $raw[0] ?? null : null;
        $y = is_array($raw) ? $raw[1] ?? null : null;
        if (! (is_int($x) || is_float($x)) || ! (is_int($y) || is_float($y)) || ! (abs($x) <= Point::FAR && abs($y) <= Point::FAR)) {
            throw SceneError::expected($field, 'two numbers [x, y] in px', $raw);
        }

        return [(float) $x, (float) $y];
    }
}
