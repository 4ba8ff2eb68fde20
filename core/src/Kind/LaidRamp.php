<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Ramp\ColourRamp;
use Aumbrel\Core\Ramp\Laid;
use Aumbrel\Core\Stage\Stage;
use Aumbrel\Core\Value\ColourRampValue;
use Aumbrel\Core\Value\Parameter;
use Aumbrel\Core\Value\PointValue;
use Aumbrel\Core\Value\Values;

/** A ramp of colours that lies in the scene, along a line or round its start: what a strip is filled with beside one colour. */
final readonly class LaidRamp
{
    public const LINEAR = 'a linear ramp';

    public const RADIAL = 'a radial ramp';

    /**
     * @param  Point|null  $from  null for the middle of the picture's upper border
     * @param  Point|null  $to  null for the middle of its lower border
     */
    private function __construct(public ColourRamp $ramp, private ?Point $from, private ?Point $to, private bool $isRound)
    {
    }

    /**
     * @param  string  $choice  the value that says whether there is a ramp
     * @return list<Parameter>
     */
    public static function parameters(string $choice, ColourRamp $default): array
    {
        return array_map(static fn (Parameter $parameter): Parameter => $parameter->shownWhen($choice, [self::LINEAR, self::RADIAL]), [
            ColourRampValue::named('stops', 'Ramp', 'light', $default)->says('Its colours from one end to the other, and how much there is of each'),
            PointValue::optional('from', 'Ramp from', 'placing', 'the top of the picture')->says('Where the first stop of the ramp lies; a radial one goes round it'),
            PointValue::optional('to', 'Ramp to', 'placing', 'the bottom of the picture')->says('Where the last stop of the ramp lies'),
        ]);
    }

    /** Null where something else is chosen. */
    public static function from(Values $values, string $choice): ?self
    {
        $how = $values->text($choice);

        return in_array($how, [self::LINEAR, self::RADIAL], true)
            ? new self($values->object('stops', ColourRamp::class), $values->optional('from', Point::class), $values->optional('to', Point::class), $how === self::RADIAL) : null;
    }

    /** How much of it there is at each place. */
    public function field(Stage $stage): Field
    {
        return $this->ramp->isOpaque() ? new Everywhere : new LaidShare($this->laid($stage), $this->ramp);
    }

    public function tint(Stage $stage): Tint
    {
        return new LaidColour($this->laid($stage), $this->ramp);
    }

    private function laid(Stage $stage): Laid
    {
        [$width, $height] = $stage->size();

        return new Laid($this->from ?? new Point($width / 2, 0), $this->to ?? new Point($width / 2, $height), $this->isRound);
    }
}
