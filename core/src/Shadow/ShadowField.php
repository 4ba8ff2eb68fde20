<?php

declare(strict_types=1);

namespace Aumbrel\Core\Shadow;

use Aumbrel\Core\Geometry\Bounds;
use Aumbrel\Core\Geometry\Extent;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\IdentityOfAll;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\Field;
use Aumbrel\Core\Kind\OwnShare;
use Aumbrel\Core\Seen\PlateWords;

/**
 * The shadows that one source throws: of several cut-outs the darkest counts. Plates that stand under the strip cover what lies
 * on the ground behind them; on those that take shadows these fall as on a wall.
 */
final readonly class ShadowField implements Field
{
    use IdentityOfAll;
    use OwnShare;

    /**
     * @param  list<Field>  $pieces  on ground and walls
     * @param  list<Covering>  $coverings  back to front
     */
    public function __construct(private array $pieces, private array $coverings)
    {
    }

    public function write(KernelWriter $kernel, Window $window): string
    {
        $shade = self::darkest($kernel, $this->pieces, $window);
        foreach ($this->coverings as $covering) {
            $alpha = $kernel->variable('alpha');
            $kernel->line("{$alpha} = ".PlateWords::alpha($kernel, $covering->plate).';');
            $kernel->line($covering->pieces === [] ? "{$shade} *= 1.0 - {$alpha};" : "{$shade} += {$alpha} * (".self::darkest($kernel, $covering->pieces, $window)." - {$shade});");
        }

        return $shade;
    }

    public function extent(): ?Bounds
    {
        $pieces = [...$this->pieces, ...array_merge(...array_map(static fn (Covering $covering): array => $covering->pieces, $this->coverings))];

        return $pieces === [] ? new Bounds(0.0, 0.0, 0.0, 0.0) : Bounds::around(array_map(static fn (Field $piece): ?Extent => $piece->extent(), $pieces));
    }

    /** @param  list<Field>  $pieces */
    private static function darkest(KernelWriter $kernel, array $pieces, Window $window): string
    {
        $shade = $kernel->variable('shade');
        if ($pieces === []) {
            $kernel->line("{$shade} = 0.0;");
        }
        foreach ($pieces as $k => $piece) {
            $value = $piece->write($kernel, $window);
            $kernel->line($k === 0 ? "{$shade} = {$value};" : "if ({$value} > {$shade}) { {$shade} = {$value}; }");
        }

        return $shade;
    }
}
