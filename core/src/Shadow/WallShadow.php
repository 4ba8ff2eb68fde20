<?php

declare(strict_types=1);

namespace Aumbrel\Core\Shadow;

use Aumbrel\Core\Color\Rgb;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Geometry\Vector;
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
use Aumbrel\Core\Kind\ThrowsShadow;
use Aumbrel\Core\Stage\Camera;
use Aumbrel\Core\Stage\Lamp;
use Aumbrel\Core\Stage\Rays;
use Aumbrel\Core\Stage\Stage;
use Aumbrel\Core\Value\NumberValue;
use Aumbrel\Core\Value\ToggleValue;
use Aumbrel\Core\Value\Unit;
use Aumbrel\Core\Value\Values;

/** The shadow of plates on the wall close behind them: of a picture, a clock, a sign that hangs there. */
final class WallShadow implements Driven, Grounded, LiesUnder, Proposes, Pullable, SeenFrom, Shades, ThrowsShadow
{
    use ByLight;

    /** The light of a room: as wide as a window or a ceiling, degrees, and its share, percent. */
    private const ROOM_WIDTH = 60;

    private const ROOM_DENSITY = 25.0;

    private ?float $gap;

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
            ...self::ofLight(120, 40, 15, 0.5),
            ToggleValue::on('filled', 'Insides filled', 'reach'),
        ];
    }

    public static function from(Values $values): self
    {
        $own = new self;
        $own->of = $values->texts('of');
        $own->colour = Rgb::fromHex($values->text('colour'));
        $own->rays = self::raysOf($values);
        [$own->gap, $own->contact, $own->filled] = [$values->optionalNumber('gap'), $values->number('contact'), $values->toggle('filled')];

        return $own;
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
        $hanging = $placed->those(Stance::Hangs);

        return $hanging === [] ? [] : [new Proposal(
            'wall shadow', 'Shadow on the wall', self::class, ['of' => array_map(static fn (PlacedPlate $plate): string => $plate->id, $hanging), 'contact' => self::contactOf($hanging[0]->size)],
            order: -50, amount: $placed->share($hanging[0]->id, true),
        )];
    }

    /** By each source, and by the light of the room: from above, wide and weak. */
    public static function shadowsOf(Stand $stand, array $densities): array
    {
        if ($stand->stance !== Stance::Hangs) {
            return [];
        }
        $values = ['of' => [$stand->id], 'contact' => self::contactOf($stand->size())];
        $room = new Proposal('room shadow', "{$stand->name}, by the room", self::class, [...$values, 'azimuth' => 90, 'elevation' => 38, 'width' => self::ROOM_WIDTH], amount: self::ROOM_DENSITY, order: -10);

        return [$room, ...array_map(static fn (string $source, float $density): Proposal => new Proposal("wall {$source}", "{$stand->name}, on the wall", self::class, $values, amount: $density, source: $source), array_keys($densities), $densities)];
    }

    public function isOnWall(): bool
    {
        return true;
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

        return self::turned($way, $camera->place($middle, self::depth($stand, $camera)));
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
