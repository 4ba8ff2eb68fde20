<?php

declare(strict_types=1);

namespace Aumbrel\Core\Parameter;

enum ParameterType: string
{
    case Number = 'number';
    case Choice = 'choice';
    case Toggle = 'switch';
    case Point = 'point';
    case LightColour = 'light colour';
    case FlatColour = 'flat colour';
    case MaskStops = 'mask stops';
    case Picture = 'picture';
    case Path = 'path';
    case Strokes = 'strokes';
    case Corners = 'corners';
    case Line = 'line';
    case Bearing = 'bearing';
}
