<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Color\Luma;
use Aumbrel\Core\Geometry\Bounds;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\IdentityOfAll;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\Emitter;
use Aumbrel\Core\Kind\OwnShare;
use Aumbrel\Core\Kind\Site;
use Aumbrel\Core\Seen\PlateWords;
use Aumbrel\Core\Seen\SeenPlate;

/** A plate's own bright tones, as what shines: smoothstep over the knee of its luma, times its alpha. */
final readonly class BrightTones implements Emitter
{
    use IdentityOfAll;
    use OwnShare;

    /**
     * @param  float  $threshold  luma 0..1 in the middle of the knee
     * @param  float  $knee  half its width
     */
    private function __construct(private Site $site, private string $plate, private SeenPlate $seen, private float $threshold, private float $knee, public string $name)
    {
    }

    /** Null when there is no plate of that id. */
    public static function of(Site $site, string $plate, float $threshold, float $knee): ?self
    {
        $seen = $site->seen($plate);

        return $seen === null ? null : new self($site, $plate, $seen, $threshold, $knee, PlateShape::name($site, $plate));
    }

    /** @param  float  $perKnee  one over the width of the knee */
    public static function share(float $luma, float $from, float $perKnee): float
    {
        $share = ($luma - $from) * $perKnee;
        $share = $share > 0.0 ? ($share < 1.0 ? $share : 1.0) : 0.0;

        return $share * $share * (3.0 - 2.0 * $share);
    }

    public function write(KernelWriter $kernel, Window $window): string
    {
        $seen = $this->site->seen($this->plate, $window) ?? $this->seen;
        [$luma, $bright] = [$kernel->variable('luma'), $kernel->variable('bright')];
        $colour = array_map(static fn (string $channel): string => "({$channel})", PlateWords::colour($kernel, $seen));
        $kernel->inline([Luma::class, 'of'], $colour, $luma);
        $kernel->inline([self::class, 'share'], [$luma, $kernel->number($this->threshold - $this->knee), $kernel->number(0.5 / max(1e-4, $this->knee))], $bright);
        if (! $seen->opaque()) {
            $kernel->line("{$bright} *= ".PlateWords::alpha($kernel, $seen).';');
        }

        return $bright;
    }

    public function extent(): Bounds
    {
        return $this->seen->bounds();
    }

    /** Bright places of a few pixels are lost in larger ones. */
    public function isExact(): bool
    {
        return false;
    }
}
