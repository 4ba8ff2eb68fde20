<?php

declare(strict_types=1);

namespace Aumbrel\Core\Value;

/**
 * One value that a strip or a mask has: its name in the scene file, its words on the bench, and its type with unit and range.
 *
 * This is the only place where a value's range stands: reading a scene file, checking a request, drawing the bench and the
 * schema all go by it.
 */
final readonly class Parameter
{
    /** The section of values that say how something lies in the scene. */
    private const PLACING = 'placing';

    /** What the interface is told of types that have none of these. */
    private const PLAIN = ['unit' => '', 'least' => 0, 'most' => 0, 'step' => 1, 'choices' => []];

    /**
     * @param  mixed  $default  null when a scene must give it, or when it is optional
     * @param  array<string, list<string>>  $shownWhen  the choices of other parameters under which this one has a meaning
     * @param  string  $whenEmpty  what the bench says while there is no value
     * @param  string|null  $former  what files called it before
     * @param  string  $says  what it does in light, where {@see Words} does not say it
     */
    public function __construct(
        public string $name,
        public string $label,
        public string $section,
        public ValueType $type,
        public mixed $default = null,
        public bool $optional = false,
        public string $whenEmpty = '',
        public array $shownWhen = [],
        public string $says = '',
        public ?string $former = null,
    ) {
    }

    /** One that may have no value. */
    public static function optional(string $name, string $label, string $section, ValueType $type, string $whenEmpty): self
    {
        return new self($name, $label, $section, $type, null, true, $whenEmpty);
    }

    /** @param  list<string>  $choices  none for whatever it is, as long as it is something */
    public function shownWhen(string $other, array $choices): self
    {
        return new self($this->name, $this->label, $this->section, $this->type, $this->default, $this->optional, $this->whenEmpty, [...$this->shownWhen, $other => $choices], $this->says, $this->former);
    }

    /** What it does in light, in one sentence. */
    public function says(string $words): self
    {
        return new self($this->name, $this->label, $this->section, $this->type, $this->default, $this->optional, $this->whenEmpty, $this->shownWhen, $words, $this->former);
    }

    /** What files called it before: that is understood still. */
    public function formerly(string $name): self
    {
        return new self($this->name, $this->label, $this->section, $this->type, $this->default, $this->optional, $this->whenEmpty, $this->shownWhen, $this->says, $name);
    }

    /** That it has a meaning only while a switch is on. */
    public function shownWhenOn(string $switch): self
    {
        return $this->shownWhen($switch, ['true']);
    }

    /** Whether it says where something is, or how it lies there: then it is no part of a look. */
    public function isPlace(): bool
    {
        return $this->type->isPlace() || $this->section === self::PLACING;
    }

    public function isRequired(): bool
    {
        return ! $this->optional && $this->default === null;
    }

    /**
     * Checks a value as it stands in JSON and gives it its type.
     *
     * @throws \Aumbrel\Core\Fault\SceneError naming $field
     */
    public function read(mixed $raw, string $field): mixed
    {
        return $raw === null && $this->optional ? null : $this->type->read($raw, $field);
    }

    /** The value as it stands in JSON. */
    public function write(mixed $value): mixed
    {
        return $value === null ? null : $this->type->write($value);
    }

    /** @return array<string, mixed> what the interface needs to know of it */
    public function describe(): array
    {
        return [
            'name' => $this->name, 'label' => $this->label, 'type' => $this->type::key(), 'section' => $this->section,
            ...self::PLAIN, ...$this->type->describe(),
            'default' => $this->write($this->default), 'optional' => $this->optional,
            'shownWhen' => (object) $this->shownWhen, 'whenEmpty' => $this->whenEmpty,
        ];
    }

    /** @return array<string, mixed> its JSON Schema, draft 7 */
    public function schema(): array
    {
        $schema = ['description' => trim("{$this->label} {$this->type->unit()}"), ...$this->type->schema()];

        return $this->optional ? ['oneOf' => [['type' => 'null'], $schema]] : $schema;
    }
}
