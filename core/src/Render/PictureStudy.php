<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\Kind\Pictured;
use Aumbrel\Core\Reading\PictureFacts;

/** Measures the picture as a whole: how bright it is, where it clips and by what, and where the eye goes first. */
final readonly class PictureStudy
{
    /** What changes a place by less has not made it bright. */
    private const MADE = 0.1;

    public function of(Looked $looked): PictureFacts
    {
        $lumas = $looked->unlit->lumas();
        $median = $looked->ofPlates('median', static function () use ($lumas): float {
            sort($lumas);

            return $lumas[intdiv(count($lumas), 2)] ?? 0.0;
        });
        $clipped = array_diff_key($looked->finished->cutOff(), $looked->unlit->cutOff());
        [$brightest, $at] = $this->brightest($looked);
        $on = [];
        foreach ($brightest === null ? [] : $looked->strips as $strip) {
            if ($strip->kind instanceof Pictured && $looked->alpha($strip->id)[$at] > 0.5) {
                $on[] = $strip->id;
            }
        }

        return new PictureFacts(
            $median, count($clipped) / max(1, count($lumas)), $clipped === [] ? null : $this->most($looked, array_keys($clipped), 0.0),
            $brightest, $on, $brightest === null ? null : $this->most($looked, [$at], self::MADE),
        );
    }

    /** @return array{array{float, float, float}|null, int} */
    private function brightest(Looked $looked): array
    {
        $window = $looked->window;
        [$at, $most] = Brightest::of($looked->finished->lumas(), $window->columns, $window->rows);

        return [$most <= 0 ? null : [$window->xOf($at % $window->columns), $window->yOf(intdiv($at, $window->columns)), $most], $at];
    }

    /**
     * The strip that changes some places most.
     *
     * @param  list<int>  $places
     * @param  float  $least  what it changes at each of them at least
     */
    private function most(Looked $looked, array $places, float $least): ?string
    {
        [$by, $most] = [null, $least * count($places)];
        foreach ($looked->changes as $strip => $picture) {
            $sum = 0.0;
            foreach ($places as $at) {
                $sum += ord($picture->bytes[8 * $at]) + ord($picture->bytes[8 * $at + 2]) + ord($picture->bytes[8 * $at + 4]);
            }
            [$by, $most] = $sum / 765 > $most ? [(string) $strip, $sum / 765] : [$by, $most];
        }

        return $by;
    }
}
