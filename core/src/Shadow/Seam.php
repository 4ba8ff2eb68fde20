<?php

declare(strict_types=1);

namespace Aumbrel\Core\Shadow;

use Aumbrel\Core\Geometry\Bounds;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\Emitter;
use Aumbrel\Core\Kind\OwnShare;
use Aumbrel\Core\Light\PlateShape;

/** The edge of a cut-out on one side; of what stands only near its contact row. */
final readonly class Seam implements Emitter
{
    use OwnShare;

    /** How high above the contact row something still touches, of the height of the plate, at least. */
    public const OF_HEIGHT = 0.08;

    /**
     * @param  PlateShape  $without  the same shape moved away from that side: what is in it is no edge
     * @param  Sheet|null  $sheet  of what stands
     * @param  float  $height  over the row up to which it touches, px
     */
    public function __construct(private PlateShape $shape, private PlateShape $without, private ?Sheet $sheet, private float $height)
    {
    }

    public function write(KernelWriter $kernel, Window $window): string
    {
        $shape = $this->shape->write($kernel, $window);
        $seam = $kernel->variable('seam');
        $kernel->line("{$seam} = {$shape} * (1.0 - {$this->without->write($kernel, $window)});");
        if ($this->sheet !== null) {
            $over = $kernel->variable('over');
            $kernel->line("{$over} = ({$kernel->number($this->sheet->rowAt(0.0))} + {$kernel->number($this->sheet->slope)} * \$x - \$y) * {$kernel->number(1 / $this->height)};");
            $kernel->line("if ({$over} >= 1.0) { {$seam} = 0.0; } elseif ({$over} > 0.0) { {$seam} *= 1.0 - {$over} * {$over} * (3.0 - 2.0 * {$over}); }");
        }

        return $seam;
    }

    public function extent(): Bounds
    {
        return $this->shape->extent();
    }

    public function identity(): string
    {
        return "seam of {$this->shape->identity()} without {$this->without->identity()} {$this->height} ".($this->sheet?->key() ?? '');
    }

    public function isExact(): bool
    {
        return true;
    }
}
