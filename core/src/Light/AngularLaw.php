<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

/**
 * How a spot fades away from its axis: A(t) = exp(-ln 2 (t / tb)^n), tb half the beam angle (50 %), and n such that half
 * the field angle gives 10 %.
 */
final class AngularLaw
{
    public const LEAST_RATIO = 1.05;

    public const MOST_RATIO = 3.0;

    private const INTERVALS = 2048;

    private const MOST_TABLES = 40;

    /** @var array<string, list<float>> calculated tables: a drag asks for the same ones again and again */
    private static array $tables = [];

    /** Below this the light counts as gone. */
    private const GONE = 1e-6;

    /** @param  float  $beam and $field full angles in degrees, field / beam within 1.05..3 */
    public function __construct(public readonly float $beam, public readonly float $field)
    {
    }

    public function exponent(): float
    {
        return log(log(10, 2)) / log($this->field / $this->beam);
    }

    /** @param  float  $angle from the axis, degrees 0..180 */
    public function at(float $angle): float
    {
        return exp(-M_LN2 * ($angle / ($this->beam / 2)) ** $this->exponent());
    }

    /** The angle from the axis beyond which nothing is left, in degrees, at most 180. */
    public function end(): float
    {
        return min(180.0, $this->beam / 2 * (-log(self::GONE) / M_LN2) ** (1 / $this->exponent()));
    }

    /**
     * The law over the turn {@see self::turnOf()} from 0 to the end's turn; one entry to spare.
     *
     * @return list<float>
     */
    public function table(): array
    {
        $key = "{$this->beam} {$this->field}";
        if (! isset(self::$tables[$key])) {
            self::$tables = [...array_slice(self::$tables, -self::MOST_TABLES, null, true), $key => $this->calculated()];
        }

        return self::$tables[$key];
    }

    /** @return list<float> */
    private function calculated(): array
    {
        $end = self::turnOf($this->end());
        $table = [];
        for ($k = 0; $k <= self::INTERVALS + 1; $k++) {
            $table[] = $this->at(self::angleOf(min(2.0, $end * $k / self::INTERVALS)));
        }

        return $table;
    }

    public static function intervals(): int
    {
        return self::INTERVALS;
    }

    /**
     * A measure of the angle that needs no arc function: |sin| / (|sin| + cos) up to a right angle, 2 less the same
     * mirrored beyond; 0 on the axis, 1 at 90 degrees, 2 at 180.
     */
    public static function turnOf(float $angle): float
    {
        $sin = abs(sin(deg2rad($angle)));
        $cos = cos(deg2rad($angle));

        return $cos >= 0 ? $sin / ($sin + $cos) : 2 - $sin / ($sin - $cos);
    }

    private static function angleOf(float $turn): float
    {
        return $turn <= 1 ? rad2deg(atan2($turn, 1 - $turn)) : 180 - rad2deg(atan2(2 - $turn, $turn - 1));
    }
}
