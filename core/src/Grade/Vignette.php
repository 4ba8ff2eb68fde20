<?php

declare(strict_types=1);

namespace Aumbrel\Core\Grade;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Color\Rgb;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Kind\Begun;
use Aumbrel\Core\Kind\Evenly;
use Aumbrel\Core\Kind\Family;
use Aumbrel\Core\Kind\Layer;
use Aumbrel\Core\Kind\OneColour;
use Aumbrel\Core\Kind\Plain;
use Aumbrel\Core\Kind\Site;
use Aumbrel\Core\Kind\Stops;
use Aumbrel\Core\Value\NumberValue;
use Aumbrel\Core\Value\Unit;
use Aumbrel\Core\Value\Values;

/** Linear light times 2^(stops x what its masks let through): borders darker, or a place brighter. */
final readonly class Vignette implements Begun
{
    use Plain;

    private function __construct(private float $stops)
    {
    }

    public static function key(): string
    {
        return 'vignette';
    }

    public static function label(): string
    {
        return 'Vignette';
    }

    public static function hint(): string
    {
        return 'Borders darker, so that the eye stays inside';
    }

    public static function family(): Family
    {
        return Family::Grade;
    }

    public static function parameters(): array
    {
        return [NumberValue::named('stops', 'Exposure', 'tone', Unit::Stops, -6, 2, -1.5, 0.1)->says('How much darker, or brighter, it is where its mask lets it act')];
    }

    public static function from(Values $values): self
    {
        return new self($values->number('stops'));
    }

    /** Nothing in the middle, all of it past the border: an oval about what is looked at. */
    public static function begun(Point $centre, float $span): array
    {
        return [['kind' => 'radial', 'inverted' => true, 'values' => ['centre' => [round($centre->x, 1), round($centre->y, 1)], 'radius' => round(0.95 * $span, 1), 'secondRadius' => round(0.7 * $span, 1), 'inner' => round(0.3 * $span, 1), 'smooth' => true]]];
    }

    public function defaultMode(): BlendMode
    {
        return BlendMode::Illuminate;
    }

    public function layers(Site $site): array
    {
        $flat = $this->stops < 0 ? new Rgb(0, 0, 0) : new Rgb(1, 1, 1);
        $tint = $site->mode() === BlendMode::Illuminate ? OneColour::ofLight(new Rgb(1, 1, 1)) : OneColour::flat($flat);

        return $this->stops === 0.0 ? [] : [new Layer($site->mode(), new Evenly($site->amount()), $tint, new Stops($this->stops), recolours: true)];
    }
}
