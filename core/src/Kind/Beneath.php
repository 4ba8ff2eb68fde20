<?php

declare(strict_types=1);

namespace Aumbrel\Core\Kind;

use Aumbrel\Core\Geometry\Window;

/** The picture that lies below a strip, for what is worked out of it as a whole. */
interface Beneath
{
    /** Names it with all that it depends on besides the window. */
    public function key(): string;

    /**
     * Its pixels in a window, row after row.
     *
     * @return array{list<float>, list<float>, list<float>, list<float>} red, green and blue, encoded, which may lie above 1, and alpha
     */
    public function colours(Window $window): array;
}
