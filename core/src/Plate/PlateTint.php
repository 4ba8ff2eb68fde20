<?php

declare(strict_types=1);

namespace Aumbrel\Core\Plate;

use Aumbrel\Core\Blend\BlendMode;
use Aumbrel\Core\Grade\BaseTone;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\Tint;
use Aumbrel\Core\Seen\PlateWords;
use Aumbrel\Core\Seen\SeenPlate;

/** A plate's colours, evened out, and then at its base exposure. */
final readonly class PlateTint implements Tint
{
    public function __construct(private SeenPlate $plate, private BaseTone $tone, private ?Evened $evened = null)
    {
    }

    public function write(KernelWriter $kernel, BlendMode $mode): array
    {
        $colour = PlateWords::colour($kernel, $this->plate);
        if ($this->isDirect()) {
            return $colour;
        }
        $toned = [$kernel->variable('red'), $kernel->variable('green'), $kernel->variable('blue')];
        foreach ($toned as $at => $channel) {
            $kernel->line("{$channel} = {$colour[$at]};");
        }
        $this->evened?->write($kernel, $toned);
        $this->tone->write($kernel, $toned);

        return $toned;
    }

    public function isDirect(): bool
    {
        return $this->tone->isNone() && $this->evened === null;
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
        return $this->evened !== null || $this->tone->mayExceed();
    }
}
