<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\Everywhere;
use Aumbrel\Core\Kind\Layer;
use Aumbrel\Core\Scene\MaskEntry;
use Aumbrel\Core\Scene\Strip;

/** Writes the loop that works out how much of a layer there is at each column, and where it begins and ends. */
final readonly class Cover
{
    /** The line of the row that holds the cover of the layer being mixed. */
    private const LINE = 'cover';

    public function __construct(private KernelWriter $kernel, private Sites $sites)
    {
    }

    /**
     * The cover of a layer: field, masks, confinement, strength.
     *
     * @param  list<string>  $confinement  lines
     * @param  list<string>  $covered  lines of what it covers, which it takes its share from
     * @return string the line that holds it
     */
    public function of(Strip $strip, Layer $layer, array $confinement, array $covered = []): string
    {
        $this->begin();
        $cover = $this->kernel->variable('cover');
        if ($layer->field instanceof Everywhere) {
            $this->kernel->line("{$cover} = {$this->kernel->number($layer->strength->full($layer->mode))}; {");
            $this->shape($strip, $cover, $confinement);
        } else {
            $shape = $layer->field->write($this->kernel, $this->sites->window);
            $this->kernel->line("{$cover} = 0.0; if ({$shape} > 0.0) { {$cover} = 1.0;");
            $this->shape($strip, $cover, $confinement);
            $layer->strength->write($this->kernel, $cover, $shape, $layer->mode, $layer->field);
        }
        foreach ($covered as $line) {
            $this->kernel->line("{$this->kernel->stored($line)} *= 1.0 - {$cover};");
        }
        $this->kernel->line('}');

        return $this->keep($cover, $layer->mode === BlendMode::Illuminate);
    }

    /**
     * The cover of a group: its fader, masks and confinement.
     *
     * @param  list<string>  $confinement  lines
     */
    public function ofGroup(Strip $strip, array $confinement): string
    {
        $this->begin();
        $cover = $this->kernel->variable('cover');
        $this->kernel->line("{$cover} = {$this->kernel->number($strip->amount)};");
        $this->shape($strip, $cover, $confinement);

        return $this->keep($cover);
    }

    /**
     * The cover of what a closed group has made: that where it is, times the group's fader, masks and confinement.
     *
     * @param  list<string>  $confinement  lines
     * @param  string  $alpha  the line of where it is
     * @param  string  $share  the line that keeps the group's part alone
     */
    public function ofClosed(Strip $strip, array $confinement, string $alpha, string $share): string
    {
        $this->begin();
        $cover = $this->kernel->variable('cover');
        $this->kernel->line("{$cover} = {$this->kernel->number($strip->amount)};");
        $this->shape($strip, $cover, $confinement);
        $this->kernel->line("{$this->kernel->stored($share)} = {$cover}; {$cover} *= {$this->kernel->stored($alpha)};");

        return $this->keep($cover, $strip->mode === BlendMode::Illuminate);
    }

    /** Hands first and last column on to another kernel. */
    public function handOn(): void
    {
        $this->kernel->closing("\$lines['first'] = \$first; \$lines['end'] = \$end;");
    }

    /** Goes on where another kernel has worked out the cover; gives the line that holds it. */
    public function goOn(): string
    {
        self::begun($this->kernel);

        return $this->kernel->stored(self::LINE);
    }

    /** Takes over first and last column. */
    public static function begun(KernelWriter $kernel): void
    {
        $kernel->row("\$first = \$lines['first']; \$end = \$lines['end'];");
    }

    private function begin(): void
    {
        $this->kernel->row('$first = 0; $end = 0;');
        $this->kernel->loop();
    }

    /**
     * Multiplies the confinement, what a strip stays off, and its masks into a variable.
     *
     * @param  list<string>  $confinement
     */
    private function shape(Strip $strip, string $cover, array $confinement): void
    {
        foreach ($confinement as $line) {
            $this->kernel->line("{$cover} *= {$this->kernel->stored($line)};");
        }
        $this->masked($strip, $cover);
    }

    /** Multiplies what a strip stays off, and its masks, into a variable. */
    public function masked(Strip $strip, string $cover): void
    {
        foreach ($strip->keptOff->plates ?? [] as $plate) {
            $there = $this->sites->there($plate, $strip->keptOff->grow ?? 0.0, $strip->keptOff->feather ?? 0.0, $this->kernel);
            if ($there !== null) {
                $this->kernel->line("{$cover} *= 1.0 - {$there};");
            }
        }
        $masks = $strip->activeMasks();
        if ($masks !== []) {
            $joined = JoinedMasks::write($this->kernel, $masks, fn (MaskEntry $entry): string => $this->sites->mask($strip, $entry, $this->kernel));
            $this->kernel->line("{$cover} *= {$joined};");
        }
    }

    /**
     * Keeps the cover for the loops that follow; gives the line that holds it.
     *
     * @param  bool  $mayDarken  whether it may lie below 0, as where light is taken away
     */
    private function keep(string $cover, bool $mayDarken = false): string
    {
        $line = $this->kernel->stored(self::LINE);
        $there = $mayDarken ? "{$cover} !== 0.0" : "{$cover} > 0.0";
        $this->kernel->line("if ({$there}) { if (\$end === 0) { \$first = \$c; } \$end = \$c + 1; }");
        $this->kernel->line("{$line} = {$cover};");

        return $line;
    }
}
