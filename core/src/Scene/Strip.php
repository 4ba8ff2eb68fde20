<?php

declare(strict_types=1);

namespace Aumbrel\Core\Scene;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Input\Fields;
use Aumbrel\Core\Kind\Driven;
use Aumbrel\Core\Kind\Family;
use Aumbrel\Core\Kind\Ground;
use Aumbrel\Core\Kind\Kinds;
use Aumbrel\Core\Kind\Shines;
use Aumbrel\Core\Kind\StripKind;
use Aumbrel\Core\Value\Unit;
use Aumbrel\Core\Value\Values;

/** One entry of the desk. */
final readonly class Strip
{
    private const MOST_MASKS = 16;

    private const MOST_STRIPS = 200;

    /**
     * @param  float  $level  stops, for lights; 0 otherwise
     * @param  float  $amount  0..1, for everything else; 1 for lights
     * @param  string|null  $confinedTo  the plate inside whose outline it acts
     * @param  string|null  $source  the source that it hangs on
     * @param  float  $contrast  -1..1, of a light's own shape
     * @param  string|null  $complements  another strip: it falls where that one does not, and has no falloff of its own
     * @param  list<MaskEntry>  $masks
     * @param  list<Strip>  $strips  what a group holds, back to front
     * @param  array<string, mixed>  $unknown  fields that nobody knows, kept for the way out
     * @param  KeptOff|null  $keptOff  the plates that it stays off
     * @param  ToneLimits|null  $tones  the tones between which it acts
     * @param  bool  $closed  whether what a group holds is put together over nothing and then mixed like a plate
     * @param  bool  $locked  whether a press on the picture neither chooses nor moves it
     * @param  bool  $held  whether what a group yields is worked out once and kept
     */
    public function __construct(
        public string $id,
        public string $name,
        public StripKind $kind,
        public Values $values,
        public BlendMode $mode,
        public float $level = 0.0,
        public float $amount = 1.0,
        public bool $muted = false,
        public ?string $confinedTo = null,
        public array $masks = [],
        public array $strips = [],
        private array $unknown = [],
        public ?string $source = null,
        public ?string $complements = null,
        public float $contrast = 0.0,
        public bool $locked = false,
        public ?ToneLimits $tones = null,
        public ?KeptOff $keptOff = null,
        public bool $closed = false,
        public bool $held = false,
    ) {
    }

    /** @throws SceneError naming the field */
    public static function read(mixed $raw, string $field, Kinds $kinds): self
    {
        $fields = new Fields($raw, $field);
        $kind = $kinds->strip($fields->take('kind'), "{$field}.kind");
        $values = Values::read(Kinds::parametersOf($kind), $fields->take('values', []), "{$field}.values");
        $built = self::inValues($field, static fn (): StripKind => $kind::from($values));
        $named = $fields->take('mode', $built->defaultMode()->value);
        $mode = (is_string($named) ? BlendMode::tryFrom($named) : null) ?? throw SceneError::expected("{$field}.mode", 'a blend mode', $named);
        self::inValues($field, static fn () => $built->check($mode));
        $isLight = $kind::family()->fadesInStops();
        $isGroup = $kind === Group::class;
        $masks = self::each($fields->list('masks', self::MOST_MASKS), "{$field}.masks", static fn (mixed $raw, string $field): MaskEntry => MaskEntry::read($raw, $field, $kinds));
        foreach ($masks as $at => $mask) {
            if ($mask->on === Ground::Plate && $kind::family() !== Family::Plate) {
                throw SceneError::expected("{$field}.masks[{$at}].on", 'scene, as this strip is no plate', 'plate');
            }
            if ($mask->on === Ground::Emitter && ! is_subclass_of($kind, Shines::class)) {
                throw SceneError::expected("{$field}.masks[{$at}].on", 'scene, as this strip does not shine by itself', 'emitter');
            }
        }

        return new self(
            $fields->identifier('id'),
            $fields->text('name', $kind::label(), 80),
            $built,
            $values,
            $mode,
            $isLight ? $fields->number('level', 0, Unit::LEAST_LEVEL, Unit::MOST_LEVEL, 'stops') : 0.0,
            $isLight ? 1.0 : $fields->number('amount', 100, 0, 100, '%') / 100,
            $fields->toggle('muted', false),
            $fields->has('confinedTo') ? $fields->identifier('confinedTo') : null,
            $masks,
            $isGroup ? self::readAll($fields->list('strips', self::MOST_STRIPS), "{$field}.strips", $kinds) : [],
            source: $fields->has('source') ? self::source($fields, $kind) : null,
            complements: self::complements($fields, $masks),
            contrast: $isLight ? $fields->number('contrast', 0, -100, 100, '%') / 100 : 0.0,
            locked: $fields->toggle('locked', false),
            closed: $isGroup && $fields->toggle('closed', false),
            held: $isGroup && $fields->toggle('held', false),
            keptOff: $fields->has('keptOff') ? KeptOff::read($fields->take('keptOff'), "{$field}.keptOff") : null,
            tones: $fields->has('tones') ? ToneLimits::read($fields->take('tones'), "{$field}.tones") : null,
            unknown: $fields->rest(),
        );
    }

    /**
     * @param  list<mixed>  $raw
     * @return list<Strip>
     *
     * @throws SceneError naming the field
     */
    public static function readAll(array $raw, string $field, Kinds $kinds): array
    {
        return self::each($raw, $field, static fn (mixed $strip, string $at): self => self::read($strip, $at, $kinds));
    }

    /**
     * The same group with other strips in it.
     *
     * @param  list<Strip>  $strips
     */
    public function holding(array $strips): self
    {
        return $this->but(strips: $strips);
    }

    /**
     * The same with another falloff.
     *
     * @param  list<MaskEntry>  $masks
     */
    public function masked(array $masks): self
    {
        return $this->but(masks: $masks);
    }

    /** The same as a source drives it: of what it holds by itself only the rest is left. */
    public function driven(StripKind $kind, float $level, bool $muted): self
    {
        return $this->but(kind: $kind, level: $level, muted: $muted);
    }

    /** The same, worked out anew each time. */
    public function unheld(): self
    {
        return $this->but(held: false);
    }

    /** The same in another mode. */
    public function inMode(BlendMode $mode): self
    {
        return $this->but(mode: $mode);
    }

    /**
     * The same with another fader.
     *
     * @param  float  $amount  0..1
     */
    public function faded(float $amount): self
    {
        return $this->but(amount: $amount);
    }

    /** The same without what lies around it: confined to nothing, wholly there. */
    public function byItself(): self
    {
        return $this->but(amount: 1.0, confinedTo: null, complements: null, tones: null, keptOff: null, mode: BlendMode::Normal);
    }

    /** The same with some of its properties others. */
    private function but(mixed ...$other): self
    {
        /** @phpstan-ignore argument.type (the names are those of the properties) */
        return new self(...[...get_object_vars($this), ...$other]);
    }

    public function isGroup(): bool
    {
        return $this->kind instanceof Group;
    }

    /** @return list<MaskEntry> its falloff: the masks in the scene that do anything */
    public function activeMasks(): array
    {
        return $this->masksOn(Ground::Scene);
    }

    /** @return list<MaskEntry> its cut-out: the masks on its plate that do anything */
    public function cutOut(): array
    {
        return $this->masksOn(Ground::Plate);
    }

    /** @return list<MaskEntry> what shines: the masks on its emitter that do anything */
    public function emitter(): array
    {
        return $this->masksOn(Ground::Emitter);
    }

    /** @return list<MaskEntry> those that do anything */
    private function masksOn(Ground $ground): array
    {
        return array_values(array_filter($this->masks, static fn (MaskEntry $mask): bool => $mask->on === $ground && $mask->isActive()));
    }

    /** Between which tones it acts; null when every tone passes. */
    public function activeTones(): ?ToneLimits
    {
        return $this->tones === null || $this->tones->isOpen() ? null : $this->tones;
    }

    /** @return list<string> plain names of the pictures that it shows, or that its masks are made of */
    public function pictures(): array
    {
        return array_merge($this->values->pictures(), ...array_map(static fn (MaskEntry $mask): array => $mask->values->pictures(), $this->masks));
    }

    /** Names what it looks like by itself, with all that it holds. */
    public function identity(): string
    {
        return implode(' ', [
            $this->kind::key(), $this->values->key(), $this->mode->value, $this->level, $this->amount, (int) $this->muted, $this->confinedTo, $this->source, $this->complements, $this->contrast, (int) $this->closed,
            json_encode([$this->tones?->toArray(), $this->keptOff?->toArray()], JSON_THROW_ON_ERROR),
            ...array_map(static fn (MaskEntry $mask): string => (int) $mask->off.$mask->key(), $this->masks), ...array_map(static fn (Strip $strip): string => "({$strip->identity()})", $this->strips),
        ]);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        $isLight = $this->kind::family()->fadesInStops();

        return [
            'id' => $this->id,
            'kind' => $this->kind::key(),
            'name' => $this->name,
            'mode' => $this->mode->value,
            ...($isLight ? ['level' => $this->level] : ['amount' => $this->amount * 100]),
            'muted' => $this->muted,
            ...($this->locked ? ['locked' => true] : []),
            ...($this->closed ? ['closed' => true] : []),
            ...($this->held ? ['held' => true] : []),
            ...($this->confinedTo === null ? [] : ['confinedTo' => $this->confinedTo]),
            ...($this->source === null ? [] : ['source' => $this->source]),
            ...($this->contrast === 0.0 ? [] : ['contrast' => $this->contrast * 100]),
            ...($this->complements === null ? [] : ['complements' => $this->complements]),
            ...($this->keptOff === null ? [] : ['keptOff' => $this->keptOff->toArray()]),
            ...($this->tones === null ? [] : ['tones' => $this->tones->toArray()]),
            'values' => (object) $this->values->toArray(),
            'masks' => array_map(static fn (MaskEntry $mask): array => $mask->toArray(), $this->masks),
            ...($this->isGroup() ? ['strips' => array_map(static fn (Strip $strip): array => $strip->toArray(), $this->strips)] : []),
        ] + $this->unknown;
    }

    /**
     * @param  list<MaskEntry>  $masks
     *
     * @throws SceneError
     */
    private static function complements(Fields $fields, array $masks): ?string
    {
        if (! $fields->has('complements')) {
            return null;
        }
        foreach ($masks as $mask) {
            if ($mask->on === Ground::Scene) {
                throw new SceneError($fields->field('masks'), 'a strip that falls where another one does not has no falloff of its own');
            }
        }

        return $fields->identifier('complements');
    }

    /**
     * @param  class-string<StripKind>  $kind
     *
     * @throws SceneError
     */
    private static function source(Fields $fields, string $kind): string
    {
        return is_subclass_of($kind, Driven::class) ? $fields->identifier('source') : throw new SceneError($fields->field('source'), "a {$kind::key()} hangs on no source");
    }

    /**
     * @template T
     *
     * @param  callable(): T  $what
     * @return T
     *
     * @throws SceneError naming the value by its whole path
     */
    private static function inValues(string $field, callable $what): mixed
    {
        try {
            return $what();
        } catch (SceneError $error) {
            throw new SceneError("{$field}.values.{$error->field}", $error->reason);
        }
    }

    /**
     * @template T
     *
     * @param  list<mixed>  $raw
     * @param  callable(mixed, string): T  $read
     * @return list<T>
     */
    private static function each(array $raw, string $field, callable $read): array
    {
        $all = [];
        foreach ($raw as $at => $entry) {
            $all[] = $read($entry, "{$field}[{$at}]");
        }

        return $all;
    }
}
