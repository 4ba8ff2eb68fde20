<?php

declare(strict_types=1);

namespace Aumbrel\Core\Value;

use Aumbrel\Core\Fault\SceneError;

/** The layers of a glow, from the inside out. */
final readonly class Shells
{
    public const MOST = 12;

    /** @param  list<Shell>  $all */
    public function __construct(public array $all)
    {
    }

    /** @throws SceneError naming the field */
    public static function read(mixed $raw, string $field): self
    {
        if (! is_array($raw) || ! array_is_list($raw) || $raw === [] || count($raw) > self::MOST) {
            throw SceneError::expected($field, 'a list of 1 to '.self::MOST.' shells', is_array($raw) ? count($raw).' entries' : $raw);
        }
        $shells = [];
        foreach ($raw as $at => $shell) {
            $shells[] = Shell::read($shell, "{$field}[{$at}]");
        }

        return new self($shells);
    }

    /** @return list<array<string, mixed>> */
    public function toArray(): array
    {
        return array_map(static fn (Shell $shell): array => $shell->toArray(), $this->all);
    }
}
