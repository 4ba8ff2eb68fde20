<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Flat\Fill;
use Aumbrel\Core\Geometry\Extent;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Grade\Grade;
use Aumbrel\Core\Kernel\Inliner;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Light\Light;
use Aumbrel\Core\Light\SoftShape;
use Aumbrel\Core\Plate\PictureShelf;
use Aumbrel\Core\Plate\Plate;
use Aumbrel\Core\Scene\Scene;
use Aumbrel\Core\Scene\Strip;

/**
 * Turns a stack of strips into a plan for one window: which kernels run over each row, in which order.
 *
 * Plates and fills that cover the whole window are mixed in one kernel as long as its branches stay few; every other
 * strip gets a kernel of its own, which two strips of the same shape share. Long runs of strips that are mixed in linear
 * light stay in linear; a single one converts only the pixels that it touches.
 */
final class Planner
{
    /** Consecutive strips mixed in linear from which on converting the whole row pays. */
    private const LONG_RUN = 4;

    /** Branches that strips mixed together in one loop may have in all. */
    private const MOST_BRANCHES = 8;

    private bool $linear = false;

    private bool $opaque = false;

    /** Whether a value may lie above 1 by now. */
    private bool $exceeds = false;

    /** @var list<Pass|Keep> */
    private array $passes = [];

    private ?KernelWriter $together = null;

    /** @var list<Layer> layers that wait to be mixed together */
    private array $waiting = [];

    private int $waitingBranches = 0;

    private readonly Plates $plates;

    /** @var array<string, string> the line that says how much of a plate is uncovered, by strip */
    private array $uncovered = [];

    /** @var array<string, string> the line that holds a tapped strip's pixels, by strip */
    private array $taps = [];

    private int $kept = 0;

    private int $checkpoint = 0;

    /** @var 8|16 of the tapped pictures */
    private int $bits = 8;

    /**
     * @param  list<string>  $tapped  strips whose contribution is wanted
     * @param  string|null  $below  the strip that is being changed
     */
    public function __construct(
        private readonly Inliner $inliner,
        private readonly Scene $scene,
        private readonly Window $window,
        PictureShelf $shelf,
        private readonly array $tapped = [],
        private readonly ?string $below = null,
    ) {
        $this->plates = new Plates($scene, $window, $shelf);
    }

    /**
     * The picture of the given strips.
     *
     * @param  list<Strip>  $strips  back to front
     * @param  8|16  $bits
     */
    public function picture(array $strips, int $bits): Plan
    {
        $this->stack($strips);
        $this->toEncoded();
        $this->mixWaiting();
        $kernel = $this->writer();
        (new Output($kernel))->picture('out', $this->opaque, $bits, $this->exceeds);
        $this->add($kernel);

        return new Plan($this->passes, ['out'], $this->checkpoint);
    }

    /**
     * One result for each of the tapped strips, in the order of the stack.
     *
     * @param  list<Strip>  $strips
     * @param  8|16  $bits
     */
    public function contributions(array $strips, int $bits = 8): Plan
    {
        $this->bits = $bits;
        $this->stack($strips);
        $this->mixWaiting();

        return new Plan($this->passes, array_values($this->taps));
    }

    /** @return list<string> the tapped strips in the order of the results */
    public function tapOrder(): array
    {
        // ids of digits are integer keys
        return array_map(strval(...), array_keys($this->taps));
    }

    /** @param  list<Strip>  $strips */
    private function stack(array $strips): void
    {
        $this->start($strips);
        $this->startUncovered();
        $this->strips($strips);
    }

    /** @param  list<Strip>  $strips */
    private function start(array $strips): void
    {
        $first = $strips[0] ?? null;
        $this->opaque = $first !== null && $first->kind instanceof Plate && $first->mode === BlendMode::Normal
            && $first->amount >= 1 && ! $first->muted && $first->activeMasks() === [] && $first->confinedTo === null
            && $this->plates->of($first)->opaque();
    }

    private function startUncovered(): void
    {
        foreach ($this->scene->everyStrip() as $strip) {
            $id = $strip->confinedTo;
            if ($id === null || isset($this->uncovered[$id])) {
                continue;
            }
            $this->uncovered[$id] = 'uncovered'.count($this->uncovered);
            $kernel = $this->writer();
            $kernel->loop();
            $kernel->line("{$kernel->stored($this->uncovered[$id])} = {$this->plates->alpha($kernel, $this->plates->named($id))};");
            $this->add($kernel);
        }
    }

    /** @param  list<Strip>  $strips */
    private function strips(array $strips): void
    {
        foreach ($strips as $at => $strip) {
            if ($strip->id === $this->below) {
                $this->mixWaiting();
                $this->checkpoint = count($this->passes);
            }
            $isBase = $this->opaque && $at === 0 && ($this->scene->strips[0] ?? null)?->id === $strip->id;
            if (in_array($strip->id, $this->tapped, true)) {
                $this->tap($strip, $this->linearRun($strips, $at), $isBase);
            } elseif (! $strip->muted) {
                $this->strip($strip, $this->linearRun($strips, $at), $isBase);
            }
        }
    }

    /**
     * How many strips from here on are mixed in linear, one after the other.
     *
     * @param  list<Strip>  $strips
     */
    private function linearRun(array $strips, int $at): int
    {
        $run = 0;
        foreach (array_slice($strips, $at) as $strip) {
            if ($strip->muted) {
                continue;
            }
            if ($strip->isGroup() || ! $strip->mode->isLinear()) {
                break;
            }
            $run++;
        }

        return $run;
    }

    private function strip(Strip $strip, int $run, bool $isBase = false): void
    {
        if ($strip->amount <= 0 && ! $strip->isGroup()) {
            return;
        }
        match (true) {
            $strip->kind instanceof Plate => $isBase ? $this->base($strip) : $this->plateStrip($strip, $run),
            $strip->kind instanceof Light => $this->light($strip, $strip->kind, $run),
            $strip->kind instanceof Fill => $this->fill($strip, $strip->kind, $run),
            $strip->kind instanceof Grade => $this->grade($strip, $strip->kind),
            default => $this->group($strip),
        };
    }

    /** The opaque plate under everything. */
    private function base(Strip $strip): void
    {
        $kernel = $this->writer();
        $kernel->loop();
        foreach ($this->plates->toned($kernel, $strip) as $at => $colour) {
            $kernel->line("{$kernel->stored('rgb'[$at])} = {$colour};");
        }
        $this->add($kernel);
        $this->exceeds = $this->exceeds || ($strip->kind instanceof Plate && $strip->kind->tone->mayExceed());
    }

    private function plateStrip(Strip $strip, int $run): void
    {
        $this->space($strip->mode, $run);
        $plane = $this->plates->of($strip);
        $below = array_filter($this->uncovered, fn (string $id): bool => $id !== $strip->id && $this->isBelow($id, $strip->id), ARRAY_FILTER_USE_KEY);
        if ($plane->opaque() && $strip->kind instanceof Plate && $strip->kind->tone->isNone() && $below === [] && $this->isPlain($strip) && $this->mayWait($strip->mode)) {
            $this->wait($strip->mode, Layer::branches($strip->mode), fn (KernelWriter $kernel): Layer => $this->pictureLayer(
                $kernel, $strip, $kernel->number($strip->amount), false, $this->plates->colour($kernel, $plane),
            ));

            return;
        }
        $kernel = $this->writer();
        $coverage = new Coverage($kernel, $this->window);
        $coverage->begin();
        $cover = $kernel->variable('cover');
        $kernel->line("{$cover} = {$this->plates->alpha($kernel, $plane)} * {$kernel->number($strip->amount)};");
        $kernel->line("if ({$cover} > 0.0) {");
        $coverage->masks($strip, $cover, $this->confinement($kernel, $strip));
        foreach ($below as $line) {
            $kernel->line("{$kernel->stored($line)} *= 1.0 - {$cover};");
        }
        $kernel->line('}');
        $line = $coverage->keep($cover);
        $this->mixOne($kernel, $this->pictureLayer($kernel, $strip, $line, true, $this->plates->tonedLines($kernel, $strip)), $plane);
        $this->exceeds = $this->exceeds || ($strip->kind instanceof Plate && $strip->kind->tone->mayExceed());
    }

    /** What lies below is mixed with what the grade makes of it; where nothing lies below, nothing comes of it. */
    private function grade(Strip $strip, Grade $grade): void
    {
        $this->toEncoded();
        [$kernel, $line] = $this->plainCover($strip);
        $kernel->innerLoop();
        $graded = array_map($kernel->variable(...), ['red', 'green', 'blue']);
        foreach ($graded as $at => $channel) {
            $kernel->line("{$channel} = {$kernel->stored('rgb'[$at])};");
        }
        $grade->writeGrade($kernel, $graded);
        $layer = $this->pictureLayer($kernel, $strip, $line, true, Plates::stored($kernel, $graded));
        // colours are not premultiplied, so a change of colour mixes as over an opaque ground
        (new Mixer($kernel, true, false))->mix([$layer]);
        $this->add($kernel);
        $this->exceeds = $this->exceeds || $strip->mode->mayExceed() || $grade->mayExceed();
    }

    private function fill(Strip $strip, Fill $fill, int $run): void
    {
        $this->space($strip->mode, $run);
        $colour = static fn (KernelWriter $kernel): array => [
            $kernel->number($fill->colour->red), $kernel->number($fill->colour->green), $kernel->number($fill->colour->blue),
        ];
        if ($this->isPlain($strip) && $this->mayWait($strip->mode)) {
            $this->wait($strip->mode, Layer::branches($strip->mode), fn (KernelWriter $kernel): Layer => $this->pictureLayer(
                $kernel, $strip, $kernel->number($strip->amount), false, $colour($kernel),
            ));

            return;
        }
        [$kernel, $line] = $this->plainCover($strip);
        $this->mixOne($kernel, $this->pictureLayer($kernel, $strip, $line, true, $colour($kernel)));
    }

    private function light(Strip $strip, Light $light, int $run): void
    {
        $colour = $light->colour()->linear($this->scene->white);
        if ($colour->largest() <= 0) {
            return;
        }
        $this->space($strip->mode, $run);
        $kernel = $this->writer();
        $coverage = new Coverage($kernel, $this->window);
        $coverage->begin();
        $isSoft = $light->softness() > 0;
        $shape = $isSoft ? (new SoftShape($light, $this->window))->write($kernel, $this->window) : $light->writeShape($kernel);
        $cover = $kernel->variable('cover');
        $kernel->line("{$cover} = 0.0; if ({$shape} > 0.0) { {$cover} = 1.0;");
        $coverage->masks($strip, $cover, $this->confinement($kernel, $strip));
        $this->level($kernel, $strip, $light, $cover, $shape);
        $kernel->line('}');
        $line = $coverage->keep($cover);
        $extent = $isSoft ? null : $light;
        [$kernel, $line] = $this->handedOn($strip, $kernel, $coverage, $line, $extent);
        $shown = $strip->mode->isLinear() ? $colour : $colour->encoded();
        $this->mixOne($kernel, new Layer($strip->mode, $line, true,
            [$kernel->number($shown->red), $kernel->number($shown->green), $kernel->number($shown->blue)],
            $strip->mode->isLinear(), $this->exceeds,
        ), $extent);
    }

    /** Multiplies a light's shape and level into its cover: in stops on linear light, as so many copies otherwise. */
    private function level(KernelWriter $kernel, Strip $strip, Light $light, string $cover, string $shape): void
    {
        $gain = $kernel->number(2 ** $strip->level);
        if ($strip->mode->isLinear()) {
            $kernel->line("{$cover} *= {$shape} * {$gain};");

            return;
        }
        $kernel->line("{$shape} *= {$kernel->number(1 / $light->largest())}; if ({$shape} > 1.0) { {$shape} = 1.0; }");
        $kernel->line($strip->level <= 0 ? "{$cover} *= {$shape} * {$gain};" : "{$cover} *= 1.0 - (1.0 - {$shape}) ** {$gain};");
    }

    private function group(Strip $strip): void
    {
        $this->toEncoded();
        $before = $this->keep();
        $this->strips($strip->strips);
        $this->toEncoded();
        if ($strip->amount >= 1 && $this->isPlain($strip)) {
            return;
        }
        [$kernel, $cover] = $this->plainCover($strip);
        $kernel->loop();
        if ($this->opaque) {
            foreach (['r', 'g', 'b'] as $channel) {
                $kernel->line("{$kernel->stored($channel)} = {$kernel->stored($before[$channel])} + {$cover} * ({$kernel->stored($channel)} - {$kernel->stored($before[$channel])});");
            }
        } else {
            $alpha = $kernel->variable('alpha');
            $kernel->line("{$alpha} = {$kernel->stored($before['a'])} + {$cover} * ({$kernel->stored('a')} - {$kernel->stored($before['a'])}); if ({$alpha} > 0.0) {");
            foreach (['r', 'g', 'b'] as $channel) {
                $kernel->line("{$kernel->stored($channel)} = ({$kernel->stored($before[$channel])} * {$kernel->stored($before['a'])} * (1.0 - {$cover}) + {$cover} * {$kernel->stored($channel)} * {$kernel->stored('a')}) / {$alpha};");
            }
            $kernel->line("} {$kernel->stored('a')} = {$alpha};");
        }
        $this->add($kernel);
    }

    /** Plans a strip so that what it changes can be seen: |with - without|, premultiplied, on black; a plate as itself. */
    private function tap(Strip $strip, int $run, bool $isBase): void
    {
        $line = $this->taps[$strip->id] = 'tap'.count($this->taps);
        if ($strip->kind instanceof Plate) {
            $kernel = $this->writer();
            $kernel->loop();
            $plane = $this->plates->of($strip);
            (new Output($kernel))->pixel($line, $this->plates->toned($kernel, $strip), $this->plates->alpha($kernel, $plane), $this->bits, $strip->kind->tone->mayExceed());
            $this->mixWaiting();
            $this->add($kernel);
            if (! $strip->muted) {
                $this->strip($strip, $run, $isBase);
            }

            return;
        }
        $this->toEncoded();
        $before = $this->keep();
        $exceeds = $this->exceeds;
        $this->strip($strip, 1);
        $this->toEncoded();
        $this->mixWaiting();
        $kernel = $this->writer();
        (new Output($kernel))->difference($line, $before, $this->opaque, $this->bits);
        $this->add($kernel);
        if ($strip->muted) {
            $this->passes[] = new Keep(array_flip($before));
            $this->exceeds = $exceeds;
        }
    }

    /** @return array<string, string> the lines that keep the picture as it is now, by channel */
    private function keep(): array
    {
        $this->mixWaiting();
        $lines = [];
        foreach ($this->opaque ? ['r', 'g', 'b'] : ['r', 'g', 'b', 'a'] as $channel) {
            $lines[$channel] = "kept{$this->kept}{$channel}";
        }
        $this->kept++;
        $this->passes[] = new Keep($lines);

        return $lines;
    }

    /**
     * The cover of a strip that is everywhere as strong as its fader, but for its masks.
     *
     * @return array{KernelWriter, string} the kernel to mix it in, and the line that holds it
     */
    private function plainCover(Strip $strip): array
    {
        $kernel = $this->writer();
        $coverage = new Coverage($kernel, $this->window);
        $coverage->begin();
        $cover = $kernel->variable('cover');
        $kernel->line("{$cover} = {$kernel->number($strip->amount)};");
        $coverage->masks($strip, $cover, $this->confinement($kernel, $strip));

        return $this->handedOn($strip, $kernel, $coverage, $coverage->keep($cover));
    }

    /**
     * Lets a cover that depends on nothing below stand in a kernel of its own, so that it can be kept. What changes with
     * every draft, and what hangs on the plates that cover it, stays in one kernel with the mixing.
     *
     * @return array{KernelWriter, string} the kernel to mix it in, and the line that holds it
     */
    private function handedOn(Strip $strip, KernelWriter $kernel, Coverage $coverage, string $line, ?Extent $extent = null): array
    {
        if ($this->below === null || $strip->id === $this->below || $strip->confinedTo !== null) {
            return [$kernel, $line];
        }
        $coverage->handOn();
        $this->mixWaiting();
        $this->passes[] = new Pass($kernel->finish(), $extent, true);
        $next = $this->writer();

        return [$next, (new Coverage($next, $this->window))->goOn()];
    }

    private function confinement(KernelWriter $kernel, Strip $strip): ?string
    {
        return $strip->confinedTo === null ? null : $kernel->stored($this->uncovered[$strip->confinedTo]);
    }

    private function isPlain(Strip $strip): bool
    {
        return $strip->activeMasks() === [] && $strip->confinedTo === null;
    }

    /** @param  array{string, string, string}  $colour */
    private function pictureLayer(KernelWriter $kernel, Strip $strip, string $cover, bool $patchy, array $colour): Layer
    {
        return new Layer($strip->mode, $cover, $patchy, $colour, false, $this->exceeds);
    }

    /** Whether a strip of this mode that covers the whole window can be mixed together with its neighbours. */
    private function mayWait(BlendMode $mode): bool
    {
        return $this->opaque && ! $mode->readsWholeColour();
    }

    /** @param  callable(KernelWriter): Layer  $layer */
    private function wait(BlendMode $mode, int $branches, callable $layer): void
    {
        if ($this->waiting !== [] && $this->waitingBranches + $branches > self::MOST_BRANCHES) {
            $this->mixWaiting();
        }
        $this->together ??= $this->writer();
        $this->waiting[] = $layer($this->together);
        $this->waitingBranches += $branches;
        $this->exceeds = $this->exceeds || $mode->mayExceed();
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

    private function mixOne(KernelWriter $kernel, Layer $layer, ?Extent $extent = null): void
    {
        (new Mixer($kernel, $this->opaque, $this->linear))->mix([$layer]);
        $this->add($kernel, $extent);
        $this->exceeds = $this->exceeds || $layer->mode->mayExceed();
    }

    private function add(KernelWriter $kernel, ?Extent $extent = null): void
    {
        $this->mixWaiting();
        $this->passes[] = new Pass($kernel->finish(), $extent);
    }

    /** Brings the picture below into the space in which a strip is mixed, unless the strip does so for itself. */
    private function space(BlendMode $mode, int $run): void
    {
        if (! $mode->isLinear()) {
            $this->toEncoded();
        } elseif ($run >= self::LONG_RUN) {
            $this->toLinear();
        }
    }

    private function toLinear(): void
    {
        if (! $this->linear) {
            $this->convert('decode');
            $this->linear = true;
        }
    }

    private function toEncoded(): void
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

    private function writer(): KernelWriter
    {
        return new KernelWriter($this->inliner);
    }

    private function isBelow(string $lower, string $upper): bool
    {
        foreach ($this->scene->everyStrip() as $strip) {
            if ($strip->id === $lower || $strip->id === $upper) {
                return $strip->id === $lower;
            }
        }

        return false;
    }
}
