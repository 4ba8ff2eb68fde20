<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\Kernel\KernelWriter;

/** Writes the loop that turns values into packed pixels. */
final readonly class Output
{
    public function __construct(private KernelWriter $kernel)
    {
    }

    /** @param  8|16  $bits */
    public function picture(string $line, bool $opaque, int $bits, bool $exceeds): void
    {
        $this->kernel->loop();
        $this->pixel($line, [$this->kernel->stored('r'), $this->kernel->stored('g'), $this->kernel->stored('b')],
            $opaque ? '1.0' : $this->kernel->stored('a'), $bits, $exceeds);
    }

    /**
     * What a strip has changed: the difference of premultiplied values, on black.
     *
     * @param  array<string, string>  $before  lines by channel
     * @param  8|16  $bits
     */
    public function difference(string $line, array $before, bool $opaque, int $bits): void
    {
        $this->kernel->loop();
        $changes = [];
        foreach (['r', 'g', 'b'] as $channel) {
            $changes[] = $change = $this->kernel->variable('change');
            $after = $this->kernel->stored($channel);
            $was = $this->kernel->stored($before[$channel]);
            $this->kernel->line($opaque ? "{$change} = {$after} - {$was};"
                : "{$change} = {$after} * {$this->kernel->stored('a')} - {$was} * {$this->kernel->stored($before['a'])};");
            $this->kernel->line("if ({$change} < 0.0) { {$change} = -{$change}; }");
        }
        $this->pixel($line, [$changes[0], $changes[1], $changes[2]], '1.0', $bits, true);
    }

    /**
     * Packs one pixel for pack(): with `V` the bytes lie red, green, blue, alpha; with `J` the same in big-endian pairs.
     *
     * @param  array{string, string, string}  $colour
     * @param  8|16  $bits
     * @param  bool  $exceeds  whether a value may be above 1; pixels where one is are counted
     */
    public function pixel(string $line, array $colour, string $alpha, int $bits, bool $exceeds): void
    {
        $most = $bits === 16 ? 65535 : 255;
        $out = array_map($this->kernel->variable(...), ['red', 'green', 'blue']);
        foreach ($out as $at => $channel) {
            $this->kernel->line("{$channel} = {$colour[$at]} * {$most}.0;");
        }
        if ($exceeds) {
            [$r, $g, $b] = $out;
            $limit = $most * (1 + 1e-9);
            $this->kernel->row('$clipped = 0;');
            $this->kernel->closing("\$lines['clipped'] += \$clipped;");
            $this->kernel->line("if ({$r} > {$most}.0 || {$g} > {$most}.0 || {$b} > {$most}.0) {");
            $this->kernel->line("if ({$r} > {$limit} || {$g} > {$limit} || {$b} > {$limit}) { \$clipped++; }");
            foreach ($out as $channel) {
                $this->kernel->line("if ({$channel} > {$most}.0) { {$channel} = {$most}.0; }");
            }
            $this->kernel->line('}');
        }
        $opacity = $alpha === '1.0' ? (string) $most : "(int) ({$alpha} * {$most}.0 + 0.5)";
        [$r, $g, $b] = array_map(static fn (string $channel): string => "(int) ({$channel} + 0.5)", $out);
        $this->kernel->line($this->kernel->stored($line).' = '.($bits === 16
            ? "{$r} << 48 | {$g} << 32 | {$b} << 16 | {$opacity};"
            : "{$opacity} << 24 | {$b} << 16 | {$g} << 8 | {$r};"));
    }
}
