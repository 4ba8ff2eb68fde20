<?php

declare(strict_types=1);

namespace App\Scenes;

use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Kind\Family;
use Aumbrel\Core\Registry;
use Aumbrel\Core\Scene\Scene as Document;
use Aumbrel\Core\Stage\SceneSource;
use Illuminate\Support\Str;

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

    /** The things of a scene that are no strips, as they are named beside these. */
    public const STAGE = 'scene:stage';

    public const AMBIENT = 'scene:ambient';

    /** Whether a name is that of a source, the stage or the ambient. */
    public static function isPart(string $name): bool
    {
        return str_contains($name, ':');
    }

    /**
     * A source, the stage or the ambient.
     *
     * @return array<mixed>
     *
     * @throws SceneError when there is none of that name
     */
    public function part(string $name): array
    {
        if ($name === self::STAGE || $name === self::AMBIENT) {
            return self::fields($this->scene[substr($name, 6)] ?? []);
        }
        foreach ($this->sources() as $source) {
            if (SceneSource::NAMED.$source['id'] === $name) {
                return $source;
            }
        }
        throw new SceneError('source', "there is no \"{$name}\" in this scene");
    }

    /** @return array{int, int} width and height */
    public function size(): array
    {
        $size = self::fields($this->scene['size'] ?? [], 'size');

        return is_int($size[0] ?? null) && is_int($size[1] ?? null) ? [$size[0], $size[1]] : throw SceneError::expected('size', '[width, height]', $size);
    }

    /** @return list<array<mixed>> */
    public function sources(): array
    {
        return array_map(static fn (mixed $source): array => self::fields($source, 'sources'), array_values(self::fields($this->scene['sources'] ?? [], 'sources')));
    }

    /**
     * With another source, stage or ambient; a source that is not there yet comes last, null takes it away.
     *
     * @param  array<mixed>|null  $fields
     */
    public function withPart(string $name, ?array $fields): self
    {
        if ($name === self::STAGE || $name === self::AMBIENT) {
            return $this->with(['scene' => [substr($name, 6) => $fields]]);
        }
        $sources = [];
        $isIn = false;
        foreach ($this->sources() as $source) {
            if (SceneSource::NAMED.$source['id'] !== $name) {
                $sources[] = $source;
            } elseif ($fields !== null) {
                $sources[] = $fields;
            }
            $isIn = $isIn || SceneSource::NAMED.$source['id'] === $name;
        }

        return $this->with(['scene' => ['sources' => $isIn || $fields === null ? $sources : [...$sources, $fields]]]);
    }

    /**
     * @return array<string, mixed>
     *
     * @throws SceneError when there is no such strip
     */
    public function strip(string $id): array
    {
        return $this->strips[$id] ?? throw new SceneError('strip', "there is no strip \"{$id}\" in this scene");
    }

    /** What a strip is called, short enough for the names of what is made of it. */
    public function shortName(string $id): string
    {
        $name = $this->strip($id)['name'] ?? null;

        return is_string($name) ? mb_substr($name, 0, 60) : 'plate';
    }

    public function isPlate(string $id): bool
    {
        return Registry::kinds()->strip($this->strips[$id]['kind'] ?? null, 'kind')::family() === Family::Plate;
    }

    /**
     * @return array<string, mixed>
     *
     * @throws SceneError when it is no plate
     */
    public function plate(string $id): array
    {
        $strip = $this->strip($id);

        return $this->isPlate($id) ? $strip : throw new SceneError('strip', 'this strip is no plate');
    }

    /**
     * A strip and all that it holds, as they lie.
     *
     * @return list<string> the strip first
     */
    public function within(string $id): array
    {
        $within = [$id => true];
        foreach ($this->order as [$other, $group]) {
            if ($group !== null && isset($within[$group])) {
                $within[$other] = true;
            }
        }

        return array_map(strval(...), array_keys($within));
    }

    /**
     * With a new strip right above another one, or on top.
     *
     * @param  array<string, mixed>  $strip
     */
    public function inserted(array $strip, ?string $above): self
    {
        $id = is_string($strip['id']) ? $strip['id'] : throw SceneError::expected('id', 'an id', $strip['id']);
        $order = [];
        $isIn = false;
        foreach ($this->order as [$other, $group]) {
            $order[] = [$other, $group];
            if ($other === $above && $this->strips[$other]['kind'] !== 'group') {
                $order[] = [$id, $group];
                $isIn = true;
            }
        }
        if (! $isIn) {
            $order[] = [$id, null];
        }

        return $this->with(['order' => $order, 'strips' => [$id => $strip]]);
    }

    /**
     * With a new strip right under another one, in the same group.
     *
     * @param  array<string, mixed>  $strip
     *
     * @throws SceneError when there is no such strip
     */
    public function insertedUnder(array $strip, string $other): self
    {
        $id = is_string($strip['id']) ? $strip['id'] : throw SceneError::expected('id', 'an id', $strip['id']);
        $this->strip($other);
        $order = [];
        foreach ($this->order as [$each, $group]) {
            if ((string) $each === $other) {
                $order[] = [$id, $group];
            }
            $order[] = [$each, $group];
        }

        return $this->with(['order' => $order, 'strips' => [$id => $strip]]);
    }

    /**
     * With some strips, as they stand in a scene file with what they hold, right above another one; or right under it, or on top.
     *
     * @param  list<array<array-key, mixed>>  $strips  back to front
     */
    public function holding(array $strips, ?string $beside, bool $isUnder = false): self
    {
        $groups = array_column($this->order, 1, 0);
        $order = $fields = [];
        self::flatten($strips, $beside === null ? null : $groups[$beside] ?? null, $order, $fields);
        $places = [];
        $last = $beside === null ? null : $this->within($beside);
        foreach ($this->order as $place) {
            $isHere = $last !== null && (string) $place[0] === ($isUnder ? $last[0] : $last[count($last) - 1]);
            array_push($places, ...($isHere && $isUnder ? $order : []), ...[$place], ...($isHere && ! $isUnder ? $order : []));
        }

        return $this->with(['order' => $last === null ? [...$this->order, ...$order] : $places, 'strips' => $fields]);
    }

    /**
     * An open group with nothing in it yet.
     *
     * @return array<string, mixed> a strip
     */
    public function newGroup(string $id, string $name): array
    {
        return ['id' => $id, 'kind' => 'group', 'name' => $this->freeName($name), 'mode' => 'normal', 'amount' => 100, 'muted' => false, 'values' => [], 'masks' => []];
    }

    /**
     * With a new strip in a group, on top of what that holds.
     *
     * @param  array<string, mixed>  $strip
     */
    public function insertedInto(array $strip, string $group): self
    {
        $id = is_string($strip['id']) ? $strip['id'] : throw SceneError::expected('id', 'an id', $strip['id']);
        $held = array_keys(array_filter($this->order, static fn (array $each): bool => (string) $each[0] === $group || $each[1] === $group));
        $order = $this->order;
        array_splice($order, ($held === [] ? count($order) - 1 : max($held)) + 1, 0, [[$id, $held === [] ? null : $group]]);

        return $this->with(['order' => $order, 'strips' => [$id => $strip]]);
    }

    /**
     * With other values of one strip, or of a source.
     *
     * @param  array<array-key, mixed>  $values
     *
     * @throws SceneError when there is no such strip
     */
    public function withValues(string $id, array $values): self
    {
        if (self::isPart($id)) {
            $part = $this->part($id);

            return $this->withPart($id, array_replace($part, ['values' => array_replace(self::fields($part['values'] ?? []), $values)]));
        }
        $strip = $this->strip($id);

        return $this->with(['strips' => [$id => array_replace($strip, ['values' => array_replace(self::fields($strip['values'] ?? []), $values)])]]);
    }

    public static function newId(): string
    {
        return Str::lower(Str::random(12));
    }

    /** A name that no strip and no source has yet: the wanted one, or one with a number behind it. */
    public function freeName(string $wanted): string
    {
        $taken = [...array_column($this->strips, 'name'), ...array_column($this->sources(), 'name')];
        $stem = (string) preg_replace('/ \d+$/D', '', $wanted);
        for ($name = $wanted, $k = 2; in_array($name, $taken, true); $k++) {
            $name = mb_substr($stem, 0, 74)." {$k}";
        }

        return $name;
    }

    /**
     * Masks for another strip.
     *
     * @return list<array<mixed>>
     */
    public static function copiedMasks(mixed $masks): array
    {
        return array_map(static fn (mixed $mask): array => array_replace(self::fields($mask), ['id' => self::newId()]), array_values(self::fields($masks)));
    }

    /**
     * @return array<mixed>
     *
     * @throws SceneError naming $field
     */
    public static function fields(mixed $value, string $field = 'values'): array
    {
        return is_array($value) ? $value : throw SceneError::expected($field, 'an object', $value);
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
