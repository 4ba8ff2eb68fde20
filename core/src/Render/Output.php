<?php

declare(strict_types=1);

namespace Aumbrel\Core\Render;

use Aumbrel\Core\Color\Luma;
use Aumbrel\Core\Kernel\KernelWriter;

/** Writes the loop that turns values into packed pixels. */
final readonly class Output
{
    /** What a mask holds back lies under this tint, red, green, blue, and by this much. */
    private const TINT = [0.20, 0.62, 0.58];

    private const TINTED = 0.58;

    /** What clips, and what is as dark as can be, by channel 0..1; the rest is half its luma. */
    private const CLIPPED = [0.95, 0.66, 0.31];

    private const DARKEST = [0.35, 0.45, 0.9];

    public function __construct(private KernelWriter $kernel, private Shown $as = Shown::Colours)
    {
    }

    /**
     * The picture, and over it a tint where a mask holds back.
     *
     * @param  string  $mask  its value 0..1
     * @param  8|16  $bits
     */
    public function tinted(string $line, string $mask, bool $opaque, int $bits, bool $exceeds): void
    {
        $held = $this->kernel->variable('held');
        $this->kernel->line("{$held} = {$this->kernel->number(self::TINTED)} * (1.0 - {$mask});");
        $colour = [];
        foreach (['r', 'g', 'b'] as $at => $channel) {
            $own = $opaque ? $this->kernel->stored($channel) : "{$this->kernel->stored($channel)} * {$this->kernel->stored('a')}";
            $colour[] = "({$own} + {$held} * ({$this->kernel->number(self::TINT[$at])} - {$own}))";
        }
        $this->pixel($line, [$colour[0], $colour[1], $colour[2]], '1.0', $bits, $exceeds);
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
        // what lies below 0, or is no number, would come round to white in packed pixels
        foreach ($out as $at => $channel) {
            $this->kernel->line("{$channel} = {$colour[$at]} * {$most}.0; if (! ({$channel} > 0.0)) { {$channel} = 0.0; }");
        }
        if ($exceeds) {
            $this->kernel->row('$clipped = 0;');
            $this->kernel->closing("\$lines['clipped'] += \$clipped;");
        }
        if ($this->as === Shown::Clipping) {
            $this->where($out, $most, $exceeds);
        } elseif ($exceeds) {
            [$r, $g, $b] = $out;
            $limit = $most * (1 + 1e-9);
            $this->kernel->line("if ({$r} > {$most}.0 || {$g} > {$most}.0 || {$b} > {$most}.0) {");
            $this->kernel->line("if ({$r} > {$limit} || {$g} > {$limit} || {$b} > {$limit}) { \$clipped++; }");
            foreach ($out as $channel) {
                $this->kernel->line("if ({$channel} > {$most}.0) { {$channel} = {$most}.0; }");
            }
            $this->kernel->line('}');
        }
        if ($this->as === Shown::Values) {
            $luma = $this->kernel->variable('luma');
            $this->kernel->inline([Luma::class, 'of'], $out, $luma);
            $this->kernel->line("{$out[0]} = {$luma}; {$out[1]} = {$luma}; {$out[2]} = {$luma};");
        }
        $opacity = $alpha === '1.0' ? (string) $most : "(int) ({$alpha} * {$most}.0 + 0.5)";
        [$r, $g, $b] = array_map(static fn (string $channel): string => "(int) ({$channel} + 0.5)", $out);
        $this->kernel->line($this->kernel->stored($line).' = '.($bits === 16
            ? "{$r} << 48 | {$g} << 32 | {$b} << 16 | {$opacity};"
            : "{$opacity} << 24 | {$b} << 16 | {$g} << 8 | {$r};"));
    }

    /**
     * Marks what clips and what is as dark as can be, over the rest as half its luma.
     *
     * @param  array<int, string>  $out  red, green and blue, changed in place
     */
    private function where(array $out, int $most, bool $exceeds): void
    {
        [$r, $g, $b] = $out;
        $luma = $this->kernel->variable('luma');
        $limit = $most * (1 + 1e-9);
        $mark = static fn (float $red, float $green, float $blue): string => sprintf('%s = %.1f; %s = %.1f; %s = %.1f;', $r, $red * $most, $g, $green * $most, $b, $blue * $most);
        $this->kernel->inline([Luma::class, 'of'], [$r, $g, $b], $luma);
        $count = $exceeds ? '$clipped++;' : '';
        $this->kernel->line("if ({$r} > {$limit} || {$g} > {$limit} || {$b} > {$limit}) { {$count} {$mark(...self::CLIPPED)} }");
        $this->kernel->line("elseif ({$r} < 0.5 && {$g} < 0.5 && {$b} < 0.5) { {$mark(...self::DARKEST)} }");
        $this->kernel->line("else { {$luma} = {$luma} < {$most}.0 ? 0.5 * {$luma} : {$most}.0; {$r} = {$luma}; {$g} = {$luma}; {$b} = {$luma}; }");
    }
}
