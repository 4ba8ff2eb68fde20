<?php

declare(strict_types=1);

namespace Aumbrel\Core\Air;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Kind\Amount;
use Aumbrel\Core\Kind\Drawn;
use Aumbrel\Core\Kind\Drive;
use Aumbrel\Core\Kind\Driven;
use Aumbrel\Core\Kind\DrivenByValues;
use Aumbrel\Core\Kind\Family;
use Aumbrel\Core\Kind\LaidRamp;
use Aumbrel\Core\Kind\Layer;
use Aumbrel\Core\Kind\Plain;
use Aumbrel\Core\Kind\Site;
use Aumbrel\Core\Kind\Spares;
use Aumbrel\Core\Ramp\ColourRamp;
use Aumbrel\Core\Stage\Lamp;
use Aumbrel\Core\Stage\Stage;
use Aumbrel\Core\Stage\Sun;
use Aumbrel\Core\Value\ChoiceValue;
use Aumbrel\Core\Value\ToggleValue;
use Aumbrel\Core\Value\Values;

/** A veil of lit air from a side, or round a place: a ramp of colours as they are stored, thickest where it begins. */
final readonly class Haze implements Drawn, Driven, Spares
{
    use DrivenByValues;
    use Plain;

    public const LINE = 'from where it is thickest to where it ends';

    private function __construct(private ?LaidRamp $ramp, private bool $takesColour)
    {
    }

    public static function key(): string
    {
        return 'haze';
    }

    public static function label(): string
    {
        return 'Haze';
    }

    public static function hint(): string
    {
        return 'A veil of lit air from one side';
    }

    public static function family(): Family
    {
        return Family::Air;
    }

    public static function parameters(): array
    {
        return [
            ChoiceValue::named('comes', 'Comes as', 'light', [LaidRamp::LINEAR, LaidRamp::RADIAL], LaidRamp::LINEAR)->says('From one side, or round a place'),
            // of one colour from end to end, so that it thins and does not turn
            ...LaidRamp::parameters('comes', ColourRamp::of([0.0, '#b4c3d6', 0.8, 0.5, true], [1.0, '#b4c3d6', 0.0])),
            ToggleValue::named('takesColour', "In its source's colour", 'source'),
        ];
    }

    public static function from(Values $values): self
    {
        return new self(LaidRamp::from($values, 'comes'), $values->toggle('takesColour'));
    }

    public static function hangsOn(): array
    {
        return [Lamp::class, Sun::class];
    }

    /** Its stops in the source's colour, as dense as they are. */
    public function inForce(Drive $drive): array
    {
        return $this->ramp === null || ! $this->takesColour ? [] : ['stops' => $this->ramp->ramp->inColour($drive->source->kind->colour()->linear($drive->white)->encoded())->toArray()];
    }

    public static function drawn(Point $from, Point $to, float $span, Stage $stage): array
    {
        return ['from' => [round($from->x, 1), round($from->y, 1)], 'to' => [round($to->x, 1), round($to->y, 1)]];
    }

    /** From below, where air is thickest. */
    public static function placed(Point $centre, float $span, ?string $plate = null): array
    {
        return ['from' => [round($centre->x, 1), round($centre->y + $span / 2, 1)], 'to' => [round($centre->x, 1), round($centre->y - $span / 4, 1)]];
    }

    /** Haze is kept out of the darks more often than not, so that trunks and posts cut through (common practice, no source). */
    public static function spared(): array
    {
        return ['darks' => [0.02, 0.2], 'brights' => [1.0, 1.0], 'of' => 'below'];
    }

    public static function placedAmount(): float
    {
        return 60.0;
    }

    public function defaultMode(): BlendMode
    {
        return BlendMode::Screen;
    }

    public function layers(Site $site): array
    {
        return $this->ramp === null ? [] : [new Layer($site->mode(), $this->ramp->field($site->stage()), $this->ramp->tint($site->stage()), new Amount($site->amount()))];
    }
}
