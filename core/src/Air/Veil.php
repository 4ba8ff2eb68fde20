<?php

declare(strict_types=1);

namespace Aumbrel\Core\Air;

use Aumbrel\Core\Geometry\Extent;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\IdentityOfAll;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\Field;
use Aumbrel\Core\Kind\OwnShare;
use Aumbrel\Core\Seen\DepthPass;
use Aumbrel\Core\Seen\SeenPlate;

/** How much of what is seen is air: what comes through is mixed by the plates that cover one another, not their distances. */
final readonly class Veil implements Field
{
    use IdentityOfAll;
    use OwnShare;

    /** @param  list<array{Field, float|array{DepthPass, SeenPlate}}>  $plates  how much each covers, and what comes through from it, or how far away its pixels are, back to front */
    public function __construct(private Distances $distances, private array $plates)
    {
    }

    public function write(KernelWriter $kernel, Window $window): string
    {
        [$row, $through, $veil] = array_map($kernel->variable(...), ['row', 'through', 'veil']);
        $this->distances->write($kernel, $row);
        $kernel->line("{$through} = {$row};");
        foreach ($this->plates as [$covering, $passes]) {
            $cover = $covering->write($kernel, $window);
            $kernel->line("{$through} += {$cover} * ({$this->passes($kernel, $passes)} - {$through});");
        }
        $kernel->line("{$veil} = 1.0 - {$through};");

        return $veil;
    }

    /** @param  float|array{DepthPass, SeenPlate}  $passes */
    private function passes(KernelWriter $kernel, float|array $passes): string
    {
        if (! is_array($passes)) {
            return $kernel->number($passes);
        }
        $distance = $kernel->variable('away');
        $passes[0]->write($kernel, $passes[1], $distance);
        $this->distances->writeFrom($kernel, $distance);

        return $distance;
    }

    public function extent(): ?Extent
    {
        return null;
    }
}
