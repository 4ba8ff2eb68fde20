<?php

declare(strict_types=1);

namespace App\Scenes;

use Illuminate\Support\Facades\DB;
use LogicException;

/**
 * The strokes of a scene in rows of their own. Masks and edits name a stroke by a hash of what it is, so that a mask of
 * two hundred strokes is not written down again with each edit.
 */
final class StrokeShelf
{
    /** @var array<string, mixed>|null by key */
    private ?array $all = null;

    public function __construct(private readonly string $sceneId)
    {
    }

    /**
     * Strokes in their rows, and their keys in their place.
     *
     * @param  array<mixed>  $fields  of a strip, a mask, or a part of a scene
     * @return array<mixed>
     */
    public function put(array $fields): array
    {
        $rows = [];
        $put = $this->each($fields, static function (mixed $stroke) use (&$rows): mixed {
            if (! is_array($stroke)) {
                return $stroke;
            }
            $json = json_encode($stroke, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION);
            $key = hash('xxh128', $json);
            $rows[$key] = $json;

            return $key;
        });
        foreach ($rows as $key => $json) {
            DB::table('strokes')->insertOrIgnore(['scene_id' => $this->sceneId, 'key' => (string) $key, 'stroke' => $json]);
        }

        return $put;
    }

    /**
     * The strokes themselves in the place of their keys.
     *
     * @param  array<mixed>  $fields
     * @return array<mixed>
     */
    public function take(array $fields): array
    {
        return $this->each($fields, fn (mixed $key): mixed => is_string($key) ? $this->stroke($key) : $key);
    }

    private function stroke(string $key): mixed
    {
        $this->all ??= array_map(
            static fn (string $json): mixed => json_decode($json, true, 16, JSON_THROW_ON_ERROR),
            DB::table('strokes')->where('scene_id', $this->sceneId)->pluck('stroke', 'key')->all(),
        );

        return $this->all[$key] ?? throw new LogicException("stroke {$key} is missing");
    }

    /**
     * @param  array<mixed>  $fields
     * @param  callable(mixed): mixed  $change
     * @return array<mixed>
     */
    private function each(array $fields, callable $change): array
    {
        foreach ($fields as $name => $value) {
            if ($name === 'strokes' && is_array($value) && array_is_list($value)) {
                $fields[$name] = array_map($change, $value);
            } elseif (is_array($value)) {
                $fields[$name] = $this->each($value, $change);
            }
        }

        return $fields;
    }
}
