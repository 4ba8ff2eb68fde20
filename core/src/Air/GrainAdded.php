<?php

declare(strict_types=1);

namespace Aumbrel\Core\Air;

use Aumbrel\Core\Color\Luma;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Grade\Grade;
use Aumbrel\Core\Kernel\KernelWriter;

/** Grain added to encoded values: a part of it the same in all channels, a part of each channel's own; less in the darkest and brightest tones. */
final readonly class GrainAdded implements Grade
{
    /**
     * @param  float  $sigma  of encoded values
     * @param  float  $size  px
     * @param  float  $colour  0..1, the share of each channel's own
     * @param  float  $mids  0..1, how far it keeps to the middle tones
     */
    public function __construct(private float $sigma, private float $size, private float $colour, private float $mids, private int $seed, private Window $window)
    {
    }

    /** How strong it is at a tone 0..1, of what it is at most. */
    public static function weight(float $tone, float $mids): float
    {
        return 1.0 - $mids + 4.0 * $mids * $tone * (1.0 - $tone);
    }

    public function write(KernelWriter $kernel, array $colour): void
    {
        [$tone, $weight, $shared] = array_map($kernel->variable(...), ['tone', 'weight', 'shared']);
        $kernel->inline([Luma::class, 'of'], $colour, $tone);
        $kernel->line("if ({$tone} > 1.0) { {$tone} = 1.0; } {$weight} = {$kernel->number($this->sigma)} * {$kernel->expression([self::class, 'weight'], [$tone, $kernel->number($this->mids)])};");
        $kernel->line($this->colour < 1.0 ? "{$shared} = {$weight} * {$kernel->number(sqrt(1 - $this->colour))} * {$kernel->plane($this->plane(0))}[\$i];" : "{$shared} = 0.0;");
        foreach ($colour as $at => $channel) {
            $own = $this->colour > 0.0 ? " + {$weight} * {$kernel->number(sqrt($this->colour))} * {$kernel->plane($this->plane($at + 1))}[\$i]" : '';
            $kernel->line("{$channel} += {$shared}{$own}; if ({$channel} < 0.0) { {$channel} = 0.0; }");
        }
    }

    public function mayExceed(): bool
    {
        return true;
    }

    private function plane(int $more): GrainPlane
    {
        return new GrainPlane($this->seed + $more, $this->size, $this->window);
    }
}
