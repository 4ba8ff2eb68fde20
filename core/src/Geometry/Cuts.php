<?php

declare(strict_types=1);

namespace Aumbrel\Core\Geometry;

use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Input\Fields;

/** Straight edges in the picture that cut something off, each with its softness: what lies to the left, going along it, stays. */
final readonly class Cuts
{
    public const MOST = 4;

    public const SOFTEST = 2000.0;

    /** @param  list<array{line: Line, softness: float}>  $all */
    private function __construct(public array $all)
    {
    }

    public static function none(): self
    {
        return new self([]);
    }

    /** @throws SceneError naming the field */
    public static function read(mixed $raw, string $field): self
    {
        if (! is_array($raw) || ! array_is_list($raw) || count($raw) > self::MOST) {
            throw SceneError::expected($field, 'at most four edges {"from": [x, y], "to": [x, y], "softness": px}', $raw);
        }
        $all = [];
        foreach ($raw as $at => $edge) {
            $fields = new Fields($edge, "{$field}[{$at}]");
            $all[] = ['line' => Line::read([$fields->take('from'), $fields->take('to')], "{$field}[{$at}]"), 'softness' => $fields->number('softness', 0, 0, self::SOFTEST, 'px')];
        }

        return new self($all);
    }

    /** What lay to the left of an edge lies to its right in a mirror: it goes the other way. */
    public function mirrored(Mirror $mirror): self
    {
        return new self(array_map(static fn (array $edge): array => [...$edge, 'line' => Line::read([$mirror->point($edge['line']->to)->toArray(), $mirror->point($edge['line']->from)->toArray()], 'cuts')], $this->all));
    }

    /** @return list<array{from: array{float, float}, to: array{float, float}, softness: float}> */
    public function toArray(): array
    {
        return array_map(static fn (array $edge): array => ['from' => $edge['line']->from->toArray(), 'to' => $edge['line']->to->toArray(), 'softness' => $edge['softness']], $this->all);
    }
}
