<?php

declare(strict_types=1);

namespace Aumbrel\Core\Plate;

use Aumbrel\Core\Seen\DepthPass;
use Aumbrel\Core\Value\ChoiceValue;
use Aumbrel\Core\Value\NumberValue;
use Aumbrel\Core\Value\Parameter;
use Aumbrel\Core\Value\PictureValue;
use Aumbrel\Core\Value\ToggleValue;
use Aumbrel\Core\Value\Unit;
use Aumbrel\Core\Value\Values;

/** The pictures that a render brings along besides its colours: of the same proportion as the plate's own. */
final readonly class Passes
{
    private const SECTION = 'passes';

    private const WHITE = 'white is near';

    private const BLACK = 'black is near';

    private function __construct(public ?DepthPass $depth)
    {
    }

    /** @return list<Parameter> */
    public static function parameters(): array
    {
        return [
            PictureValue::optional('depth', 'Depth', self::SECTION, 'none')->says('A picture of how far away each place of the plate is, as renders bring it: haze by distance follows it'),
            ChoiceValue::named('depthEnds', 'In depth', self::SECTION, [self::WHITE, self::BLACK], self::WHITE)->says('Which end of the depth picture is near'),
            NumberValue::named('depthNear', 'Nearest', self::SECTION, Unit::Factor, 0.05, 1000, 1, 0.1)->says('How far away the near end is, in distances of the floor\'s nearest row'),
            NumberValue::named('depthFar', 'Furthest', self::SECTION, Unit::Factor, 0.05, 1000, 20, 0.1)->says('How far away the far end is, in distances of the floor\'s nearest row'),
            ToggleValue::named('depthInverse', 'Holds 1 / distance', self::SECTION)->says('Some renders write one over the distance'),
        ];
    }

    public static function from(Values $values): self
    {
        $depth = $values->optionalText('depth');

        return new self($depth === null ? null : new DepthPass($depth, $values->number('depthNear'), $values->number('depthFar'), $values->text('depthEnds') === self::WHITE, $values->toggle('depthInverse')));
    }
}
