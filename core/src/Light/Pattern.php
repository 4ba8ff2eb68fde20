<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Color\LightColour;
use Aumbrel\Core\Geometry\Corners;
use Aumbrel\Core\Geometry\Placement;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Kind\Drive;
use Aumbrel\Core\Kind\Driven;
use Aumbrel\Core\Kind\DrivenByValues;
use Aumbrel\Core\Kind\Emitter;
use Aumbrel\Core\Kind\Family;
use Aumbrel\Core\Kind\Field;
use Aumbrel\Core\Kind\Layer;
use Aumbrel\Core\Kind\Level;
use Aumbrel\Core\Kind\OneColour;
use Aumbrel\Core\Kind\OnWall;
use Aumbrel\Core\Kind\Placed;
use Aumbrel\Core\Kind\Plain;
use Aumbrel\Core\Kind\Proposal;
use Aumbrel\Core\Kind\Proposes;
use Aumbrel\Core\Kind\Site;
use Aumbrel\Core\Kind\Surroundings;
use Aumbrel\Core\Stage\Lamp;
use Aumbrel\Core\Stage\Patch;
use Aumbrel\Core\Stage\Stage;
use Aumbrel\Core\Stage\Sun as SunSource;
use Aumbrel\Core\Texture\SlideShape;
use Aumbrel\Core\Value\ChoiceValue;
use Aumbrel\Core\Value\CornersValue;
use Aumbrel\Core\Value\LightColourValue;
use Aumbrel\Core\Value\NumberValue;
use Aumbrel\Core\Value\PictureValue;
use Aumbrel\Core\Value\PointValue;
use Aumbrel\Core\Value\SurfaceValue;
use Aumbrel\Core\Value\Unit;
use Aumbrel\Core\Value\Values;

/**
 * Light that comes through something: a window, blinds, leaves, or any picture as a slide. It lies on a surface of the stage, or
 * in four corners, as two blurred copies, mixed: a tight one, and a wide one.
 */
final readonly class Pattern implements Driven, OnWall, Proposes
{
    use DrivenByValues;
    use Plain;

    /** How much of a wall a new one covers. */
    private const OF_WALL = 0.8;

    private const WINDOW = 'a window';

    private const BLINDS = 'blinds';

    private const LEAVES = 'leaves';

    private const SLIDE = 'a picture';

    /** The wide blur of a new one, in tight ones. */
    private const WIDER = 5.0;

    /**
     * @param  string|null  $surface  of the stage; null for four corners
     * @param  Patch  $patch  where on the surface it lies
     * @param  float  $tight  sigma, px
     * @param  float  $wide  sigma, px
     * @param  float  $share  0..1, of the wide one
     */
    private function __construct(
        private string $through,
        private ?UnitDrawing $drawing,
        private ?string $picture,
        private ?string $surface,
        private Patch $patch,
        private ?Corners $corners,
        private float $tight,
        private float $wide,
        private float $share,
        private float $gain,
        private LightColour $colour,
        private Following $following,
    ) {
    }

    public static function key(): string
    {
        return 'pattern';
    }

    public static function label(): string
    {
        return 'Pattern';
    }

    public static function hint(): string
    {
        return 'Light through a window, blinds, leaves or a slide';
    }

    public static function family(): Family
    {
        return Family::Light;
    }

    public static function parameters(): array
    {
        return [
            LightColourValue::named('colour', 'Colour', 'light', LightColour::kelvin(3600)),
            ChoiceValue::named('through', 'Through', 'light', [self::WINDOW, self::BLINDS, self::LEAVES, self::SLIDE], self::WINDOW),
            PictureValue::optional('picture', 'Slide', 'light', 'no picture')->shownWhen('through', [self::SLIDE]),
            NumberValue::named('across', 'Panes across', 'light', Unit::None, 1, 40, 2)->shownWhen('through', [self::WINDOW]),
            NumberValue::named('down', 'Panes down', 'light', Unit::None, 1, 40, 3)->shownWhen('through', [self::WINDOW]),
            NumberValue::named('bars', 'Bars', 'light', Unit::Percent, 0, 90, 12)->shownWhen('through', [self::WINDOW]),
            NumberValue::named('slats', 'Slats', 'light', Unit::None, 1, 120, 9)->shownWhen('through', [self::BLINDS]),
            NumberValue::named('tilt', 'Tilt', 'light', Unit::Degrees, 0, 90, 40)->shownWhen('through', [self::BLINDS]),
            NumberValue::named('crown', 'Leaves across', 'light', Unit::None, 2, 60, 11)->shownWhen('through', [self::LEAVES]),
            NumberValue::named('density', 'Density', 'light', Unit::Percent, 0, 100, 62)->shownWhen('through', [self::LEAVES]),
            NumberValue::named('seed', 'Seed', 'light', Unit::None, 0, 99999, 1)->shownWhen('through', [self::LEAVES]),
            NumberValue::named('gain', 'Gain', 'light', Unit::Stops, -4, 4, 0, 0.1)->shownWhen('through', [self::SLIDE]),
            SurfaceValue::optional('surface', 'On', 'reach', 'four corners'),
            CornersValue::optional('corners', 'Corners', 'reach', 'none'),
            PointValue::named('middle', 'Middle', 'reach', new Point(0, 0)),
            NumberValue::named('width', 'Width', 'reach', Unit::Pixels, 1, 20000, 300),
            NumberValue::named('height', 'Height', 'reach', Unit::Pixels, 1, 20000, 400),
            NumberValue::turn('turn', 'Turn', 'reach'),
            NumberValue::named('lean', 'Lean', 'reach', Unit::Degrees, -75, 75, 0),
            NumberValue::named('tight', 'Tight blur', 'softness', Unit::Pixels, 0, 2000, 6, 0.5),
            NumberValue::optional('wide', 'Wide blur', 'softness', Unit::Pixels, 0, 4000, '5 times the tight one', 0.5),
            NumberValue::named('share', 'Share of the wide', 'softness', Unit::Percent, 0, 100, 16.7, 0.1),
            ...Following::parameters('surroundings', false),
        ];
    }

    public static function from(Values $values): self
    {
        $through = $values->text('through');
        $tight = $values->number('tight');

        return new self(
            $through, self::drawing($through, $values), $values->optionalText('picture'), $values->optionalText('surface'),
            new Patch($values->object('middle', Point::class), $values->number('width'), $values->number('height'), $values->number('turn'), $values->number('lean')),
            $values->optional('corners', Corners::class), $tight, $values->optionalNumber('wide') ?? self::WIDER * $tight, $values->number('share') / 100, $values->number('gain'), $values->object('colour', LightColour::class), Following::from($values, false),
        );
    }

    private static function drawing(string $through, Values $values): ?UnitDrawing
    {
        return match ($through) {
            self::WINDOW => new Panes((int) $values->number('across'), (int) $values->number('down'), $values->number('bars') / 100, $values->number('bars') / 100),
            // a slat that lies level lets everything pass, one that hangs down nothing
            self::BLINDS => new Panes(1, (int) $values->number('slats'), 0.0, min(0.98, sin(deg2rad($values->number('tilt'))))),
            self::LEAVES => new Leaves((int) $values->number('crown'), $values->number('density') / 100, (int) $values->number('seed')),
            default => null,
        };
    }

    public static function placed(Point $centre, float $span, ?string $plate = null): array
    {
        [$half, $tall] = [0.2 * $span, 0.26 * $span];
        $corner = static fn (float $x, float $y): array => [round($centre->x + $x), round($centre->y + $y)];

        return [
            // as a low light throws it: leaning
            'corners' => [$corner(-$half, -$tall), $corner($half * 0.9, -$tall * 0.72), $corner($half * 1.15, $tall * 0.95), $corner(-$half * 0.75, $tall * 0.75)],
            'middle' => $corner(0, 0), 'width' => round(2 * $half), 'height' => round(2 * $tall), 'tight' => round(max(0.5, 0.006 * $span), 1),
        ];
    }

    /** In the middle of the wall, over most of it. */
    public static function placedOn(string $wall, array $corners): array
    {
        [$left, $right] = [min(array_column($corners, 0)), max(array_column($corners, 0))];
        [$top, $foot] = [min(array_column($corners, 1)), max(array_column($corners, 1))];
        $size = min($right - $left, $foot - $top);

        return [
            'surface' => $wall, 'corners' => null, 'middle' => [round(($left + $right) / 2), round(($top + $foot) / 2)],
            'width' => round(self::OF_WALL * ($right - $left)), 'height' => round(self::OF_WALL * ($foot - $top)), 'lean' => -16, 'tight' => round(max(0.5, 0.014 * $size), 1),
        ];
    }

    /** On each wall, as a window or a door lets a sun in. */
    public static function proposals(Placed $placed): array
    {
        if (! $placed->source->kind instanceof SunSource) {
            return [];
        }
        $camera = $placed->stage->camera;
        $all = [];
        foreach ($placed->stage->walls as $wall) {
            $middle = new Point($camera->column, $camera->eyeRow() - 0.05 * $camera->column);
            $all[] = new Proposal("window {$wall->id}", "Window light on {$wall->name}", self::class, [...self::placed($middle, $camera->column), 'surface' => $wall->id, 'corners' => null], 0.0, $placed->ground(), false, 40);
        }

        return $all;
    }

    /** Rather too bright at first: it falls on walls in the shade. */
    public static function placedLevel(): float
    {
        return 2.0;
    }

    public function defaultMode(): BlendMode
    {
        return BlendMode::Illuminate;
    }

    public function layers(Site $site): array
    {
        $colour = $this->colour->linear($site->white());
        $shape = $this->shape($site);
        if ($shape === null || $colour->largest() <= 0) {
            return [];
        }
        $field = $this->share >= 1 ? $this->soft($shape, $this->wide, $site) : $this->soft($shape, $this->tight, $site, $this->share <= 0);
        if ($this->share > 0 && $this->share < 1) {
            $field = new Blended($field, $this->soft($shape, $this->wide, $site), $this->share);
        }

        if ($this->gain != 0.0 && $this->through === self::SLIDE) {
            $field = new Gained($field, $this->gain);
        }

        return [new Layer($site->mode(), $this->following->onto($field, $site), OneColour::ofLight($colour), Level::of($site, $this->colour))];
    }

    private function soft(Emitter $shape, float $sigma, Site $site, bool $isAll = true): Field
    {
        return $sigma > 0.05 ? new Softened($shape, $sigma, $isAll) : new Contracted($shape);
    }

    private function shape(Site $site): ?Emitter
    {
        $corners = $this->cornersOn($site->stage());
        if ($corners === null) {
            return null;
        }
        if ($this->through !== self::SLIDE) {
            return $this->drawing === null ? null : new PatternShape($this->drawing, $corners->points);
        }
        $picture = $this->picture === null ? null : $site->picture($this->picture);

        return $picture === null ? null : new SlideShape($picture, new Placement(new Point(0, 0), new Point(0, 0), fit: $corners->fit($picture->width(), $picture->height())));
    }

    /** Where it is seen; null when it lies on no surface, or not before the camera. */
    private function cornersOn(Stage $stage): ?Corners
    {
        if ($this->surface === null) {
            return $this->corners;
        }
        $face = $stage->face($this->surface);

        return $face === null ? null : $this->patch->seen($face, $stage->camera);
    }

    public function problem(Surroundings $around): ?string
    {
        $stage = $around->stage();

        return match (true) {
            $this->through === self::SLIDE && $this->picture === null => 'It shines through a picture: choose one.',
            $this->through === self::SLIDE && ! $around->hasPicture((string) $this->picture) => 'The picture that it shines through is gone: choose another one.',
            $this->surface !== null && $stage->face($this->surface) === null => $this->surface === Stage::FLOOR ? 'The floor is not marked: mark it on the stage.' : 'Its wall is gone: choose another surface.',
            $this->cornersOn($stage) === null => $this->surface === null ? 'It has no corners: place it on the view.' : 'Where it lies its surface is not seen: move its middle, or make it smaller.',
            default => $this->following->problem($around),
        };
    }

    public static function hangsOn(): array
    {
        return [Lamp::class, SunSource::class];
    }

    public function inForce(Drive $drive): array
    {
        return ['colour' => $drive->source->kind->colour()->toArray()];
    }

    public function outlines(Stage $stage): array
    {
        $corners = $this->cornersOn($stage);

        return $corners === null ? [] : ['edge' => [...$corners->toArray(), $corners->toArray()[0]]];
    }
}
