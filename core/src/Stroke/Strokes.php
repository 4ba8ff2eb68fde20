<?php

declare(strict_types=1);

namespace Aumbrel\Core\Stroke;

use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Geometry\Mirror;

/** Strokes in the order in which they were painted. */
final readonly class Strokes
{
    public const MOST = 2000;

    /** @param  list<Stroke>  $all */
    public function __construct(public array $all)
    {
    }

    /** @throws SceneError naming the field */
    public static function read(mixed $raw, string $field): self
    {
        if (! is_array($raw) || ! array_is_list($raw) || count($raw) > self::MOST) {
            throw SceneError::expected($field, 'a list of at most '.self::MOST.' strokes', is_array($raw) ? count($raw).' entries' : $raw);
        }

        return new self(array_map(static fn (mixed $stroke, int $at): Stroke => Stroke::read($stroke, "{$field}[{$at}]"), $raw, array_keys($raw)));
    }

    public function mirrored(Mirror $mirror): self
    {
        return new self(array_map(static fn (Stroke $stroke): Stroke => $stroke->mirrored($mirror), $this->all));
    }

    /** @return list<array<string, mixed>|string> */
    public function toArray(): array
    {
        return array_map(static fn (Stroke $stroke): array|string => $stroke->jsonSerialize(), $this->all);
    }
}
