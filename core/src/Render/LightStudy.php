<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Color\Luma;
use Aumbrel\Core\Color\Oklab;
use Aumbrel\Core\Color\Srgb;
use Aumbrel\Core\CutOut\Pieces;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\Emitter;
use Aumbrel\Core\Kind\Framed;
use Aumbrel\Core\Kind\Glows;
use Aumbrel\Core\Kind\HoldsBlack;
use Aumbrel\Core\Kind\OneTone;
use Aumbrel\Core\Kind\Painted;
use Aumbrel\Core\Kind\Pictured;
use Aumbrel\Core\Kind\Site;
use Aumbrel\Core\Picture\PictureShelf;
use Aumbrel\Core\Picture\PictureSource;
use Aumbrel\Core\Raster\Distance;
use Aumbrel\Core\Reading\LightFacts;
use Aumbrel\Core\Scene\Scene;
use Aumbrel\Core\Scene\Strip;

/** Measures every strip of a scene in small pictures of the whole of it. */
final readonly class LightStudy
{
    /** The longer side of those in which pieces are counted. */
    private const FINE = 900;

    /** What covers less is not what shines. */
    private const AROUND = 0.02;

    /** The share of what is around that may be brighter than what counts for it: a lamp behind, a highlight. */
    private const SPARED = 0.05;

    /** Places along a side of a frame. */
    private const PLACES = 48;

    /** How far from a frame the two sides of it are looked at, pixels. */
    private const BESIDE = 1.6;

    /** Fewer places say nothing. */
    private const FEW = 12;

    /** A place is bright from this luma on, and burnt when it loses so much of it. */
    private const BRIGHT = 0.45;

    private const BURNT = 0.04;

    /** What has less chroma than this share of its lightness, in Oklab, has no colour to lose. */
    private const COLOURED = 0.03;

    /** Alpha between these is half transparent. */
    private const HALF = [0.04, 0.96];

    public function __construct(private Renderer $renderer, private PictureShelf $shelf)
    {
    }

    /** @return list<LightFacts> of the strips that are not muted */
    public function of(Looked $looked): array
    {
        return array_map(fn (Strip $strip): LightFacts => $strip->kind instanceof Pictured ? new LightFacts($strip->id, cutOff: $this->cutOff($strip, $strip->kind)) : $this->light($looked->lit->find($strip->id) ?? $strip, $looked), $looked->strips);
    }

    private function light(Strip $strip, Looked $looked): LightFacts
    {
        $window = $looked->window;
        $changes = $looked->changes[$strip->id]->largest();
        $edge = $strip->kind instanceof Framed ? self::edge($strip->kind->frame(), $changes, $window) : 0.0;
        $site = new StripSite($strip, $this->renderer->sites($looked->lit, $window));
        $glow = $strip->kind instanceof Glows ? $this->glow($strip, $strip->kind, $looked->lit, $site, $changes) : [];
        $field = $strip->kind instanceof HoldsBlack ? ($strip->kind->layers($site)[0] ?? null)?->field : null;
        $black = $field === null ? 0.0 : min([1.0, ...$this->renderer->planes->sample(fn (KernelWriter $kernel): string => $field->write($kernel, $window), $window)]);

        return new LightFacts($strip->id, max([0.0, ...$changes]), min([1.0, ...$changes]), $edge, ...$glow, black: $black, drains: $this->drains($strip, $looked, $changes));
    }

    /**
     * The share of their saturation, in Oklab, that what is laid or painted takes from bright places which it darkens. What
     * scales light leaves that as it is.
     *
     * @param  list<float>  $changes
     */
    private function drains(Strip $strip, Looked $looked, array $changes): float
    {
        if ($strip->mode->onlyBrightens() || ($strip->mode === BlendMode::Illuminate && $strip->level >= 0)) {
            return 0.0;
        }
        // only what changes a place by so much can have burnt it
        $changed = array_filter($changes, static fn (float $change): bool => $change >= self::BURNT);
        if ((! $strip->kind instanceof OneTone && ! $strip->kind instanceof Painted) || count($changed) < self::FEW) {
            return 0.0;
        }
        [$below, $itself] = $looked->scene->under($strip->id);
        $before = $this->renderer->read($looked->scene->with($below), $looked->window)->channels();
        $after = $this->renderer->read($looked->scene->with([...$below, $itself]), $looked->window)->channels();
        [$was, $is, $places] = [0.0, 0.0, 0];
        foreach (array_keys($changed) as $at) {
            [$red, $green, $blue] = [$before[0][$at], $before[1][$at], $before[2][$at]];
            $luma = Luma::of($red, $green, $blue);
            if ($luma < self::BRIGHT || $luma - Luma::of($after[0][$at], $after[1][$at], $after[2][$at]) < self::BURNT) {
                continue;
            }
            [$l0, $a0, $b0] = Oklab::ofLinear(Srgb::decode($red), Srgb::decode($green), Srgb::decode($blue));
            [$l1, $a1, $b1] = Oklab::ofLinear(Srgb::decode($after[0][$at]), Srgb::decode($after[1][$at]), Srgb::decode($after[2][$at]));
            $was += hypot($a0, $b0) / max(0.01, $l0);
            $is += hypot($a1, $b1) / max(0.01, $l1);
            $places++;
        }

        return $places < self::FEW || $was < self::COLOURED * $places ? 0.0 : max(0.0, 1 - $is / $was);
    }

    /**
     * @param  list<float>  $changes
     * @return array{heart?: float|null, around?: float, shells?: array<string, float>, pieces?: int, vanished?: int, keeps?: float}
     */
    private function glow(Strip $strip, Glows $kind, Scene $scene, Site $site, array $changes): array
    {
        $shining = $kind->shining($site);
        if ($shining === null) {
            return [];
        }
        $window = $site->window();
        $covers = $this->renderer->planes->sample(fn (KernelWriter $kernel): string => $shining->write($kernel, $window), $window);
        $lumas = $this->renderer->read($scene, $window, $strip->id)->lumas();
        [$heart, $weight, $around] = [0.0, 0.0, []];
        foreach ($covers as $at => $cover) {
            $heart += $cover * $cover * $lumas[$at];
            $weight += $cover * $cover;
            if ($cover < self::AROUND && $changes[$at] > self::AROUND) {
                $around[] = $lumas[$at];
            }
        }
        sort($around);
        $shells = [];
        foreach ($kind->shells($site, $shining) as [$word, $field, $level]) {
            $values = $this->renderer->planes->sample(fn (KernelWriter $kernel): string => $field->write($kernel, $window), $window);
            $shells[isset($shells[$word]) ? $word.' '.(count($shells) + 1) : $word] = round(max([0.0, ...$values]) * 2 ** $level, 3);
        }

        return [
            'heart' => $weight > 0 ? $heart / $weight : null, 'around' => $around === [] ? 0.0 : $around[(int) ((1 - self::SPARED) * (count($around) - 1))], 'shells' => $shells,
            ...$this->pieces($kind, $shining, $scene),
        ];
    }

    /** @return array{pieces?: int, vanished?: int, keeps?: float} */
    private function pieces(Glows $kind, Emitter $shining, Scene $scene): array
    {
        $by = $kind->contraction();
        if ($by <= 0) {
            return [];
        }
        $window = Window::whole($scene->width, $scene->height, min(1.0, self::FINE / max($scene->width, $scene->height)));
        $covers = $this->renderer->planes->sample(fn (KernelWriter $kernel): string => $shining->write($kernel, $window), $window);
        [$labels, $count] = Pieces::label($covers, $window->columns, $window->rows);
        if ($count === 0) {
            return [];
        }
        $deepest = array_fill(1, $count, 0.0);
        foreach (Distance::signed($covers, $window->columns, $window->rows, 2 * $by * $window->scale + 4, isExact: false) as $at => $distance) {
            if ($labels[$at] !== 0 && $distance > $deepest[$labels[$at]]) {
                $deepest[$labels[$at]] = $distance;
            }
        }
        $deepest = array_map(static fn (float $distance): float => $distance * $window->step(), $deepest);

        return ['pieces' => $count, 'vanished' => count(array_filter($deepest, static fn (float $distance): bool => $distance < $by)), 'keeps' => round(0.8 * min([$by, ...$deepest]), 1)];
    }

    /**
     * How much brighter it is inside its frame than outside, on the side where that shows most.
     *
     * @param  list<array{float, float}>|null  $frame
     * @param  list<float>  $changes
     */
    private static function edge(?array $frame, array $changes, Window $window): float
    {
        $most = 0.0;
        $frame ??= [];
        foreach ($frame as $k => [$x0, $y0]) {
            [$x1, $y1] = $frame[($k + 1) % count($frame)];
            $length = hypot($x1 - $x0, $y1 - $y0);
            if ($length <= 0) {
                continue;
            }
            // going clockwise as seen the inside lies to the right
            [$inX, $inY] = [-($y1 - $y0) / $length * self::BESIDE, ($x1 - $x0) / $length * self::BESIDE];
            [$sum, $count] = [0.0, 0];
            for ($n = 0; $n < self::PLACES; $n++) {
                $share = ($n + 0.5) / self::PLACES;
                [$x, $y] = [($x0 + $share * ($x1 - $x0) - $window->x) * $window->scale, ($y0 + $share * ($y1 - $y0) - $window->y) * $window->scale];
                $inside = self::at($changes, $window, $x + $inX, $y + $inY);
                $outside = self::at($changes, $window, $x - $inX, $y - $inY);
                if ($inside !== null && $outside !== null) {
                    $sum += $inside - $outside;
                    $count++;
                }
            }
            // a side of which hardly anything lies in the picture shows no edge
            if ($count >= self::PLACES / 8) {
                $most = max($most, $sum / $count);
            }
        }

        return $most;
    }

    /** @param  list<float>  $values */
    private static function at(array $values, Window $window, float $x, float $y): ?float
    {
        return $x < 0 || $y < 0 || $x >= $window->columns || $y >= $window->rows ? null : $values[(int) $y * $window->columns + (int) $x];
    }

    /** The share of a picture's border at which it is half transparent, when nothing else cuts it out or softens it. */
    private function cutOff(Strip $strip, Pictured $plate): float
    {
        $picture = $this->shelf->picture($plate->picture());
        if ($picture->opaque() || $strip->cutOut() !== [] || $plate->softens()) {
            return 0.0;
        }
        [$width, $height] = [$picture->width(), $picture->height()];
        [$half, $count] = [0, 0];
        foreach ([[0, 0, $width, 1], [0, $height - 1, $width, 1], [0, 0, 1, $height], [$width - 1, 0, 1, $height]] as $side) {
            foreach (self::alphas($picture, ...$side) as $alpha) {
                $half += $alpha > self::HALF[0] && $alpha < self::HALF[1] ? 1 : 0;
                $count++;
            }
        }

        return $count === 0 ? 0.0 : $half / $count;
    }

    /** @return list<float> */
    private static function alphas(PictureSource $picture, int $x, int $y, int $columns, int $rows): array
    {
        [$shift, $most] = $picture->bits() === 16 ? [48, 65535] : [24, 255];

        return array_map(static fn (int $pixel): float => ($pixel >> $shift & $most) / $most, $picture->pixels(0, $x, $y, $columns, $rows));
    }
}
