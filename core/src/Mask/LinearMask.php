<?php

declare(strict_types=1);

namespace Aumbrel\Core\Mask;

use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\Exchanged;
use Aumbrel\Core\Kind\Ground;
use Aumbrel\Core\Ramp\Laid;
use Aumbrel\Core\Ramp\Stops;
use Aumbrel\Core\Value\MaskStopsValue;
use Aumbrel\Core\Value\PointValue;
use Aumbrel\Core\Value\ToggleValue;
use Aumbrel\Core\Value\Values;

/** A gradient along the line from one point to another, the same all the way across. */
final readonly class LinearMask implements Exchanged
{
    public function __construct(public Point $from, public Point $to, public Stops $stops, public bool $smooth)
    {
    }

    public static function key(): string
    {
        return 'linear';
    }

    public static function label(): string
    {
        return 'Linear';
    }

    public static function grounds(): array
    {
        return [Ground::Scene];
    }

    public static function parameters(): array
    {
        return [
            PointValue::named('from', 'From', 'falloff'),
            PointValue::named('to', 'To', 'falloff'),
            MaskStopsValue::named('stops', 'Stops', 'falloff', Stops::of([0, 1], [1, 0])),
            ToggleValue::named('smooth', 'Smooth', 'falloff'),
        ];
    }

    public static function from(Values $values): self
    {
        return new self($values->object('from', Point::class), $values->object('to', Point::class), $values->object('stops', Stops::class), $values->toggle('smooth'));
    }

    public static function placed(Point $centre, float $span): array
    {
        return ['from' => [$centre->x, $centre->y - $span / 4], 'to' => [$centre->x, $centre->y + $span / 4]];
    }

    public static function becomes(): string
    {
        return 'radial';
    }

    /** Round its start, as far as it goes. */
    public function exchanged(): array
    {
        $radius = max(1.0, round($this->from->distanceTo($this->to), 2));

        return [
            'centre' => $this->from->toArray(), 'radius' => $radius, 'secondRadius' => $radius, 'turn' => round(rad2deg(-atan2($this->to->y - $this->from->y, $this->to->x - $this->from->x)), 3),
            'inner' => 0, 'stops' => $this->stops->toArray(), 'smooth' => $this->smooth,
        ];
    }

    public function valueAt(float $x, float $y): float
    {
        return $this->stops->valueAt((new Laid($this->from, $this->to))->at($x, $y), $this->smooth);
    }

    public function problem(): ?string
    {
        return null;
    }

    public function write(KernelWriter $kernel, Window $window): string
    {
        $mask = $kernel->variable('mask');
        $t = (new Laid($this->from, $this->to))->write($kernel);
        $this->stops->write($kernel, $t, $mask, $this->smooth);

        return $mask;
    }
}
