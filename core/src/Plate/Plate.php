<?php

declare(strict_types=1);

namespace Aumbrel\Core\Plate;

use Aumbrel\Core\Bearing\Bearing;
use Aumbrel\Core\Bearing\FoundBearing;
use Aumbrel\Core\Bearing\Method;
use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Body\Form;
use Aumbrel\Core\CutOut\CutMask;
use Aumbrel\Core\CutOut\CutMasks;
use Aumbrel\Core\CutOut\CutPlane;
use Aumbrel\Core\CutOut\Edge;
use Aumbrel\Core\CutOut\PlateOutline;
use Aumbrel\Core\Geometry\Carry;
use Aumbrel\Core\Geometry\Corners;
use Aumbrel\Core\Geometry\Feet;
use Aumbrel\Core\Geometry\Line;
use Aumbrel\Core\Geometry\Mirror;
use Aumbrel\Core\Geometry\Placement;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Grade\BaseTone;
use Aumbrel\Core\Kind\Amount;
use Aumbrel\Core\Kind\Everywhere;
use Aumbrel\Core\Kind\Family;
use Aumbrel\Core\Kind\Layer;
use Aumbrel\Core\Kind\Pictured;
use Aumbrel\Core\Kind\Plain;
use Aumbrel\Core\Kind\Site;
use Aumbrel\Core\Kind\Stance;
use Aumbrel\Core\Kind\Surroundings;
use Aumbrel\Core\Picture\PictureSource;
use Aumbrel\Core\Seen\DepthPass;
use Aumbrel\Core\Seen\PlatePlane;
use Aumbrel\Core\Seen\SeenPlate;
use Aumbrel\Core\Value\BearingValue;
use Aumbrel\Core\Value\CornersValue;
use Aumbrel\Core\Value\FeetValue;
use Aumbrel\Core\Value\LineValue;
use Aumbrel\Core\Value\NumberValue;
use Aumbrel\Core\Value\PictureValue;
use Aumbrel\Core\Value\PointValue;
use Aumbrel\Core\Value\StanceValue;
use Aumbrel\Core\Value\SurfaceValue;
use Aumbrel\Core\Value\ToggleValue;
use Aumbrel\Core\Value\Unit;
use Aumbrel\Core\Value\Values;

/** A picture placed in the scene. */
final readonly class Plate implements Pictured
{
    use Plain;

    private const LEAST_SCALE = 0.005;

    private const MOST_SCALE = 64.0;

    /** @param  array<string, mixed>  $own  all its values, as they stand in JSON */
    private function __construct(
        private string $picture,
        private Placement $placement,
        private ?Corners $fit,
        public BaseTone $tone,
        public Edge $edge,
        public ?Line $horizon,
        private ?FoundBearing $bearing,
        private ?Stance $stance,
        private ?Feet $feet,
        private float $gap,
        private bool $receives,
        private ?float $distance,
        private Passes $passes,
        private Evening $evening,
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
            PictureValue::named('picture', 'Picture', 'placing'),
            PointValue::named('place', 'Place', 'placing', new Point(0, 0)),
            NumberValue::named('scale', 'Scale', 'placing', Unit::Factor, self::LEAST_SCALE, self::MOST_SCALE, 1, 0.005),
            NumberValue::named('turn', 'Turn', 'placing', Unit::Degrees, -360, 360, 0),
            ToggleValue::named('mirrored', 'Mirrored', 'placing'),
            PointValue::named('pivot', 'Pivot', 'placing', new Point(0, 0)),
            CornersValue::optional('fit', 'Perspective', 'placing', 'straight on'),
            StanceValue::optional('stance', 'Stance', 'placing', array_column(Stance::cases(), 'value'), 'it seems'),
            FeetValue::optional('feet', 'Feet', 'placing', 'its lower edge')->shownWhen('stance', ['', Stance::Stands->value]),
            SurfaceValue::wall('wall', 'On', 'placing', 'any wall behind it')->shownWhen('stance', [Stance::Hangs->value]),
            NumberValue::named('gap', 'Gap', 'placing', Unit::Pixels, 0, 100000, 10, 1)->shownWhen('stance', [Stance::Hangs->value]),
            ToggleValue::named('receives', 'Takes shadows', 'placing')->shownWhen('stance', ['', Stance::Stands->value, Stance::Hangs->value]),
            NumberValue::optional('distance', 'Distance', 'placing', Unit::Factor, 0.05, 1000, 'where it stands', 0.1)->says('How far away it is, in distances of the floor\'s nearest row: haze covers it by that'),
            LineValue::optional('horizon', 'Horizon', 'placing', 'not drawn'),
            ...Passes::parameters(),
            ...Evening::parameters(),
            ...BaseTone::parameters(),
            ...Edge::parameters(),
            BearingValue::optional('bearing', 'Bearing', 'direction', 'not known'),
        ];
    }

    public static function from(Values $values): self
    {
        return new self($values->text('picture'), new Placement(
            $values->object('place', Point::class), $values->object('pivot', Point::class), $values->number('scale'), $values->number('turn'), $values->toggle('mirrored'),
        ), $values->optional('fit', Corners::class), BaseTone::from($values), Edge::from($values), $values->optional('horizon', Line::class), $values->optional('bearing', FoundBearing::class),
            Stance::tryFrom($values->optionalText('stance') ?? ''), $values->optional('feet', Feet::class), $values->number('gap'), $values->toggle('receives'), $values->optionalNumber('distance'), Passes::from($values), Evening::from($values), $values->toArray());
    }

    public function picture(): string
    {
        return $this->picture;
    }

    public function found(): ?FoundBearing
    {
        return $this->bearing;
    }

    public function evened(): float
    {
        return $this->bearing === null ? 0.0 : $this->evening->amount;
    }

    public function stance(): ?Stance
    {
        return $this->stance;
    }

    public function feet(): array
    {
        return $this->feet->points ?? [];
    }

    public function gap(): float
    {
        return $this->gap;
    }

    public function distance(): ?float
    {
        return $this->distance;
    }

    public function passes(): array
    {
        return $this->passes->pictures();
    }

    public function form(): Form
    {
        return $this->passes->form;
    }

    public function depthPass(): ?DepthPass
    {
        return $this->passes->depth;
    }

    public function receives(): bool
    {
        return $this->receives;
    }

    public function walkedTo(Point $feet, Point $to, ?float $horizon): array
    {
        $nearer = $horizon === null || $feet->y < $horizon + 1 ? 1.0 : max(1.0, $to->y - $horizon) / ($feet->y - $horizon);
        $place = $this->placement->place;
        $scale = max(self::LEAST_SCALE, min(self::MOST_SCALE, $this->placement->scale * $nearer));
        $nearer = $scale / $this->placement->scale;

        return ['place' => [round($to->x + ($place->x - $feet->x) * $nearer, 2), round($to->y + ($place->y - $feet->y) * $nearer, 2)], 'scale' => $scale];
    }

    public function placement(int $width, int $height): Placement
    {
        $at = $this->placement;

        return $this->fit === null ? $at : new Placement($at->place, $at->pivot, $at->scale, $at->turn, $at->mirrored, $this->fit->fit($width, $height));
    }

    public function bearing(): ?Bearing
    {
        $own = $this->bearing?->bearing;

        return $own === null ? null : ($this->placement->mirrored ? $own->mirrored() : $own)->turned($this->placement->turn);
    }

    public function bearingWith(array $values): ?Bearing
    {
        return self::from(Values::read(self::parameters(), [...$this->own, ...$values], 'values'))->bearing();
    }

    public function litFrom(Bearing $seen): array
    {
        $own = $seen->turned(-$this->placement->turn);
        if ($this->placement->mirrored) {
            $own = $own->mirrored();
        }

        return ['bearing' => ['by' => Method::Sphere->value, 'azimuth' => round($own->azimuth, 1), 'elevation' => round($own->elevation, 1)]];
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

    /** Its place goes to the other side, and it is mirrored there: what it has in its own picture stays. */
    public function mirrored(Values $own, Mirror $mirror): array
    {
        $at = $this->placement;

        return [...$own->toArray(), 'place' => $mirror->point($at->place)->toArray(), 'mirrored' => ! $at->mirrored, 'turn' => $mirror->direction($at->turn + 180)];
    }

    /** Only its place and its size are the scene's; all else is its own picture's. */
    public static function carried(array $values, Carry $carry): array
    {
        $scale = $values['scale'] ?? 1;

        return ['place' => $carry->point($values['place'] ?? [0, 0]), 'scale' => is_int($scale) || is_float($scale) ? $scale * $carry->factor() : $scale] + $values;
    }

    public static function placed(Point $centre, float $span, ?string $plate = null): array
    {
        return ['place' => $centre->toArray()];
    }

    public function defaultMode(): BlendMode
    {
        return BlendMode::Normal;
    }

    public function layers(Site $site): array
    {
        $seen = $site->seen($site->id());

        return $seen === null ? [] : [new Layer($site->mode(), $seen->opaque() ? new Everywhere : new PlateAlpha($seen), new PlateTint($seen, $this->tone, $this->evenedOut($site)), new Amount($site->amount()))];
    }

    public function problem(Surroundings $around): ?string
    {
        return match (true) {
            $this->evening->isNone() => null,
            $this->bearing === null => 'Its light cannot be taken down as long as it is not known where it comes from: estimate its bearing, or set it by hand.',
            ! $around->hasOutline($around->id()) && ! $this->passes->form->isGiven() => 'Its light cannot be taken down: it is not cut out and has no normals, so nothing tells its form.',
            default => null,
        };
    }

    /** Null as long as nothing of its light is taken down, or it is not known. */
    private function evenedOut(Site $site): ?Evened
    {
        $body = $this->evening->isNone() ? null : $site->body($site->id());
        [$light, $toward, $seen] = [$body?->ownLight(), $body?->lightSeen(), $site->seen($site->id())];

        return $body === null || $light === null || $toward === null || $seen === null ? null
            : new Evened($body, $light, $toward, $this->evening, new CalmedPlane($seen->key(), static fn (Window $window): ?SeenPlate => $site->seen($site->id(), $window), $this->placement->scale, $site->window()));
    }

    public function seen(PictureSource $picture, array $masks, Window $window): SeenPlate
    {
        return self::sight($picture, $this->placement($picture->width(), $picture->height()), $window, $masks, $this->edge);
    }

    /**
     * A picture as a window sees it, cut out where there is anything to cut.
     *
     * @param  list<CutMask>  $masks
     */
    public static function sight(PictureSource $picture, Placement $placement, Window $window, array $masks, Edge $edge): SeenPlate
    {
        return $masks === [] && ($edge->isNone() || ($picture->opaque() && $edge->soften <= 0))
            ? new PlatePlane($picture, $placement, $window)
            : new CutPlane($picture, $placement, $window, $masks, $edge);
    }

    public function softens(): bool
    {
        return $this->edge->soften > 0;
    }

    public function outline(PictureSource $picture, array $masks): ?PlateOutline
    {
        return $masks === [] && $picture->opaque() ? null
            : new PlateOutline($picture, $this->placement($picture->width(), $picture->height()), new CutMasks($masks), $this->edge);
    }
}
