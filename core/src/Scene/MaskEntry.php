<?php

declare(strict_types=1);

namespace Aumbrel\Core\Scene;

use Aumbrel\Core\Mask\Join;
use Aumbrel\Core\Mask\MaskKind;
use Aumbrel\Core\Parameter\Values;

/** One mask of a strip: what it is, how it joins the ones before it, whether it is inverted or off for a look. */
final readonly class MaskEntry
{
    /** @param  array<string, mixed>  $unknown fields that nobody knows, kept for the way out */
    public function __construct(
        public string $id,
        public Join $join,
        public bool $inverted,
        public bool $off,
        public MaskKind $mask,
        public Values $values,
        private array $unknown = [],
    ) {
    }

    /** @throws SceneError naming the field */
    public static function read(mixed $raw, string $field): self
    {
        $fields = new Fields($raw, $field);
        $kind = Kinds::mask($fields->take('kind'), "{$field}.kind");
        $values = Values::read($kind::parameters(), $fields->take('values', []), "{$field}.values");
        $join = $fields->take('join', Join::Intersect->value);

        return new self(
            $fields->identifier('id'),
            (is_string($join) ? Join::tryFrom($join) : null) ?? throw SceneError::expected("{$field}.join", 'intersect, add or take away', $join),
            $fields->toggle('inverted', false),
            $fields->toggle('off', false),
            $kind::from($values),
            $values,
            $fields->rest(),
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'id' => $this->id, 'kind' => $this->mask::key(), 'join' => $this->join->value, 'inverted' => $this->inverted,
            'off' => $this->off, 'values' => $this->values->toArray(), ...$this->unknown,
        ];
    }
}
