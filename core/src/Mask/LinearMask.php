<?php

declare(strict_types=1);

namespace Aumbrel\Core\Mask;

use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\Ground;
use Aumbrel\Core\Kind\MaskKind;
use Aumbrel\Core\Ramp\Stops;
use Aumbrel\Core\Value\MaskStopsValue;
use Aumbrel\Core\Value\PointValue;
use Aumbrel\Core\Value\ToggleValue;
use Aumbrel\Core\Value\Values;

/** A gradient along the line from one point to another, the same all the way across. */
final readonly class LinearMask implements MaskKind
{
    /** Shorter gradients than this (scene pixels) are steps; it keeps the slope finite. */
    private const SHORTEST = 1e-3;

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

    /** @return array{float, float} the gradient's slope per scene pixel along x and y */
    private function slope(): array
    {
        $dx = $this->to->x - $this->from->x;
        $dy = $this->to->y - $this->from->y;
        $length = max(self::SHORTEST, hypot($dx, $dy));
        if ($dx == 0.0 && $dy == 0.0) {
            $dx = self::SHORTEST;
        }

        return [$dx / $length ** 2, $dy / $length ** 2];
    }

    public function valueAt(float $x, float $y): float
    {
        [$slopeX, $slopeY] = $this->slope();

        return $this->stops->valueAt(($x - $this->from->x) * $slopeX + ($y - $this->from->y) * $slopeY, $this->smooth);
    }

    public function problem(): ?string
    {
        return null;
    }

    public function write(KernelWriter $kernel, Window $window): string
    {
        [$slopeX, $slopeY] = $this->slope();
        $along = $kernel->number($slopeX);
        $down = $kernel->number($slopeY);
        $atCorner = $kernel->number(-$this->from->x * $slopeX - $this->from->y * $slopeY);
        $rowStart = $kernel->variable('rowStart');
        $kernel->row("{$rowStart} = {$atCorner} + \$y * {$down};");
        $t = $kernel->variable('t');
        $mask = $kernel->variable('mask');
        $kernel->line("{$t} = {$rowStart} + \$x * {$along};");
        $this->stops->write($kernel, $t, $mask, $this->smooth);

        return $mask;
    }
}
