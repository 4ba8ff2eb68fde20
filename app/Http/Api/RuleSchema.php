<?php

declare(strict_types=1);

namespace App\Http\Api;

use Illuminate\Validation\Rules\Enum;
use Illuminate\Validation\Rules\In;
use ReflectionProperty;
use Stringable;

/** JSON Schema of what rules let through, as far as rules say it. */
final class RuleSchema
{
    /**
     * @param  array<string, mixed>  $rules  by field; with dots into objects, and `*` for what lists hold
     * @return array<string, mixed> of an object
     */
    public static function of(array $rules): array
    {
        $tree = [];
        foreach ($rules as $field => $rule) {
            $at = &$tree;
            foreach (explode('.', $field) as $part) {
                $at = &$at['inside'][$part];
            }
            $at['rules'] = self::each($rule);
            unset($at);
        }

        return self::object($tree['inside'] ?? []);
    }

    /**
     * @param  array<array-key, mixed>  $inside
     * @return array<string, mixed>
     */
    private static function object(array $inside): array
    {
        $properties = $required = [];
        foreach ($inside as $name => $node) {
            $node = is_array($node) ? $node : [];
            $properties[(string) $name] = self::node($node);
            if (in_array('required', self::rules($node), true) || in_array('present', self::rules($node), true)) {
                $required[] = (string) $name;
            }
        }

        return ['type' => 'object', 'properties' => (object) $properties, ...($required === [] ? [] : ['required' => $required])];
    }

    /**
     * @param  array<array-key, mixed>  $node
     * @return array<string, mixed>
     */
    private static function node(array $node): array
    {
        $rules = self::rules($node);
        $inside = is_array($node['inside'] ?? null) ? $node['inside'] : [];
        $limits = [];
        foreach ($rules as $rule) {
            if (is_string($rule) && str_contains($rule, ':')) {
                [$name, $value] = explode(':', $rule, 2);
                $limits[$name] = $value;
            }
        }
        $has = static fn (string $rule): bool => in_array($rule, $rules, true) || isset($limits[$rule]);
        $isList = $has('list') || isset($inside['*']);
        $schema = match (true) {
            $isList && ($has('array') || $has('list')) && ! ($has('array') && ! $has('list') && isset($inside['*']) && ! self::isPlain($inside['*'])) => self::list($inside, $limits),
            isset($inside['*']) => ['type' => 'object', 'additionalProperties' => self::node(is_array($inside['*']) ? $inside['*'] : [])],
            $has('array') => self::object($inside),
            $has('integer') => ['type' => 'integer', ...self::range($limits)],
            $has('numeric') => ['type' => 'number', ...self::range($limits)],
            $has('boolean') => ['type' => 'boolean'],
            default => self::text($rules, $limits),
        };

        return $has('nullable') && isset($schema['type']) ? ['type' => [$schema['type'], 'null']] + $schema : $schema;
    }

    /**
     * @param  array<array-key, mixed>  $inside
     * @param  array<string, string>  $limits
     * @return array<string, mixed>
     */
    private static function list(array $inside, array $limits): array
    {
        $items = $inside['*'] ?? $inside[0] ?? null;
        $size = isset($limits['size']) ? ['minItems' => (int) $limits['size'], 'maxItems' => (int) $limits['size']] : [];

        return ['type' => 'array', 'items' => (object) (is_array($items) ? self::node($items) : []), ...(isset($limits['min']) ? ['minItems' => (int) $limits['min']] : []), ...(isset($limits['max']) ? ['maxItems' => (int) $limits['max']] : []), ...$size];
    }

    /**
     * @param  array<string, string>  $limits
     * @return array<string, int|float>
     */
    private static function range(array $limits): array
    {
        [$least, $most] = isset($limits['between']) ? explode(',', $limits['between'], 2) : [$limits['min'] ?? null, $limits['max'] ?? null];

        return [...($least === null ? [] : ['minimum' => self::number($least)]), ...($most === null ? [] : ['maximum' => self::number($most)])];
    }

    private static function number(string $text): int|float
    {
        return str_contains($text, '.') ? (float) $text : (int) $text;
    }

    /**
     * @param  list<mixed>  $rules
     * @param  array<string, string>  $limits
     * @return array<string, mixed>
     */
    private static function text(array $rules, array $limits): array
    {
        foreach ($rules as $rule) {
            $choices = match (true) {
                $rule instanceof Enum => array_column(self::enum($rule), 'value'),
                $rule instanceof In => str_getcsv(substr((string) $rule, 3), ',', '"', '\\'),
                default => null,
            };
            if ($choices !== null) {
                return ['enum' => $choices];
            }
        }
        if (isset($limits['in'])) {
            return ['enum' => array_map(static fn (string $choice): int|string => ctype_digit($choice) ? (int) $choice : $choice, explode(',', $limits['in']))];
        }
        $size = isset($limits['size']) ? ['minLength' => (int) $limits['size'], 'maxLength' => (int) $limits['size']] : [];

        return ['type' => 'string', ...(isset($limits['min']) ? ['minLength' => (int) $limits['min']] : []), ...(isset($limits['max']) ? ['maxLength' => (int) $limits['max']] : []), ...$size];
    }

    /** @return list<\BackedEnum> */
    private static function enum(Enum $rule): array
    {
        $type = (new ReflectionProperty(Enum::class, 'type'))->getValue($rule);
        $cases = is_string($type) && is_a($type, \BackedEnum::class, true) ? $type::cases() : [];

        return $cases;
    }

    private static function isPlain(mixed $node): bool
    {
        return is_array($node) && ($node['inside'] ?? []) === [] && ! in_array('array', self::rules($node), true);
    }

    /**
     * @param  array<array-key, mixed>  $node
     * @return list<mixed>
     */
    private static function rules(array $node): array
    {
        return is_array($node['rules'] ?? null) ? array_values($node['rules']) : [];
    }

    /** @return list<mixed> */
    private static function each(mixed $rule): array
    {
        return match (true) {
            is_string($rule) => explode('|', $rule),
            is_array($rule) => array_merge(...array_map(self::each(...), array_values($rule))),
            $rule instanceof Enum, $rule instanceof In => [$rule],
            $rule instanceof Stringable => [(string) $rule],
            default => [$rule],
        };
    }
}
