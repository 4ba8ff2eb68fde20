<?php

declare(strict_types=1);

namespace Aumbrel\Core\Shadow;

use Aumbrel\Core\Geometry\Bounds;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\IdentityOfAll;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\Emitter;
use Aumbrel\Core\Kind\OwnShare;
use Aumbrel\Core\Light\PlateShape;

/** The edge of a cut-out on one side; of what stands only near its contact row. */
final readonly class Seam implements Emitter
{
    use IdentityOfAll;
    use OwnShare;

    /** How high above the contact row something still touches, of the height of the plate, at least. */
    public const OF_HEIGHT = 0.08;

    /**
     * @param  PlateShape  $without  the same shape moved away from that side: what is in it is no edge
     * @param  ContactRow|null  $row  of what stands
     * @param  float  $height  over the row up to which it touches, px
     */
    public function __construct(private PlateShape $shape, private PlateShape $without, private ?ContactRow $row, private float $height)
    {
    }

    public function write(KernelWriter $kernel, Window $window): string
    {
        $shape = $this->shape->write($kernel, $window);
        $seam = $kernel->variable('seam');
        $kernel->line("{$seam} = {$shape} * (1.0 - {$this->without->write($kernel, $window)});");
        if ($this->row !== null) {
            $over = $kernel->variable('over');
            foreach ($this->row->stretches as $k => ['middle' => $middle, 'slope' => $slope, 'from' => $from]) {
                $kernel->line(($from === null ? '' : "if (\$x > {$kernel->number($from->x)}) ")."{$over} = ({$kernel->number($middle->y - $slope * $middle->x)} + {$kernel->number($slope)} * \$x - \$y) * {$kernel->number(1 / $this->height)};");
            }
            $kernel->line("if ({$over} >= 1.0) { {$seam} = 0.0; } elseif ({$over} > 0.0) { {$seam} *= 1.0 - {$over} * {$over} * (3.0 - 2.0 * {$over}); }");
        }

        return $seam;
    }

    public function extent(): Bounds
    {
        return $this->shape->extent();
    }

    public function isExact(): bool
    {
        return true;
    }
}
