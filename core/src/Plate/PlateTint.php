<?php

declare(strict_types=1);

namespace Aumbrel\Core\Plate;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Grade\BaseTone;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\Tint;
use Aumbrel\Core\Seen\PlateWords;
use Aumbrel\Core\Seen\SeenPlate;

/** A plate's colours at its base exposure. */
final readonly class PlateTint implements Tint
{
    public function __construct(private SeenPlate $plate, private BaseTone $tone)
    {
    }

    public function write(KernelWriter $kernel, BlendMode $mode): array
    {
        $colour = PlateWords::colour($kernel, $this->plate);
        if ($this->tone->isNone()) {
            return $colour;
        }
        $toned = [$kernel->variable('red'), $kernel->variable('green'), $kernel->variable('blue')];
        foreach ($toned as $at => $channel) {
            $kernel->line("{$channel} = {$colour[$at]};");
        }
        $this->tone->write($kernel, $toned);

        return $toned;
    }

    public function isDirect(): bool
    {
        return $this->tone->isNone();
    }

    public function isLight(BlendMode $mode): bool
    {
        return false;
    }

    public function readsBelow(): bool
    {
        return false;
    }

    public function mayExceed(): bool
    {
        return $this->tone->mayExceed();
    }
}
