<?php

declare(strict_types=1);

namespace Aumbrel\Core\Plate;

use Aumbrel\Core\Body\Form;
use Aumbrel\Core\Seen\DepthPass;
use Aumbrel\Core\Value\ChoiceValue;
use Aumbrel\Core\Value\NumberValue;
use Aumbrel\Core\Value\Parameter;
use Aumbrel\Core\Value\PictureValue;
use Aumbrel\Core\Value\ToggleValue;
use Aumbrel\Core\Value\Unit;
use Aumbrel\Core\Value\Values;

/** A plate's form, and the pictures that a render brings along besides its colours: of the same proportion as the plate's own. */
final readonly class Passes
{
    private const SECTION = 'body';

    private const WHITE = 'white is near';

    private const BLACK = 'black is near';

    private const SEEMS = 'as it seems';

    private const UP = 'green is up';

    private const DOWN = 'green is down';

    private function __construct(public ?DepthPass $depth, public Form $form)
    {
    }

    /** @return list<Parameter> */
    public static function parameters(): array
    {
        return [
            NumberValue::named('roundness', 'Roundness', self::SECTION, Unit::Percent, 0, 200, 100)->says('How far it bulges from its outline: at 100 % a disc is a ball, at 0 it is flat'),
            NumberValue::named('detail', 'Detail', self::SECTION, Unit::Percent, -100, 100, 0)->says('How far its own tones stand out: bright ones above 0, dark ones below'),
            NumberValue::optional('detailSize', 'Detail size', self::SECTION, Unit::Pixels, 1, 500, 'by its size', 0.5)->says('How large that detail is, in pixels of its picture'),
            PictureValue::optional('normals', 'Normals', self::SECTION, 'none')->says('A picture of which way each place of the plate faces, as renders bring it: lights on its body follow it'),
            ChoiceValue::named('normalsUp', 'In normals', self::SECTION, [self::SEEMS, self::UP, self::DOWN], self::SEEMS)->shownWhen('normals', [])->says('Which way green grows in the picture of normals: bodies bulge, which tells it'),
            PictureValue::optional('occlusion', 'Occlusion', self::SECTION, 'none')->says('A picture of how open each place is to the sky, as renders bring it: white is open. Skylight follows it'),
            PictureValue::optional('depth', 'Depth', self::SECTION, 'none')->says('A picture of how far away each place of the plate is, as renders bring it: haze by distance follows it'),
            ChoiceValue::named('depthEnds', 'In depth', self::SECTION, [self::WHITE, self::BLACK], self::WHITE)->shownWhen('depth', [])->says('Which end of the depth picture is near'),
            NumberValue::named('depthNear', 'Nearest', self::SECTION, Unit::Factor, 0.05, 1000, 1, 0.1)->shownWhen('depth', [])->says('How far away the near end is, in distances of the floor\'s nearest row'),
            NumberValue::named('depthFar', 'Furthest', self::SECTION, Unit::Factor, 0.05, 1000, 20, 0.1)->shownWhen('depth', [])->says('How far away the far end is, in distances of the floor\'s nearest row'),
            NumberValue::optional('depthForm', 'Its depth', self::SECTION, Unit::Pixels, 1, 20000, 'forms nothing', 1)->shownWhen('depth', [])->says('How many pixels of its picture lie between the near and the far end: lights on its body follow that, where there are no normals'),
            ToggleValue::named('depthInverse', 'Holds 1 / distance', self::SECTION)->shownWhen('depth', [])->says('Some renders write one over the distance'),
        ];
    }

    /** @return array<string, string> plain names by value */
    public function pictures(): array
    {
        return array_filter(['normals' => $this->form->normals, 'occlusion' => $this->form->occlusion, 'depth' => $this->depth?->picture], is_string(...));
    }

    public static function from(Values $values): self
    {
        $depth = $values->optionalText('depth');

        $form = new Form(
            $values->number('roundness') / 100, $values->number('detail') / 100, $values->optionalNumber('detailSize'), $values->optionalText('normals'),
            match ($values->text('normalsUp')) {
                self::UP => true,
                self::DOWN => false,
                default => null,
            },
            $values->optionalText('occlusion'), $depth === null ? null : $values->optionalNumber('depthForm'), $values->toggle('bends'), $values->optionalNumber('ambient') === null ? null : $values->number('ambient') / 100,
        );

        return new self($depth === null ? null : new DepthPass($depth, $values->number('depthNear'), $values->number('depthFar'), $values->text('depthEnds') === self::WHITE, $values->toggle('depthInverse')), $form);
    }
}
