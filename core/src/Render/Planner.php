<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Color\Luma;
use Aumbrel\Core\Geometry\Extent;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\Inliner;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\Everywhere;
use Aumbrel\Core\Kind\Ground;
use Aumbrel\Core\Kind\Layer;
use Aumbrel\Core\Kind\Pictured;
use Aumbrel\Core\Scene\MaskEntry;
use Aumbrel\Core\Scene\Scene;
use Aumbrel\Core\Scene\Strip;
use Aumbrel\Core\Scene\ToneLimits;

/**
 * Turns a stack of strips into a plan for one window: which kernels run over each row, in which order.
 *
 * Layers that cover the whole window are mixed in one kernel as long as its branches stay few; every other one gets a kernel
 * of its own, which two layers of the same shape share. Long runs of layers that are mixed in linear light stay in linear, with
 * the changes of colour between them that are made of it; a single one converts only the pixels that it touches.
 */
final class Planner
{
    /** Consecutive layers mixed in linear from which on converting the whole row pays. */
    private const LONG_RUN = 4;

    /** For how many of them a change of every colour counts, which would convert the whole row for itself. */
    private const WHOLE_CHANGE = 3;

    private readonly Scene $scene;

    private readonly Window $window;

    private readonly StripLayers $layers;

    private readonly ToneLines $tones;

    private Confinement $confinement;

    private Passes $passes;

    /** How many stacks over nothing there are so far: closed groups. */
    private int $closed = 0;

    /** @var list<array{Strip, Layer, list<string>}> the plates in the closed group that is being planned, with the lines of how much there is of them */
    private array $inside = [];

    /** @var array<string, string> the line that holds a tapped strip's pixels, by strip */
    private array $taps = [];

    private int $checkpoint = 0;

    /** Whether the strip that is being changed has been planned. */
    private bool $isAbove = false;

    /** @var 8|16 of the tapped pictures */
    private int $bits = 8;

    /**
     * @param  list<string>  $tapped  strips whose contribution is wanted
     * @param  string|null  $below  the strip that is being changed
     */
    public function __construct(
        private readonly Inliner $inliner,
        private readonly Sites $sites,
        private readonly array $tapped = [],
        private readonly ?string $below = null,
        private readonly Shown $as = Shown::Colours,
    ) {
        [$this->scene, $this->window] = [$sites->scene, $sites->window];
        $this->layers = new StripLayers($this->sites);
        $this->confinement = new Confinement($this->sites, $this->layers, []);
        $this->tones = new ToneLines;
        $this->passes = new Passes($inliner, false);
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
        $this->passes->toEncoded();
        $kernel = $this->passes->writer();
        (new Output($kernel, $this->as))->picture('out', $this->passes->isOpaque(), $bits, $this->passes->exceeds());
        $this->passes->add($kernel);

        return new Plan($this->passes->all(), ['out'], $this->checkpoint);
    }

    /**
     * White where the tones of what lies below a strip, or its own, let it act.
     *
     * @param  list<Strip>  $below  back to front
     * @param  8|16  $bits
     */
    public function passing(array $below, Strip $strip, int $bits): Plan
    {
        $limits = $strip->tones ?? ToneLimits::open();
        $this->stack(match (true) {
            ! $strip->isGroup() || ! $limits->ofItself => $below,
            $strip->closed => $strip->strips,
            default => [...$below, ...$strip->strips],
        });
        $this->passes->toEncoded();
        $lines = $limits->ofItself && ! $strip->isGroup() ? array_map(fn (Layer $layer): array => [$this->tones->of($this->passes, $limits, $layer), $layer], $this->layers->of($strip)) : [[$this->tones->below($this->passes, $limits), null]];
        $kernel = $this->passes->writer();
        $kernel->loop();
        $pass = $kernel->variable('pass');
        $kernel->line("{$pass} = 0.0;");
        foreach ($lines as [$line, $layer]) {
            $there = $layer === null ? '1.0' : $layer->field->write($kernel, $this->window);
            $kernel->line("if ({$there} > 0.0 && {$kernel->stored($line)} > {$pass}) { {$pass} = {$kernel->stored($line)}; }");
        }
        (new Output($kernel))->pixel('out', [$pass, $pass, $pass], '1.0', $bits, false);
        $this->passes->add($kernel);

        return new Plan($this->passes->all(), ['out']);
    }

    /**
     * How bright strips are, over nothing: luma times alpha, in the line `shape`.
     *
     * @param  list<Strip>  $strips  back to front
     */
    public function brightness(array $strips): Plan
    {
        $this->stack($strips);
        $this->passes->toEncoded();
        $kernel = $this->passes->writer();
        $kernel->loop();
        [$r, $g, $b] = array_map($kernel->stored(...), ['r', 'g', 'b']);
        $luma = $kernel->variable('luma');
        $kernel->line("{$luma} = ".$kernel->expression([Luma::class, 'of'], [$r, $g, $b]).($this->passes->isOpaque() ? ';' : " * {$kernel->stored('a')};"));
        $kernel->line("{$kernel->stored('shape')} = {$luma} < 1.0 ? {$luma} : 1.0;");
        $this->passes->add($kernel);

        return new Plan($this->passes->all(), ['shape']);
    }

    /**
     * Strips over nothing, encoded and as bright as they are, in the lines `red`, `green`, `blue`, `there`.
     *
     * @param  list<Strip>  $strips  back to front
     */
    public function colours(array $strips): Plan
    {
        $this->stack($strips);
        $this->passes->toEncoded();
        $kernel = $this->passes->writer();
        $kernel->loop();
        foreach (['r' => 'red', 'g' => 'green', 'b' => 'blue'] as $channel => $line) {
            $kernel->line("{$kernel->stored($line)} = {$kernel->stored($channel)};");
        }
        $kernel->line("{$kernel->stored('there')} = ".($this->passes->isOpaque() ? '1.0' : $kernel->stored('a')).';');
        $this->passes->add($kernel);

        return new Plan($this->passes->all(), ['red', 'green', 'blue', 'there']);
    }

    /**
     * A mask of a strip in grey, by itself; or the whole picture with what the mask holds back under a tint.
     *
     * @param  list<Strip>|null  $under  the strips of that picture, back to front
     * @param  8|16  $bits
     */
    public function mask(Strip $strip, MaskEntry $entry, ?array $under, int $bits): Plan
    {
        $this->stack($under ?? []);
        $this->passes->toEncoded();
        $kernel = $this->passes->writer();
        $kernel->loop();
        $value = $entry->on !== Ground::Scene ? $this->onOther($strip, $entry, $kernel) : JoinedMasks::write($kernel, [$entry->alone()], fn (MaskEntry $entry): string => $this->sites->mask($strip, $entry, $kernel));
        if ($under === null) {
            (new Output($kernel))->pixel('out', [$value, $value, $value], '1.0', $bits, false);
        } else {
            (new Output($kernel))->tinted('out', $value, $this->passes->isOpaque(), $bits, $this->passes->exceeds());
        }
        $this->passes->add($kernel);

        return new Plan($this->passes->all(), ['out'], $this->checkpoint);
    }

    /** A mask that is no falloff: the plate that it cuts out, or what of it shines. */
    private function onOther(Strip $strip, MaskEntry $entry, KernelWriter $kernel): string
    {
        return $entry->on === Ground::Plate ? $this->sites->there($strip->id, 0.0, 0.0, $kernel) ?? '0.0'
            : (new EmitterMasks([$entry->alone()], $this->sites, $strip->values->has('of') ? $strip->values->optionalText('of') : null))->write($kernel, $this->window);
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

        return new Plan($this->passes->all(), array_values($this->taps));
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
        $this->confinement = new Confinement($this->sites, $this->layers, $strips);
        $ground = isset($strips[0]) && $strips[0]->id === ($this->scene->strips[0] ?? null)?->id ? $this->ground($strips[0]) : null;
        $this->passes = new Passes($this->inliner, $ground !== null);
        $this->confinement->begin($this->passes);
        $this->strips($strips, $ground);
    }

    /** The layer of a strip that lies under everything and hides all that is under it. */
    private function ground(Strip $strip): ?Layer
    {
        $layers = $strip->muted ? [] : $this->layers->of($strip);
        $layer = count($layers) === 1 ? $layers[0] : null;

        return $layer !== null && $layer->mode === BlendMode::Normal && ! $layer->recolours && $this->isEven($strip, $layer) && $layer->strength->full($layer->mode) >= 1 && ! $this->readsBelow($strip, $layer)
            ? $layer : null;
    }

    /**
     * @param  list<Strip>  $strips
     * @param  Layer|null  $ground  that of the first one, when it hides everything below
     */
    private function strips(array $strips, ?Layer $ground = null): void
    {
        for ($at = 0; $at < count($strips); $at++) {
            $strip = $strips[$at];
            if ($strip->id === $this->below) {
                $this->checkpoint = $this->passes->count();
                $this->isAbove = true;
            }
            $layer = $at === 0 ? $ground : null;
            $count = $this->isAbove ? $this->joinable($strips, $at) : 0;
            if ($count > 0) {
                $this->join(array_slice($strips, $at, $count));
                $at += $count - 1;
            } elseif (in_array($strip->id, $this->tapped, true)) {
                $this->tap($strip, $this->linearRun($strips, $at), $layer);
            } elseif (! $strip->muted) {
                $this->strip($strip, $this->linearRun($strips, $at), $layer);
            }
        }
    }

    /**
     * How many strips from here on are lights that can be joined; 0 when they make less than two layers, or when each would
     * convert its own pixels: joined they would be rounded less often than in a picture without them.
     *
     * @param  list<Strip>  $strips
     */
    private function joinable(array $strips, int $at): int
    {
        if (! $this->passes->isLinear() && $this->linearRun($strips, $at) < self::LONG_RUN) {
            return 0;
        }
        $layers = $last = 0;
        foreach (array_slice($strips, $at) as $n => $strip) {
            if ($strip->muted) {
                continue;
            }
            if (! $this->isJoinable($strip)) {
                break;
            }
            $layers += count($this->layers->of($strip));
            $last = $n + 1;
        }

        return $layers > 1 ? $last : 0;
    }

    private function isJoinable(Strip $strip): bool
    {
        if (! $this->passes->isOpaque() || $strip->isGroup() || $strip->kind instanceof Pictured || in_array($strip->id, $this->tapped, true)) {
            return false;
        }
        foreach ($this->layers->of($strip) as $layer) {
            if (! $layer->mode->isLinear() || $this->readsBelow($strip, $layer) || $layer->recolours || ! $this->isWorthKeeping($strip, $this->confinement->of($strip, $layer))) {
                return false;
            }
        }

        return true;
    }

    /** @param  list<Strip>  $strips */
    private function join(array $strips): void
    {
        $all = [];
        foreach ($strips as $strip) {
            foreach ($strip->muted || $strip->amount <= 0 ? [] : $this->layers->of($strip) as $layer) {
                $all[] = [$strip, $layer];
            }
        }
        $lines = JoinedLights::linesOf(array_map(static fn (array $one): BlendMode => $one[1]->mode, $all));
        $passes = [];
        foreach ($all as [$strip, $layer]) {
            $kernel = $this->passes->writer();
            $cover = new Cover($kernel, $this->sites);
            $line = $cover->of($strip, $layer, []);
            (new Mixer($kernel, true, true))->join($this->laid($kernel, $layer)->patchy($line), $lines);
            $cover->handOn();
            $passes[] = new Pass($kernel->finish(), $layer->field->extent());
            $this->passes->setExceeds($this->passes->exceeds() || $layer->mayExceed());
        }
        if ($passes !== []) {
            $this->passes->join(new JoinedLights($passes, $lines));
        }
    }

    /**
     * How many layers from here on are mixed in linear, one after the other.
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
            foreach ($this->layers->of($strip) as $layer) {
                if (! $this->mixesInLinear($strip, $layer)) {
                    return $run;
                }
                $run += $layer->recolours ? self::WHOLE_CHANGE : 1;
            }
            if ($strip->isGroup()) {
                return $run;
            }
        }

        return $run;
    }

    /** @param  Layer|null  $ground  the strip's layer, when it hides everything below */
    private function strip(Strip $strip, int $run, ?Layer $ground = null): void
    {
        if ($strip->isGroup()) {
            $this->group($strip);
        } elseif ($ground !== null) {
            $this->groundLayer($ground);
        } elseif ($strip->amount > 0) {
            $tones = $strip->activeTones()?->ofItself === false ? [$this->tones->below($this->passes, $strip->activeTones())] : [];
            foreach ($this->layers->of($strip) as $layer) {
                $this->layer($strip, $layer, $run, $tones);
            }
        }
    }

    private function groundLayer(Layer $layer): void
    {
        $kernel = $this->passes->writer();
        $this->laid($kernel, $layer)->hideAll();
        $this->passes->add($kernel);
        $this->passes->setExceeds($this->passes->exceeds() || $layer->mayExceed());
    }

    /** @param  list<string>  $tones  the line that says how much of the tones below passes */
    private function layer(Strip $strip, Layer $layer, int $run, array $tones): void
    {
        $this->space($strip, $layer, $run);
        if ($strip->activeTones()?->ofItself === true) {
            $tones = [$this->tones->of($this->passes, $strip->activeTones(), $layer)];
        }
        $covered = $strip->kind instanceof Pictured ? $this->confinement->under($strip) : [];
        if ($covered === [] && $this->mayWait($strip, $layer)) {
            $this->passes->mixLater(KernelLayer::branches($layer->mode), fn (KernelWriter $kernel): KernelLayer => $this->laid($kernel, $layer)->even());
        } else {
            $kernel = $this->passes->writer();
            $confinement = [...$this->confinement->of($strip, $layer), ...$tones];
            if ($strip->kind instanceof Pictured) {
                $this->inside[] = [$strip, $layer, $confinement];
            }
            $line = null;
            if ($confinement !== [] || ! LaidLayer::isChange($layer) || ! $this->isEven($strip, $layer)) {
                $cover = new Cover($kernel, $this->sites);
                $line = $cover->of($strip, $layer, $confinement, $covered);
                if (! $strip->kind instanceof Pictured && ! $layer->field->readsBelow() && $this->isWorthKeeping($strip, $confinement)) {
                    [$kernel, $line] = $this->handedOn($kernel, $cover, $layer->field->extent());
                }
            }
            $this->mix($kernel, $layer, $line);
        }
        $this->passes->setExceeds($this->passes->exceeds() || $layer->mayExceed());
    }

    /** Brings the picture below into the space in which a layer is mixed, unless the layer does so for itself. */
    private function space(Strip $strip, Layer $layer, int $run): void
    {
        if (! $this->mixesInLinear($strip, $layer)) {
            $this->passes->toEncoded();
        } elseif ($run >= self::LONG_RUN) {
            $this->passes->toLinear();
        }
    }

    private function mixesInLinear(Strip $strip, Layer $layer): bool
    {
        return $layer->mode->isLinear() ? ! $this->readsBelow($strip, $layer) : LaidLayer::isLinearChange($layer) && $this->isEven($strip, $layer);
    }

    /** @param  string|null  $line  the line that says how much of it there is; null for a change of colour that is as strong everywhere */
    private function mix(KernelWriter $kernel, Layer $layer, ?string $line): void
    {
        $laid = $this->laid($kernel, $layer);
        if ($line !== null && ! LaidLayer::isChange($layer)) {
            $this->passes->mix($kernel, $laid->patchy($line), $layer->field->extent());
        } else {
            $line === null && $this->passes->isLinear() ? $laid->linearChange() : $laid->change($line);
            $this->passes->add($kernel, $layer->field->extent());
        }
    }

    private function laid(KernelWriter $kernel, Layer $layer): LaidLayer
    {
        return new LaidLayer($kernel, $layer, $this->passes->exceeds());
    }

    /** Whether a layer is as strong at one place as at any other. */
    private function isEven(Strip $strip, Layer $layer): bool
    {
        return $layer->field instanceof Everywhere
            && $strip->activeMasks() === [] && $strip->activeTones() === null && $strip->keptOff === null && $this->confinement->of($strip, $layer) === [];
    }

    /** Whether a layer needs what lies below as encoded values, by itself or by the tones to which its strip is limited. */
    private function readsBelow(Strip $strip, Layer $layer): bool
    {
        return $layer->readsBelow() || $strip->activeTones() !== null;
    }

    /** Whether a layer can be mixed together with its neighbours. */
    private function mayWait(Strip $strip, Layer $layer): bool
    {
        return $this->passes->isOpaque() && ! $layer->recolours && $this->isEven($strip, $layer) && $layer->tint->isDirect() && ! $layer->mode->readsWholeColour() && ! $layer->inLinear;
    }

    /**
     * Whether a cover that depends on nothing below is kept while another strip is changed: no plate covers it.
     *
     * @param  list<string>  $confinement
     */
    private function isWorthKeeping(Strip $strip, array $confinement): bool
    {
        return $this->below !== null && $strip->id !== $this->below && $confinement === [];
    }

    /**
     * Lets a cover stand in a kernel of its own, so that it can be kept.
     *
     * @return array{KernelWriter, string} the kernel to mix it in, and the line that holds it
     */
    private function handedOn(KernelWriter $kernel, Cover $cover, ?Extent $extent = null): array
    {
        $cover->handOn();
        $this->passes->add($kernel, $extent, true);
        $next = $this->passes->writer();

        return [$next, (new Cover($next, $this->sites))->goOn()];
    }

    private function group(Strip $strip): void
    {
        $limits = $strip->activeTones();
        $tones = $limits?->ofItself === false ? [$this->tones->below($this->passes, $limits)] : [];
        $strip->closed ? $this->closed($strip, $tones) : $this->open($strip, $tones);
    }

    /** @param  list<string>  $tones  the line that says how much of the tones below passes */
    private function open(Strip $strip, array $tones): void
    {
        $this->passes->toEncoded();
        if ($this->mayHold($strip) && self::plates($strip->strips) === []) {
            $this->put($this->sites->held([...$this->scene->under($strip->id)[0], $strip->unheld()]));

            return;
        }
        $before = $this->passes->keep();
        $limits = $strip->activeTones();
        $this->strips($strip->strips);
        $this->passes->toEncoded();
        if ($limits?->ofItself === true) {
            $tones = [$this->tones->below($this->passes, $limits)];
        }
        $confinement = [...$this->confinement->of($strip, null), ...$tones];
        if ($strip->amount >= 1 && $strip->activeMasks() === [] && $strip->keptOff === null && $confinement === []) {
            return;
        }
        $kernel = $this->passes->writer();
        $cover = new Cover($kernel, $this->sites);
        $line = $cover->ofGroup($strip, $confinement);
        if ($this->isWorthKeeping($strip, $confinement)) {
            [$kernel, $line] = $this->handedOn($kernel, $cover);
        }
        (new Mixer($kernel, $this->passes->isOpaque(), false))->group($before, $line);
        $this->passes->add($kernel);
    }

    /**
     * What a closed group holds is put together over nothing, and the outcome mixed like a plate.
     *
     * @param  list<string>  $tones  the line that says how much of the tones below passes
     */
    private function closed(Strip $strip, array $tones): void
    {
        [$around, $others] = [$this->confinement, $this->inside];
        $before = $this->passes->overNothing();
        $this->inside = [];
        $this->confinement = new Confinement($this->sites, $this->layers, $strip->strips, ++$this->closed);
        $this->confinement->begin($this->passes);
        if ($this->mayHold($strip) && array_filter(self::plates($strip->strips), static fn (Strip $plate): bool => $around->under($plate) !== []) === []) {
            $this->put($this->sites->held($strip->strips));
        } else {
            $this->strips($strip->strips);
        }
        $this->passes->toEncoded();
        $limits = $strip->activeTones();
        if ($limits?->ofItself === true) {
            $tones = [$this->tones->below($this->passes, $limits)];
        }
        $exceeds = $this->passes->exceeds();
        $made = $this->passes->back($before);
        $this->confinement = $around;
        $share = "share{$this->closed}";
        $kernel = $this->passes->writer();
        $line = (new Cover($kernel, $this->sites))->ofClosed($strip, [...$around->of($strip, null), ...$tones], $made['a'], $share);
        $colour = [$kernel->stored($made['r']), $kernel->stored($made['g']), $kernel->stored($made['b'])];
        if ($exceeds && ! $strip->mode->isLinear() && $strip->mode !== BlendMode::Normal) {
            // the formulas of the standard are for what can be shown
            $colour = array_map(static fn (string $channel): string => "({$channel} < 1.0 ? {$channel} : 1.0)", $colour);
        }
        $this->passes->mix($kernel, new KernelLayer($strip->mode, $line, "(1.0 - {$line})", true, $colour, false, $this->passes->exceeds()), null);
        $this->passes->setExceeds($this->passes->exceeds() || $exceeds || $strip->mode->mayExceed());
        $inside = array_map(static fn (array $plate): array => [$plate[0], $plate[1], [...$plate[2], $share]], $this->inside);
        foreach ($inside as [$plate, $layer, $lines]) {
            $this->coverBeyond($plate, $layer, $lines);
        }
        $this->inside = [...$others, ...$inside];
    }

    /** Whether what a group yields is taken as it is kept: not while a strip in it is looked at by itself. */
    private function mayHold(Strip $group): bool
    {
        if (! $group->held) {
            return false;
        }
        $inside = array_column(Scene::flatten($group->strips), 'id');

        return array_intersect($inside, $this->tapped) === [] && ! in_array($this->below, $inside, true);
    }

    /** Puts what is kept in the place of the picture that is being put together. */
    private function put(HeldPlane $held): void
    {
        $kernel = $this->passes->writer();
        $kernel->loop();
        $held->write($kernel, ['r' => 'r', 'g' => 'g', 'b' => 'b', ...($this->passes->isOpaque() ? [] : ['a' => 'a'])]);
        $this->passes->add($kernel);
        $this->passes->setExceeds(true);
    }

    /**
     * @param  list<Strip>  $strips
     * @return array<Strip> the plates among them, and in what they hold
     */
    private static function plates(array $strips): array
    {
        return array_filter(Scene::flatten($strips), static fn (Strip $strip): bool => $strip->kind instanceof Pictured);
    }

    /**
     * A plate in a closed group covers the plates below it that something outside is confined to, as far as the group is there.
     *
     * @param  list<string>  $lines  how much there is of it
     */
    private function coverBeyond(Strip $plate, Layer $layer, array $lines): void
    {
        $covered = $this->confinement->under($plate);
        if ($covered !== []) {
            $kernel = $this->passes->writer();
            (new Cover($kernel, $this->sites))->of($plate, $layer, $lines, $covered);
            $this->passes->add($kernel);
        }
    }

    /**
     * Plans a strip so that what it changes can be seen: |with - without|, premultiplied, on black; a plate as itself.
     *
     * @param  Layer|null  $ground  the strip's layer, when it hides everything below
     */
    private function tap(Strip $strip, int $run, ?Layer $ground): void
    {
        $line = $this->taps[$strip->id] = 'tap'.count($this->taps);
        if ($strip->kind instanceof Pictured) {
            $this->tapPlate($strip, $line);
            if (! $strip->muted) {
                $this->strip($strip, $run, $ground);
            }

            return;
        }
        $this->passes->toEncoded();
        $before = $this->passes->keep();
        $exceeds = $this->passes->exceeds();
        $this->strip($strip, 1, $ground);
        $this->passes->toEncoded();
        $kernel = $this->passes->writer();
        (new Output($kernel, $this->as))->difference($line, $before, $this->passes->isOpaque(), $this->bits);
        $this->passes->add($kernel);
        if ($strip->muted) {
            $this->passes->takeBack($before);
            $this->passes->setExceeds($exceeds);
        }
    }

    /** A plate by itself, whatever lies around it and however far it is faded. */
    private function tapPlate(Strip $strip, string $line): void
    {
        $kernel = $this->passes->writer();
        $kernel->loop();
        foreach ($this->layers->of($strip) as $layer) {
            $alpha = $layer->field->write($kernel, $this->window);
            (new Output($kernel))->pixel($line, $layer->tint->write($kernel, $layer->mode), $alpha, $this->bits, $layer->tint->mayExceed());
        }
        $this->passes->add($kernel);
    }
}
