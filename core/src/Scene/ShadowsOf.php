<?php

declare(strict_types=1);

namespace Aumbrel\Core\Scene;

use Aumbrel\Core\Kind\Kinds;
use Aumbrel\Core\Kind\Proposal;
use Aumbrel\Core\Kind\Shades;
use Aumbrel\Core\Kind\Stance;

/** All shadows of a plate: by each source as much as that gives of the light there, and what belongs to it without any. */
final readonly class ShadowsOf
{
    /** Less than this is not seen as a shadow, percent. */
    private const LEAST = 1.0;

    public function __construct(private Scene $scene, private Measures $measures, private Kinds $kinds)
    {
    }

    /** @return list<Proposal> back to front; none of what is no plate, or not cut out */
    public function plate(string $id): array
    {
        $strip = $this->scene->find($id);
        $footings = new Footings($this->scene, $this->measures);
        $stand = $strip === null || ! $this->measures->isCutOut($strip) ? null : Standings::of($strip, $this->measures, $footings);
        if ($strip === null || $stand === null) {
            return [];
        }
        $shares = new Shares($this->scene, $footings);
        $densities = [];
        foreach ($this->scene->sources as $source) {
            $densities[$source->id] = round(Shares::density($shares->share($strip, $source, $stand->stance === Stance::Hangs)), 1);
        }
        $densities = array_filter($densities, static fn (float $density): bool => $density >= self::LEAST);
        $all = [];
        foreach ($this->kinds->strips as $kind) {
            array_push($all, ...is_subclass_of($kind, Shades::class) ? $kind::shadowsOf($stand, $densities) : []);
        }
        usort($all, static fn (Proposal $one, Proposal $other): int => $one->order <=> $other->order);

        return $all;
    }
}
