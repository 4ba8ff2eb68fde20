<?php

declare(strict_types=1);

namespace App\Scenes;

use Aumbrel\Core\Registry;
use Aumbrel\Core\Scene\Scene as Document;

/**
 * A scene laid out for comparing: its own fields, the order of its strips, and the fields of each strip.
 *
 * What an edit changed is kept as two parts of a flat scene, before and after; a part names only what differs, and a
 * field or a strip that is not there is null.
 *
 * @phpstan-type Part array{scene?: array<array-key, mixed>, order?: list<array{string, string|null}>, strips?: array<array-key, array<array-key, mixed>|null>}
 */
final readonly class FlatScene
{
    /**
     * @param  array<string, mixed>  $scene
     * @param  list<array{string, string|null}>  $order  strip and the group that holds it, back to front, a group before its own
     * @param  array<array-key, array<string, mixed>>  $strips  by id; ids of digits are integers here, as PHP has it
     */
    public function __construct(public array $scene, public array $order, public array $strips)
    {
    }

    /** @param  array<string, mixed>  $document as in the scene file */
    public static function fromDocument(array $document): self
    {
        /** @var array<string, mixed> $plain */
        $plain = json_decode(json_encode($document, JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION), true, 64, JSON_THROW_ON_ERROR);
        $order = $strips = [];
        self::flatten(is_array($plain['strips'] ?? null) ? $plain['strips'] : [], null, $order, $strips);
        unset($plain['strips']);

        return new self($plain, $order, $strips);
    }

    /** The same with every field as the core writes it, so that two of them can be compared. */
    public function normalised(): self
    {
        return self::fromDocument(Document::read($this->toDocument(), Registry::kinds())->toArray());
    }

    /** @return array<string, mixed> */
    public function toDocument(): array
    {
        return array_replace($this->scene, ['strips' => $this->nest(null)]);
    }

    /** @return array{before: Part, after: Part}|null null when nothing differs */
    public function differenceTo(self $after): ?array
    {
        $parts = ['before' => [], 'after' => []];
        foreach (['before' => [$this, $after], 'after' => [$after, $this]] as $side => [$one, $other]) {
            $scene = [];
            foreach (array_keys($one->scene + $other->scene) as $name) {
                if (($one->scene[$name] ?? null) !== ($other->scene[$name] ?? null)) {
                    $scene[$name] = $one->scene[$name] ?? null;
                }
            }
            $strips = [];
            foreach (array_keys($one->strips + $other->strips) as $id) {
                if (($one->strips[$id] ?? null) !== ($other->strips[$id] ?? null)) {
                    $strips[$id] = $one->strips[$id] ?? null;
                }
            }
            $parts[$side] = [
                ...($scene === [] ? [] : ['scene' => $scene]),
                ...($one->order === $other->order ? [] : ['order' => $one->order]),
                ...($strips === [] ? [] : ['strips' => $strips]),
            ];
        }

        return $parts['before'] === [] && $parts['after'] === [] ? null : $parts;
    }

    /** @param  Part  $part */
    public function with(array $part): self
    {
        // ids of digits are integer keys, which unpacking would number anew
        $strips = array_replace($this->strips, $part['strips'] ?? []);

        return new self(
            array_filter(array_replace($this->scene, $part['scene'] ?? []), static fn (mixed $value): bool => $value !== null),
            $part['order'] ?? $this->order,
            array_filter($strips, static fn (?array $strip): bool => $strip !== null),
        );
    }

    /**
     * @param  array<mixed>  $nested
     * @param  list<array{string, string|null}>  $order
     * @param  array<string, array<string, mixed>>  $strips
     */
    private static function flatten(array $nested, ?string $group, array &$order, array &$strips): void
    {
        foreach ($nested as $strip) {
            /** @var array<string, mixed> $strip */
            $id = is_string($strip['id'] ?? null) ? $strip['id'] : '';
            $inside = is_array($strip['strips'] ?? null) ? $strip['strips'] : null;
            unset($strip['strips']);
            $order[] = [$id, $group];
            $strips[$id] = $strip;
            if ($inside !== null) {
                self::flatten($inside, $id, $order, $strips);
            }
        }
    }

    /** @return list<array<string, mixed>> */
    private function nest(?string $group): array
    {
        $nested = [];
        foreach ($this->order as [$id, $holder]) {
            if ($holder === $group && isset($this->strips[$id])) {
                $inside = $this->strips[$id]['kind'] === 'group' ? ['strips' => $this->nest($id)] : [];
                $nested[] = array_replace($this->strips[$id], $inside);
            }
        }

        return $nested;
    }
}
