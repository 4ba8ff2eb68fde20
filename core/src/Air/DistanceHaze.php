<?php

declare(strict_types=1);

namespace Aumbrel\Core\Air;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Color\Rgb;
use Aumbrel\Core\Kind\Amount;
use Aumbrel\Core\Kind\Drive;
use Aumbrel\Core\Kind\Driven;
use Aumbrel\Core\Kind\DrivenByValues;
use Aumbrel\Core\Kind\Family;
use Aumbrel\Core\Kind\Grounded;
use Aumbrel\Core\Kind\Grounds;
use Aumbrel\Core\Kind\Layer;
use Aumbrel\Core\Kind\OneColour;
use Aumbrel\Core\Kind\Plain;
use Aumbrel\Core\Kind\Site;
use Aumbrel\Core\Kind\Stance;
use Aumbrel\Core\Kind\Stand;
use Aumbrel\Core\Kind\StripKind;
use Aumbrel\Core\Stage\Lamp;
use Aumbrel\Core\Stage\Sun;
use Aumbrel\Core\Value\FlatColourValue;
use Aumbrel\Core\Value\NumberValue;
use Aumbrel\Core\Value\ToggleValue;
use Aumbrel\Core\Value\Unit;
use Aumbrel\Core\Value\Values;

/**
 * Haze that grows with distance: Koschmieder, *Theorie der horizontalen Sichtweite* (1924). Distances are counted in those of the
 * scene's contact row; at the visible range a contrast of 2 % is left. Plates that stand, or are said to be so far away, have
 * one distance each.
 */
final readonly class DistanceHaze implements Driven, Grounded
{
    use DrivenByValues;
    use Plain;

    /**
     * @param  float  $far  nothing is further away than this
     * @param  list<Stand>  $stands  plates with a distance of their own, back to front
     */
    private function __construct(private string $colour, private float $visible, private float $far, private bool $takesColour, private array $stands = [])
    {
    }

    public static function key(): string
    {
        return 'distance haze';
    }

    public static function label(): string
    {
        return 'Haze by distance';
    }

    public static function hint(): string
    {
        return 'What is far away fades into the air';
    }

    public static function family(): Family
    {
        return Family::Air;
    }

    public static function parameters(): array
    {
        return [
            NumberValue::named('visible', 'Visible to', 'light', Unit::Factor, 1.5, 1000, Distances::USUAL, 0.5)->says('Where nearly nothing is seen any more, in distances of the floor\'s nearest row'),
            FlatColourValue::named('colour', 'Colour', 'light', '#8493a8')->says('The colour of the air: what is far away takes it'),
            NumberValue::optional('far', 'Furthest', 'reach', Unit::Factor, 0.1, 1000, 'as it is visible', 0.5)->says('Sky and whatever lies behind everything count as so far away'),
            ToggleValue::named('takesColour', "In its source\'s colour", 'source'),
        ];
    }

    public static function from(Values $values): self
    {
        $visible = $values->number('visible');

        return new self($values->text('colour'), $visible, min($visible, $values->optionalNumber('far') ?? $visible), $values->toggle('takesColour'));
    }

    public static function placedAmount(): float
    {
        return 60.0;
    }

    public static function hangsOn(): array
    {
        return [Lamp::class, Sun::class];
    }

    public function inForce(Drive $drive): array
    {
        return $this->takesColour ? ['colour' => $drive->source->kind->colour()->linear($drive->white)->encoded()->toHex()] : [];
    }

    public function on(Grounds $grounds): StripKind
    {
        $camera = $grounds->stage()->camera;
        // where no floor is marked, whatever is cut out stands with its feet below the middle of the picture
        $stands = static fn (Stand $stand): bool => $stand->distance !== null || $stand->depth !== null || $stand->stance === Stance::Stands || ($camera->horizon === null && $stand->foot()->y > $camera->eyeRow());

        return new self($this->colour, $this->visible, $this->far, $this->takesColour, array_values(array_filter($grounds->plates(), $stands)));
    }

    public function defaultMode(): BlendMode
    {
        return BlendMode::Normal;
    }

    public function layers(Site $site): array
    {
        $distances = new Distances($site->stage()->camera, $this->visible, $this->far);
        $plates = [];
        foreach ($this->stands as $stand) {
            $covering = $site->covering($stand->id);
            if ($covering !== null) {
                $pass = $stand->depth === null ? null : $site->pass($stand->id, $stand->depth->picture);
                $plates[] = [$covering, $stand->depth === null || $pass === null ? $distances->passes($stand->distance ?? $distances->ofRow($stand->foot()->y)) : [$stand->depth, $pass]];
            }
        }
        $tint = OneColour::flat(Rgb::fromHex($this->colour));

        return [new Layer($site->mode(), new Veil($distances, $plates), $tint, new Amount($site->amount()), inLinear: $site->mode() === BlendMode::Normal)];
    }
}
