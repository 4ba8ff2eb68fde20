<?php

declare(strict_types=1);

namespace Aumbrel\Core\Grade;

use Aumbrel\Core\Color\Luma;
use Aumbrel\Core\Color\Shifts;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\StripKind;
use Aumbrel\Core\Value\ShiftsValue;
use Aumbrel\Core\Value\ToggleValue;
use Aumbrel\Core\Value\Values;

/** Darks, mids and lights pulled toward colours of their own; of encoded values. */
final readonly class Balance implements Grade, StripKind
{
    use RecoloursItself;

    /** What a shift of 100 adds. */
    private const MOST = 0.25;

    /** Below this luma less and less is shifted, where black is kept. */
    private const BLACK = 0.05;

    private function __construct(private Shifts $shifts, private bool $keepsBlack, private bool $keepsLuma)
    {
    }

    public static function key(): string
    {
        return 'balance';
    }

    public static function label(): string
    {
        return 'Balance';
    }

    public static function hint(): string
    {
        return 'Darks, mids and lights each toward a colour';
    }

    public static function parameters(): array
    {
        return [
            ShiftsValue::named('shifts', 'Colours', 'tone')->says('Toward which colour darks, mids and lights are drawn, and how far'),
            ToggleValue::named('keepBlack', 'Black stays black', 'ends', true)->says('The darkest tones take no colour'),
            ToggleValue::named('keepLuma', 'As bright as before', 'ends', false)->says('Colours change, brightness does not'),
        ];
    }

    public static function from(Values $values): self
    {
        return new self($values->object('shifts', Shifts::class), $values->toggle('keepBlack'), $values->toggle('keepLuma'));
    }

    /** Cool darks and warm lights: what a warm lamp does to a night (common practice, no source). */
    public static function placed(Point $centre, float $span, ?string $plate = null): array
    {
        return ['shifts' => ['darks' => [-8, 0, 12], 'mids' => [0, 0, 0], 'lights' => [14, 3, -16]]];
    }

    public function write(KernelWriter $kernel, array $colour): void
    {
        if ($this->shifts->isNone()) {
            return;
        }
        [$luma, $darks, $mids, $lights, $share, $change] = array_map($kernel->variable(...), ['luma', 'darks', 'mids', 'lights', 'share', 'change']);
        $kernel->inline([Luma::class, 'of'], $colour, $luma);
        $kernel->inline([Ranges::class, 'darks'], [$luma], $darks);
        $kernel->inline([Ranges::class, 'lights'], [$luma], $lights);
        $kernel->line("{$mids} = 1.0 - {$darks} - {$lights};");
        $kernel->line($this->keepsBlack ? "{$share} = {$luma} < {$kernel->number(self::BLACK)} ? {$luma} * {$kernel->number(1 / self::BLACK)} : 1.0;" : "{$share} = 1.0;");
        $unit = self::MOST / Shifts::MOST;
        foreach ($colour as $at => $channel) {
            [$dark, $mid, $light] = [$kernel->number($unit * $this->shifts->darks[$at]), $kernel->number($unit * $this->shifts->mids[$at]), $kernel->number($unit * $this->shifts->lights[$at])];
            $kernel->line("{$channel} += {$share} * ({$darks} * {$dark} + {$mids} * {$mid} + {$lights} * {$light});");
        }
        if ($this->keepsLuma) {
            $kernel->line("{$change} = {$luma} - ".$kernel->expression([Luma::class, 'of'], $colour).';');
        }
        foreach ($colour as $channel) {
            $kernel->line(($this->keepsLuma ? "{$channel} += {$change}; " : '')."if ({$channel} < 0.0) { {$channel} = 0.0; }");
        }
    }

    public function mayExceed(): bool
    {
        return ! $this->shifts->isNone();
    }
}
