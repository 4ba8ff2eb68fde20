<?php

declare(strict_types=1);

namespace Aumbrel\Core\Light;

use Aumbrel\Core\Geometry\Bounds;
use Aumbrel\Core\Geometry\Window;
use Aumbrel\Core\Kernel\IdentityOfAll;
use Aumbrel\Core\Kernel\KernelWriter;
use Aumbrel\Core\Kind\Emitter;
use Aumbrel\Core\Kind\OwnShare;
use Aumbrel\Core\Kind\Site;
use Aumbrel\Core\Seen\PlateWords;
use Aumbrel\Core\Seen\SeenPlate;

/** A plate's outline, as what shines. */
final readonly class PlateShape implements Emitter
{
    use IdentityOfAll;
    use OwnShare;

    private function __construct(private Site $site, private string $plate, private SeenPlate $seen, private float $x, private float $y, public string $name)
    {
    }

    /**
     * Null when there is no plate of that id.
     *
     * @param  float  $x  shifted by so many px
     * @param  float  $y  px, down
     */
    public static function of(Site $site, string $plate, float $x = 0.0, float $y = 0.0): ?self
    {
        $seen = $site->seen($plate);

        return $seen === null ? null : new self($site, $plate, $seen, $x, $y, self::name($site, $plate));
    }

    public function write(KernelWriter $kernel, Window $window): string
    {
        $alpha = $kernel->variable('alpha');
        // what is shifted is seen by a window that is shifted the other way
        $shifted = $this->isShifted() ? new Window($window->x - $this->x, $window->y - $this->y, $window->width, $window->height, $window->scale, $window->firstRow, $window->rows) : $window;
        $kernel->line("{$alpha} = ".PlateWords::alpha($kernel, $this->site->seen($this->plate, $shifted) ?? $this->seen).';');

        return $alpha;
    }

    public function extent(): Bounds
    {
        $bounds = $this->seen->bounds();

        return new Bounds($bounds->left + $this->x, $bounds->top + $this->y, $bounds->right + $this->x, $bounds->bottom + $this->y);
    }

    /** Shells of all widths share one drawing of the plate; only while it is shifted that would be drawn anew each time. */
    public function isExact(): bool
    {
        return $this->isShifted();
    }

    private function isShifted(): bool
    {
        return $this->x !== 0.0 || $this->y !== 0.0;
    }

    /** Names a plate as it is and stands, whatever window sees it. */
    public static function name(Site $site, string $plate): string
    {
        return $site->seen($plate, Window::whole(1, 1))?->key() ?? $plate;
    }
}
