<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Blend\ChannelBlend;
use Aumbrel\Core\Blend\ColourBlend;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kernel\Power;
use Aumbrel\Core\Kernel\Transfer;
use LogicException;

/**
 * Writes the loops that mix layers over what lies below.
 *
 * The pixel below stands in the lines `r`, `g`, `b` of the row, unpremultiplied and either encoded or linear; `a` is its
 * alpha, which is left out where everything below is opaque.
 */
final readonly class Mixer
{
    private const CHANNELS = ['r', 'g', 'b'];

    public function __construct(private KernelWriter $kernel, private bool $opaque, private bool $linear)
    {
    }

    /** @param  list<KernelLayer>  $layers one after the other; more than one only when all are separable and the ground opaque */
    public function mix(array $layers): void
    {
        $first = $layers[0] ?? throw new LogicException('nothing to mix');
        if (! $first->isSeparable($this->opaque)) {
            $this->together($first);

            return;
        }
        if (count($layers) === 1 && ! $this->linear && $first->mode === BlendMode::Illuminate && $first->lightColour && count(array_unique($first->colour)) === 1) {
            $this->exposed($first);

            return;
        }
        foreach (self::CHANNELS as $at => $channel) {
            $this->open($first);
            $value = $this->kernel->variable('value');
            $this->kernel->line("{$value} = {$this->kernel->stored($channel)};");
            // layers that show the same picture read it once
            $read = [];
            foreach ($layers as $layer) {
                $colour = $layer->colour[$at];
                $this->channel($layer, $value, $read[$colour] ??= $this->read($colour));
            }
            $this->kernel->line("{$this->kernel->stored($channel)} = {$value};");
            $this->close($first);
        }
        if (! $this->opaque && $first->mode !== BlendMode::Illuminate) {
            $this->open($first);
            $this->kernel->line("{$this->kernel->stored('a')} = {$this->alpha($first, $this->kernel->stored('a'))};");
            $this->close($first);
        }
    }

    /** Mixes a separable layer in the loop that is open. */
    public function here(KernelLayer $layer): void
    {
        foreach (self::CHANNELS as $at => $channel) {
            $value = $this->kernel->variable('value');
            $this->kernel->line("{$value} = {$this->kernel->stored($channel)};");
            $this->channel($layer, $value, $this->read($layer->colour[$at]));
            $this->kernel->line("{$this->kernel->stored($channel)} = {$value};");
        }
    }

    /**
     * Puts a colour in the place of what is there, in the loop that is open.
     *
     * @param  array{string, string, string}  $colour  expressions of red, green, blue
     */
    public function replace(array $colour): void
    {
        foreach (self::CHANNELS as $at => $channel) {
            $this->kernel->line("{$this->kernel->stored($channel)} = {$colour[$at]};");
        }
    }

    /** @param  'encode'|'decode'  $way */
    public function convert(string $way): void
    {
        foreach (self::CHANNELS as $channel) {
            $this->kernel->loop();
            $value = $this->kernel->variable('value');
            $this->kernel->line("{$value} = {$this->kernel->stored($channel)};");
            $this->transfer($way, $value);
            $this->kernel->line("{$this->kernel->stored($channel)} = {$value};");
        }
    }

    /**
     * Puts a light to those that it lies on, in their lines.
     *
     * @param  array<string, float>  $lines  of what they multiply and add
     */
    public function join(KernelLayer $layer, array $lines): void
    {
        foreach (self::CHANNELS as $at => $channel) {
            $this->open($layer);
            $more = "{$layer->cover} * {$this->linearColour($layer, $layer->colour[$at])}";
            foreach ($layer->mode === BlendMode::Illuminate ? [JoinedLights::GAIN, JoinedLights::MORE] : [] as $line) {
                if (isset($lines[$line.$channel])) {
                    $this->kernel->line("{$this->kernel->stored($line.$channel)} *= 1.0 + {$more};");
                }
            }
            if ($layer->mode === BlendMode::Airlight) {
                $this->kernel->line("{$this->kernel->stored(JoinedLights::MORE.$channel)} += {$more};");
            }
            $this->close($layer);
        }
    }

    /**
     * Mixes joined lights over an opaque ground, in linear.
     *
     * @param  list<string>  $lines  of what they multiply and add
     */
    public function joined(array $lines): void
    {
        foreach (self::CHANNELS as $channel) {
            $this->kernel->innerLoop();
            $value = $this->kernel->variable('value');
            $this->kernel->line("{$value} = {$this->kernel->stored($channel)};");
            foreach ([JoinedLights::GAIN => '*=', JoinedLights::MORE => '+='] as $line => $does) {
                if (in_array($line.$channel, $lines, true)) {
                    $this->kernel->line("{$value} {$does} {$this->kernel->stored($line.$channel)};");
                }
            }
            $this->kernel->line("{$this->kernel->stored($channel)} = {$value};");
        }
    }

    /**
     * Mixes what a group has made with what was there before it.
     *
     * @param  array<string, string>  $before  lines by channel
     * @param  string  $cover  the group's
     */
    public function group(array $before, string $cover): void
    {
        $this->kernel->loop();
        $stored = $this->kernel->stored(...);
        if ($this->opaque) {
            foreach (self::CHANNELS as $channel) {
                $this->kernel->line("{$stored($channel)} = {$stored($before[$channel])} + {$cover} * ({$stored($channel)} - {$stored($before[$channel])});");
            }

            return;
        }
        $alpha = $this->kernel->variable('alpha');
        $this->kernel->line("{$alpha} = {$stored($before['a'])} + {$cover} * ({$stored('a')} - {$stored($before['a'])}); if ({$alpha} > 0.0) {");
        foreach (self::CHANNELS as $channel) {
            $this->kernel->line("{$stored($channel)} = ({$stored($before[$channel])} * {$stored($before['a'])} * (1.0 - {$cover}) + {$cover} * {$stored($channel)} * {$stored('a')}) / {$alpha};");
        }
        $this->kernel->line("} {$stored('a')} = {$alpha};");
    }

    private function open(KernelLayer $layer): void
    {
        if ($layer->patchy) {
            $this->kernel->innerLoop();
            // light may be taken away too
            $this->kernel->line($layer->mode === BlendMode::Illuminate ? "if ({$layer->cover} !== 0.0) {" : "if ({$layer->cover} > 0.0) {");
        } else {
            $this->kernel->loop();
        }
    }

    private function close(KernelLayer $layer): void
    {
        if ($layer->patchy) {
            $this->kernel->line('}');
        }
    }

    /** Puts an expression of a colour into a variable; a number is one already. */
    private function read(string $colour): string
    {
        if (preg_match('/^\$\w+$/D', $colour) === 1) {
            return $colour;
        }
        $source = $this->kernel->variable('source');
        $this->kernel->line("{$source} = {$colour};");

        return $source;
    }

    private function channel(KernelLayer $layer, string $value, string $source): void
    {
        if ($layer->mode->isLinear()) {
            $this->light($layer, $value, $source);

            return;
        }
        if ($layer->inLinear) {
            $this->transfer('decode', $value);
            $linear = $this->linearColour($layer, $source);
            $this->over($layer, $value, $linear, $linear);
            $this->transfer('encode', $value);

            return;
        }
        $mix = $this->opaque && ! $layer->exceeds ? $layer->mode->opaqueMix() : null;
        if ($mix !== null) {
            $this->kernel->line("{$value} = {$this->kernel->expression($mix, [$value, $source, $layer->cover, $layer->rest])};");

            return;
        }
        if ($layer->mode === BlendMode::Add) {
            $below = $this->opaque ? $value : "({$value} * {$this->kernel->stored('a')})";
            $this->kernel->inline([ChannelBlend::class, 'add'], [$below, "({$layer->cover} * {$source})"], $value);
            if (! $this->opaque) {
                $this->kernel->line("{$value} /= {$this->alpha($layer, $this->kernel->stored('a'))};");
            }

            return;
        }
        $blended = $this->blended($layer, $value, $source);
        $this->over($layer, $value, $source, $blended);
    }

    /** The blended channel B(below, source). */
    private function blended(KernelLayer $layer, string $value, string $source): string
    {
        $formula = $layer->mode->perChannel();
        if ($formula === null) {
            return $source;
        }
        $below = $this->atMostOne($layer, $value);
        $expression = $this->opaque ? $this->kernel->expression($formula, [$below, $source]) : null;
        if ($expression !== null) {
            return $expression;
        }
        $blended = $this->kernel->variable('blended');
        $this->kernel->inline($formula, [$below, $source], $blended);

        return $blended;
    }

    private function atMostOne(KernelLayer $layer, string $value): string
    {
        if (! $layer->exceeds) {
            return $value;
        }
        $below = $this->kernel->variable('below');
        $this->kernel->line("{$below} = {$value} < 1.0 ? {$value} : 1.0;");

        return $below;
    }

    /** Source over, W3C Compositing and Blending Level 1, section 10. */
    private function over(KernelLayer $layer, string $value, string $source, string $blended): void
    {
        if ($this->opaque) {
            $this->kernel->line("{$value} += {$layer->cover} * ({$blended} - {$value});");

            return;
        }
        $alpha = $this->kernel->variable('alpha');
        $cover = $layer->cover;
        $this->kernel->line("{$alpha} = {$this->kernel->stored('a')};");
        $this->kernel->line("{$value} = ({$cover} * ({$source} + {$alpha} * ({$blended} - {$source})) + (1.0 - {$cover}) * {$alpha} * {$value}) / ({$cover} + {$alpha} - {$cover} * {$alpha});");
    }

    private function light(KernelLayer $layer, string $value, string $colour): void
    {
        if (! $this->linear) {
            $this->transfer('decode', $value);
        }
        $source = $this->linearColour($layer, $colour);
        if ($layer->mode === BlendMode::Illuminate) {
            $this->kernel->line("{$value} *= 1.0 + {$layer->cover} * {$source};");
        } elseif ($this->opaque) {
            $this->kernel->line("{$value} += {$layer->cover} * {$source};");
        } else {
            $this->kernel->line("{$value} = ({$this->kernel->stored('a')} * {$value} + {$layer->cover} * {$source}) / {$this->alpha($layer, $this->kernel->stored('a'))};");
        }
        if (! $this->linear) {
            $this->transfer('encode', $value);
        }
    }

    /**
     * Light of no colour that multiplies, of encoded channels: where the transfer is a power before and after, a gain g of linear
     * light is one of g^(1/2.4) there, (v + 0.055) g^(1/2.4) - 0.055, and nothing has to be decoded.
     */
    private function exposed(KernelLayer $layer): void
    {
        $this->open($layer);
        [$gain, $root] = [$this->kernel->variable('gain'), $this->kernel->variable('root')];
        $this->kernel->line("{$gain} = 1.0 + {$layer->cover} * {$layer->colour[0]}; {$root} = 0.0; if ({$gain} > 0.0) {");
        Power::write($this->kernel, $gain, 1 / 2.4, $root, Power::FINER);
        $this->kernel->line('}');
        foreach (self::CHANNELS as $channel) {
            [$value, $lit] = [$this->kernel->variable('value'), $this->kernel->variable('lit')];
            $this->kernel->line("{$value} = {$this->kernel->stored($channel)}; {$lit} = ({$value} + 0.055) * {$root} - 0.055;");
            $this->kernel->line("if ({$value} < 0.04045 || {$lit} < 0.04045) {");
            $this->transfer('decode', $value);
            $this->kernel->line("{$value} *= {$gain};");
            $this->transfer('encode', $value);
            $this->kernel->line("{$lit} = {$value}; }");
            $this->kernel->line("{$this->kernel->stored($channel)} = {$lit};");
        }
        $this->close($layer);
    }

    private function linearColour(KernelLayer $layer, string $colour): string
    {
        if ($layer->lightColour) {
            return $colour;
        }
        $source = $this->kernel->variable('source');
        $this->kernel->line("{$source} = {$colour};");
        $this->transfer('decode', $source);

        return $source;
    }

    /** The alpha afterwards; $strength is the light's strength for airlight, the cover otherwise. */
    private function alpha(KernelLayer $layer, string $before, ?string $strength = null): string
    {
        $strength ??= $layer->cover;
        if ($layer->mode === BlendMode::Normal || (! $layer->mode->isLinear() && $layer->mode !== BlendMode::Add)) {
            return "({$strength} + {$before} - {$strength} * {$before})";
        }
        $alpha = $this->kernel->variable('alpha');
        $this->kernel->line($layer->mode === BlendMode::Add
            ? "{$alpha} = {$strength} + {$before}; if ({$alpha} > 1.0) { {$alpha} = 1.0; }"
            // not as one less what both leave: that is nothing where there is hardly anything
            : "{$alpha} = {$strength} < 1.0 ? {$strength} + {$before} - {$strength} * {$before} : 1.0;");

        return $alpha;
    }

    /** The modes that read the three channels at once, and light in the air out of a picture, over alpha. */
    private function together(KernelLayer $layer): void
    {
        $this->open($layer);
        $values = array_map($this->kernel->variable(...), ['red', 'green', 'blue']);
        foreach (self::CHANNELS as $at => $channel) {
            $this->kernel->line("{$values[$at]} = {$this->kernel->stored($channel)};");
        }
        if ($layer->mode === BlendMode::Airlight) {
            $this->airlightOfPicture($layer, $values);
        } else {
            $sources = array_map($this->kernel->variable(...), ['sourceRed', 'sourceGreen', 'sourceBlue']);
            foreach ($sources as $at => $source) {
                $this->kernel->line("{$source} = {$layer->colour[$at]};");
            }
            $blended = $this->wholeColour($layer, $values, $sources);
            foreach ($values as $at => $value) {
                $this->over($layer, $value, $sources[$at], $blended[$at]);
            }
            if (! $this->opaque) {
                $this->kernel->line("{$this->kernel->stored('a')} = {$this->alpha($layer, $this->kernel->stored('a'))};");
            }
        }
        foreach (self::CHANNELS as $at => $channel) {
            $this->kernel->line("{$this->kernel->stored($channel)} = {$values[$at]};");
        }
        $this->close($layer);
    }

    /**
     * @param  array<int, string>  $values
     * @param  array<int, string>  $sources
     * @return list<string>
     */
    private function wholeColour(KernelLayer $layer, array $values, array $sources): array
    {
        $below = array_values(array_map(fn (string $value): string => $this->atMostOne($layer, $value), $values));
        $out = array_map($this->kernel->variable(...), ['blendRed', 'blendGreen', 'blendBlue']);
        match ($layer->mode) {
            BlendMode::Hue => $this->kernel->inline([ColourBlend::class, 'withSaturationOf'], [...$out, ...$sources, ...$below]),
            BlendMode::Saturation => $this->kernel->inline([ColourBlend::class, 'withSaturationOf'], [...$out, ...$below, ...$sources]),
            BlendMode::Color => $this->kernel->line("{$out[0]} = {$sources[0]}; {$out[1]} = {$sources[1]}; {$out[2]} = {$sources[2]};"),
            default => $this->kernel->line("{$out[0]} = {$below[0]}; {$out[1]} = {$below[1]}; {$out[2]} = {$below[2]};"),
        };
        $this->kernel->inline([ColourBlend::class, 'withLuminosityOf'], [...$out, ...($layer->mode === BlendMode::Luminosity ? $sources : $below)]);

        return $out;
    }

    /** @param  array<int, string>  $values */
    private function airlightOfPicture(KernelLayer $layer, array $values): void
    {
        $sources = array_map(fn (string $colour): string => $this->linearColour($layer, $colour), $layer->colour);
        [$most, $before] = array_map($this->kernel->variable(...), ['most', 'before']);
        [$r, $g, $b] = $sources;
        $this->kernel->line("{$most} = {$layer->cover} * ({$r} > {$g} ? ({$r} > {$b} ? {$r} : {$b}) : ({$g} > {$b} ? {$g} : {$b}));");
        $this->kernel->line("{$before} = {$this->kernel->stored('a')};");
        $alpha = $this->alpha($layer, $before, $most);
        $this->kernel->line("if ({$alpha} > 0.0) {");
        foreach ($values as $at => $value) {
            if (! $this->linear) {
                $this->transfer('decode', $value);
            }
            $this->kernel->line("{$value} = ({$before} * {$value} + {$layer->cover} * {$sources[$at]}) / {$alpha};");
            if (! $this->linear) {
                $this->transfer('encode', $value);
            }
        }
        $this->kernel->line("{$this->kernel->stored('a')} = {$alpha};");
        $this->kernel->line('}');
    }

    /** @param  'encode'|'decode'  $way */
    private function transfer(string $way, string $variable): void
    {
        $this->kernel->inline([Transfer::class, $way], [$variable], $variable);
    }
}
