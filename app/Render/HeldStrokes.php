<?php

declare(strict_types=1);

namespace App\Render;

use App\Scenes\StrokeShelf;
use Aumbrel\Core\Stroke\Stroke;

/** The strokes that a process has been told, by name, so that a scene only has to name them. */
final class HeldStrokes
{
    /** Points that are held; what the scene of the moment does not use goes first. */
    private const MOST_POINTS = 1_000_000;

    /** @var array<array-key, Stroke> */
    private array $held = [];

    private int $points = 0;

    /** @param  array<array-key, string>  $texts  strokes as JSON, by name */
    public function hold(array $texts): void
    {
        foreach ($texts as $key => $text) {
            if (! isset($this->held[$key])) {
                $stroke = Stroke::read(json_decode($text, true, 16, JSON_THROW_ON_ERROR), "stroke {$key}");
                $this->held[$key] = $stroke;
                $this->points += count($stroke->points);
            }
        }
    }

    /**
     * A scene with its strokes in the place of their names.
     *
     * @param  array<string, mixed>  $fields  the document
     * @return array<string, mixed>
     *
     * @throws StrokesMissing
     */
    public function in(array $fields): array
    {
        $keys = StrokeShelf::keys($fields);
        $missing = array_values(array_filter($keys, fn (string $key): bool => ! isset($this->held[$key])));
        if ($missing !== []) {
            throw new StrokesMissing($missing);
        }
        if ($this->points > self::MOST_POINTS) {
            $this->held = array_intersect_key($this->held, array_flip($keys));
            $this->points = array_sum(array_map(static fn (Stroke $stroke): int => count($stroke->points), $this->held));
        }

        /** @var array<string, mixed> */
        return StrokeShelf::each($fields, fn (mixed $stroke): mixed => match (true) {
            is_string($stroke) => $this->held[$stroke],
            $stroke instanceof Stroke => $this->held[(string) $stroke->name],
            default => $stroke,
        });
    }
}
