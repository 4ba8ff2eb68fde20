<?php

declare(strict_types=1);

namespace Aumbrel\Core\Grade;

use Aumbrel\Core\Color\HueHill;
use Aumbrel\Core\Color\HueStretch;
use Aumbrel\Core\Color\HueStretches;
use Aumbrel\Core\Color\Oklab;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\StripKind;
use Aumbrel\Core\Kind\Surroundings;
use Aumbrel\Core\Value\BandsValue;
use Aumbrel\Core\Value\Values;

/** Single hues calmed, turned, enriched, lighter or darker, in Oklab; what cannot be shown loses chroma until it can. */
final readonly class Bands implements Grade, StripKind
{
    use RecoloursItself;

    /** What a shift of lightness by 100 adds. */
    private const LIGHTER = 0.25;

    private function __construct(private HueStretches $stretches)
    {
    }

    public static function key(): string
    {
        return 'bands';
    }

    public static function label(): string
    {
        return 'Single hues';
    }

    public static function hint(): string
    {
        return 'Some hues calmed, turned or enriched, the others left alone';
    }

    public static function parameters(): array
    {
        return [BandsValue::named('bands', 'Hues', 'tone')->says('Stretches of hues, over the hues that there are, and what becomes of each')];
    }

    public static function from(Values $values): self
    {
        return new self($values->object('bands', HueStretches::class));
    }

    /** Calmer blues: what moonlit plates have too much of (common practice, no source). */
    public static function placed(Point $centre, float $span, ?string $plate = null): array
    {
        return ['bands' => [['hues' => [195, 264, 264, 294], 'chroma' => 0.7]]];
    }

    public function problem(Surroundings $around): ?string
    {
        return $this->stretches->crossing();
    }

    /** The largest share of a colour's chroma that the screen can show, where all of it cannot be shown. */
    public static function shown(float $lightness, float $a, float $b): float
    {
        $grey = $lightness * $lightness * $lightness;
        $most = $grey > 1.0 ? $grey + 1e-9 : 1.0;
        $share = 0.0;
        for ($step = 0.5; $step > 0.0005; $step *= 0.5) {
            $try = $share + $step;
            $l = $lightness + $try * (0.3963377774 * $a + 0.2158037573 * $b);
            $m = $lightness - $try * (0.1055613458 * $a + 0.0638541728 * $b);
            $s = $lightness - $try * (0.0894841775 * $a + 1.2914855480 * $b);
            $l = $l * $l * $l;
            $m = $m * $m * $m;
            $s = $s * $s * $s;
            $red = 4.0767416621 * $l - 3.3077115913 * $m + 0.2309699292 * $s;
            $green = -1.2684380046 * $l + 2.6097574011 * $m - 0.3413193965 * $s;
            $blue = -0.0041960863 * $l - 0.7034186147 * $m + 1.7076147010 * $s;
            $least = $red < $green ? ($red < $blue ? $red : $blue) : ($green < $blue ? $green : $blue);
            $largest = $red > $green ? ($red > $blue ? $red : $blue) : ($green > $blue ? $green : $blue);
            if ($least >= 0.0 && $largest <= $most) {
                $share = $try;
            }
        }

        return $share;
    }

    public function write(KernelWriter $kernel, array $colour): void
    {
        $active = $this->stretches->active();
        if ($active === []) {
            return;
        }
        $encoded = array_map($kernel->variable(...), ['red', 'green', 'blue']);
        foreach ($encoded as $at => $own) {
            $kernel->line("{$own} = {$colour[$at]};");
        }
        InOklab::enter($kernel, $colour);
        [$lightness, $a, $b] = $colour;
        [$chroma, $there, $share, $turn, $factor, $light, $hue] = array_map($kernel->variable(...), ['chroma', 'there', 'share', 'turn', 'factor', 'light', 'hue']);
        $kernel->line("{$there} = 0.0; {$chroma} = sqrt({$a} * {$a} + {$b} * {$b}); if ({$chroma} > 1e-5) {");
        $this->writeWeights($kernel, $active, $colour, $hue, $share, $turn, $factor, $light, "{$there} = {$chroma};");
        // hues to which nothing happens stay to the last digit, and cost half
        $kernel->line("} if ({$there} > 0.0 || {$encoded[0]} > 1.0 || {$encoded[1]} > 1.0 || {$encoded[2]} > 1.0) { if ({$there} > 0.0) {");
        $kernel->inline([HueHill::class, 'coloured'], [$chroma], $there);
        $kernel->line("{$factor} = 1.0 + {$there} * ({$factor} - 1.0);");
        $kernel->line("{$lightness} += {$kernel->number(self::LIGHTER / 100)} * {$there} * {$light}; if ({$lightness} < 0.0) { {$lightness} = 0.0; }");
        if ($this->stretches->turns()) {
            [$cos, $sin, $before] = array_map($kernel->variable(...), ['cos', 'sin', 'before']);
            $kernel->line("{$turn} *= {$there}; {$cos} = {$factor} * cos({$turn}); {$sin} = {$factor} * sin({$turn}); {$before} = {$a};");
            $kernel->line("{$a} = {$cos} * {$a} - {$sin} * {$b}; {$b} = {$sin} * {$before} + {$cos} * {$b};");
        } else {
            $kernel->line("{$a} *= {$factor}; {$b} *= {$factor};");
        }
        $kernel->line('}');
        $this->writeRange($kernel, $colour);
        InOklab::atLeastNone($kernel, $colour);
        InOklab::encode($kernel, $colour);
        $kernel->line("} else { {$colour[0]} = {$encoded[0]}; {$colour[1]} = {$encoded[1]}; {$colour[2]} = {$encoded[2]}; }");
    }

    public function mayExceed(): bool
    {
        return $this->stretches->active() !== [];
    }

    /**
     * Turn, factor and lightness of the hue: one branch for each part of the circle between two limits.
     *
     * @param  non-empty-list<HueStretch>  $active
     * @param  array{string, string, string}  $colour
     * @param  string  $does  what is done as well where anything happens
     */
    private function writeWeights(KernelWriter $kernel, array $active, array $colour, string $hue, string $share, string $turn, string $factor, string $light, string $does): void
    {
        $arcs = HueArc::of($active);
        $kernel->line("{$hue} = atan2({$colour[2]}, {$colour[1]}); if ({$hue} < {$kernel->number(deg2rad($arcs[0]->from))}) { {$hue} += 6.283185307179586; }");
        $kernel->line("if ({$hue} < {$kernel->number(deg2rad($arcs[0]->from))}) { {$hue} += 6.283185307179586; }");
        foreach ($arcs as $at => $arc) {
            $opening = $at === 0 ? 'if' : 'elseif';
            $kernel->line($at === count($arcs) - 1 ? 'else {' : "{$opening} ({$hue} < {$kernel->number(deg2rad($arc->to))}) {");
            if ($arc->isNothing()) {
                $kernel->line('}');

                continue;
            }
            $kernel->line($does);
            [$turned, $enriched, $lit] = $arc->held;
            $kernel->line("{$turn} = {$kernel->number(deg2rad($turned))}; {$factor} = {$kernel->number(1.0 + $enriched)}; {$light} = {$kernel->number($lit)};");
            foreach ($arc->shoulders as ['from' => $from, 'to' => $to, 'parts' => [$turned, $enriched, $lit]]) {
                $kernel->line("{$share} = ({$hue} - {$kernel->number(deg2rad($from))}) * {$kernel->number(1 / deg2rad($to - $from))};");
                $kernel->line("{$share} = {$kernel->expression([HueStretch::class, 'falling'], [$share])};");
                $kernel->line("{$turn} += {$share} * {$kernel->number(deg2rad($turned))}; {$factor} += {$share} * {$kernel->number($enriched)}; {$light} += {$share} * {$kernel->number($lit)};");
            }
            // stretches that lie over one another may take more than there is
            $kernel->line("if ({$factor} < 0.0) { {$factor} = 0.0; } }");
        }
    }

    /**
     * Writes linear channels; of what the screen cannot show chroma is lowered first.
     *
     * @param  array{string, string, string}  $colour
     */
    private function writeRange(KernelWriter $kernel, array $colour): void
    {
        [$red, $green, $blue, $shown] = array_map($kernel->variable(...), ['red', 'green', 'blue', 'shown']);
        $kernel->line("{$red} = {$colour[0]}; {$green} = {$colour[1]}; {$blue} = {$colour[2]};");
        InOklab::toLinear($kernel, [$red, $green, $blue]);
        $kernel->line("if ({$red} < -1e-4 || {$green} < -1e-4 || {$blue} < -1e-4 || {$red} > 1.0001 || {$green} > 1.0001 || {$blue} > 1.0001) {");
        $kernel->inline([self::class, 'shown'], $colour, $shown);
        $kernel->line("{$red} = {$colour[0]}; {$green} = {$colour[1]} * {$shown}; {$blue} = {$colour[2]} * {$shown};");
        InOklab::toLinear($kernel, [$red, $green, $blue]);
        $kernel->line("} {$colour[0]} = {$red}; {$colour[1]} = {$green}; {$colour[2]} = {$blue};");
    }
}
