<?php

declare(strict_types=1);

namespace Aumbrel\Core\Stage;

use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Input\Fields;
use Aumbrel\Core\Value\Unit;
use Aumbrel\Core\Value\Values;

/** A lamp or a sun of a scene, that strips can hang on: with its name, its level, and whether it is out. */
final readonly class SceneSource
{
    public const KINDS = [Lamp::class, Sun::class];

    /** Before its id where things of a scene are named, so that it is not taken for a strip. */
    public const NAMED = 'source:';

    public const MOST = 60;

    /**
     * @param  float  $level  stops
     * @param  array<string, mixed>  $unknown
     */
    private function __construct(public string $id, public string $name, public Source $kind, public Values $values, public float $level, public bool $muted, private array $unknown)
    {
    }

    /** @throws SceneError naming the field */
    public static function read(mixed $raw, string $field): self
    {
        $fields = new Fields($raw, $field);
        $id = $fields->identifier('id');
        $kind = self::kindOf($fields->take('kind'), "{$field}.kind");
        if ($fields->has('source')) {
            throw new SceneError("{$field}.source", 'a source hangs on nothing: strips hang on it');
        }
        $values = Values::read($kind::parameters(), $fields->take('values', []), "{$field}.values");

        return new self($id, $fields->text('name', $kind::label(), 80), $kind::from($values), $values,
            $fields->number('level', 0, Unit::LEAST_LEVEL, Unit::MOST_LEVEL, 'stops'), $fields->toggle('muted', false), $fields->rest());
    }

    /**
     * @param  list<mixed>  $raw
     * @return list<self>
     *
     * @throws SceneError naming the field
     */
    public static function readAll(array $raw, string $field): array
    {
        $all = [];
        foreach ($raw as $at => $entry) {
            $source = self::read($entry, "{$field}[{$at}]");
            if (isset($all[$source->id])) {
                throw new SceneError($field, "two sources have the id \"{$source->id}\"");
            }
            $all[$source->id] = $source;
        }

        return array_values($all);
    }

    /**
     * @return class-string<Source>
     *
     * @throws SceneError naming $field
     */
    public static function kindOf(mixed $key, string $field): string
    {
        foreach (self::KINDS as $kind) {
            if ($kind::key() === $key) {
                return $kind;
            }
        }
        throw SceneError::expected($field, 'one of '.implode(', ', array_map(static fn (string $kind): string => $kind::key(), self::KINDS)), $key);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['id' => $this->id, 'kind' => $this->kind::key(), 'name' => $this->name, 'level' => $this->level, 'muted' => $this->muted, 'values' => (object) $this->values->toArray()] + $this->unknown;
    }
}
