<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Bearing\Bearing;
use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Color\LightColour;
use Aumbrel\Core\Fault\SceneError;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Geometry\Sector;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\Directed;
use Aumbrel\Core\Kind\Drawn;
use Aumbrel\Core\Kind\Drive;
use Aumbrel\Core\Kind\Driven;
use Aumbrel\Core\Kind\DrivenByValues;
use Aumbrel\Core\Kind\Family;
use Aumbrel\Core\Kind\Field;
use Aumbrel\Core\Kind\Layer;
use Aumbrel\Core\Kind\Level;
use Aumbrel\Core\Kind\OneColour;
use Aumbrel\Core\Kind\Plain;
use Aumbrel\Core\Kind\Site;
use Aumbrel\Core\Kind\Surroundings;
use Aumbrel\Core\Stage\Footing;
use Aumbrel\Core\Stage\Lamp;
use Aumbrel\Core\Stage\Stage;
use Aumbrel\Core\Value\ChoiceValue;
use Aumbrel\Core\Value\LightColourValue;
use Aumbrel\Core\Value\NumberValue;
use Aumbrel\Core\Value\PointValue;
use Aumbrel\Core\Value\Times;
use Aumbrel\Core\Value\Unit;
use Aumbrel\Core\Value\Values;

/**
 * A spot across the picture: a cone seen from the side, from its origin toward its target.
 *
 * Shape = angular law of the angle at the origin x reach law of the distance from it.
 */
final readonly class Spot implements Directed, Drawn, Driven, Field
{
    use DrivenByValues;
    use Plain;

    private const SHORTEST = 1e-3;

    /** How much further than its target the light of a new one goes. */
    private const PAST = 1.2;

    public AngularLaw $law;

    public function __construct(
        public Point $origin,
        public Point $target,
        float $beam,
        float $field,
        public ReachLaw $reachLaw,
        public ?float $reach,
        public ?float $size,
        public float $softness,
        public LightColour $colour,
        public float $elevation = 0.0,
        private ?Following $following = null,
    ) {
        $this->law = new AngularLaw($beam, $field);
    }

    public static function key(): string
    {
        return 'spot';
    }

    public static function label(): string
    {
        return 'Spot';
    }

    public static function hint(): string
    {
        return 'A cone of light seen from the side';
    }

    public static function family(): Family
    {
        return Family::Light;
    }

    public static function parameters(): array
    {
        return [
            LightColourValue::named('colour', 'Colour', 'light', LightColour::kelvin(3200)),
            PointValue::named('origin', 'Origin', 'reach'),
            PointValue::named('target', 'Target', 'reach'),
            NumberValue::named('beam', 'Beam angle', 'reach', Unit::Degrees, 0.5, 170, 26, 0.5),
            NumberValue::named('field', 'Field angle', 'reach', Unit::Degrees, 0.55, 340, 44, 0.5, new Times('beam', AngularLaw::LEAST_RATIO, AngularLaw::MOST_RATIO)),
            ChoiceValue::named('reachLaw', 'Reach law', 'reach', array_column(ReachLaw::cases(), 'value'), ReachLaw::Linear->value, formerly: ['even' => ReachLaw::Constant->value]),
            NumberValue::optional('reach', 'Reach', 'reach', Unit::Pixels, 1, 100000, 'to the target')
                ->shownWhen('reachLaw', [ReachLaw::Linear->value, ReachLaw::InverseSquare->value]),
            NumberValue::optional('size', 'Softening', 'reach', Unit::Pixels, 0, 100000, 'a third of the way')
                ->shownWhen('reachLaw', [ReachLaw::InverseSquare->value]),
            NumberValue::named('elevation', 'Elevation', 'reach', Unit::Degrees, -90, 90, 0),
            NumberValue::named('softness', 'Softness', 'reach', Unit::Pixels, 0, 2000, 0),
            ...Following::parameters('reach', true),
        ];
    }

    public static function from(Values $values): self
    {
        return new self(
            $values->object('origin', Point::class), $values->object('target', Point::class), $values->number('beam'), $values->number('field'),
            ReachLaw::from($values->text('reachLaw')), $values->optionalNumber('reach'), $values->optionalNumber('size'),
            $values->number('softness'), $values->object('colour', LightColour::class), $values->number('elevation'), Following::from($values, true),
        );
    }

    public static function placed(Point $centre, float $span, ?string $plate = null): array
    {
        return [
            'origin' => [round($centre->x + $span * 0.12), round($centre->y - $span * 0.38)],
            'target' => [round($centre->x - $span * 0.08), round($centre->y + $span * 0.3)],
            'reach' => round($span * 0.84),
        ];
    }

    /** Its reach goes a little past where it aims. */
    public static function drawn(Point $from, Point $to, float $span, Stage $stage): array
    {
        return [
            'origin' => [round($from->x), round($from->y)], 'target' => [round($to->x), round($to->y)],
            'reach' => round(max(1.0, self::PAST * $from->distanceTo($to))),
        ];
    }

    public function defaultMode(): BlendMode
    {
        return BlendMode::Airlight;
    }

    public function check(BlendMode $mode): void
    {
        if (is_infinite($this->largest()) && ! $mode->isLinear()) {
            throw new SceneError('size', "an inverse-square light without a size has no largest value, by which {$mode->value} divides: it needs a size above 0 px, or illuminate or airlight");
        }
    }

    public function layers(Site $site): array
    {
        $colour = $this->colour->linear($site->white());
        if ($colour->largest() <= 0) {
            return [];
        }
        $field = $this->softness > 0 ? new Softened($this, $this->softness) : $this;

        $field = $this->following?->onto($field, $site, fn (Point $middle): Bearing => $this->bearingFrom(new Footing($middle), $site->stage())) ?? $field;

        return [new Layer($site->mode(), $field, OneColour::ofLight($colour), Level::of($site, $this->colour))];
    }

    public function problem(Surroundings $around): ?string
    {
        return $this->following?->problem($around);
    }

    public static function hangsOn(): array
    {
        return [Lamp::class];
    }

    /** It begins where the lamp is seen, or would be if it stood on the picture. */
    public function inForce(Drive $drive): array
    {
        $camera = $drive->stage->camera;
        $place = $drive->source->kind->place($camera) ?? $camera->eye();
        $seen = $drive->source->kind->seenAt($camera) ?? new Point($place->x + $camera->column, $camera->eyeRow() - $place->y);

        return ['origin' => $seen->toArray(), 'elevation' => $drive->bearing()->elevation, 'colour' => $drive->source->kind->colour()->toArray()];
    }

    public function lights(): ?string
    {
        return null;
    }

    public function aim(): Point
    {
        return $this->target;
    }

    /** It lies in the picture; how far toward the viewer it is meant to stand is its own value. */
    public function bearingFrom(Footing $from, Stage $stage): Bearing
    {
        $way = $this->wayFrom($from->middle);

        return new Bearing(rad2deg(atan2(-($this->origin->y - $way->y), $this->origin->x - $way->x)), $this->elevation);
    }

    public function turnedTo(Bearing $bearing, Footing $from, Stage $stage): array
    {
        $way = $this->wayFrom($from->middle);
        $length = $this->origin->distanceTo($way);
        $azimuth = deg2rad($bearing->azimuth);
        $origin = $way->plus($length * cos($azimuth), -$length * sin($azimuth));

        return ['origin' => [round($origin->x, 1), round($origin->y, 1)], 'elevation' => round($bearing->elevation, 1)];
    }

    /** A lamp that stands on the very place is seen from where it aims. */
    private function wayFrom(Point $place): Point
    {
        return $this->origin->distanceTo($place) < 1 ? $this->target : $place;
    }

    public function colour(): LightColour
    {
        return $this->colour;
    }

    /** Distance from origin to target, scene pixels. */
    public function throwLength(): float
    {
        return max(self::SHORTEST, $this->origin->distanceTo($this->target));
    }

    /** How far the light goes: its reach, or to the target. */
    public function reachLength(): float
    {
        return $this->reach ?? $this->throwLength();
    }

    private function lampSize(): float
    {
        return $this->size ?? $this->throwLength() / 3;
    }

    /** Infinite where an inverse-square light has no size, which only linear modes take. */
    public function largest(): float
    {
        return match (true) {
            $this->reachLaw !== ReachLaw::InverseSquare => 1.0,
            $this->lampSize() > 0 => ($this->throwLength() ** 2 + $this->lampSize() ** 2) / $this->lampSize() ** 2,
            default => INF,
        };
    }

    /** The shape at a place, written plainly; kernels run the same formulas with the angular law by table. */
    public function shapeAt(float $x, float $y): float
    {
        [$ax, $ay] = $this->axis();
        $dx = $x - $this->origin->x;
        $dy = $y - $this->origin->y;
        $along = $dx * $ax + $dy * $ay;
        $across = $dx * $ay - $dy * $ax;
        $squared = $along * $along + $across * $across;
        $angular = $squared > 0 ? $this->law->at(rad2deg(atan2(abs($across), $along))) : 1.0;

        return $angular * match ($this->reachLaw) {
            ReachLaw::Constant => 1.0,
            ReachLaw::Linear => SpotField::linear($squared, $this->reachLength()),
            ReachLaw::InverseSquare => SpotField::inverseSquare($squared, $this->throwLength() ** 2 + $this->lampSize() ** 2, $this->lampSize() ** 2)
                * ($this->reach === null ? 1.0 : SpotField::reachWindow($squared, $this->reach ** 2)),
        };
    }

    public function write(KernelWriter $kernel, Window $window): string
    {
        [$ax, $ay] = $this->axis();
        $end = AngularLaw::turnOf($this->law->end());
        $table = $kernel->table("angular {$this->law->beam} {$this->law->field}", $this->law->table());
        [$alongStart, $acrossStart, $along, $across, $turn, $shape] = array_map(
            $kernel->variable(...), ['alongStart', 'acrossStart', 'along', 'across', 'turn', 'shape'],
        );
        $axisX = $kernel->number($ax);
        $axisY = $kernel->number($ay);
        $kernel->row(sprintf('%s = ($y - %s) * %s - %s;', $alongStart, $kernel->number($this->origin->y), $axisY, $kernel->number($this->origin->x * $ax)));
        $kernel->row(sprintf('%s = (%s - $y) * %s - %s;', $acrossStart, $kernel->number($this->origin->y), $axisX, $kernel->number($this->origin->x * $ay)));
        $kernel->line("{$shape} = 0.0; {$along} = {$alongStart} + \$x * {$axisX}; {$across} = {$acrossStart} + \$x * {$axisY};");
        $kernel->inline([SpotField::class, 'turn'], [$along, $across], $turn);
        $kernel->line("if ({$turn} < {$kernel->number($end)}) {");
        $kernel->inline([SpotField::class, 'angular'], [$table, $turn, $kernel->number(AngularLaw::intervals() / $end)], $shape);
        $this->writeReach($kernel, $shape, $along, $across);
        $kernel->line('}');

        return $shape;
    }

    private function writeReach(KernelWriter $kernel, string $shape, string $along, string $across): void
    {
        if ($this->reachLaw === ReachLaw::Constant) {
            return;
        }
        $squared = $kernel->variable('squared');
        $law = $kernel->variable('law');
        $kernel->line("{$squared} = {$along} * {$along} + {$across} * {$across};");
        if ($this->reachLaw === ReachLaw::Linear) {
            $kernel->inline([SpotField::class, 'linear'], [$squared, $kernel->number($this->reachLength())], $law);
            $kernel->line("{$shape} *= {$law};");

            return;
        }
        $strength = $kernel->number($this->throwLength() ** 2 + $this->lampSize() ** 2);
        $kernel->inline([SpotField::class, 'inverseSquare'], [$squared, $strength, $kernel->number($this->lampSize() ** 2)], $law);
        $kernel->line("{$shape} *= {$law};");
        if ($this->reach !== null) {
            $kernel->inline([SpotField::class, 'reachWindow'], [$squared, $kernel->number($this->reach ** 2)], $law);
            $kernel->line("{$shape} *= {$law};");
        }
    }

    /** The cone, as far as its light reaches. */
    public function extent(): Sector
    {
        [$ax, $ay] = $this->axis();

        return new Sector($this->origin, rad2deg(atan2($ay, $ax)), $this->law->end(), match ($this->reachLaw) {
            ReachLaw::Constant => null,
            ReachLaw::Linear => $this->reachLength(),
            ReachLaw::InverseSquare => $this->reach,
        });
    }

    public function readsBelow(): bool
    {
        return false;
    }

    /** By hand: level, colour and softness are no part of the shape, so that fading works out nothing anew. */
    public function identity(): string
    {
        return 'spot '.implode(' ', [...$this->origin->toArray(), ...$this->target->toArray(), $this->law->beam, $this->law->field,
            $this->reachLaw->value, $this->reach ?? '-', $this->size ?? '-']);
    }

    public function outlines(Stage $stage): array
    {
        return [
            'beam' => $this->fan($this->law->beam / 2),
            'field' => $this->fan($this->law->field / 2),
        ];
    }

    /**
     * The two sides of the cone at an angle from the axis, joined along the reach.
     *
     * @return list<array{float, float}>
     */
    private function fan(float $angle): array
    {
        [$ax, $ay] = $this->axis();
        $angle = min(180.0, $angle);
        $reach = $this->reachLaw === ReachLaw::Constant ? max($this->reachLength(), $this->throwLength()) : $this->reachLength();
        $line = [$this->origin->toArray()];
        $pieces = max(8, (int) ceil($angle / 3));
        for ($k = 0; $k <= $pieces; $k++) {
            $turn = deg2rad(-$angle + 2 * $angle * $k / $pieces);
            $line[] = [
                round($this->origin->x + $reach * ($ax * cos($turn) - $ay * sin($turn)), 2),
                round($this->origin->y + $reach * ($ax * sin($turn) + $ay * cos($turn)), 2),
            ];
        }
        $line[] = $this->origin->toArray();

        return $line;
    }

    /** @return array{float, float} unit vector from origin to target; straight down when they fall together */
    private function axis(): array
    {
        $length = $this->origin->distanceTo($this->target);

        return $length < self::SHORTEST ? [0.0, 1.0]
            : [($this->target->x - $this->origin->x) / $length, ($this->target->y - $this->origin->y) / $length];
    }
}
