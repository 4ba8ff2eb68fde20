<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

/**
 * What a mask is for: in the scene it is a strip's falloff; on the strip's own plate, with whose picture it moves, it cuts that out;
 * on a light that shines by itself it is a part of what shines.
 */
enum Ground: string
{
    case Scene = 'scene';
    case Plate = 'plate';
    case Emitter = 'emitter';
}
