<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

use Aumbrel\Core\Geometry\Window;

/** A picture that strokes go by which stay on what is alike. */
interface Guide
{
    /** Names all that it depends on besides the window. */
    public function key(): string;

    /** @return list<int> packed pixels of a window: red in the lowest byte, then green, blue, alpha */
    public function pixels(Window $window): array;
}
