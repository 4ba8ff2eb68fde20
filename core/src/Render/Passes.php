<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\Geometry\Extent;
use Aumbrel\Core\Kernel\Inliner;
use Aumbrel\Core\Kernel\KernelWriter;
use Closure;

/**
 * The passes of a plan as they come together, and in what form they leave the picture: encoded or linear, opaque or not,
 * with values above 1 or without.
 *
 * Layers that cover the whole window wait to be mixed together in one kernel, as long as its branches stay few.
 */
final class Passes
{
    /** Branches that layers mixed together in one loop may have in all. */
    private const MOST_BRANCHES = 8;

    /** @var list<PlanStep> */
    private array $passes = [];

    private bool $linear = false;

    /** Whether a value may lie above 1 by now. */
    private bool $exceeds = false;

    private ?KernelWriter $together = null;

    /** @var list<KernelLayer> layers that wait to be mixed together */
    private array $waiting = [];

    private int $waitingBranches = 0;

    private int $kept = 0;

    /** @param  bool  $opaque  whether everything lies on an opaque ground */
    public function __construct(private readonly Inliner $inliner, private bool $opaque)
    {
    }

    /** Whether everything lies on an opaque ground. */
    public function isOpaque(): bool
    {
        return $this->opaque;
    }

    /** @return list<PlanStep> */
    public function all(): array
    {
        $this->mixWaiting();

        return $this->passes;
    }

    public function count(): int
    {
        return count($this->all());
    }

    public function writer(): KernelWriter
    {
        return new KernelWriter($this->inliner);
    }

    public function exceeds(): bool
    {
        return $this->exceeds;
    }

    /** A value may lie above 1 from here on; or, where what was planned is taken back, no longer. */
    public function setExceeds(bool $exceeds): void
    {
        $this->exceeds = $exceeds;
    }

    public function add(KernelWriter $kernel, ?Extent $extent = null, bool $keepsCover = false): void
    {
        $this->mixWaiting();
        $this->passes[] = new Pass($kernel->finish(), $extent, $keepsCover);
    }

    public function mix(KernelWriter $kernel, KernelLayer $layer, ?Extent $extent): void
    {
        // colours are not premultiplied, so a change of colour mixes as over an opaque ground
        (new Mixer($kernel, $this->opaque || $layer->recolours, $this->linear))->mix([$layer]);
        $this->add($kernel, $extent);
    }

    /** @param  Closure(KernelWriter): KernelLayer  $layer */
    public function mixLater(int $branches, Closure $layer): void
    {
        if ($this->waiting !== [] && $this->waitingBranches + $branches > self::MOST_BRANCHES) {
            $this->mixWaiting();
        }
        $this->together ??= $this->writer();
        $this->waiting[] = $layer($this->together);
        $this->waitingBranches += $branches;
    }

    /** Lights that lie one on the other, joined and mixed as one. */
    public function join(JoinedLights $joined): void
    {
        $this->toLinear();
        $this->mixWaiting();
        $this->passes[] = $joined;
        $kernel = $this->writer();
        Cover::begun($kernel);
        (new Mixer($kernel, $this->opaque, true))->joined(array_keys($joined->lines));
        $this->add($kernel);
    }

    /** @return array<string, string> the lines that keep the picture as it is now, by channel */
    public function keep(): array
    {
        $lines = [];
        foreach ($this->opaque ? ['r', 'g', 'b'] : ['r', 'g', 'b', 'a'] as $channel) {
            $lines[$channel] = "kept{$this->kept}{$channel}";
        }
        $this->kept++;
        $this->mixWaiting();
        $this->passes[] = new Keep($lines);

        return $lines;
    }

    /** @param  array<string, string>  $lines  that kept the picture */
    public function takeBack(array $lines): void
    {
        $this->mixWaiting();
        $this->passes[] = new Keep(array_flip($lines));
    }

    /** Goes on over nothing; gives what {@see back()} needs. */
    public function overNothing(): Underneath
    {
        $this->toEncoded();
        $before = new Underneath($this->keep(), $this->opaque, $this->exceeds);
        $kernel = $this->writer();
        $kernel->loop();
        foreach (['r', 'g', 'b', 'a'] as $line) {
            $kernel->line("{$kernel->stored($line)} = 0.0;");
        }
        $this->add($kernel);
        $this->opaque = $this->exceeds = false;

        return $before;
    }

    /** @return array<string, string> the lines that hold what was made over nothing, by channel; what was there before lies where it lay */
    public function back(Underneath $before): array
    {
        $this->toEncoded();
        $made = $this->keep();
        $this->takeBack($before->lines);
        $this->opaque = $before->isOpaque;
        $this->exceeds = $before->exceeds;

        return $made;
    }

    public function isLinear(): bool
    {
        return $this->linear;
    }

    public function toLinear(): void
    {
        if (! $this->linear) {
            $this->convert('decode');
            $this->linear = true;
        }
    }

    public function toEncoded(): void
    {
        if ($this->linear) {
            $this->convert('encode');
            $this->linear = false;
        }
    }

    /** @param  'encode'|'decode'  $way */
    private function convert(string $way): void
    {
        $this->mixWaiting();
        $kernel = $this->writer();
        (new Mixer($kernel, $this->opaque, $this->linear))->convert($way);
        $this->add($kernel);
    }

    private function mixWaiting(): void
    {
        if ($this->together !== null) {
            (new Mixer($this->together, $this->opaque, $this->linear))->mix($this->waiting);
            $this->passes[] = new Pass($this->together->finish());
        }
        $this->together = null;
        $this->waiting = [];
        $this->waitingBranches = 0;
    }
}
