<?php

declare(strict_types=1);

namespace App\Scenes;

use Aumbrel\Core\Stroke\Stroke;
use Closure;
use Illuminate\Support\Facades\DB;
use LogicException;

/**
 * The strokes of a scene in rows of their own. Masks and edits name a stroke by a hash of what it is, so that a mask of
 * three hundred strokes is not written down, sent and read again with each edit and each draft.
 */
final class StrokeShelf
{
    /** Keys in one question to the database. */
    private const AT_ONCE = 500;

    /** @var array<array-key, Stroke>|null by key: strokes of which nothing but the name is known */
    private ?array $named = null;

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
        $put = self::each($fields, static function (mixed $stroke) use (&$rows): mixed {
            if (! is_array($stroke)) {
                return $stroke;
            }
            $json = json_encode($stroke, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION);
            $key = hash('xxh128', $json);
            $rows[$key] = ['stroke' => $json, 'lets_in' => ($stroke['letsIn'] ?? $stroke['reveals'] ?? true) !== false];

            return $key;
        });
        foreach ($rows as $key => $row) {
            DB::table('strokes')->insertOrIgnore(['scene_id' => $this->sceneId, 'key' => (string) $key] + $row);
        }

        return $put;
    }

    /**
     * Strokes that are known by name in the place of their keys; keys that are none stay.
     *
     * @param  array<mixed>  $fields
     * @return array<mixed>
     */
    public function named(array $fields): array
    {
        return self::each($fields, fn (mixed $key): mixed => is_string($key) ? $this->all()[$key] ?? $key : $key);
    }

    /**
     * The strokes themselves in the place of their keys.
     *
     * @param  array<mixed>  $fields
     * @return array<mixed>
     */
    public function take(array $fields): array
    {
        $texts = $this->texts(self::keys($fields));
        /** @var array<array-key, mixed> $read a stroke that stands in several places is read once */
        $read = [];

        return self::each($fields, static function (mixed $stroke) use ($texts, &$read): mixed {
            $key = $stroke instanceof Stroke ? (string) $stroke->name : $stroke;

            return is_string($key) ? $read[$key] ??= json_decode($texts[$key] ?? throw new LogicException("stroke {$key} is missing"), true, 16, JSON_THROW_ON_ERROR) : $key;
        });
    }

    /**
     * What strokes are, as JSON.
     *
     * @param  list<string>  $keys
     * @return array<array-key, string> by key
     */
    public function texts(array $keys): array
    {
        $texts = [];
        foreach (array_chunk($keys, self::AT_ONCE) as $some) {
            /** @var array<array-key, string> $found */
            $found = DB::table('strokes')->where('scene_id', $this->sceneId)->whereIn('key', $some)->pluck('stroke', 'key')->all();
            $texts += $found;
        }

        return $texts;
    }

    /**
     * The keys in the place of strokes.
     *
     * @param  array<mixed>  $fields
     * @return list<string>
     */
    public static function keys(array $fields): array
    {
        $keys = [];
        self::each($fields, static function (mixed $stroke) use (&$keys): mixed {
            $key = $stroke instanceof Stroke ? $stroke->name : $stroke;
            if (is_string($key)) {
                $keys[$key] = true;
            }

            return $stroke;
        });

        return array_map(strval(...), array_keys($keys));
    }

    /**
     * Fields with what stands in the place of strokes changed.
     *
     * @param  array<mixed>  $fields
     * @param  Closure(mixed): mixed  $change
     * @return array<mixed>
     */
    public static function each(array $fields, Closure $change): array
    {
        foreach ($fields as $name => $value) {
            if ($name === 'strokes' && is_array($value) && array_is_list($value)) {
                $fields[$name] = array_map($change, $value);
            } elseif (is_array($value)) {
                $fields[$name] = self::each($value, $change);
            }
        }

        return $fields;
    }

    /** @return array<array-key, Stroke> */
    private function all(): array
    {
        if ($this->named === null) {
            $this->named = [];
            foreach (DB::table('strokes')->where('scene_id', $this->sceneId)->pluck('lets_in', 'key') as $key => $letsIn) {
                $this->named[$key] = Stroke::named((string) $key, (bool) $letsIn);
            }
        }

        return $this->named;
    }
}
