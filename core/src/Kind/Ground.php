<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

/** On what a mask lies: in the scene, or on the strip's own plate, with whose picture it moves. Masks on a plate cut it out. */
enum Ground: string
{
    case Scene = 'scene';
    case Plate = 'plate';
}
