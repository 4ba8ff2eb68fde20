<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Geometry\Placement;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kernel\Transfer;
use Aumbrel\Core\Kind\Field;
use Aumbrel\Core\Kind\LightTint;
use Aumbrel\Core\Kind\Tint;
use Aumbrel\Core\Picture\PictureSource;

/** A picture's colours divided by their largest channel, as a light has them. */
final readonly class PictureTint implements Tint
{
    use LightTint;

    /** @var array{Field, Field, Field} */
    private array $channels;

    public function __construct(PictureSource $picture, Placement $placement, float $softness, private Window $window)
    {
        $this->channels = PictureLight::channels($picture, $placement, $softness, $window);
    }

    public function write(KernelWriter $kernel, BlendMode $mode): array
    {
        $colour = [$kernel->variable('red'), $kernel->variable('green'), $kernel->variable('blue')];
        foreach ($colour as $at => $channel) {
            $kernel->line("{$channel} = {$this->channels[$at]->write($kernel, $this->window)};");
            if ($mode->isLinear()) {
                $kernel->inline([Transfer::class, 'decode'], [$channel], $channel);
            }
        }
        $most = $kernel->variable('most');
        $kernel->line("{$most} = {$colour[0]}; if ({$colour[1]} > {$most}) { {$most} = {$colour[1]}; } if ({$colour[2]} > {$most}) { {$most} = {$colour[2]}; }");
        $kernel->line("if ({$most} > 0.0) { {$most} = 1.0 / {$most}; {$colour[0]} *= {$most}; {$colour[1]} *= {$most}; {$colour[2]} *= {$most}; }");

        return $colour;
    }
}
