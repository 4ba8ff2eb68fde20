<?php

declare(strict_types=1);

namespace Aumbrel\Core\Shadow;

use Aumbrel\Core\Bearing\Bearing;
use Aumbrel\Core\Color\Rgb;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Geometry\Vector;
use Aumbrel\Core\Kind\Drive;
use Aumbrel\Core\Kind\Driven;
use Aumbrel\Core\Kind\Field;
use Aumbrel\Core\Kind\Grounded;
use Aumbrel\Core\Kind\LiesUnder;
use Aumbrel\Core\Kind\Placed;
use Aumbrel\Core\Kind\PlacedPlate;
use Aumbrel\Core\Kind\Proposal;
use Aumbrel\Core\Kind\Proposes;
use Aumbrel\Core\Kind\Pull;
use Aumbrel\Core\Kind\Pullable;
use Aumbrel\Core\Kind\SeenFrom;
use Aumbrel\Core\Kind\Shades;
use Aumbrel\Core\Kind\Site;
use Aumbrel\Core\Kind\Stance;
use Aumbrel\Core\Kind\Stand;
use Aumbrel\Core\Kind\StripKind;
use Aumbrel\Core\Kind\ThrowsShadow;
use Aumbrel\Core\Stage\Camera;
use Aumbrel\Core\Stage\Lamp;
use Aumbrel\Core\Stage\Rays;
use Aumbrel\Core\Stage\Stage;
use Aumbrel\Core\Stage\Sun;
use Aumbrel\Core\Value\NumberValue;
use Aumbrel\Core\Value\ToggleValue;
use Aumbrel\Core\Value\Unit;
use Aumbrel\Core\Value\Values;

/** The shadow of plates on the wall close behind them: of a picture, a clock, a sign that hangs there. */
final class WallShadow implements Driven, Grounded, LiesUnder, Proposes, Pullable, SeenFrom, Shades, ThrowsShadow
{
    use Throws;

    /** The light of a room: as wide as a window or a ceiling, degrees, and its share, percent. */
    private const ROOM_WIDTH = 60;

    private const ROOM_DENSITY = 25.0;

    private Rays $rays;

    private ?float $gap;

    private float $contact;

    private bool $filled;

    public static function key(): string
    {
        return 'wall';
    }

    public static function label(): string
    {
        return 'Wall shadow';
    }

    public static function hint(): string
    {
        return 'The shadow of something that hangs, on the wall behind it';
    }

    public static function parameters(): array
    {
        return [
            ...self::ofPlates('#11141f'),
            NumberValue::optional('gap', 'Gap', 'reach', Unit::Pixels, 0, 100000, 'as each plate hangs', 1)->says('How far before the wall its plates hang: the further, the further off and the softer their shadow'),
            NumberValue::direction('azimuth', 'Azimuth', 'direction', 120),
            NumberValue::named('elevation', 'Elevation', 'direction', Unit::Degrees, -90, 90, 40),
            NumberValue::named('width', 'Light\'s width', 'softness', Unit::Degrees, 0, 90, 15, 0.5),
            NumberValue::named('contact', 'Contact softness', 'softness', Unit::Pixels, 0, 500, 1, 0.1),
            ToggleValue::on('filled', 'Insides filled', 'reach'),
        ];
    }

    public static function from(Values $values): self
    {
        $own = new self;
        $own->of = $values->texts('of');
        $own->colour = Rgb::fromHex($values->text('colour'));
        $own->rays = Rays::parallel(new Bearing($values->number('azimuth'), $values->number('elevation')), $values->number('width'));
        [$own->gap, $own->contact, $own->filled] = [$values->optionalNumber('gap'), $values->number('contact'), $values->toggle('filled')];

        return $own;
    }

    public static function placed(Point $centre, float $span, ?string $plate = null): array
    {
        return ['of' => $plate === null ? [] : [$plate], 'contact' => round(max(0.6, 0.0016 * $span), 1)];
    }

    public static function line(): string
    {
        return 'from the middle of a plate to where its shadow falls';
    }

    public static function placedAmount(): float
    {
        return 60.0;
    }

    /** One of all that hang. */
    public static function proposals(Placed $placed): array
    {
        $hanging = array_values(array_filter($placed->subjects(), static fn (PlacedPlate $plate): bool => $plate->stance === Stance::Hangs));

        return $hanging === [] ? [] : [new Proposal(
            'wall shadow', 'Shadow on the wall', self::class, ['of' => array_map(static fn (PlacedPlate $plate): string => $plate->id, $hanging), 'contact' => round(max(0.6, 0.004 * $hanging[0]->size), 1)],
            order: -50, amount: $placed->share($hanging[0]->id, true),
        )];
    }

    /** By each source, and by the light of the room: from above, wide and weak. */
    public static function shadowsOf(Stand $stand, array $densities): array
    {
        if ($stand->stance !== Stance::Hangs) {
            return [];
        }
        $values = ['of' => [$stand->id], 'contact' => round(max(0.6, 0.004 * $stand->size()), 1)];
        $room = new Proposal('room shadow', "{$stand->name}, by the room", self::class, [...$values, 'azimuth' => 90, 'elevation' => 38, 'width' => self::ROOM_WIDTH], amount: self::ROOM_DENSITY, order: -10);

        return [$room, ...array_map(static fn (string $source, float $density): Proposal => new Proposal("wall {$source}", "{$stand->name}, on the wall", self::class, $values, amount: $density, source: $source), array_keys($densities), $densities)];
    }

    public static function hangsOn(): array
    {
        return [Lamp::class, Sun::class];
    }

    public function inForce(Drive $drive): array
    {
        $rays = $drive->source->kind->rays($drive->stage->camera);
        $bearing = $rays->isParallel ? $rays->bearing(new Vector(0.0, 0.0, 0.0)) : $drive->bearing();

        return ['azimuth' => $bearing->azimuth, 'elevation' => $bearing->elevation, 'width' => min(90.0, rad2deg($rays->angle($drive->from->place($drive->stage->camera))))];
    }

    public function driven(Drive $drive, Values $own): StripKind
    {
        $driven = clone $this;
        $driven->rays = $drive->source->kind->rays($drive->stage->camera);

        return $driven;
    }

    public function isOnWall(): bool
    {
        return true;
    }

    public function lightFrom(): ?Bearing
    {
        return $this->rays->isParallel ? $this->rays->bearing(new Vector(0.0, 0.0, 0.0)) : null;
    }

    public function layers(Site $site): array
    {
        return $this->darkening($site, $this->field($site), $this->grounds?->bySameSource(true) ?? []);
    }

    public function field(Site $site): ?Field
    {
        $pieces = [];
        foreach ($this->stands() as $stand) {
            $shape = CastShape::of($site, $stand->id, $this->filled);
            $thrown = $this->thrown($stand, $site->stage()->camera);
            if ($shape !== null && $thrown !== null) {
                $pieces[] = new Piece($shape, $thrown);
            }
        }

        return $pieces === [] ? null : new ShadowField($pieces, $this->coverings($site));
    }

    public function outlines(Stage $stage): array
    {
        $stand = $this->stands()[0] ?? null;
        $thrown = $stand === null ? null : $this->thrown($stand, $stage->camera);
        if ($stand === null || $thrown === null) {
            return [];
        }
        $middle = $stand->box->middle();

        return ['middle' => [$middle->toArray()], 'tip' => [$thrown->toSheet()->inverse()->map($middle)->toArray()]];
    }

    /** The light that throws the middle of the plate there: as far off as its gap makes it. */
    public function pulled(string $handle, Point $to): ?Pull
    {
        $stand = $this->stands()[0] ?? null;
        $camera = $this->grounds?->stage()->camera;
        if ($stand === null || $camera === null) {
            return null;
        }
        $middle = $stand->box->middle();
        $gap = max(1e-3, $this->gap ?? $stand->gap);
        $way = (new Vector($middle->x - $to->x, $to->y - $middle->y, $gap))->unit();
        $bearing = Bearing::toward($way->x, $way->y, $way->z);

        return new Pull(['azimuth' => round($bearing->azimuth, 2), 'elevation' => round($bearing->elevation, 2)], $camera->place($middle, self::depth($stand, $camera)), $way);
    }

    private function thrown(Stand $stand, Camera $camera): ?ThrownBehind
    {
        $depth = self::depth($stand, $camera);
        $scale = $camera->scale($depth);
        $place = $this->rays->place();
        // a lamp is taken in the plate's own px
        $rays = $place === null ? $this->rays : Rays::from((new Vector($place->x, $place->y, $place->z - $depth))->times(1 / $scale), $this->rays->width() / $scale);

        return ThrownBehind::of($stand->box, $rays, $this->gap ?? $stand->gap, $this->contact, $camera->column, $camera->eyeRow());
    }

    /** How deep a plate is in space: where it stands, or in the plane of the contact row. */
    private static function depth(Stand $stand, Camera $camera): float
    {
        return $stand->stance === Stance::Stands && $camera->horizon !== null && $stand->foot()->y > $camera->horizon ? $camera->depthOfRow($stand->foot()->y) : 0.0;
    }

    private function lack(): ?string
    {
        $camera = $this->grounds?->stage()->camera;
        foreach ($this->stands() as $stand) {
            if ($camera !== null && $this->thrown($stand, $camera) === null) {
                return "Its light does not come from before {$stand->name}, so it throws nothing on the wall behind it.";
            }
        }

        return null;
    }
}
