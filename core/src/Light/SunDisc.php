<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Geometry\Bounds;
use Aumbrel\Core\Geometry\Point;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\IdentityOfAll;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\Emitter;
use Aumbrel\Core\Kind\OwnShare;
use Aumbrel\Core\Ramp\ColourRamp;

/** One channel of a sun's disc: red, green or blue, encoded and premultiplied, or how much of it there is. */
final readonly class SunDisc implements Emitter
{
    use IdentityOfAll;
    use OwnShare;

    public const OPACITY = 3;

    /**
     * @param  float  $radius  scene pixels
     * @param  int  $channel  0 red, 1 green, 2 blue, 3 opacity
     * @param  PlateShape|null  $before  a plate that covers it
     */
    public function __construct(private Point $centre, private float $radius, private ColourRamp $ramp, private int $channel, private ?PlateShape $before)
    {
    }

    public function write(KernelWriter $kernel, Window $window): string
    {
        [$across, $down, $cover, $share] = array_map($kernel->variable(...), ['across', 'down', 'cover', 'share']);
        $mixed = [$kernel->variable('red'), $kernel->variable('green'), $kernel->variable('blue'), $kernel->variable('opacity')];
        $kernel->row("{$down} = \$y - {$kernel->number($this->centre->y)};");
        $kernel->line("{$across} = \$x - {$kernel->number($this->centre->x)};");
        $scale = $kernel->number($window->scale);
        $kernel->inline([Disc::class, 'coverage'], ["({$across} * {$scale})", "({$down} * {$scale})", $kernel->number($this->radius * $window->scale)], $cover);
        $kernel->line("if ({$cover} > 0.0) { {$share} = sqrt({$across} * {$across} + {$down} * {$down}) * {$kernel->number(1 / $this->radius)};");
        $this->ramp->write($kernel, $share, $mixed);
        $kernel->line("{$cover} *= {$mixed[$this->channel]}; }");
        if ($this->before !== null) {
            $kernel->line("{$cover} *= 1.0 - {$this->before->write($kernel, $window)};");
        }

        return $cover;
    }

    public function extent(): Bounds
    {
        return Disc::bounds($this->centre, $this->radius);
    }

    public function isExact(): bool
    {
        return false;
    }
}
