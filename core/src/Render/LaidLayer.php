<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\Layer;
use Aumbrel\Core\Kind\LinearTint;
use LogicException;

/** A layer as a kernel mixes it: its colours written there, and how much of it there is. */
final readonly class LaidLayer
{
    /** @param  bool  $exceeds  whether the picture below may lie outside 0..1 */
    public function __construct(private KernelWriter $kernel, private Layer $layer, private bool $exceeds)
    {
    }

    /** As strong at one place as at any other. */
    public function even(): KernelLayer
    {
        $cover = $this->layer->strength->full($this->layer->mode);

        return $this->of($this->kernel->number($cover), $this->kernel->number(1.0 - $cover), false);
    }

    /** @param  string  $line  the line that says how much of it there is at each pixel */
    public function patchy(string $line): KernelLayer
    {
        return $this->of($line, "(1.0 - {$line})", true);
    }

    private function of(string $cover, string $rest, bool $patchy): KernelLayer
    {
        return new KernelLayer($this->layer->mode, $cover, $rest, $patchy, $this->colour(), $this->layer->tint->isLight($this->layer->mode), $this->exceeds, $this->layer->recolours, $this->layer->inLinear);
    }

    /**
     * The colour for loops that mix a channel each: one that needs all three at once is worked out before.
     *
     * @return array{string, string, string}
     */
    private function colour(): array
    {
        $tint = $this->layer->tint;
        if ($tint->isDirect()) {
            return $tint->write($this->kernel, $this->layer->mode);
        }
        $this->kernel->innerLoop();
        $lines = ['tint0', 'tint1', 'tint2'];
        foreach ($tint->write($this->kernel, $this->layer->mode) as $at => $colour) {
            $this->kernel->line("{$this->kernel->stored($lines[$at])} = {$colour};");
        }

        return [$this->kernel->stored($lines[0]), $this->kernel->stored($lines[1]), $this->kernel->stored($lines[2])];
    }

    /** Writes it over all that is below. */
    public function hideAll(): void
    {
        $this->kernel->loop();
        foreach ($this->layer->tint->write($this->kernel, $this->layer->mode) as $at => $colour) {
            $this->kernel->line("{$this->kernel->stored('rgb'[$at])} = {$colour};");
        }
    }

    /** Whether a layer takes the place of the colours that it is made of: then it is worked out and mixed in one loop. */
    public static function isChange(Layer $layer): bool
    {
        return $layer->recolours && $layer->mode === BlendMode::Normal && ! $layer->inLinear && ! $layer->tint->isDirect();
    }

    /** Whether such a change, as strong everywhere, can be made of linear light: at full nothing of what was there is mixed with it. */
    public static function isLinearChange(Layer $layer): bool
    {
        return self::isChange($layer) && $layer->tint instanceof LinearTint && $layer->tint->worksInLinear() && $layer->strength->full($layer->mode) === 1.0;
    }

    public function linearChange(): void
    {
        $this->kernel->loop();
        $this->kernel->line('{');
        $tint = $this->layer->tint;
        (new Mixer($this->kernel, true, true))->replace($tint instanceof LinearTint ? $tint->writeLinear($this->kernel) : throw new LogicException('a change of encoded colours'));
        $this->kernel->line('}');
    }

    /**
     * Writes such a change, of encoded colours.
     *
     * @param  string|null  $cover  the line that says how much of it there is; null where it is as strong everywhere
     */
    public function change(?string $cover): void
    {
        if ($cover === null) {
            $this->kernel->loop();
            $this->kernel->line('{');
        } else {
            $this->kernel->innerLoop();
            $this->kernel->line("if ({$cover} > 0.0) {");
        }
        // colours are not premultiplied, so a change of colour mixes as over an opaque ground
        $mixer = new Mixer($this->kernel, true, false);
        $full = $this->layer->strength->full($this->layer->mode);
        $colours = $this->layer->tint->write($this->kernel, $this->layer->mode);
        if ($cover === null && $full === 1.0) {
            $mixer->replace($colours);
        } else {
            $share = $cover ?? $this->kernel->number($full);
            $mixer->here(new KernelLayer($this->layer->mode, $share, "(1.0 - {$share})", $cover !== null, $colours, false, $this->exceeds, true));
        }
        $this->kernel->line('}');
    }
}
