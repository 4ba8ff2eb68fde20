<?php

declare(strict_types=1);

namespace Aumbrel\Core\Mask;

use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\Exchanged;
use Aumbrel\Core\Kind\Ground;
use Aumbrel\Core\Ramp\Stops;
use Aumbrel\Core\Value\MaskStopsValue;
use Aumbrel\Core\Value\NumberValue;
use Aumbrel\Core\Value\PointValue;
use Aumbrel\Core\Value\ToggleValue;
use Aumbrel\Core\Value\Unit;
use Aumbrel\Core\Value\Values;

/** A gradient outward from an inner ellipse (t = 0) to an outer one (t = 1). */
final readonly class RadialMask implements Exchanged
{
    public function __construct(
        public Point $centre,
        public float $radius,
        public float $secondRadius,
        public float $turn,
        public float $inner,
        public Stops $stops,
        public bool $smooth,
    ) {
    }

    public static function key(): string
    {
        return 'radial';
    }

    public static function label(): string
    {
        return 'Radial';
    }

    public static function grounds(): array
    {
        return [Ground::Scene];
    }

    public static function parameters(): array
    {
        return [
            PointValue::named('centre', 'Centre', 'falloff'),
            NumberValue::named('radius', 'Radius', 'falloff', Unit::Pixels, 1, 100000, 200),
            NumberValue::named('secondRadius', 'Second radius', 'falloff', Unit::Pixels, 1, 100000, 200),
            NumberValue::turn('turn', 'Turn', 'falloff'),
            NumberValue::named('inner', 'Inner radius', 'falloff', Unit::Pixels, 0, 100000, 0),
            MaskStopsValue::named('stops', 'Stops', 'falloff', Stops::of([0, 1], [1, 0])),
            ToggleValue::named('smooth', 'Smooth', 'falloff'),
        ];
    }

    public static function from(Values $values): self
    {
        return new self(
            $values->object('centre', Point::class), $values->number('radius'), $values->number('secondRadius'), $values->number('turn'),
            $values->number('inner'), $values->object('stops', Stops::class), $values->toggle('smooth'),
        );
    }

    public static function placed(Point $centre, float $span): array
    {
        return ['centre' => $centre->toArray(), 'radius' => $span / 3, 'secondRadius' => $span / 3];
    }

    public static function becomes(): string
    {
        return 'linear';
    }

    /** From its inner radius to its outer one, where the first radius points. */
    public function exchanged(): array
    {
        $way = static fn (Point $from, float $length, float $turn): array => [round($from->x + $length * cos(deg2rad($turn)), 2), round($from->y - $length * sin(deg2rad($turn)), 2)];

        return ['from' => $way($this->centre, $this->inner, $this->turn), 'to' => $way($this->centre, max($this->inner, $this->radius), $this->turn), 'stops' => $this->stops->toArray(), 'smooth' => $this->smooth];
    }

    public function valueAt(float $x, float $y): float
    {
        [$a, $b, $c, $d] = $this->toUnitCircle();
        $dx = $x - $this->centre->x;
        $dy = $y - $this->centre->y;
        [$scale, $offset] = $this->ramp();

        return $this->stops->valueAt(hypot($a * $dx + $b * $dy, $c * $dx + $d * $dy) * $scale + $offset, $this->smooth);
    }

    public function problem(): ?string
    {
        return null;
    }

    public function write(KernelWriter $kernel, Window $window): string
    {
        [$a, $b, $c, $d] = $this->toUnitCircle();
        [$scale, $offset] = $this->ramp();
        [$u0, $v0, $u, $v, $t, $mask] = array_map($kernel->variable(...), ['u0_', 'v0_', 'u', 'v', 't', 'mask']);
        $kernel->row(sprintf('%s = %s + $y * %s;', $u0, $kernel->number(-$a * $this->centre->x - $b * $this->centre->y), $kernel->number($b)));
        $kernel->row(sprintf('%s = %s + $y * %s;', $v0, $kernel->number(-$c * $this->centre->x - $d * $this->centre->y), $kernel->number($d)));
        $kernel->line("{$u} = {$u0} + \$x * {$kernel->number($a)};");
        $kernel->line("{$v} = {$v0} + \$x * {$kernel->number($c)};");
        $kernel->line("{$t} = sqrt({$u} * {$u} + {$v} * {$v}) * {$kernel->number($scale)} + {$kernel->number($offset)};");
        $this->stops->write($kernel, $t, $mask, $this->smooth);

        return $mask;
    }

    /** @return array{float, float, float, float} the matrix that makes the outer ellipse the unit circle; turned counter-clockwise as seen, y down */
    private function toUnitCircle(): array
    {
        $cos = cos(deg2rad($this->turn));
        $sin = sin(deg2rad($this->turn));

        return [$cos / $this->radius, -$sin / $this->radius, $sin / $this->secondRadius, $cos / $this->secondRadius];
    }

    /** @return array{float, float} t from the share of the outer radius; without a ramp a step on the outer ellipse */
    private function ramp(): array
    {
        $width = $this->radius - $this->inner;

        return $width > 1e-6 ? [$this->radius / $width, -$this->inner / $width] : [1e9, 1 - 1e9];
    }
}
