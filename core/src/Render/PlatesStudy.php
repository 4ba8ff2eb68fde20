<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\Color\Spread;
use Aumbrel\Core\Color\Srgb;
use Aumbrel\Core\Kind\Pictured;
use Aumbrel\Core\Raster\Surrounding;
use Aumbrel\Core\Reading\PlateFacts;

/** Measures the plates that are cut out, each beside what lies around it. */
final readonly class PlatesStudy
{
    /** So many of the largest are looked at. */
    private const MOST = 6;

    /** A plate that covers less of the picture is a detail of it. */
    private const LEAST = 0.004;

    /** One that covers more of it is what the picture is of. */
    private const WHOLE = 0.9;

    /** Dark and bright parts are those at these shares of all its tones. */
    private const PARTS = [0.1, 0.9];

    /** A tone below this is black, whatever lies in it: linear. */
    private const BLACK = 0.002;

    public function __construct(private Renderer $renderer)
    {
    }

    /** @return list<PlateFacts> */
    public function of(Looked $looked): array
    {
        $covers = [];
        foreach ($looked->strips as $strip) {
            if ($strip->kind instanceof Pictured && $this->renderer->measures()->isCutOut($strip)) {
                $alpha = $looked->alpha($strip->id);
                // what lies before a plate hides it
                foreach ($covers as $other => $before) {
                    $covers[$other] = array_map(static fn (float $is, float $hides): float => $is * (1 - $hides), $before, $alpha);
                }
                $covers[$strip->id] = $alpha;
            }
        }
        $pixels = $looked->window->columns * $looked->window->rows;
        $shares = array_filter(array_map(static fn (array $alpha): float => array_sum($alpha) / $pixels, $covers), static fn (float $share): bool => $share > self::LEAST && $share < self::WHOLE);
        arsort($shares);
        $facts = [];
        foreach (array_slice(array_keys($shares), 0, self::MOST) as $id) {
            $facts[] = $this->plate((string) $id, $covers[$id], $looked);
        }

        return $facts;
    }

    /** @param  list<float>  $covers */
    private function plate(string $id, array $covers, Looked $looked): PlateFacts
    {
        $around = Surrounding::of($covers, $looked->finished->alphas(), $looked->window->columns);
        $channels = $looked->finished->channels();
        [$own, $beside] = [Spread::of($channels, $covers), Spread::of($channels, $around)];
        $strip = $looked->scene->find($id);
        $grain = $strip === null ? [] : (new BesideStudy($this->renderer, Beside::SMALL))->grain($looked->scene, $id);
        $edges = $strip === null ? null : $looked->ofPlates("edges {$id}", fn (): ?EdgeStudy => EdgeStudy::of($this->renderer, $looked->scene, $strip));

        return new PlateFacts(
            $id, $own->weight > 0 ? $own->means : null, $beside->weight > 0 ? $beside->means : null, $looked->ofPlates("modelling {$id}", fn (): float => $this->modelling($covers, $looked)), $this->brightest($covers, $looked),
            ($grain['own'] ?? null)?->numbers(), ($grain['around'] ?? null)?->numbers(), $edges->fringe ?? 0.0, $edges->fringeBy ?? 0.0, $edges->isWide ?? false, $edges?->width, $edges?->around,
        );
    }

    /** @param  list<float>  $covers */
    private function modelling(array $covers, Looked $looked): float
    {
        $tones = [];
        foreach ($looked->unlit->lumas() as $at => $luma) {
            if ($covers[$at] > 0.95) {
                $tones[] = max(self::BLACK, Srgb::decode($luma));
            }
        }
        sort($tones);
        [$dark, $bright] = array_map(static fn (float $share): float => $tones[(int) ($share * (count($tones) - 1))] ?? 1.0, self::PARTS);

        return log($bright / $dark, 2);
    }

    /** @param  list<float>  $covers */
    private function brightest(array $covers, Looked $looked): float
    {
        $window = $looked->window;
        $own = array_map(static fn (float $luma, float $is): float => $luma * $is, $looked->finished->lumas(), $covers);

        return Brightest::of($own, $window->columns, $window->rows)[1];
    }
}
