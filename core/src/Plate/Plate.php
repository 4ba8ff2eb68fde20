<?php

declare(strict_types=1);

namespace Aumbrel\Core\Plate;

use Aumbrel\Core\Bearing\Bearing;
use Aumbrel\Core\Bearing\FoundBearing;
use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\CutOut\Edge;
use Aumbrel\Core\Geometry\Corners;
use Aumbrel\Core\Geometry\Line;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Grade\BaseTone;
use Aumbrel\Core\Parameter\Parameter;
use Aumbrel\Core\Parameter\Unit;
use Aumbrel\Core\Parameter\Values;
use Aumbrel\Core\Scene\Family;
use Aumbrel\Core\Scene\StripKind;

/** A picture placed in the scene. */
final readonly class Plate implements StripKind
{
    /** @param  array<string, mixed>  $own  all its values, as they stand in JSON */
    private function __construct(
        public string $picture,
        private Placement $placement,
        private ?Corners $fit,
        public BaseTone $tone,
        public Edge $edge,
        public ?Line $horizon,
        public ?FoundBearing $bearing,
        private array $own,
    ) {
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
            Parameter::optionalCorners('fit', 'Perspective', 'placing', 'straight on'),
            Parameter::optionalLine('horizon', 'Horizon', 'placing', 'not drawn'),
            ...BaseTone::parameters(),
            ...Edge::parameters(),
            Parameter::optionalBearing('bearing', 'Bearing', 'direction', 'not known'),
        ];
    }

    public static function from(Values $values): self
    {
        return new self($values->choice('picture'), new Placement(
            $values->point('place'), $values->point('pivot'), $values->number('scale'), $values->number('turn'), $values->toggle('mirrored'),
        ), $values->corners('fit'), BaseTone::from($values), Edge::from($values), $values->line('horizon'), $values->bearing('bearing'), $values->toArray());
    }

    /** How a picture of a size lies in the scene. */
    public function placement(int $width, int $height): Placement
    {
        $at = $this->placement;

        return $this->fit === null ? $at : new Placement($at->place, $at->pivot, $at->scale, $at->turn, $at->mirrored, $this->fit->fit($width, $height));
    }

    /** Where its light comes from as the scene sees it: mirrored and turned with the plate; null when it is not known. */
    public function bearing(): ?Bearing
    {
        $own = $this->bearing?->bearing;

        return $own === null ? null : ($this->placement->mirrored ? $own->mirrored() : $own)->turned($this->placement->turn);
    }

    /**
     * Its bearing with other values.
     *
     * @param  array<string, mixed>  $values
     */
    public function bearingWith(array $values): ?Bearing
    {
        return self::from(Values::read(self::parameters(), [...$this->own, ...$values], 'values'))->bearing();
    }

    /**
     * The values that mirror it where it stands: what was left is right, and it leans the other way.
     *
     * @return array<string, mixed>
     */
    public function mirroring(): array
    {
        return ['mirrored' => ! $this->placement->mirrored, 'turn' => $this->placement->turn == 0.0 ? 0.0 : -$this->placement->turn];
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
