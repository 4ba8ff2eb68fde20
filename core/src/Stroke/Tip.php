<?php

declare(strict_types=1);

namespace Aumbrel\Core\Stroke;

/** What a brush leaves where it touches. */
enum Tip: string
{
    case Brush = 'brush';

    /** The pool of a small lamp that hangs over the place. */
    case Lamp = 'lamp';
}
