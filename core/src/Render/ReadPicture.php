<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\Color\Luma;

/** A rendered window as values, encoded and unpremultiplied, for what is measured of it; each kind of them is worked out once. */
final class ReadPicture
{
    /** From here on a value is shown as white. */
    private const WHITE = 65534.5 / 65535;

    /** @var list<float>|null */
    private ?array $lumas = null;

    /** @var array{list<float>, list<float>, list<float>}|null */
    private ?array $channels = null;

    /** @var array<int, true>|null */
    private ?array $cutOff = null;

    /** @param  array{list<float>, list<float>, list<float>, list<float>}  $colours  red, green, blue, which may lie above 1, and alpha, row after row */
    public function __construct(private readonly array $colours)
    {
    }

    /** @return list<float> luma of each pixel, 0..1 */
    public function lumas(): array
    {
        return $this->lumas ??= array_map(Luma::of(...), ...$this->channels());
    }

    /** @return list<float> how much of each pixel is there, 0..1 */
    public function alphas(): array
    {
        return $this->colours[3];
    }

    /** @return array{list<float>, list<float>, list<float>} red, green, blue of each pixel, 0..1 */
    public function channels(): array
    {
        if ($this->channels === null) {
            $cut = static fn (float $value): float => $value < 1.0 ? $value : 1.0;
            [$red, $green, $blue] = $this->colours;
            $this->channels = [array_map($cut, $red), array_map($cut, $green), array_map($cut, $blue)];
        }

        return $this->channels;
    }

    /** @return array<int, true> the pixels that are there and of which a channel is cut off at white */
    public function cutOff(): array
    {
        if ($this->cutOff !== null) {
            return $this->cutOff;
        }
        [$red, $green, $blue, $there] = $this->colours;
        $cut = [];
        foreach ($there as $at => $alpha) {
            if ($alpha > 0.0 && ($red[$at] >= self::WHITE || $green[$at] >= self::WHITE || $blue[$at] >= self::WHITE)) {
                $cut[$at] = true;
            }
        }

        return $this->cutOff = $cut;
    }
}
