<?php

declare(strict_types=1);

namespace Aumbrel\Core\Scene;

use Aumbrel\Core\CutOut\CutMask;
use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Geometry\Carry;
use Aumbrel\Core\Geometry\Frame;
use Aumbrel\Core\Input\Fields;
use Aumbrel\Core\Kernel\Plane;
use Aumbrel\Core\Kind\Ground;
use Aumbrel\Core\Kind\Join;
use Aumbrel\Core\Kind\Kinds;
use Aumbrel\Core\Kind\MaskKind;
use Aumbrel\Core\Kind\PlateMask;
use Aumbrel\Core\Kind\Traced;
use Aumbrel\Core\Picture\PictureSource;
use Aumbrel\Core\Value\Values;
use LogicException;

/**
 * One mask of a strip: what it is, how it joins the ones before it, whether it is inverted or off for a look. In a falloff it
 * may be grown and feathered, whatever it is, and let through no less and no more than some share; and its shape may be that of
 * a mask of another strip.
 */
final readonly class MaskEntry implements CutMask
{
    /** It lets through as much as it says. */
    public const ALL = [0.0, 1.0];

    private const SOFTEST = 1000.0;

    private const GROWN = 1000.0;

    /**
     * @param  float  $feather  sigma, px
     * @param  array{float, float}  $lets  the least and the most that it lets through, 0..1, after it is inverted
     * @param  float  $grow  px; below 0 it shrinks
     * @param  string|null  $uses  the mask of another strip whose shape this is: all but how it joins, its inversion and its density
     * @param  array<string, mixed>  $unknown  fields that nobody knows, kept for the way out
     */
    public function __construct(
        public string $id,
        public Join $join,
        public bool $inverted,
        public bool $off,
        public MaskKind $mask,
        public Values $values,
        public Ground $on = Ground::Scene,
        public float $feather = 0.0,
        public array $lets = self::ALL,
        public float $grow = 0.0,
        public ?string $uses = null,
        private array $unknown = [],
    ) {
    }

    /** @throws SceneError naming the field */
    public static function read(mixed $raw, string $field, Kinds $kinds): self
    {
        $fields = new Fields($raw, $field);
        $kind = $kinds->mask($fields->take('kind'), "{$field}.kind");
        $values = Values::read(Kinds::parametersOf($kind), $fields->take('values', []), "{$field}.values");
        $join = $fields->take('join', Join::Intersect->value);
        $on = self::ground($fields->take('on', $kind::grounds()[0]->value), $kind, "{$field}.on");
        $feather = $fields->number('feather', 0, 0, self::SOFTEST, 'px');
        $grow = $fields->number('grow', 0, -self::GROWN, self::GROWN, 'px');
        $lets = self::lets($fields->take('lets', [0, 100]), "{$field}.lets");
        $uses = $fields->has('uses') ? $fields->identifier('uses') : null;
        if ($on !== Ground::Scene && $uses !== null) {
            throw new SceneError("{$field}.uses", 'only a mask of a falloff is used on several strips');
        }
        if ($on !== Ground::Scene && ($feather > 0 || $grow !== 0.0 || $lets !== self::ALL)) {
            throw new SceneError($field, 'only a mask of a falloff has a softness and a least and most; a cut-out is softened at its edge');
        }

        return new self(
            $fields->identifier('id'),
            (is_string($join) ? Join::tryFrom($join) : null) ?? throw SceneError::expected("{$field}.join", 'intersect, add or take away', $join),
            $fields->toggle('inverted', false),
            $fields->toggle('off', false),
            $kind::from($values),
            $values,
            $on,
            $feather,
            $lets,
            $grow,
            $uses,
            $fields->rest(),
        );
    }

    /** The same shape in another part; turned over, it lets through what it held back. */
    public function joinedBy(Join $join, bool $inverted): self
    {
        [$least, $most] = $this->lets;
        $lets = $inverted === $this->inverted ? $this->lets : [1.0 - $most, 1.0 - $least];

        return new self($this->id, $join, $inverted, $this->off, $this->mask, $this->values, $this->on, $this->feather, $lets, $this->grow, $this->uses, $this->unknown);
    }

    /** By itself, as if there were no other, and on. */
    public function alone(): self
    {
        return new self($this->id, Join::Intersect, $this->inverted, false, $this->mask, $this->values, $this->on, $this->feather, $this->lets, $this->grow, $this->uses, $this->unknown);
    }

    /** Its values at the pixels of a frame on the plate that it cuts out, inverted when it is; asked of masks on plates only. */
    public function onPlate(Frame $frame, PictureSource $picture): Plane
    {
        return $this->mask instanceof PlateMask ? $this->mask->onPlate($frame, $picture) : throw new LogicException('this mask lies in the scene');
    }

    /**
     * What the masks before it and this one make together.
     *
     * @param  list<float>|null  $before  null when it is the first
     * @param  list<float>  $values
     * @return list<float>
     */
    public function joined(?array $before, array $values): array
    {
        if ($this->inverted) {
            foreach ($values as $at => $value) {
                $values[$at] = 1.0 - $value;
            }
        }

        return $this->join->joined($before, $values);
    }

    /** Whether it does anything: it is not off, and nothing is missing. */
    public function isActive(): bool
    {
        return ! $this->off && $this->problem() === null;
    }

    /** What is missing for it to do anything, in a sentence; a line that shines need not enclose anything. */
    public function problem(): ?string
    {
        $isLine = $this->on === Ground::Emitter && $this->mask instanceof Traced && count($this->mask->path()->nodes) >= 2;

        return $isLine ? null : $this->mask->problem();
    }

    /**
     * @return array{float, float}
     *
     * @throws SceneError
     */
    private static function lets(mixed $raw, string $field): array
    {
        $isPair = is_array($raw) && array_keys($raw) === [0, 1] && (is_int($raw[0]) || is_float($raw[0])) && (is_int($raw[1]) || is_float($raw[1]));
        if (! $isPair || ! ($raw[0] >= 0 && $raw[0] <= $raw[1] && $raw[1] <= 100)) {
            throw SceneError::expected($field, 'the least and the most that is let through, in percent, such as [0, 100]', $raw);
        }

        return [(float) $raw[0] / 100, (float) $raw[1] / 100];
    }

    /**
     * @param  class-string<MaskKind>  $kind
     *
     * @throws SceneError
     */
    private static function ground(mixed $raw, string $kind, string $field): Ground
    {
        $ground = is_string($raw) ? Ground::tryFrom($raw) : null;

        return $ground !== null && in_array($ground, $kind::grounds(), true)
            ? $ground : throw SceneError::expected($field, implode(' or ', array_map(static fn (Ground $one): string => $one->value, $kind::grounds())).' for a mask of this kind', $raw);
    }

    /** Names what it is, apart from whether it is off. */
    public function key(): string
    {
        return "{$this->shape()} {$this->on->value} {$this->join->value} ".(int) $this->inverted." {$this->grow} {$this->feather} ".implode(' ', $this->lets);
    }

    /** Names its shape alone. */
    public function shape(): string
    {
        return "{$this->mask::key()} {$this->values->key()}";
    }

    /** @return array<string, mixed> as it stands in the scene: the shape of a mask of another strip stands there */
    public function toArray(): array
    {
        $whole = $this->whole();

        return $this->uses === null ? $whole : [...array_diff_key($whole, array_flip(SharedMasks::HELD)), 'uses' => $this->uses];
    }

    /** @return array<string, mixed> with its own shape, wherever that stands */
    public function whole(): array
    {
        return [
            'id' => $this->id, 'kind' => $this->mask::key(), 'on' => $this->on->value, 'join' => $this->join->value, 'inverted' => $this->inverted,
            'off' => $this->off, 'values' => $this->values->toArray(),
            ...($this->grow === 0.0 ? [] : ['grow' => $this->grow]),
            ...($this->feather > 0 ? ['feather' => $this->feather] : []),
            ...($this->lets === self::ALL ? [] : ['lets' => array_map(static fn (float $share): float => round(100 * $share, 6), $this->lets)]),
        ] + $this->unknown;
    }

    /** As it stands in JSON, for a picture of another size; what lies in a plate's own picture stays. */
    public static function carried(mixed $raw, Carry $carry, Kinds $kinds): mixed
    {
        $kind = is_array($raw) ? $kinds->mask($raw['kind'] ?? null, 'kind') : null;
        if (! is_array($raw) || $kind === null || ($raw['on'] ?? null) === Ground::Plate->value || ! in_array(Ground::Scene, $kind::grounds(), true)) {
            return $raw;
        }

        return Carry::fields($raw, [
            'values' => static fn (mixed $values): mixed => is_array($values) ? Values::carried(Kinds::parametersOf($kind), $values, $carry) : $values,
            'grow' => static fn (mixed $length): mixed => $carry->length($length, -self::GROWN, self::GROWN),
            'feather' => static fn (mixed $length): mixed => $carry->length($length, 0, self::SOFTEST),
        ]);
    }
}
