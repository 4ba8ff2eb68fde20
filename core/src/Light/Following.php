<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Bearing\Bearing;
use Aumbrel\Core\Kind\Everywhere;
use Aumbrel\Core\Kind\Field;
use Aumbrel\Core\Kind\Site;
use Aumbrel\Core\Kind\Surroundings;
use Aumbrel\Core\Value\NumberValue;
use Aumbrel\Core\Value\Parameter;
use Aumbrel\Core\Value\ToggleValue;
use Aumbrel\Core\Value\Unit;
use Aumbrel\Core\Value\Values;

/** Whether a light that lies across the picture follows the body of the plate that it is confined to: its field times max(0, n.l). */
final readonly class Following
{
    /** @param  Bearing|null  $from  where it comes from, of a light that has no direction by itself */
    private function __construct(private bool $isOn, private ?Bearing $from)
    {
    }

    /** @return list<Parameter> */
    public static function parameters(string $section, bool $hasDirection): array
    {
        $follows = ToggleValue::named('follows', 'Follows the body', $section)->says('On the plate that it is confined to it falls on what faces it only, as its form says');

        return $hasDirection ? [$follows] : [
            $follows, NumberValue::direction('azimuth', 'Azimuth', $section, 120)->shownWhenOn('follows'),
            NumberValue::named('elevation', 'Elevation', $section, Unit::Degrees, -90, 90, 35)->shownWhenOn('follows'),
        ];
    }

    public static function from(Values $values, bool $hasDirection): self
    {
        return new self($values->toggle('follows'), $hasDirection ? null : new Bearing($values->number('azimuth'), $values->number('elevation')));
    }

    /**
     * @param  callable(\Aumbrel\Core\Geometry\Point): Bearing|null  $seen  where it comes from as seen from a place, of a light that has a direction
     * @return Field the same where there is no body
     */
    public function onto(Field $field, Site $site, ?callable $seen = null): Field
    {
        $plate = $this->isOn ? $site->confinedTo() : null;
        [$body, $there] = $plate === null ? [null, null] : [$site->body($plate), $site->seen($plate)];
        $from = $this->from ?? ($seen === null || $there === null ? null : $seen($there->bounds()->middle()));
        if ($body === null || $there === null || $from === null) {
            return $field;
        }
        $facing = new KeyField($body, $there, $from, 0.0);

        return $field instanceof Everywhere ? $facing : new FollowingField($field, $facing);
    }

    public function problem(Surroundings $around): ?string
    {
        $plate = $this->isOn ? $around->confinedTo() : null;

        return match (true) {
            ! $this->isOn => null,
            $plate === null => 'It follows the body of the plate that it is confined to: confine it to one, under Mix.',
            ! $around->hasOutline($plate) && ! ($around->plate($plate)?->form()->isGiven() ?? false) => 'The plate that it is confined to is not cut out and has no normals, so nothing tells its form.',
            default => null,
        };
    }
}
