<?php

declare(strict_types=1);

namespace Aumbrel\Core\Scene;

use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Kind\Kinds;
use Aumbrel\Core\Kind\Pictured;
use Aumbrel\Core\Kind\Placed;
use Aumbrel\Core\Kind\PlacedPlate;
use Aumbrel\Core\Kind\Proposal;
use Aumbrel\Core\Kind\Proposes;
use Aumbrel\Core\Stage\SceneSource;
use Aumbrel\Core\Value\Unit;
use Closure;

/** What belongs to a source: the strips that it proposes, gathered from all kinds. */
final readonly class Consequence
{
    /** A pool does not lift its brightest place beyond this, linear: highlights keep their drawing. */
    private const BRIGHTEST = 0.85;

    /** Less than this over what is there is not seen as light, stops. */
    private const LEAST_STOPS = 0.7;

    public function __construct(private Scene $scene, private Measures $measures, private Kinds $kinds)
    {
    }

    /**
     * @param  Closure(Point): ?float  $brightness  of the picture at a place, linear luminance; null where nothing is
     * @return list<Proposal> back to front
     */
    public function of(SceneSource $source, Closure $brightness): array
    {
        $placed = new Placed($source, $this->scene->stage, $this->plates(), $this->density($source));
        $all = [];
        foreach ($this->kinds->strips as $kind) {
            if (is_subclass_of($kind, Proposes::class)) {
                array_push($all, ...$kind::proposals($placed));
            }
        }
        usort($all, static fn (Proposal $one, Proposal $other): int => $one->order <=> $other->order);

        return array_map(fn (Proposal $proposal): Proposal => $this->measured($proposal, $source, $brightness), $all);
    }

    /** @return Closure(string, bool): ?float of the shadow of a plate, on the ground or a wall, percent */
    private function density(SceneSource $source): Closure
    {
        $shares = new Shares($this->scene, new Footings($this->scene, $this->measures));

        return function (string $plate, bool $onWall) use ($shares, $source): ?float {
            $strip = $this->scene->find($plate);

            return $strip === null ? null : round(Shares::density($shares->share($strip, $source, $onWall)), 1);
        };
    }

    /** @return list<PlacedPlate> */
    private function plates(): array
    {
        $footings = new Footings($this->scene, $this->measures);
        $plates = [];
        foreach ($this->scene->everyStrip() as $strip) {
            if (! $strip->kind instanceof Pictured || $strip->muted) {
                continue;
            }
            $box = Standings::box($strip, $this->measures);
            $size = $box === null ? 0.0 : min($box->right - $box->left, $box->bottom - $box->top);
            $plates[] = new PlacedPlate($strip->id, $strip->name, $footings->stance($strip), $this->measures->isCutOut($strip), $footings->of($strip->id), $size);
        }

        return $plates;
    }

    /**
     * Its level, as its source has one too: so that where it is brightest it lies so many stops over what is there, less where
     * that would burn out.
     *
     * @param  Closure(Point): ?float  $brightness
     */
    private function measured(Proposal $proposal, SceneSource $source, Closure $brightness): Proposal
    {
        if ($proposal->level === null) {
            return $proposal;
        }
        $level = $proposal->level;
        if ($proposal->brightest !== null && $proposal->shape > 0) {
            $there = $brightness($proposal->brightest);
            $stops = $there === null || $there <= 0 ? $proposal->stops : min($proposal->stops, max(self::LEAST_STOPS, log(self::BRIGHTEST / $there, 2)));
            // illuminate: 1 + E is the factor
            $level = log((2 ** $stops - 1) / $proposal->shape, 2) + $level;
        }

        return $proposal->at(round(max(Unit::LEAST_LEVEL, min(Unit::MOST_LEVEL, $level - $source->level)), 2));
    }
}
