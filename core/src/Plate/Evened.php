<?php

declare(strict_types=1);

namespace Aumbrel\Core\Plate;

use Aumbrel\Core\Bearing\Bearing;
use Aumbrel\Core\Body\BodyPlane;
use Aumbrel\Core\Body\Normals;
use Aumbrel\Core\Body\OwnLightPlane;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kernel\Power;
use Aumbrel\Core\Kernel\Transfer;

/**
 * A plate with its own light taken down: linear colours times (a T / s)^e 2^x, s = a T + (1 - a) max(0, n.l) by channel. Where that
 * raises more than the hold, what is finest is raised by the hold only.
 */
final readonly class Evened
{
    public function __construct(private BodyPlane $body, private OwnLightPlane $light, private Bearing $toward, private Evening $evening, private CalmedPlane $calmed)
    {
    }

    /**
     * Writes it.
     *
     * @param  array{string, string, string}  $colour  variables, encoded, changed in place
     */
    public function write(KernelWriter $kernel, array $colour): void
    {
        $numbers = $kernel->plane($this->light);
        [$ambient, $mean, $raise, $key] = array_map($kernel->variable(...), ['ambient', 'mean', 'raise', 'key']);
        $skies = array_map($kernel->variable(...), ['skyRed', 'skyGreen', 'skyBlue']);
        [$amount, $hold] = [$kernel->number($this->evening->amount), $kernel->number($this->evening->hold)];
        $kernel->row("{$ambient} = (float) {$numbers}[0]; {$mean} = (float) {$numbers}[3]; {$key} = 1.0 - {$ambient};");
        $kernel->row("{$skies[0]} = {$ambient} * {$numbers}[1]; {$skies[1]} = {$ambient}; {$skies[2]} = {$ambient} * {$numbers}[2];");
        $kernel->row("{$raise} = ".($this->evening->level === null ? "({$mean} / {$ambient}) ** {$amount};" : $kernel->number(2 ** $this->evening->level).';'));
        [$nx, $ny, $nz, $facing, $gain, $own, $light] = array_map($kernel->variable(...), ['nx', 'ny', 'nz', 'facing', 'gain', 'own', 'light']);
        Normals::write($kernel, $this->body, $nx, $ny, $nz);
        [$lx, $ly, $lz] = array_map($kernel->number(...), $this->toward->vector());
        $kernel->line("{$facing} = {$nx} * {$lx} + {$ny} * {$ly} + {$nz} * {$lz}; {$facing} = {$facing} > 0.0 ? {$facing} * {$key} : 0.0;");
        $calmed = $this->mayHold() ? $this->calmed->colour($kernel) : null;
        foreach ($colour as $at => $channel) {
            $kernel->line("{$gain} = {$skies[$at]} / ({$skies[$at]} + {$facing});");
            if ($this->evening->amount < 1.0) {
                Power::write($kernel, $gain, $this->evening->amount, $own);
                $kernel->line("{$gain} = {$own};");
            }
            $kernel->line("{$gain} *= {$raise};");
            $kernel->inline([Transfer::class, 'decode'], [$channel], $light);
            $kernel->line($calmed === null ? "{$light} *= {$gain};" : "if ({$gain} > {$hold}) { {$light} = {$light} * {$hold} + {$calmed[$at]} * ({$gain} - {$hold}); } else { {$light} *= {$gain}; }");
            $kernel->inline([Transfer::class, 'encode'], [$light], $channel);
        }
    }

    /** Whether anything can be raised by more than the hold: (a T / s) is 1 at most. */
    private function mayHold(): bool
    {
        return $this->evening->level === null || 2 ** $this->evening->level > $this->evening->hold;
    }
}
