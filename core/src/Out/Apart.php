<?php

declare(strict_types=1);

namespace Aumbrel\Core\Out;

use Aumbrel\Core\Render\Picture;

/**
 * What a strip is by itself, told from pictures: its colour and its cover from how it looks over black and over white; or, where
 * its mode has no word elsewhere, the layer that laid over what lies below makes what lies there now.
 *
 * With W3C Compositing and Blending Level 1, source over: after = before + a (c - before) over an opaque ground. Over black that is
 * a c, over white a c + 1 - a.
 */
final class Apart
{
    private const FULL = 65535;

    /** A cover of less is none, of 65535. */
    private const NONE = 0.5;

    /**
     * @param  Picture  $black  of 16 bits: over black
     * @param  Picture  $white  over white
     */
    public static function covered(Picture $black, Picture $white): Picture
    {
        /** @var array<int, int> $dark */
        $dark = unpack('n*', $black->bytes);
        /** @var array<int, int> $light */
        $light = unpack('n*', $white->bytes);
        $pixels = [];
        for ($at = 1, $end = count($dark); $at < $end; $at += 4) {
            // the channel in which it hides most is the one that is told best
            $cover = self::FULL - min($light[$at] - $dark[$at], $light[$at + 1] - $dark[$at + 1], $light[$at + 2] - $dark[$at + 2]);
            if ($cover <= self::NONE) {
                array_push($pixels, 0, 0, 0, 0);

                continue;
            }
            $cover = min(self::FULL, $cover);
            for ($channel = 0; $channel < 3; $channel++) {
                $pixels[] = min(self::FULL, (int) ($dark[$at + $channel] * self::FULL / $cover + 0.5));
            }
            $pixels[] = $cover;
        }

        return self::packed($pixels, $black);
    }

    /**
     * The layer of the least cover that turns what was there into what is there.
     *
     * @param  Picture  $before  of 16 bits
     * @param  Picture  $after  of 16 bits
     * @param  bool  $atop  whether it adds nothing where nothing is
     */
    public static function baked(Picture $before, Picture $after, bool $atop): Picture
    {
        /** @var array<int, int> $was */
        $was = unpack('n*', $before->bytes);
        /** @var array<int, int> $is */
        $is = unpack('n*', $after->bytes);
        $pixels = [];
        for ($at = 1, $end = count($was); $at < $end; $at += 4) {
            $there = $was[$at + 3] / self::FULL;
            $now = $is[$at + 3] / self::FULL;
            $cover = $there < 1 && ! $atop ? max(0.0, ($now - $there) / (1 - $there)) : self::least($was, $is, $at);
            if ($cover * self::FULL <= self::NONE) {
                array_push($pixels, 0, 0, 0, 0);

                continue;
            }
            for ($channel = 0; $channel < 3; $channel++) {
                $below = $was[$at + $channel];
                $colour = $there < 1 && ! $atop ? ($now * $is[$at + $channel] - (1 - $cover) * $there * $below) / $cover : $below + ($is[$at + $channel] - $below) / $cover;
                $pixels[] = (int) max(0, min(self::FULL, $colour + 0.5));
            }
            $pixels[] = (int) ($cover * self::FULL + 0.5);
        }

        return self::packed($pixels, $before);
    }

    /**
     * The least cover under which no colour has to lie beyond black or white.
     *
     * @param  array<int, int>  $was
     * @param  array<int, int>  $is
     */
    private static function least(array $was, array $is, int $at): float
    {
        $cover = 0.0;
        for ($channel = 0; $channel < 3; $channel++) {
            [$below, $now] = [$was[$at + $channel], $is[$at + $channel]];
            $cover = max($cover, $now > $below ? ($now - $below) / (self::FULL - $below) : ($now < $below ? ($below - $now) / $below : 0.0));
        }

        return $cover;
    }

    /** @param  list<int>  $pixels */
    private static function packed(array $pixels, Picture $like): Picture
    {
        return new Picture($like->columns, $like->rows, 16, pack('n*', ...$pixels), 0);
    }
}
