<?php

declare(strict_types=1);

namespace Aumbrel\Core\Shadow;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Color\Rgb;
use Aumbrel\Core\Kind\Amount;
use Aumbrel\Core\Kind\Family;
use Aumbrel\Core\Kind\Field;
use Aumbrel\Core\Kind\Grounds;
use Aumbrel\Core\Kind\Layer;
use Aumbrel\Core\Kind\OneColour;
use Aumbrel\Core\Kind\Plain;
use Aumbrel\Core\Kind\Site;
use Aumbrel\Core\Kind\Stand;
use Aumbrel\Core\Kind\StripKind;
use Aumbrel\Core\Kind\Surroundings;
use Aumbrel\Core\Kind\ThrowsShadow;
use Aumbrel\Core\Value\FlatColourValue;
use Aumbrel\Core\Value\Parameter;
use Aumbrel\Core\Value\PlatesValue;

/**
 * What kinds of shadow have in common: the plates that throw it, the colour that the ambient light leaves in it, and its density,
 * which is the strip's fader: below x (1 - density x shape x (1 - colour)), a multiply of encoded values.
 */
trait Throws
{
    use Plain;

    private ?Grounds $grounds = null;

    /** @var list<string> the plates */
    private array $of;

    private Rgb $colour;

    public static function family(): Family
    {
        return Family::Shadow;
    }

    public function defaultMode(): BlendMode
    {
        return BlendMode::Multiply;
    }

    public function on(Grounds $grounds): StripKind
    {
        $own = clone $this;
        $own->grounds = $grounds;

        return $own;
    }

    /** The first of its plates: from where its light is seen. */
    public function lights(): ?string
    {
        return $this->of[0] ?? null;
    }

    /** @return list<string> */
    public function plates(): array
    {
        return $this->of;
    }

    public function problem(Surroundings $around): ?string
    {
        $there = array_values(array_filter($this->of, static fn (string $plate): bool => $around->plate($plate) !== null));
        $cutOut = array_values(array_filter($there, $around->hasOutline(...)));

        return match (true) {
            $this->of === [] => 'A shadow is thrown by a plate: choose which one.',
            $there === [] => 'Its plate is gone: choose another one.',
            $cutOut === [] => 'Its plate is not cut out, so there is no outline that could throw a shadow.',
            default => $this->lack(),
        };
    }

    /** @return list<Parameter> */
    private static function ofPlates(string $colour): array
    {
        return [PlatesValue::named('of', 'Of', 'shadow'), FlatColourValue::named('colour', 'Colour', 'shadow', $colour)];
    }

    /**
     * @param  list<array{ThrowsShadow, float}>  $others  that the same source throws, under it
     * @return list<Layer>
     */
    private function darkening(Site $site, ?Field $field, array $others = []): array
    {
        $fields = [];
        foreach ($others as [$other, $density]) {
            $thrown = $field === null || $site->amount() <= 0 ? null : $other->field($site);
            if ($thrown !== null) {
                $fields[] = [$thrown, $density];
            }
        }
        if ($field !== null && $fields !== []) {
            $field = new DarkerThan($field, $site->amount(), $fields);
        }

        return $field === null ? [] : [new Layer($site->mode(), $field, OneColour::flat($this->colour), new Amount($site->amount()))];
    }

    /** @return list<Stand> those of its plates that are there */
    private function stands(): array
    {
        return $this->grounds === null ? [] : array_values(array_filter(array_map($this->grounds->stand(...), $this->of)));
    }

    /** @return list<Covering> its own plates, where they lie under it, cover it too */
    private function coverings(Site $site): array
    {
        $coverings = [];
        foreach ($this->grounds?->under() ?? [] as $stand) {
            $seen = $site->seen($stand->id);
            if ($seen !== null) {
                $coverings[] = new Covering($seen, $this->received($site, $stand));
            }
        }

        return $coverings;
    }

    /**
     * What falls on a plate that stands under the strip.
     *
     * @return list<Piece>
     */
    private function received(Site $site, Stand $on): array
    {
        return [];
    }

    /** What is missing besides a plate that is cut out; null when nothing is. */
    private function lack(): ?string
    {
        return null;
    }
}
