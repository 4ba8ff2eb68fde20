<?php

declare(strict_types=1);

namespace Aumbrel\Core\Grade;

use Aumbrel\Core\Color\HueBands;
use Aumbrel\Core\Color\Oklab;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\StripKind;
use Aumbrel\Core\Kind\Surroundings;
use Aumbrel\Core\Value\BandsValue;
use Aumbrel\Core\Value\Values;

/** Single families of hues calmed, turned, enriched, lighter or darker, in Oklab; what cannot be shown loses chroma until it can. */
final readonly class Bands implements Grade, StripKind
{
    use RecoloursItself;

    /** Below this chroma hues count less and less: greys have none. */
    private const GREY = 0.02;

    /** What a shift of lightness by 100 adds. */
    private const LIGHTER = 0.25;

    private function __construct(private HueBands $bands)
    {
    }

    public static function key(): string
    {
        return 'bands';
    }

    public static function label(): string
    {
        return 'Hue bands';
    }

    public static function hint(): string
    {
        return 'One family of hues calmed, turned or enriched';
    }

    public static function parameters(): array
    {
        return [BandsValue::named('bands', 'Hues', 'tone')->says('What becomes of each family of hues; picked on the picture or here')];
    }

    public static function from(Values $values): self
    {
        return new self($values->object('bands', HueBands::class));
    }

    /** Calmer blues: what moonlit plates have too much of (common practice, no source). */
    public static function placed(Point $centre, float $span, ?string $plate = null): array
    {
        return ['bands' => ['blue' => ['chroma' => 0.7]]];
    }

    public function problem(Surroundings $around): ?string
    {
        return $this->bands->crossing();
    }

    /** The weight of the earlier of two bands, by how far a hue lies from it to the later one, 0..1. */
    public static function share(float $way): float
    {
        return 0.5 + 0.5 * cos(3.141592653589793 * $way);
    }

    /** How much a colour has of a hue at all, by its chroma. */
    public static function coloured(float $chroma): float
    {
        $t = $chroma / self::GREY;
        $t = $t > 1.0 ? 1.0 : $t;

        return $t * $t * (3.0 - 2.0 * $t);
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
            $share = $least >= 0.0 && $largest <= $most ? $try : $share;
        }

        return $share;
    }

    public function write(KernelWriter $kernel, array $colour): void
    {
        if ($this->bands->isNone()) {
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
        $this->writeWeights($kernel, $colour, $hue, $share, $turn, $factor, $light, "{$there} = {$chroma};");
        // hues to which nothing happens stay to the last digit, and cost half
        $kernel->line("} if ({$there} > 0.0 || {$encoded[0]} > 1.0 || {$encoded[1]} > 1.0 || {$encoded[2]} > 1.0) { if ({$there} > 0.0) {");
        $kernel->inline([self::class, 'coloured'], [$chroma], $there);
        $kernel->line("{$factor} = 1.0 + {$there} * ({$factor} - 1.0);");
        $kernel->line("{$lightness} += {$kernel->number(self::LIGHTER / 100)} * {$there} * {$light}; if ({$lightness} < 0.0) { {$lightness} = 0.0; }");
        if ($this->bands->turns()) {
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
        return ! $this->bands->isNone();
    }

    /**
     * Turn, factor and lightness of the hue, between the two bands that it lies between.
     *
     * @param  array{string, string, string}  $colour
     * @param  string  $does  what is done as well where either of the two does something
     */
    private function writeWeights(KernelWriter $kernel, array $colour, string $hue, string $share, string $turn, string $factor, string $light, string $does): void
    {
        $stretches = $this->bands->stretches();
        $kernel->line("{$hue} = atan2({$colour[2]}, {$colour[1]}); if ({$hue} < {$kernel->number(deg2rad($stretches[0]['from']))}) { {$hue} += 6.283185307179586; }");
        foreach ($stretches as $at => ['from' => $from, 'to' => $to, 'before' => $before, 'after' => $after]) {
            $opening = $at === 0 ? 'if' : 'elseif';
            $kernel->line($at === count($stretches) - 1 ? 'else {' : "{$opening} ({$hue} < {$kernel->number(deg2rad($to))}) {");
            if (HueBands::isNothing($before) && HueBands::isNothing($after)) {
                $kernel->line('}');

                continue;
            }
            $kernel->line($does);
            if ($before === $after) {
                $kernel->line("{$turn} = {$kernel->number(deg2rad($after['turn']))}; {$factor} = {$kernel->number($after['chroma'])}; {$light} = {$kernel->number($after['light'])}; }");

                continue;
            }
            $kernel->line("{$share} = ({$hue} - {$kernel->number(deg2rad($from))}) * {$kernel->number(1 / deg2rad($to - $from))};");
            $kernel->line("{$share} = {$kernel->expression([self::class, 'share'], [$share])};");
            foreach ([[$turn, deg2rad($before['turn']), deg2rad($after['turn'])], [$factor, $before['chroma'], $after['chroma']], [$light, $before['light'], $after['light']]] as [$into, $own, $next]) {
                $kernel->line("{$into} = {$kernel->number($next)} + {$share} * {$kernel->number($own - $next)};");
            }
            $kernel->line('}');
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
