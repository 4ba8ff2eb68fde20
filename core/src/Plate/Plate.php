<?php

declare(strict_types=1);

namespace Aumbrel\Core\Plate;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Parameter\Parameter;
use Aumbrel\Core\Parameter\Unit;
use Aumbrel\Core\Parameter\Values;
use Aumbrel\Core\Scene\Family;
use Aumbrel\Core\Scene\StripKind;

/** A picture placed in the scene. */
final readonly class Plate implements StripKind
{
    public function __construct(public string $picture, public Placement $placement)
    {
    }

    public static function key(): string
    {
        return 'plate';
    }

    public static function label(): string
    {
        return 'Plate';
    }

    public static function hint(): string
    {
        return 'A picture: drop a file on the view';
    }

    public static function family(): Family
    {
        return Family::Plate;
    }

    public static function parameters(): array
    {
        return [
            Parameter::picture('picture', 'Picture', 'plate'),
            Parameter::point('place', 'Place', 'placing', new Point(0, 0)),
            Parameter::number('scale', 'Scale', 'placing', Unit::Factor, 0.005, 64, 1, 0.005),
            Parameter::number('turn', 'Turn', 'placing', Unit::Degrees, -360, 360, 0),
            Parameter::toggle('mirrored', 'Mirrored', 'placing'),
            Parameter::point('pivot', 'Pivot', 'placing', new Point(0, 0)),
        ];
    }

    public static function from(Values $values): self
    {
        return new self($values->choice('picture'), new Placement(
            $values->point('place'), $values->point('pivot'), $values->number('scale'), $values->number('turn'), $values->toggle('mirrored'),
        ));
    }

    public static function placed(Point $centre, float $span): array
    {
        return ['place' => $centre->toArray()];
    }

    public function defaultMode(): BlendMode
    {
        return BlendMode::Normal;
    }

    public function outlines(): array
    {
        return [];
    }
}
